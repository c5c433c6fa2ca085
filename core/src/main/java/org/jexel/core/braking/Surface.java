package org.jexel.core.braking;

/** Road surface with its usual peak and sliding friction. */
public enum Surface {
  DRY_ASPHALT("Dry asphalt", 0.80, 0.65),
  WET_ASPHALT("Wet asphalt", 0.55, 0.40),
  GRAVEL("Gravel", 0.45, 0.40),
  PACKED_SNOW("Packed snow", 0.20, 0.15);

  private final String label;
  private final double peak;
  private final double slide;

  Surface(String label, double peak, double slide) {
    this.label = label;
    this.peak = peak;
    this.slide = slide;
  }

  public String label() {
    return label;
  }

  public double peak() {
    return peak;
  }

  public double slide() {
    return slide;
  }
}
