package org.jexel.core.check;

import static org.jexel.core.check.CheckMaker.pin;

import java.util.ArrayList;
import java.util.List;
import org.jexel.core.connector.Connector;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Load;
import org.jexel.core.harness.Nodes;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.rig.BreakawayKit;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;

/**
 * What stops a trailer that came off: the charge that arrives at the box, the pin pulled under
 * load, its current, and each wheel held and free again.
 */
final class BreakawayChecks {
  static final CheckId DIODE = new CheckId("charge", "diode");
  static final CheckId AMPS = new CheckId("breakaway", "amps");
  static final CheckId BEFORE = new CheckId("box", "breakaway");
  static final CheckId AFTER = new CheckId("breakaway", "after");

  private static final double AT_PLUG = 1;
  private static final double AT_BOX = 3;
  private static final double ON_STANDS = 6;

  private static final Setup PULLED = Setup.rig(StateWord.UNPLUGGED, StateWord.BREAKAWAY);

  private final Rig rig;
  private final Connector connector;
  private final Harness harness;
  private final CheckMaker maker;
  private final List<Check> checks = new ArrayList<>();

  private BreakawayChecks(Rig rig, Harness harness, CheckMaker maker) {
    this.rig = rig;
    this.connector = rig.connector();
    this.harness = harness;
    this.maker = maker;
  }

  static List<Check> of(Rig rig, Harness harness, CheckMaker maker) {
    BreakawayChecks breakaway = new BreakawayChecks(rig, harness, maker);
    breakaway.charge();
    breakaway.pulled();
    harness.loads().forEach(breakaway::stand);
    return breakaway.checks;
  }

  /** What the pull has left in the battery. */
  static List<Check> after(Rig rig, Harness harness, CheckMaker maker) {
    BreakawayChecks breakaway = new BreakawayChecks(rig, harness, maker);
    if (pulls(maker)) {
      breakaway.battery(
          AFTER,
          "Breakaway battery, after the pull",
          "Plug out, breakaway pin in, a minute after the last pull.",
          "A sound one comes back to within a fifth of a volt of what it showed before.");
    }
    return breakaway.checks;
  }

  /** Whether a pulled pin feeds the brakes at all. */
  static boolean pulls(CheckMaker maker) {
    return maker.reaches(PULLED, Harness.SWITCH_IN, Harness.SWITCH_OUT)
        && maker.reaches(PULLED, Nodes.plug(PinFunction.BRAKE), Nodes.plug(PinFunction.EARTH));
  }

  /**
   * Its pin, its core and its run, which no lamp shows, and the diode. The engine runs, since the
   * battery behind the diode leaks enough for a meter to show it on a run that is broken.
   */
  private void charge() {
    charge(
        "box",
        "Charge at the box",
        Nodes.box(PinFunction.CHARGE),
        "box, charge",
        "The feed that keeps the trailer's batteries alive: no lamp tells when it is gone.");
    if (!rig.sheet().choice(RigField.PLANNED_BREAKAWAY, BreakawayKit.class).charged()) {
      return;
    }
    charge(
        "battery",
        "Charge at the breakaway's battery",
        Harness.BREAKAWAY_PLUS,
        "breakaway battery, plus",
        "Behind the isolating diode a little less than before it. As much as before it: no diode, and the vehicle's starter drains the box; no more than at rest: it is the wrong way round.");
    diode();
  }

  /**
   * By its own drop: what the vehicle gives and what the battery has made of it cancel. The plug's
   * pin tells less, for a voltmeter sees the battery through the leak of a sound diode.
   */
  private void diode() {
    Setup running = Setup.rig(StateWord.RUNNING);
    String anode = Nodes.box(PinFunction.CHARGE);
    if (harness.has(PinFunction.CHARGE) && maker.reaches(running, anode, Harness.BREAKAWAY_PLUS)) {
      add(
          new CheckMaker.Words(
              DIODE,
              "Across the isolating diode, engine running",
              Check.Group.CHARGE,
              PinFunction.CHARGE,
              "Plug in, engine running, everything off.",
              "At the breakaway's box",
              "box, charge",
              "breakaway battery, plus",
              "A sound diode keeps some tenths of a volt. Nothing across it: it is missing or bridged, and the vehicle's starter drains the box. A volt and more: it is the wrong way round, and nothing charges.",
              AT_BOX),
          new Probing(running, Measure.VOLTS, anode, Harness.BREAKAWAY_PLUS));
    }
  }

  private void charge(String id, String title, String live, String red, String why) {
    Setup running = Setup.rig(StateWord.RUNNING);
    String earth = Nodes.box(PinFunction.EARTH);
    if (harness.has(PinFunction.CHARGE) && maker.reaches(running, live, earth)) {
      add(
          new CheckMaker.Words(
              new CheckId("charge", id),
              title + ", engine running",
              Check.Group.CHARGE,
              PinFunction.CHARGE,
              "Plug in, engine running, everything off.",
              "At the junction box",
              red,
              "box, earth",
              why,
              AT_BOX),
          new Probing(running, Measure.VOLTS, live, earth));
    }
  }

  /**
   * Pin in, out and in again: the battery before, the switch open and closed by the volts at one
   * pair of pins, the current, and what the battery has left.
   */
  private void pulled() {
    battery(
        BEFORE,
        "Breakaway battery, before the pull",
        "Plug out for ten minutes.",
        "At rest it shows how full it is; a charge that ended a minute ago does not count.");
    String live = Nodes.plug(PinFunction.BRAKE);
    String earth = Nodes.plug(PinFunction.EARTH);
    if (pulls(maker)) {
      add(
          new CheckMaker.Words(
              new CheckId("breakaway", "rest"),
              "Brake pin, breakaway pin in",
              Check.Group.BREAKAWAY,
              PinFunction.BRAKE,
              "Wheels chocked, plug out, breakaway pin pressed home.",
              "At the trailer's plug",
              pin(connector, PinFunction.BRAKE),
              pin(connector, PinFunction.EARTH),
              "The switch must be open: a pin that is part-way out drags the wheels and empties the battery.",
              AT_PLUG),
          new Probing(Setup.rig(StateWord.UNPLUGGED), Measure.VOLTS, live, earth));
      add(
          new CheckMaker.Words(
              new CheckId("breakaway", "pulled"),
              "Brake pin, breakaway pulled",
              Check.Group.BREAKAWAY,
              PinFunction.BRAKE,
              "Wheels chocked, plug out; pull the breakaway pin for the reading, and put it back.",
              "At the trailer's plug",
              pin(connector, PinFunction.BRAKE),
              pin(connector, PinFunction.EARTH),
              "The battery under the brakes' load, its switch and both leads: what counts once the trailer is off.",
              AT_BOX),
          new Probing(PULLED, Measure.VOLTS, live, earth));
      current();
    }
  }

  private void battery(CheckId id, String title, String state, String why) {
    String earth = Nodes.box(PinFunction.EARTH);
    Setup rest = Setup.rig(StateWord.UNPLUGGED);
    if (maker.reaches(rest, Harness.BREAKAWAY_PLUS, earth)) {
      add(
          new CheckMaker.Words(
              id,
              title,
              Check.Group.BREAKAWAY,
              PinFunction.CHARGE,
              state,
              "At the breakaway battery",
              "breakaway battery, plus",
              "box, earth",
              why,
              AT_BOX),
          new Probing(rest, Measure.VOLTS, Harness.BREAKAWAY_PLUS, earth));
    }
  }

  /** What is missing of it tells how many brakes are off. */
  private void current() {
    long magnets = harness.loads().stream().filter(load -> load.kind() == Load.Kind.MAGNET).count();
    add(
        new CheckMaker.Words(
            AMPS,
            "Breakaway current, pin pulled",
            Check.Group.BREAKAWAY,
            PinFunction.BRAKE,
            "Wheels chocked, plug out; pull the breakaway pin for the reading, and put it back.",
            "Clamp on the lead from the breakaway's battery",
            "the lead to the switch",
            "the same, in series, or a clamp around it",
            magnets > 1
                ? Phrase.of(
                    "Each of the %d brakes draws its share: what is missing tells how many are off.",
                    magnets)
                : "What the brakes get once the trailer is off.",
            AT_BOX),
        new Probing(PULLED, Measure.AMPS, Nodes.wire(Harness.SWITCH_IN), ""));
  }

  /** With the pin out, wheel by wheel; that each is free again is the round of turned wheels. */
  private void stand(Load load) {
    if (load.kind() == Load.Kind.MAGNET && pulls(maker)) {
      add(
          new CheckMaker.Words(
              CheckId.of("held", load),
              "Pin out: " + load.label(),
              Check.Group.BREAKAWAY,
              PinFunction.BRAKE,
              "Plug out; this wheel off the ground on a stand, the others chocked. Pull the breakaway pin, turn the wheel, put the pin back: seconds only.",
              "At the wheel",
              "your hand",
              "–",
              "Once the trailer is off nothing else stops it: each wheel must stand by itself, and be free again with the pin back.",
              ON_STANDS),
          new Probing(PULLED, Measure.GRIPPING, load.name(), ""));
    }
  }

  private void add(CheckMaker.Words words, Probing probing) {
    checks.add(maker.make(words, probing));
  }
}
