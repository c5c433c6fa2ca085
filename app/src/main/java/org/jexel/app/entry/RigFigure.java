package org.jexel.app.entry;

import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import java.time.Instant;
import org.jexel.app.job.RigPart;
import org.jexel.app.security.Person;
import org.jexel.core.quantity.Provenance;
import org.jexel.core.rig.Entry;
import org.jexel.core.rig.FieldKey;
import org.jspecify.annotations.Nullable;

/** One entry of one field. Append-only: the newest row of a field stands. */
@Entity
public class RigFigure {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private RigPart part;

  private String fieldCode;
  private @Nullable Double si;
  private @Nullable String choice;

  private String provenance;

  private boolean cleared;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Person person;

  private Instant enteredAt;

  protected RigFigure() {}

  /**
   * @param entry null to give the field back to its default
   */
  public RigFigure(RigPart part, FieldKey key, @Nullable Entry entry, Person person, Instant at) {
    this.part = part;
    this.fieldCode = key.code();
    this.cleared = entry == null;
    if (entry != null) {
      this.si = Double.isNaN(entry.si()) ? null : entry.si();
      this.choice = entry.choice();
      this.provenance = entry.provenance().name();
    } else {
      this.provenance = Provenance.ASSUMED.name();
    }
    this.person = person;
    this.enteredAt = at;
  }

  public Long id() {
    return id;
  }

  /** The field's name and place as they are stored. */
  public String code() {
    return fieldCode;
  }

  public FieldKey key() {
    return FieldKey.of(fieldCode);
  }

  public boolean cleared() {
    return cleared;
  }

  public Entry entry() {
    return new Entry(si == null ? Double.NaN : si, choice, Provenance.valueOf(provenance));
  }

  public Person person() {
    return person;
  }

  public Instant enteredAt() {
    return enteredAt;
  }
}
