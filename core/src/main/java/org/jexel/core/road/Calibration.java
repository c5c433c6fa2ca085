package org.jexel.core.road;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jexel.core.braking.Stop;
import org.jexel.core.braking.Surface;
import org.jexel.core.braking.Train;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Sum;
import org.jexel.core.quantity.Term;
import org.jexel.core.quantity.TheilSen;

/**
 * What measured stops at full lever say of the brakes, those that were warm and did not lock.
 *
 * <p>z, the share of its own weight that the trailer braked with, goes with the volts at the brake
 * pin on a straight line above a threshold: z = c + b·V, by Theil and Sen. The strength of the
 * brakes is the median of z over what brakes as rated would give at that output; T_rated times it
 * is the torque as found.
 *
 * @param points each stop
 * @param line z over V
 * @param strength of the brakes against rated ones
 * @param lockVolts at which the first wheel locks on the surface of the search; empty where full
 *     output does not reach it
 * @param evenVolts at which the trailer brakes itself in a firm stop, z = a/g; empty where full
 *     output does not reach it
 */
public record Calibration(
    List<Point> points,
    TheilSen line,
    double strength,
    OptionalDouble lockVolts,
    OptionalDouble evenVolts) {
  /** So many stops, at two gains or more, make a line that one of them can be wrong in. */
  public static final int ENOUGH = 3;

  public Calibration {
    points = List.copyOf(points);
  }

  /**
   * One stop.
   *
   * @param volts at the brake pin
   * @param share z, 1
   * @param rated what brakes as rated would give, 1
   */
  public record Point(double volts, double share, double rated) {}

  /**
   * @param fullVolts at the pin at full output
   * @param stops of one search
   * @return empty while they are too few, or brake less with more volts
   */
  public static Optional<Calibration> of(
      Train train, GainScale scale, double fullVolts, Surface surface, List<GainStop> stops) {
    BrakeCurve curve = BrakeCurve.of(train, scale);
    List<Point> points = new ArrayList<>();
    for (GainStop stop : stops) {
      if (!stop.cold() && !stop.outcome().locked() && stop.share().isPresent()) {
        points.add(
            new Point(
                fullVolts * scale.share(stop.gain()),
                stop.share().getAsDouble(),
                curve.shares()[curve.place(stop.gain())]));
      }
    }
    double[] volts = points.stream().mapToDouble(Point::volts).toArray();
    if (points.size() < ENOUGH
        || points.stream().mapToDouble(Point::volts).distinct().count() < 2) {
      return Optional.empty();
    }
    TheilSen line = TheilSen.of(volts, points.stream().mapToDouble(Point::share).toArray());
    if (!(line.slope() > 0)) {
      return Optional.empty();
    }
    double strength =
        TheilSen.median(
            points.stream()
                .filter(point -> point.rated() > 0)
                .mapToDouble(point -> point.share() / point.rated())
                .toArray());
    double even = (StopTrial.FIRM / Stop.G - line.offset()) / line.slope();
    return Optional.of(
        new Calibration(
            points,
            line,
            strength,
            lock(curve, scale, strength, fullVolts, surface),
            even > 0 && even <= fullVolts ? OptionalDouble.of(even) : OptionalDouble.empty()));
  }

  private static OptionalDouble lock(
      BrakeCurve curve, GainScale scale, double strength, double fullVolts, Surface surface) {
    double place = curve.locksAt(strength, surface.peak());
    int below = (int) Math.floor(place);
    if (below + 1 >= curve.marksCount() || below < 0) {
      return OptionalDouble.empty();
    }
    double gain =
        curve.marks()[below] + (place - below) * (curve.marks()[below + 1] - curve.marks()[below]);
    return OptionalDouble.of(fullVolts * scale.share(gain));
  }

  /** The line with this job's numbers in it. */
  public Sum sum() {
    return new Sum(
        "Share of its own weight, for each volt at the brake pin",
        "z = c + b · V",
        List.of(
            Term.computed("b", "by Theil and Sen, for a volt", line.slope(), Measure.FINE),
            Term.computed("c", "where the line begins", line.offset(), Measure.FINE),
            Term.computed("V", "middle of the stops", TheilSen.median(volts()), Measure.VOLTS)),
        line.at(TheilSen.median(volts())),
        Measure.FINE);
  }

  private double[] volts() {
    return points.stream().mapToDouble(Point::volts).toArray();
  }
}
