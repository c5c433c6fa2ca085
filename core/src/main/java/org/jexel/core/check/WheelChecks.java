package org.jexel.core.check;

import java.util.ArrayList;
import java.util.List;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Load;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Measure;
import org.jspecify.annotations.Nullable;

/**
 * What a brake with sound wiring can still have: taken by hand and eye at each wheel, with the drum
 * off, and in a gentle stop. None of it proves the rig; all of it is for whoever looks for a fault.
 */
final class WheelChecks {
  /** Reading that the looks at a wheel with its drum off share as their round. */
  static final String DRUM_OFF = "drum";

  private static final String NO_LEAD = "–";
  private static final String WHOLE = "trailer";
  private static final String RAISED =
      "All off, plug out, the other wheels chocked; this one off the ground on a stand.";
  private static final String CLOSED_GROUND =
      "Closed, level, dry ground, nobody near; slow, and only if every brake check at the connector holds.";

  private static final double WITH_HELPER = 7;
  private static final double RAISED_MINUTES = 5;
  private static final double AT_ADJUSTER = 8;
  private static final double GAUGE = 3;
  private static final double LOOK = 1;
  private static final double DRUM = 25;
  private static final double DRIVE = 8;
  private static final double STOPS = 12;

  private final Harness harness;
  private final CheckMaker maker;
  private final List<Check> checks = new ArrayList<>();

  private WheelChecks(Harness harness, CheckMaker maker) {
    this.harness = harness;
    this.maker = maker;
  }

  static List<Check> of(Harness harness, CheckMaker maker) {
    WheelChecks wheels = new WheelChecks(harness, maker);
    if (harness.loads().stream().anyMatch(WheelChecks::isMagnet)) {
      wheels.atEachWheel();
      wheels.underEachDrum();
      wheels.driven();
    }
    return wheels.checks;
  }

  private static boolean isMagnet(Load load) {
    return load.kind() == Load.Kind.MAGNET;
  }

  private void atEachWheel() {
    add(
        new CheckId("stands", WHOLE),
        "How it stands",
        Check.Group.WHEELS,
        Setup.rig(StateWord.UNPLUGGED),
        "Hitched, loaded as it is towed, on level ground.",
        "Behind the trailer",
        "Brakes that are alike turn a trailer away from its heavier side.",
        Measure.LEANING,
        LOOK);
    for (Load load : harness.loads()) {
      if (isMagnet(load)) {
        wheel(
            load,
            "tyre",
            "Tyre: ",
            Setup.rig(StateWord.UNPLUGGED),
            "Cold, before it was driven.",
            "A soft tyre draws to its own side, brakes or no brakes.",
            Measure.TYRE,
            GAUGE);
        wheel(
            load,
            "rocks",
            "Rock: ",
            Setup.rig(StateWord.UNPLUGGED),
            RAISED,
            "A bearing with play lets the drum tilt: the magnet wears on one side, and the hub gets hot.",
            Measure.PLAY,
            RAISED_MINUTES);
        wheel(
            load,
            "grips",
            "Hold: ",
            Setup.rig(StateWord.LEVER),
            "The other wheels chocked, this one off the ground on a stand; gain at the top, helper holds the lever full.",
            "A magnet that hums and a wheel that still turns: the current is there, and what it should move is not.",
            Measure.GRIPPING,
            WITH_HELPER);
        wheel(
            load,
            "adjusts",
            "Adjuster: ",
            Setup.rig(StateWord.UNPLUGGED),
            RAISED + " Count the notches until the shoes drag, then back to a light drag.",
            "Shoes too far away use up the lever's travel before they press; too near, they heat.",
            Measure.ADJUSTING,
            AT_ADJUSTER);
      }
    }
  }

  private void underEachDrum() {
    for (Load load : harness.loads()) {
      if (isMagnet(load)) {
        drum(
            load,
            "shoes",
            "shoes",
            "Grease or water on the lining, a glaze that shines, rivets that show: each takes half of the brake and more.",
            Measure.LININGS);
        drum(
            load,
            "face",
            "magnet",
            "Its face wears flat and even; once the wear marks are gone, or it sticks on its post, it no longer follows the drum.",
            Measure.MAGNET_FACE);
        drum(load, "pivots", "lever", "It turns on one pin, in road dirt and salt.", Measure.LEVER);
      }
    }
  }

  private void drum(Load load, String reading, String part, String why, Measure measure) {
    add(
        CheckId.of(reading, load),
        "Drum off, " + load.spot().wheelLabel() + ": " + part,
        Check.Group.DRUM,
        Setup.rig(StateWord.UNPLUGGED),
        RAISED + " Drum off; the dust is not breathed, and not blown.",
        "At the wheel, drum off",
        why,
        measure,
        DRUM);
  }

  private void driven() {
    add(
        new CheckId("pulls", WHOLE),
        "Which way it pulls",
        Check.Group.DRIVEN,
        Setup.rig(StateWord.LEVER),
        CLOSED_GROUND + " Lever gently, hands light on the steering wheel.",
        "At the steering wheel",
        "The side that brakes more draws the rig to itself; a soft tyre and a load aside do so too.",
        Measure.PULLING,
        DRIVE);
    for (Load load : harness.loads()) {
      if (isMagnet(load)) {
        wheel(
            load,
            Check.Group.DRIVEN,
            "heats",
            "Heat: ",
            Setup.rig(StateWord.LEVER),
            CLOSED_GROUND
                + " Four gentle stops by the lever alone, then a hand near each drum, not on it, or a thermometer.",
            "A drum that stays cold did not work; one that is hot worked for the others, or never let go.",
            Measure.HEAT,
            STOPS);
      }
    }
  }

  private void wheel(
      Load load,
      String reading,
      String act,
      Setup setup,
      String state,
      String why,
      Measure measure,
      double minutes) {
    wheel(load, Check.Group.WHEELS, reading, act, setup, state, why, measure, minutes);
  }

  private void wheel(
      Load load,
      Check.Group group,
      String reading,
      String act,
      Setup setup,
      String state,
      String why,
      Measure measure,
      double minutes) {
    add(
        CheckId.of(reading, load),
        act + load.spot().wheelLabel(),
        group,
        setup,
        state,
        "At the wheel",
        why,
        measure,
        minutes);
  }

  private void add(
      CheckId id,
      String title,
      Check.Group group,
      Setup setup,
      String state,
      String place,
      String why,
      Measure measure,
      double minutes) {
    @Nullable PinFunction function =
        measure == Measure.LEANING || measure == Measure.TYRE ? null : PinFunction.BRAKE;
    checks.add(
        maker.make(
            new CheckMaker.Words(
                id,
                title,
                group,
                function,
                state,
                place,
                "your hand and eye",
                NO_LEAD,
                why,
                minutes),
            new Probing(setup, measure, id.part(), "")));
  }

  /** What a word that is not a sound wheel's points at. */
  static String meaning(Measure measure, double reading) {
    boolean low = reading < 1;
    return switch (measure) {
      case GRIPPING ->
          "It does not hold the wheel. If it hums: adjustment, lever or magnet. If it is silent: its wiring.";
      case ADJUSTING ->
          low
              ? "The shoes bind: back the adjuster off to a light drag, and turn the wheel again."
              : "Adjust it to a light drag. If the notches run out, the shoes are worn: take the drum off.";
      case PLAY -> "The bearing is loose or rough: repack or renew it before the brake is judged.";
      case TYRE -> "Bring it to the pressure of its plate, and look for the leak.";
      case LEANING ->
          "The load lies to one side, or a spring is tired: move the load, and look again.";
      case LININGS ->
          "Greasy shoes are renewed in pairs, and the seal with them; a glaze is broken with abrasive cloth; thin shoes are renewed on both sides.";
      case MAGNET_FACE ->
          "A worn or stuck magnet is renewed, and the drum's face looked at: both run on each other.";
      case LEVER -> "Free the pivot, clean and grease it sparingly, nothing on the linings.";
      case PRESSING ->
          low
              ? "Fluid first, then bleed it at every wheel; if the pump is silent, its supply."
              : "Look along the lines and behind each drum for fluid; the actuator's valve last.";
      case HEAT ->
          low
              ? "This drum did not work: its magnet's current first, then adjustment, lever and shoes."
              : "This drum drags, or works for the others: turn the wheel with everything off.";
      case PULLING ->
          "One side brakes more: compare the currents of the two sides, then heat, tyres and how the load lies.";
      default -> throw new IllegalStateException(measure.name());
    };
  }
}
