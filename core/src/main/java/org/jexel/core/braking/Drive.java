package org.jexel.core.braking;

/**
 * One stop as it is asked for.
 *
 * @param speed at its start, m/s
 * @param left what the trailer's left wheels roll on, and the vehicle
 * @param right what its right wheels roll on
 * @param slope rise in the direction of travel, rad; negative downhill
 * @param pedal deceleration that the pedal asks the vehicle for by itself, m/s²; 0 for none
 * @param lever of the controller, 0 to 1
 * @param control the trailer's
 */
public record Drive(
    double speed,
    Surface left,
    Surface right,
    double slope,
    double pedal,
    double lever,
    Control control) {
  public Drive {
    if (!(speed > 0) || Double.isInfinite(speed)) {
      throw new IllegalArgumentException("speed must be above zero, not " + speed);
    }
    if (!(Math.abs(slope) < Math.PI / 4) || !(pedal >= 0) || !(lever >= 0 && lever <= 1)) {
      throw new IllegalArgumentException(
          "a slope of " + slope + ", a pedal of " + pedal + ", a lever at " + lever);
    }
  }

  /** The lever alone, held fully, on the level. */
  public static Drive lever(double speed, Surface surface, double gain) {
    return new Drive(speed, surface, surface, 0, 0, 1, Control.of(Control.Law.INERTIA, gain));
  }
}
