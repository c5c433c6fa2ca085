package org.jexel.core.breakaway;

import java.util.ArrayList;
import java.util.List;
import org.jexel.core.braking.Drive;
import org.jexel.core.braking.RatedBrake;
import org.jexel.core.braking.StopRun;
import org.jexel.core.braking.Surface;
import org.jexel.core.braking.Train;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Load;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.network.RigState;
import org.jexel.core.network.Solution;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Unit;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.LoadSheet;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;

/**
 * What the pulled pin is worth: the current that reaches each magnet by the solved network, the
 * torque that it makes there, and with it the slope on which the trailer stands and the way in
 * which it stops itself.
 *
 * <p>T = T_rated · share(I) with T_rated/r = 0.60 g · half the axle's rating, ±25 % until stops
 * have shown it. A trailer that came off carries its whole weight on its wheels and its nose; what
 * its nose takes is what the tongue took.
 *
 * @param amps of each magnet, in the order of the harness's loads
 * @param likely with brakes as rated
 * @param weak with brakes a quarter weaker
 */
public record WhatItHolds(List<Double> amps, Train likely, Train weak) {
  private static final double WEAKER = 0.75;

  /** Slopes nearer than this are one. */
  private static final double SAME = 1e-6;

  /** From these it is told how it stops, m/s. */
  public static final List<Double> SPEEDS =
      List.of(
          Unit.KILOMETRE_PER_HOUR.toSi(30),
          Unit.KILOMETRE_PER_HOUR.toSi(50),
          Unit.KILOMETRE_PER_HOUR.toSi(80));

  public static WhatItHolds of(Rig rig, Harness harness, LoadSheet load) {
    Solution pulled =
        RigNetwork.of(rig, harness, RigState.of(StateWord.UNPLUGGED, StateWord.BREAKAWAY))
            .network()
            .solve();
    List<Double> amps = new ArrayList<>();
    List<Train.Brake> brakes = new ArrayList<>();
    for (Load magnet : harness.loads()) {
      if (magnet.kind() == Load.Kind.MAGNET) {
        double through = Math.abs(pulled.amps(magnet.name()));
        int axle = magnet.spot().axle();
        double rating = rig.sheet().si(new FieldKey(RigField.AXLE_RATING, axle));
        amps.add(through);
        brakes.add(
            new Train.Brake(
                axle,
                magnet.spot().isLeft(),
                new double[] {0, through},
                true,
                RatedBrake.force(rating)));
      }
    }
    Train likely =
        new Train(
            0,
            load.mass(),
            load.axleGroup(),
            rig.sheet().si(RigField.AXLE_CENTRE),
            2 * rig.axleCount(),
            brakes);
    return new WhatItHolds(List.copyOf(amps), likely, likely.stronger(WEAKER));
  }

  /** How it stops itself on the level, dry, from a speed in m/s. */
  public static StopRun from(Train train, double speed) {
    return StopRun.of(train, Drive.lever(speed, Surface.DRY_ASPHALT, 1));
  }

  public double amperes() {
    return amps.stream().mapToDouble(Double::doubleValue).sum();
  }

  /** Whether the tyres slide before even weak brakes let go. */
  public boolean gripEnds() {
    return Math.abs(grade(likely) - grade(weak)) < SAME;
  }

  /** Rise of the slope on which it stands, metres for a metre. */
  public double grade(Train train) {
    return Math.tan(train.slope(Surface.DRY_ASPHALT));
  }
}
