package org.jexel.core.judge;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.jexel.core.Rigs;
import org.jexel.core.braking.Drag;
import org.jexel.core.braking.Surface;
import org.jexel.core.braking.Train;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.Load;
import org.jexel.core.harness.WireSize;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.network.RigState;
import org.jexel.core.network.StateWord;
import org.jexel.core.rig.LoadItem;
import org.jexel.core.rig.LoadSheet;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.road.BrakeCurve;
import org.jexel.core.road.GainAdvice;
import org.jexel.core.road.GainFinder;
import org.jexel.core.road.GainScale;
import org.jexel.core.road.GainStop;
import org.jexel.core.road.Outcome;
import org.jexel.core.road.RigTrain;
import org.jexel.core.road.TestStop;

/**
 * The gain finder driven on a road of another make: {@code ./bench gain [rigs] [seed]}. Load, grip
 * and torque by chance, one outcome in twenty wrong; from lock outcomes alone, and with stopping
 * distances within 5 %.
 */
public final class JudgedGain {
  private static final double SPEED = 40 / 3.6;
  static final GainScale HALVES = new GainScale(0, 10, 0.5);

  /**
   * How a thousand rigs went.
   *
   * @param within answers within one step of the true highest mark that does not lock
   * @param above answers more than one step above it
   * @param faults ended with a fault to look for
   * @param stops of each rig, sorted
   */
  public record Score(int rigs, int within, int above, int faults, int[] stops) {
    public double share() {
      return (double) within / rigs;
    }

    public double tooHigh() {
      return (double) above / rigs;
    }

    public int median() {
      return stops[stops.length / 2];
    }

    public int most() {
      return stops[stops.length - 1];
    }

    @Override
    public String toString() {
      return "within a step %.1f %%, more than a step above %.1f %%, sent to look for a fault %.1f %%, stops: median %d, most %d"
          .formatted(100 * share(), 100 * tooHigh(), 100.0 * faults / rigs, median(), most());
    }
  }

  private JudgedGain() {}

  /**
   * A rig on its road.
   *
   * @param strength of its brakes against rated ones, as the product does not know it
   */
  record Drawn(Track track, Train train, double strength, double amps, double trailer) {
    BrakeCurve curve() {
      return BrakeCurve.of(train, HALVES);
    }
  }

  /** The same rigs for every way of finding. */
  private static Random dice(long seed, int rig) {
    return new Random(seed * 1_000_003 + rig);
  }

  public static Score of(int rigs, long seed, boolean measured) {
    int within = 0;
    int above = 0;
    int faults = 0;
    int[] stops = new int[rigs];
    for (int i = 0; i < rigs; i++) {
      Random dice = dice(seed, i);
      Drawn rig = drawn(dice);
      double truth = truth(rig);
      BrakeCurve curve = rig.curve();
      List<GainStop> driven = new ArrayList<>();
      GainAdvice advice = GainFinder.advise(HALVES, curve, Surface.DRY_ASPHALT, driven);
      while (!ended(advice)) {
        driven.add(drive(rig, advice.gain(), dice, measured));
        advice = GainFinder.advise(HALVES, curve, Surface.DRY_ASPHALT, driven);
      }
      stops[i] = driven.size();
      if (advice.act() == GainAdvice.Act.LOOK_FOR_FAULT) {
        faults++;
      } else {
        within += Math.abs(advice.gain() - truth) < 0.51 ? 1 : 0;
        above += advice.gain() > truth + 0.51 ? 1 : 0;
      }
    }
    java.util.Arrays.sort(stops);
    return new Score(rigs, within, above, faults, stops);
  }

  /** What everybody would do: the middle of what is left, until two marks are neighbours. */
  public static Score halved(int rigs, long seed) {
    int within = 0;
    int above = 0;
    int[] stops = new int[rigs];
    for (int i = 0; i < rigs; i++) {
      Random dice = dice(seed, i);
      Drawn rig = drawn(dice);
      double truth = truth(rig);
      int held = 0;
      int locked = 21;
      while (locked - held > 1) {
        int middle = (held + locked) / 2;
        stops[i]++;
        if (drive(rig, middle / 2.0, dice, false).outcome().locked()) {
          locked = middle;
        } else {
          held = middle;
        }
      }
      within += Math.abs(held / 2.0 - truth) < 0.51 ? 1 : 0;
      above += held / 2.0 > truth + 0.51 ? 1 : 0;
    }
    java.util.Arrays.sort(stops);
    return new Score(rigs, within, above, 0, stops);
  }

  private static boolean ended(GainAdvice advice) {
    return advice.act() == GainAdvice.Act.SETTLE || advice.act() == GainAdvice.Act.LOOK_FOR_FAULT;
  }

  static Drawn drawn(Random dice) {
    int axles = 1 + dice.nextInt(3);
    double rating = 900 + 100 * dice.nextInt(9);
    double empty = axles * rating * (0.3 + 0.1 * dice.nextDouble());
    double load = axles * rating * 0.55 * dice.nextDouble();
    Rig rig =
        Rigs.rig(
            Rigs.sheet(
                RigField.AXLE_COUNT,
                axles,
                RigField.BRAKE_TYPE,
                "ELECTRIC",
                RigField.TOW_CONNECTOR,
                "blade-7",
                RigField.TRAILER_CONNECTOR,
                "blade-7",
                RigField.CONTROLLER_KIND,
                "UNDER_DASH",
                RigField.AXLE_RATING,
                rating,
                RigField.EMPTY_MASS,
                empty,
                RigField.KERB_MASS,
                1800 + 100 * dice.nextInt(10)),
            new LoadItem("goods", Math.max(1, load), 0.9 * Rigs.sheet().si(RigField.AXLE_CENTRE)));
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    LoadSheet sheet = LoadSheet.of(rig);
    Train train = RigTrain.of(rig, harness, sheet);
    double strength = 1 + 0.125 * dice.nextGaussian();
    Track track =
        new Track(
            rig.sheet().si(RigField.KERB_MASS),
            sheet.mass(),
            sheet.tongueShare(),
            rating,
            axles,
            rig.sheet().si(RigField.AXLE_CENTRE),
            strength,
            0.80 * (1 + 0.10 * dice.nextGaussian()),
            0.65,
            0.75 + 0.5 * dice.nextDouble(),
            0.45,
            0.008 + 0.010 * dice.nextDouble(),
            0.9 + 0.9 * dice.nextDouble());
    double amps = amps(rig, harness) * (1 + 0.03 * dice.nextGaussian());
    return new Drawn(track, train, strength, amps, sheet.mass());
  }

  /** Of the first magnet at full output. */
  private static double amps(Rig rig, Harness harness) {
    String magnet =
        harness.loads().stream()
            .filter(load -> load.kind() == Load.Kind.MAGNET)
            .map(Load::name)
            .findFirst()
            .orElseThrow();
    return Math.abs(
        RigNetwork.of(rig, harness, new RigState(Set.of(StateWord.LEVER), 1, 1, 1))
            .network()
            .solve()
            .amps(magnet));
  }

  private static Track.Seen seen(Drawn rig, double gain) {
    return rig.track.lever(rig.amps * gain / 10, SPEED);
  }

  static double truth(Drawn rig) {
    return IntStream.rangeClosed(1, 20)
                .filter(k -> seen(rig, k / 2.0).locked())
                .findFirst()
                .orElse(21)
            / 2.0
        - 0.5;
  }

  static GainStop drive(Drawn rig, double gain, Random dice, boolean measured) {
    Track.Seen seen = seen(rig, gain);
    boolean wrong = dice.nextInt(20) == 0;
    boolean near = !seen.locked() && seen(rig, gain + 0.5).locked();
    Outcome outcome =
        seen.locked() != wrong
            ? Outcome.LOCKED
            : near && dice.nextBoolean() ? Outcome.VERGE : Outcome.FIRM;
    double distance = seen.distance() * (1 + 0.05 * (2 * dice.nextDouble() - 1));
    return new TestStop(
            gain,
            TestStop.Way.LEVER,
            SPEED,
            Surface.DRY_ASPHALT,
            outcome,
            measured && distance < 300 ? distance : null,
            null,
            rig.track.vehicle(),
            rig.trailer,
            "")
        .gainStop(Drag.USUAL)
        .orElseThrow();
  }

  /** Rigs and seed. */
  public static void main(String[] arguments) {
    int rigs = arguments.length > 0 ? Integer.parseInt(arguments[0]) : 1000;
    long seed = arguments.length > 1 ? Long.parseLong(arguments[1]) : 5;
    System.out.println("outcomes alone:  " + of(rigs, seed, false));
    System.out.println("with distances:  " + of(rigs, seed, true));
    System.out.println("plain halving:   " + halved(rigs, seed));
  }
}
