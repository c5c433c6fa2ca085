package org.jexel.core.judge;

import java.util.Random;

/**
 * A stretch of road, written apart from the product: a rig with its lever at full, moved in steps
 * of a millisecond. It knows nothing of a scale's belief: magnet volts, lag, torque, wheel loads
 * that shift forward, grip and sliding for each side.
 */
final class Track {
  private static final double G = 9.80665;
  private static final double STEP = 0.001;

  final double vehicle;
  final double trailer;
  final double tongue;
  final double axleRating;
  final int braked;
  final int axles;
  final double strength;
  final double peak;
  final double slide;
  final double height;
  final double toAxle;

  /**
   * @param vehicle kg
   * @param trailer kg, loaded
   * @param strength of each brake against rated
   * @param peak grip of the road
   */
  Track(
      double vehicle,
      double trailer,
      double tongue,
      double axleRating,
      int axles,
      double toAxle,
      double strength,
      double peak,
      double slide,
      Random dice) {
    this.vehicle = vehicle;
    this.trailer = trailer;
    this.tongue = tongue;
    this.axleRating = axleRating;
    this.axles = axles;
    this.braked = axles;
    this.strength = strength;
    this.peak = peak;
    this.slide = slide;
    this.height = 0.6 + 0.4 * dice.nextDouble();
    this.toAxle = toAxle;
  }

  /** What one stop shows. */
  record Seen(boolean locked, double distance) {}

  /**
   * @param amps through each magnet at this gain, lever full
   * @param speed m/s
   */
  Seen stop(double amps, double speed) {
    double v = speed;
    double x = 0;
    double current = 0;
    double a = 0;
    boolean locked = false;
    while (v > 0 && x < 2000) {
      current += STEP * (amps - current) / 0.15;
      double share = Math.max(0, Math.min(1.15, (current - 0.3) / 2.9));
      double torque = strength * share * 0.60 * G * axleRating / 2;
      double wheels = 2.0 * axles;
      double load = trailer * ((1 - tongue) * G - a * height / toAxle) / wheels;
      double force;
      if (torque > peak * load) {
        locked = true;
        force = slide * load * wheels;
      } else {
        force = torque * wheels;
      }
      a = force / (vehicle + trailer);
      v -= STEP * a;
      x += STEP * v;
      if (a < 1e-6 && current > 0.99 * amps) {
        return new Seen(locked, Double.NaN);
      }
    }
    return new Seen(locked, x);
  }
}
