package org.jexel.core.cab;

import java.util.ArrayList;
import java.util.List;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.Sum;
import org.jexel.core.quantity.Term;
import org.jexel.core.quantity.Verdict;

/**
 * What a tilted inertia controller senses: a·cos(yaw)·cos(pitch) + g·sin(pitch).
 *
 * @param yaw turn away from the direction of travel, rad
 * @param pitch nose up, rad
 * @param error of the sensed deceleration, as a share of the true one: cos(yaw)·cos(pitch) − 1
 * @param offset what it senses at rest, in g: sin(pitch)
 * @param verdict against the limits
 * @param reasons what is outside, in words
 * @param basis what the three angles were held against, in words
 * @param sum how the error was found
 */
public record Mounting(
    double yaw,
    double pitch,
    double error,
    double offset,
    Verdict verdict,
    List<String> reasons,
    String basis,
    Sum sum) {

  /**
   * What a model allows.
   *
   * @param yaw turn away from the direction of travel, either way, rad
   * @param pitch nose up or down, rad
   * @param roll rad; π where any roll will do
   * @param levels whether it finds its own level, so that pitch puts no offset in
   */
  public record Limits(double yaw, double pitch, double roll, boolean levels) {
    /** ±10° yaw, ±15° pitch, any roll, where the model states nothing. */
    public static final Limits UNSTATED =
        new Limits(Math.toRadians(10), Math.toRadians(15), Math.PI, false);

    private String words() {
      return Phrase.of(
          "Judged by: turned up to %.0f°, pitched up to %.0f°, %s.",
          Math.toDegrees(yaw),
          Math.toDegrees(pitch),
          roll >= Math.PI
              ? "rolled as it may be, since roll turns the sensor about its own axis"
              : Phrase.of("rolled up to %.0f°", Math.toDegrees(roll)));
    }
  }

  public static Mounting of(double yaw, double pitch, double roll, Limits limits) {
    for (double angle : new double[] {yaw, pitch, roll}) {
      if (!(Math.abs(angle) <= Math.PI)) {
        throw new IllegalArgumentException("an angle of " + Math.toDegrees(angle) + "°");
      }
    }
    double error = Math.cos(yaw) * Math.cos(pitch) - 1;
    double offset = limits.levels() ? 0 : Math.sin(pitch);
    List<String> reasons = new ArrayList<>();
    Verdict verdict =
        outside("Turned %.0f° away from the direction of travel", yaw, limits.yaw(), reasons)
            .and(outside("Pitched %.0f°", pitch, limits.pitch(), reasons))
            .and(outside("Rolled %.0f°", roll, limits.roll(), reasons));
    return new Mounting(
        yaw,
        pitch,
        error,
        offset,
        verdict,
        List.copyOf(reasons),
        limits.words(),
        new Sum(
            "Error of the sensed deceleration",
            "e = cos(yaw) · cos(pitch) − 1",
            List.of(
                Term.computed("yaw", "turn", yaw, Measure.DEGREES),
                Term.computed("pitch", "nose up", pitch, Measure.DEGREES)),
            error,
            Measure.SHARE));
  }

  /** Holds to 80 % of the limit, watch up to it, fails beyond. */
  private static Verdict outside(String words, double angle, double limit, List<String> reasons) {
    double size = Math.abs(angle);
    if (size <= 0.8 * limit + 1e-9) {
      return Verdict.HOLDS;
    }
    boolean fails = size > limit + 1e-9;
    reasons.add(
        Phrase.of(words, Math.toDegrees(angle))
            + ": "
            + Phrase.of(
                (fails
                    ? "more than the %.0f° that it allows. Turn it, or choose another place."
                    : "close to the %.0f° that it allows."),
                Math.toDegrees(limit)));
    return fails ? Verdict.FAILS : Verdict.WATCH;
  }
}
