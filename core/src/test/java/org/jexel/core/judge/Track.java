package org.jexel.core.judge;

/**
 * A stretch of level road, written apart from the product: a rig moved in steps of a millisecond,
 * left and right alike. It knows nothing of a scale's belief: magnet current behind its lag,
 * torque, drag, what braking takes off the trailer's wheels, grip and sliding. What the last step
 * did is what this one goes by, so nothing is solved.
 *
 * @param vehicle kg
 * @param trailer kg, loaded
 * @param tongue share of it on the coupling
 * @param axleRating kg
 * @param strength of each brake against rated
 * @param peak grip of the road
 * @param height of the trailer's centre of mass, m
 * @param coupling its height, m
 * @param rolling what rolling takes, of the weight
 * @param air what air takes of vehicle and trailer at 1 m/s, N
 */
record Track(
    double vehicle,
    double trailer,
    double tongue,
    double axleRating,
    int axles,
    double toAxle,
    double strength,
    double peak,
    double slide,
    double height,
    double coupling,
    double rolling,
    double air) {
  private static final double G = 9.80665;
  private static final double STEP = 0.001;

  /** What one stop shows; the greatest push on the vehicle in N. */
  record Seen(boolean locked, double distance, double push) {}

  /** The lever at full. */
  Seen lever(double amps, double speed) {
    return stop(amps, speed, 0, true);
  }

  /** The pedal, with a controller that goes by what it feels. */
  Seen pedal(double amps, double speed, double asked) {
    return stop(amps, speed, asked, false);
  }

  private Seen stop(double full, double speed, double asked, boolean lever) {
    double v = speed;
    double x = 0;
    double current = 0;
    double a = 0;
    double braked = 0;
    double push = Double.NEGATIVE_INFINITY;
    boolean locked = false;
    while (v > 0 && x < 2000) {
      double output = lever ? 1 : Math.max(0, Math.min(1, a / (0.6 * G)));
      current += STEP * (full * output - current) / 0.15;
      double share = Math.max(0, Math.min(1.15, (current - 0.3) / 2.9));
      double torque = strength * share * 0.60 * G * axleRating / 2;
      double wheels = 2.0 * axles;
      double nose = (trailer * a * (height - coupling) + braked * coupling) / toAxle;
      double load = ((1 - tongue) * trailer * G - nose) / wheels;
      locked |= torque > peak * load;
      braked = wheels * (locked ? slide * load : torque);
      double front = Math.min(asked, peak * G) * vehicle;
      double dragged = rolling * trailer * G + air * 6 / 11 * v * v;
      double drag = rolling * vehicle * G + air * 5 / 11 * v * v + dragged;
      a = (front + braked + drag) / (vehicle + trailer);
      push = Math.max(push, trailer * a - braked - dragged);
      v -= STEP * a;
      x += STEP * v;
    }
    return new Seen(locked, v > 0 ? Double.NaN : x, push);
  }
}
