package org.jexel.core.bench;

import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import org.jexel.core.Rigs;
import org.jexel.core.check.Check;
import org.jexel.core.check.CheckSheet;
import org.jexel.core.check.SimulatedMeter;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.WireSize;
import org.jexel.core.network.Fault;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;

/** A rig on the stand with hidden faults, and everything that can be read on it. */
public final class Stand {
  private final SimulatedMeter meter;

  public Stand(Rig rig, Harness harness, List<Fault> faults, Random dice) {
    meter = new SimulatedMeter(rig, harness, faults, dice.nextLong(), dice);
  }

  /** A rig of the kinds that come into the yard. */
  public static Rig randomRig(Random dice) {
    boolean braked = dice.nextInt(4) > 0;
    return Rigs.rig(
        Rigs.sheet(
            RigField.AXLE_COUNT, 1 + dice.nextInt(2),
            RigField.BRAKE_TYPE, braked ? "ELECTRIC" : "NONE",
            RigField.TOW_CONNECTOR, braked ? "blade-7" : "flat-4",
            RigField.TRAILER_CONNECTOR, braked ? "blade-7" : "flat-4",
            RigField.CONTROLLER_KIND, braked ? "UNDER_DASH" : "NONE",
            RigField.ENGINE_OFF_VOLTS, 12.4 + 0.05 * dice.nextInt(8),
            RigField.FEED_RUN, 4 + dice.nextInt(4),
            RigField.OVERALL_LENGTH, 4 + 0.5 * dice.nextInt(8),
            RigField.BREAKAWAY_KIT, braked ? "OWN_BATTERY" : "NONE",
            RigField.LAMP_TECHNOLOGY, dice.nextInt(3) == 0 ? "LED" : "FILAMENT",
            RigField.LAMP_RETURN, dice.nextInt(3) == 0 ? "FRAME" : "OWN_CONDUCTOR"));
  }

  public static Harness harness(Rig rig) {
    return HarnessPlanner.plan(rig, WireSize.GAUGES);
  }

  public static List<Check> checks(Rig rig, Harness harness) {
    return CheckSheet.of(rig, harness, OptionalDouble.empty());
  }

  /** What somebody reads at this check. */
  public double read(Check check) {
    return meter.read(check);
  }
}
