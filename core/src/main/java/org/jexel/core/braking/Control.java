package org.jexel.core.braking;

/**
 * How a controller makes its output of what it is told and what it feels.
 *
 * <pre>
 * inertia  share = gain · clamp(assist + a_s/a_full, 0, 1), a_s = a·cos(yaw)·cos(pitch) + g·sin(pitch)
 * timed    share = gain · min(1, t/τ) while the pedal is held
 * pedal    share = gain · what the pedal asks for / a_full
 * lever    share = gain · lever; the greater of pedal and lever wins
 * </pre>
 *
 * a is what the rig feels: its deceleration less what the slope does. a_full is 0.6 g.
 *
 * @param law what it goes by
 * @param gain share of its scale; 0 is off
 * @param assist what it gives before it feels anything, 0 to 1
 * @param yaw turned away from the direction of travel, rad
 * @param pitch nose up, rad; 0 where it finds its own level
 */
public record Control(Law law, double gain, double assist, double yaw, double pitch) {
  private static final double FULL = 0.6 * Stop.G;

  /** A timed controller's way to full output, s: a starting value. */
  private static final double RAMP_S = 1.5;

  /** What a controller goes by. */
  public enum Law {
    INERTIA("The stop that it feels"),
    TIMED("Time"),
    PEDAL("The pedal");

    private final String label;

    Law(String label) {
      this.label = label;
    }

    public String label() {
      return label;
    }
  }

  public Control {
    share("gain", gain);
    share("assist", assist);
    if (!(Math.abs(yaw) <= Math.PI / 2) || !(Math.abs(pitch) <= Math.PI / 2)) {
      throw new IllegalArgumentException("turned by " + yaw + ", pitched by " + pitch);
    }
  }

  private static void share(String what, double value) {
    if (!(value >= 0 && value <= 1)) {
      throw new IllegalArgumentException(what + " is a share from 0 to 1, not " + value);
    }
  }

  /** Well mounted, without assist. */
  public static Control of(Law law, double gain) {
    return new Control(law, gain, 0, 0, 0);
  }

  /**
   * Its output, 0 to 1.
   *
   * @param seconds since the brakes were asked for
   * @param felt deceleration that the rig feels, m/s²
   * @param pedal deceleration that the pedal asks the vehicle for, m/s²; 0 while it is up
   * @param lever 0 to 1
   */
  double output(double seconds, double felt, double pedal, double lever) {
    double byPedal = pedal > 0 ? byPedal(seconds, felt, pedal) : 0;
    return gain * Math.max(clamp(byPedal), lever);
  }

  private double byPedal(double seconds, double felt, double pedal) {
    return switch (law) {
      case INERTIA ->
          assist + (felt * Math.cos(yaw) * Math.cos(pitch) + Stop.G * Math.sin(pitch)) / FULL;
      case TIMED -> seconds / RAMP_S;
      case PEDAL -> pedal / FULL;
    };
  }

  private static double clamp(double share) {
    return Math.max(0, Math.min(1, share));
  }
}
