package org.jexel.core.road;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.jexel.core.braking.Stop;
import org.jexel.core.braking.StopRun;
import org.jexel.core.braking.Train;
import org.jexel.core.check.FaultyRig;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Load;
import org.jexel.core.network.Fault;
import org.jexel.core.rig.Rig;

/**
 * Stands in for a road: this rig with brakes and tyres as chance made them, and a driver who sees
 * and measures as people do. For practice; what it says proves nothing.
 *
 * <p>Hidden: torque of all brakes ±25 % and of each ±5 %, grip ±10 %, all at two deviations, and
 * what faults leave of each brake. Blurred at each stop: where the lock lies by a fiftieth, the
 * distance by 5 %.
 */
public final class SimulatedRoad {
  /** The place of every stop on it: a setting found there is no setting. */
  public static final String PLACE = "simulated road";

  private static final double TORQUE = 0.125;
  private static final double EACH = 0.025;
  private static final double GRIP = 0.05;
  private static final double BLUR = 0.02;
  private static final double MEASURE = 0.05;

  /** Shares of its grip at which a wheel is seen to brake so. */
  private static final double VERGE = 0.93;

  private static final double FIRM = 0.35;
  private static final double LIGHT = 0.10;

  /** One side's share beyond the other's that is felt. */
  private static final double ASIDE = 0.15;

  /** Of the trailer's weight: a push or tug that is felt. */
  private static final double FELT = 0.02;

  private static final double LEAST_TORQUE = 1e-6;

  private final Train truth;
  private final double grip;

  /**
   * @param grip of the road against the usual figure of its surface
   */
  SimulatedRoad(Train truth, double grip) {
    this.truth = truth;
    this.grip = grip;
  }

  /**
   * @param rated the train with brakes as rated
   * @param left of each brake what faults leave, in the order of the train's brakes
   * @param seed of what is hidden; the same one hides the same
   */
  public static SimulatedRoad of(Train rated, double[] left, long seed) {
    Random dice = new Random(seed);
    double all = 1 + TORQUE * dice.nextGaussian();
    double grip = 1 + GRIP * dice.nextGaussian();
    List<Train.Brake> brakes = new ArrayList<>();
    for (int i = 0; i < rated.brakes().size(); i++) {
      double each = all * (1 + EACH * dice.nextGaussian()) * left[i];
      brakes.add(rated.brakes().get(i).stronger(each));
    }
    return new SimulatedRoad(rated.with(brakes), grip);
  }

  /** Of each brake what faults leave; all of it where there are no magnets. */
  public static double[] left(Rig rig, Harness harness, Train rated, List<Fault> faults) {
    double[] left = rated.brakes().stream().mapToDouble(brake -> 1).toArray();
    if (rig.hasMagnets() && !faults.isEmpty()) {
      FaultyRig faulty = FaultyRig.of(rig, harness, faults);
      FaultyRig sound = FaultyRig.of(rig, harness, List.of());
      List<Load> magnets =
          harness.loads().stream().filter(load -> load.kind() == Load.Kind.MAGNET).toList();
      for (int i = 0; i < magnets.size(); i++) {
        String magnet = magnets.get(i).name();
        left[i] = faulty.torque(magnet) / Math.max(LEAST_TORQUE, sound.torque(magnet));
      }
    }
    return left;
  }

  /**
   * What one stop shows.
   *
   * @param metres to stand; NaN where it rolls on
   */
  public record Seen(double metres, Outcome outcome, Observed observed) {}

  /**
   * @param trial whose trailer mass is the train's
   */
  public Seen drive(StopTrial trial, GainScale scale, Random chance) {
    // A road that grips by a factor less locks as brakes do that are stronger by it.
    double asked = (1 + BLUR * chance.nextGaussian()) / grip;
    StopRun near = trial.run(truth.stronger(asked), scale);
    StopRun run = trial.run(truth, scale);
    double[] uses = greatest(near);
    Observed.Pull pull = pull(run);
    Observed observed =
        new Observed(Observed.How.OUTSIDE, pull, feel(trial, run), wheels(uses), PLACE);
    double metres = run.metres() * (1 + MEASURE * (2 * chance.nextDouble() - 1));
    double most = IntStream.range(0, uses.length).mapToDouble(i -> uses[i]).max().orElse(0);
    return new Seen(run.stands() ? metres : Double.NaN, seen(most), observed);
  }

  private static double[] greatest(StopRun run) {
    double[] most = new double[run.series().get(0).uses().length];
    for (StopRun.Moment moment : run.series()) {
      for (int i = 0; i < most.length; i++) {
        most[i] = Math.max(most[i], moment.uses()[i]);
      }
    }
    return most;
  }

  private static Outcome seen(double use) {
    if (use > 1) {
      return Outcome.LOCKED;
    } else if (use > VERGE) {
      return Outcome.VERGE;
    } else if (use > FIRM) {
      return Outcome.FIRM;
    }
    return use > LIGHT ? Outcome.LIGHT : Outcome.NOTHING;
  }

  private List<Observed.Wheel> wheels(double[] uses) {
    return IntStream.range(0, uses.length)
        .mapToObj(
            i ->
                new Observed.Wheel(
                    truth.brakes().get(i).axle(), truth.brakes().get(i).left(), seen(uses[i])))
        .toList();
  }

  private Observed.Pull pull(StopRun run) {
    StopRun.Moment late = run.at(run.seconds() / 2);
    double left = 0;
    double right = 0;
    for (int i = 0; i < truth.brakes().size(); i++) {
      if (truth.brakes().get(i).left()) {
        left += Math.min(1, late.uses()[i]);
      } else {
        right += Math.min(1, late.uses()[i]);
      }
    }
    double aside = left + right > 0 ? (right - left) / (left + right) : 0;
    if (Math.abs(aside) < ASIDE) {
      return Observed.Pull.STRAIGHT;
    }
    return aside > 0 ? Observed.Pull.RIGHT : Observed.Pull.LEFT;
  }

  private Observed.Feel feel(StopTrial trial, StopRun run) {
    if (trial.way() == TestStop.Way.LEVER) {
      return Observed.Feel.UNSAID;
    }
    double push = run.at(run.seconds() / 2).coupler() / (truth.trailerMass() * Stop.G);
    if (Math.abs(push) < FELT) {
      return Observed.Feel.EVEN;
    }
    return push > 0 ? Observed.Feel.PUSH : Observed.Feel.TUG;
  }
}
