package org.jexel.core.rig;

import org.jexel.core.quantity.Provenance;

/**
 * The value of a chosen field with where it comes from.
 *
 * @param value the stored name
 * @param provenance measured (seen), from the plate, or assumed
 * @param reason for an assumed choice, why this one; else empty
 */
public record Choice(String value, Provenance provenance, String reason) {
  public boolean assumed() {
    return provenance == Provenance.ASSUMED;
  }
}
