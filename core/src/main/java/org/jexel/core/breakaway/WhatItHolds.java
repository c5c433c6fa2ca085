package org.jexel.core.breakaway;

import java.util.ArrayList;
import java.util.List;
import org.jexel.core.braking.BrakeTorque;
import org.jexel.core.braking.BrakedMass;
import org.jexel.core.braking.RatedBrake;
import org.jexel.core.braking.Stop;
import org.jexel.core.braking.Surface;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Load;
import org.jexel.core.harness.Spot;
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
public record WhatItHolds(List<Double> amps, BrakedMass likely, BrakedMass weak) {
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
    double onOneWheel = load.axleGroup() * Stop.G / (2 * rig.axleCount());
    List<Double> amps = new ArrayList<>();
    List<BrakedMass.Wheel> wheels = new ArrayList<>();
    for (Load magnet : harness.loads()) {
      if (magnet.kind() == Load.Kind.MAGNET) {
        double through = Math.abs(pulled.amps(magnet.name()));
        amps.add(through);
        wheels.add(
            new BrakedMass.Wheel(
                BrakeTorque.share(through) * rated(rig, magnet.spot()), onOneWheel));
      }
    }
    List<BrakedMass.Wheel> weaker =
        wheels.stream().map(w -> new BrakedMass.Wheel(WEAKER * w.force(), w.load())).toList();
    return new WhatItHolds(
        List.copyOf(amps),
        new BrakedMass(load.mass(), wheels),
        new BrakedMass(load.mass(), weaker));
  }

  /** At the ground, N. */
  private static double rated(Rig rig, Spot spot) {
    double axle = rig.sheet().si(new FieldKey(RigField.AXLE_RATING, spot.axle()));
    return RatedBrake.force(axle);
  }

  public double amperes() {
    return amps.stream().mapToDouble(Double::doubleValue).sum();
  }

  /** Whether the tyres slide before even weak brakes let go. */
  public boolean gripEnds() {
    return Math.abs(grade(likely) - grade(weak)) < SAME;
  }

  /** Rise of the slope on which it stands, metres for a metre. */
  public double grade(BrakedMass mass) {
    return Math.tan(mass.slope(Surface.DRY_ASPHALT));
  }
}
