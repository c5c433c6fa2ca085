package org.jexel.app.care;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.util.OptionalDouble;
import org.jexel.core.care.CareInterval;
import org.jexel.core.care.CarePart;
import org.jspecify.annotations.Nullable;

/** After how long and how far a workshop has one part looked at again. */
@Entity
@Table(name = "care_interval")
class CareIntervalRow {
  /** Whose it is, and of which part. */
  @Embeddable
  record Key(Long workshopId, String part) implements Serializable {}

  @EmbeddedId private Key key;
  private int months;
  private @Nullable Double metres;

  protected CareIntervalRow() {}

  CareIntervalRow(Long workshop, CarePart part, CareInterval interval) {
    this.key = new Key(workshop, part.name());
    this.months = interval.months();
    this.metres = interval.metres().isPresent() ? interval.metres().getAsDouble() : null;
  }

  /**
   * @throws IllegalArgumentException if it is of a part that this version does not know
   */
  CarePart part() {
    return CarePart.valueOf(key.part());
  }

  /**
   * @throws IllegalArgumentException if nothing is due by it
   */
  CareInterval interval() {
    return new CareInterval(
        months, metres == null ? OptionalDouble.empty() : OptionalDouble.of(metres));
  }
}
