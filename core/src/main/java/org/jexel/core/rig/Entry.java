package org.jexel.core.rig;

import java.util.Objects;
import org.jexel.core.quantity.Provenance;
import org.jspecify.annotations.Nullable;

/**
 * What a person entered for one field: a number or a choice.
 *
 * @param si the number in SI; NaN for a choice
 * @param choice the stored name of the choice; null for a number
 * @param provenance measured or from the plate
 */
public record Entry(double si, @Nullable String choice, Provenance provenance) {
  public Entry {
    Objects.requireNonNull(provenance);
  }

  public static Entry number(double si, Provenance provenance) {
    return new Entry(si, null, provenance);
  }

  public static Entry choice(String choice, Provenance provenance) {
    return new Entry(Double.NaN, Objects.requireNonNull(choice), provenance);
  }
}
