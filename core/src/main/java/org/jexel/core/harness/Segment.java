package org.jexel.core.harness;

import org.jexel.core.connector.Convention;
import org.jexel.core.rig.Rig;

/** The three stretches of a conductor's way; each can have colours of its own. */
public enum Segment {
  VEHICLE("Vehicle"),
  CORD("Cord"),
  TRAILER("Trailer");

  private final String label;

  Segment(String label) {
    this.label = label;
  }

  public String label() {
    return label;
  }

  /**
   * The convention that is planned for it; a bought cord is coloured as its connector usually is.
   */
  Convention convention(Rig rig) {
    return switch (this) {
      case VEHICLE -> rig.towConvention();
      case CORD -> rig.sheet().catalog().convention(rig.connector().convention());
      case TRAILER -> rig.convention();
    };
  }
}
