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
import org.jexel.core.rig.Rig;

/**
 * What stops a trailer that came off: the charge that arrives at the box, the pin pulled under
 * load, its current, and each wheel held and free again.
 */
final class BreakawayChecks {
  private static final double AT_BOX = 3;
  private static final double ON_STANDS = 6;

  private static final Setup PULLED = Setup.rig(StateWord.UNPLUGGED, StateWord.BREAKAWAY);

  private final Connector connector;
  private final Harness harness;
  private final CheckMaker maker;
  private final List<Check> checks = new ArrayList<>();

  private BreakawayChecks(Rig rig, Harness harness, CheckMaker maker) {
    this.connector = rig.connector();
    this.harness = harness;
    this.maker = maker;
  }

  static List<Check> of(Rig rig, Harness harness, CheckMaker maker) {
    BreakawayChecks breakaway = new BreakawayChecks(rig, harness, maker);
    breakaway.charge();
    breakaway.pulled();
    return breakaway.checks;
  }

  /** With the pin out, wheel by wheel. */
  static List<Check> wheels(Rig rig, Harness harness, CheckMaker maker) {
    BreakawayChecks breakaway = new BreakawayChecks(rig, harness, maker);
    harness.loads().forEach(breakaway::stand);
    return breakaway.checks;
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
    charge(
        "battery",
        "Charge at the breakaway's battery",
        Harness.BREAKAWAY_PLUS,
        "breakaway battery, plus",
        "Behind the isolating diode a little less than before it. As much as before it: no diode, and the vehicle's starter drains the box; no more than at rest: it is the wrong way round.");
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

  /** Battery, switch and leads at once, under the brakes' load. */
  private void pulled() {
    String live = Nodes.plug(PinFunction.BRAKE);
    String earth = Nodes.plug(PinFunction.EARTH);
    boolean wired =
        maker.reaches(PULLED, Harness.SWITCH_IN, Harness.SWITCH_OUT)
            && maker.reaches(PULLED, live, earth);
    if (wired) {
      add(
          new CheckMaker.Words(
              new CheckId("breakaway", "pulled"),
              "Brake pin, breakaway pulled",
              Check.Group.CHARGE,
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

  /** What is missing of it tells how many brakes are off. */
  private void current() {
    long magnets = harness.loads().stream().filter(load -> load.kind() == Load.Kind.MAGNET).count();
    add(
        new CheckMaker.Words(
            new CheckId("breakaway", "amps"),
            "Breakaway current, pin pulled",
            Check.Group.CHARGE,
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
            AT_BOX,
            "I = (E − U) / R, solved for the whole network"),
        new Probing(PULLED, Measure.AMPS, Nodes.wire(Harness.SWITCH_IN), ""));
  }

  /** With the pin out, wheel by wheel; that each is free again is the round of turned wheels. */
  private void stand(Load load) {
    boolean wired =
        load.kind() == Load.Kind.MAGNET
            && maker.reaches(PULLED, Harness.SWITCH_IN, Harness.SWITCH_OUT);
    if (wired) {
      add(
          new CheckMaker.Words(
              CheckId.of("held", load),
              "Pin out: " + load.label(),
              Check.Group.SEEN,
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
