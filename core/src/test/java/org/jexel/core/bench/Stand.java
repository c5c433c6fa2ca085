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
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;

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

  /** A rig of any kind that the forms let somebody enter, common or not. */
  public static Rig anyRig(Random dice) {
    String brakes =
        one(dice, "ELECTRIC", "ELECTRIC", "ELECTRIC", "ELECTRIC_HYDRAULIC", "NONE", "OVERRUN");
    boolean electric = brakes.startsWith("ELECTRIC");
    String connector =
        electric
            ? one(dice, "blade-7", "flat-7", "round-6")
            : one(dice, "flat-4", "flat-5", "blade-7", "flat-7");
    String kit =
        electric
            ? one(dice, "OWN_BATTERY", "OWN_BATTERY", "CHARGED_BY_HAND", "HOUSE_BATTERY", "NONE")
            : "NONE";
    boolean led = dice.nextBoolean();
    RigSheet sheet =
        Rigs.sheet(
            RigField.AXLE_COUNT,
            1 + dice.nextInt(3),
            RigField.BRAKE_TYPE,
            brakes,
            RigField.TOW_CONNECTOR,
            connector,
            RigField.TRAILER_CONNECTOR,
            connector,
            RigField.PLANNED_CONNECTOR,
            connector,
            RigField.CONTROLLER_KIND,
            electric
                ? one(dice, "UNDER_DASH", "BUILT_IN", "REMOTE_KNOB", "TIMED", "PRESSURE")
                : "NONE",
            RigField.LAMP_FEED,
            one(dice, "DIRECT", "MODULE", "BUS"),
            RigField.ENGINE_OFF_VOLTS,
            12.4 + 0.05 * dice.nextInt(8),
            RigField.FEED_RUN,
            3 + dice.nextInt(7),
            RigField.OVERALL_LENGTH,
            3 + 0.5 * dice.nextInt(18),
            RigField.BREAKAWAY_KIT,
            kit,
            RigField.PLANNED_BREAKAWAY,
            kit,
            RigField.BRAKE_FEED,
            one(dice, "TRUNK", "PER_SIDE", "RING"),
            RigField.LAMP_TECHNOLOGY,
            led ? "LED" : "FILAMENT",
            RigField.LAMP_RETURN,
            one(dice, "FRAME", "OWN_CONDUCTOR"));
    return Rigs.rig(dice.nextBoolean() ? sheet : stamped(sheet, led));
  }

  /** Of which the stamps of the rear lamps were entered. */
  private static RigSheet stamped(RigSheet sheet, boolean led) {
    return sheet
        .with(FieldKey.of(RigField.REAR_TAIL_WATTS), led ? 0.9 : 5)
        .with(FieldKey.of(RigField.REAR_STOP_WATTS), led ? 4.5 : 21);
  }

  private static String one(Random dice, String... of) {
    return of[dice.nextInt(of.length)];
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
