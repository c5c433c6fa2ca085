package org.jexel.core.rig;

/** How the brakes are fed along the trailer. */
public enum BrakeFeed implements Option {
  TRUNK("One trunk, across each axle"),
  PER_SIDE("One run per side"),
  RING("Ring: per side, joined at the rear axle");

  private final String label;

  BrakeFeed(String label) {
    this.label = label;
  }

  @Override
  public String label() {
    return label;
  }
}
