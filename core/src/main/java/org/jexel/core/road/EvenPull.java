package org.jexel.core.road;

import org.jexel.core.braking.StopRun;
import org.jexel.core.braking.Train;

/**
 * The other school's gain: at which, in a stop by the pedal, the trailer neither pushes nor tugs.
 *
 * <p>Of each mark's stop the coupling's force is averaged over the way between a quarter and nine
 * tenths of the time to stand; the mark nearest to zero is the answer. A trailer that pushes at the
 * greatest mark has none.
 *
 * @param gain on the scale
 * @param force that is left there, push positive, N
 * @param reached whether the push ends within the scale
 */
public record EvenPull(double gain, double force, boolean reached) {
  private static final double FROM = 0.25;
  private static final double TO = 0.9;

  /**
   * @param trial whose gain does not matter
   */
  public static EvenPull of(Train train, GainScale scale, StopTrial trial) {
    double best = scale.greatest();
    double left = Double.POSITIVE_INFINITY;
    boolean reached = false;
    for (double gain : BrakeCurve.of(train, scale).marks()) {
      double force = mean(trial.at(gain).run(train, scale));
      reached |= force <= 0;
      if (Math.abs(force) < Math.abs(left)) {
        best = gain;
        left = force;
      }
    }
    return new EvenPull(best, left, reached);
  }

  private static double mean(StopRun run) {
    return run.series().stream()
        .filter(m -> m.seconds() >= FROM * run.seconds() && m.seconds() <= TO * run.seconds())
        .mapToDouble(StopRun.Moment::coupler)
        .average()
        .orElse(Double.NaN);
  }
}
