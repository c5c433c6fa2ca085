package org.jexel.core.quantity;

import java.util.Objects;

/**
 * A number in SI with where it comes from.
 *
 * @param si the value in the SI unit of its measure
 * @param provenance measured, from the plate, or assumed
 * @param reason for an assumed figure, why this value; else empty
 */
public record Figure(double si, Provenance provenance, String reason) {
  public Figure {
    Objects.requireNonNull(provenance);
    Objects.requireNonNull(reason);
  }

  public boolean assumed() {
    return provenance == Provenance.ASSUMED;
  }
}
