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
import org.jexel.core.rig.Rig;
import org.jspecify.annotations.Nullable;

/** What proves the brakes from battery to pin: dead, at rest, by the pedal, by the lever. */
final class BrakeChecks {
  private static final double AT_SOCKET = 1;
  private static final double WITH_HELPER = 3;
  private static final double ALONE_WITH_THE_PEDAL = 1;

  private static final String FROM_BEHIND = "At the connector, probes from behind";
  private static final String FULL_LEVER = "Plug in, gain at the top, helper holds the lever full.";

  private final Rig rig;
  private final Connector connector;
  private final Harness harness;
  private final CheckMaker maker;
  private final List<Check> checks = new ArrayList<>();

  private BrakeChecks(Rig rig, Harness harness, CheckMaker maker) {
    this.rig = rig;
    this.connector = rig.connector();
    this.harness = harness;
    this.maker = maker;
  }

  static List<Check> of(Rig rig, Harness harness, CheckMaker maker) {
    BrakeChecks brakes = new BrakeChecks(rig, harness, maker);
    if (rig.hasElectricBrakes() && rig.carries(PinFunction.BRAKE)) {
      brakes.unasked();
      brakes.withThePedal();
      brakes.fullLever();
      if (rig.hasMagnets()) {
        brakes.resistance();
        brakes.amps();
      } else if (harness.has(PinFunction.CHARGE)) {
        brakes.pump();
      }
    }
    return brakes.checks;
  }

  private void resistance() {
    add(
        new CheckMaker.Words(
            new CheckId("brake", "resistance"),
            "Brake circuit, resistance",
            Check.Group.TRAILER,
            PinFunction.BRAKE,
            "Plug out, breakaway pin in, magnets cold.",
            "At the trailer's plug",
            pin(connector, PinFunction.BRAKE),
            pin(connector, PinFunction.EARTH),
            everyMagnetShows()
                ? "All magnets lie side by side: one that is off raises it, one that is shorted lowers it."
                : "All magnets lie side by side. With so many, one that is off can hide in the band: what each hums, and the current, tell it.",
            AT_SOCKET,
            Reckoned.MAGNETS),
        new Probing(
            Setup.dead(),
            Measure.OHMS,
            Nodes.plug(PinFunction.BRAKE),
            Nodes.plug(PinFunction.EARTH)));
  }

  /** Of n magnets one that is off raises the ohms by 1/(n − 1); their own spread is a tenth. */
  private boolean everyMagnetShows() {
    return 2 * rig.brakedAxles().length < 6;
  }

  private void unasked() {
    volts(
        Setup.rig(StateWord.TAIL, StateWord.HAZARD),
        new CheckId("brake", "unasked"),
        "Brake pin, lamps on and nobody braking",
        Check.Group.BRAKES,
        PinFunction.BRAKE,
        "Plug in, engine off, tail lamps and hazard lights on (judge the peak); foot off the pedal, lever released.",
        FROM_BEHIND,
        PinFunction.BRAKE,
        "Nothing brakes that nobody asks to. A stop signal from the constant side shows here, and a lamp's conductor that touches the brake's. What is left is what the lamps' current loses on its way back.",
        AT_SOCKET);
  }

  private void withThePedal() {
    add(
        new CheckMaker.Words(
            new CheckId("wakes", "controller"),
            "The controller wakes with the pedal",
            Check.Group.BRAKES,
            PinFunction.BRAKE,
            "Plug in, gain at the top, pedal held down, lever released.",
            "In the cab, at the controller's display or lamp",
            "your eye",
            "–",
            "The lever proves the output, and the pedal alone proves the stop signal: by the lever it is never used.",
            ALONE_WITH_THE_PEDAL),
        new Probing(
            Setup.rig(StateWord.PEDAL),
            Measure.WAKING,
            Harness.CONTROLLER_OUT,
            Harness.BATTERY_MINUS));
  }

  private void fullLever() {
    volts(
        Setup.rig(StateWord.LEVER),
        new CheckId("brake", "volts"),
        "Brake pin, full lever, brakes joined",
        Check.Group.BRAKES,
        PinFunction.BRAKE,
        FULL_LEVER,
        FROM_BEHIND,
        PinFunction.BRAKE,
        "The output is pulsed: without the brakes as load a meter shows a ghost of it, so they stay joined.",
        WITH_HELPER);
  }

  private void amps() {
    clamped(
        "amps",
        "Brake current, full lever",
        PinFunction.BRAKE,
        "Current is what the magnets pull with; it falls when one is off.",
        Reckoned.MAGNETS);
  }

  /** An actuator draws its signal only, too little for a clamp; its pump is what loads a pin. */
  private void pump() {
    volts(
        Setup.rig(StateWord.LEVER),
        new CheckId("brake", "supply"),
        "Charge pin, pump running",
        Check.Group.BRAKES,
        PinFunction.CHARGE,
        FULL_LEVER,
        FROM_BEHIND,
        PinFunction.CHARGE,
        "The pump draws up to 30 A: a feed that looks whole without load breaks down here.",
        WITH_HELPER);
    pressure();
    clamped(
        "pump",
        "Pump's current, full lever",
        PinFunction.CHARGE,
        "The pump's current is its work. Ohms on an electronic input say nothing.",
        Reckoned.PUMP);
  }

  /** By the gauge on the actuator, or by the pump, which stops once its pressure stands. */
  private void pressure() {
    add(
        new CheckMaker.Words(
            new CheckId("pressure", "actuator"),
            "Pressure of the actuator",
            Check.Group.BRAKES,
            PinFunction.BRAKE,
            FULL_LEVER + " Gauge on its port if there is one; else listen whether the pump stops.",
            "At the actuator",
            "your eye and ear",
            "–",
            "A pump that runs and builds nothing has air or no fluid; pressure that falls leaks away on the way to the wheels.",
            WITH_HELPER),
        new Probing(Setup.rig(StateWord.LEVER), Measure.PRESSING, Load.ACTUATOR, ""));
  }

  private void clamped(
      String id, String title, PinFunction function, String why, Reckoned reckoned) {
    add(
        new CheckMaker.Words(
            new CheckId("brake", id),
            title,
            Check.Group.BRAKES,
            function,
            FULL_LEVER,
            "Clamp on the %s conductor, or ammeter in the feed".formatted(function.label()),
            "the %s conductor".formatted(function.label()),
            "the same, in series, or a clamp around it",
            why,
            WITH_HELPER,
            reckoned),
        new Probing(
            Setup.rig(StateWord.LEVER), Measure.AMPS, Nodes.wire(Nodes.socket(function)), ""));
  }

  private void volts(
      Setup setup,
      CheckId id,
      String title,
      Check.Group group,
      @Nullable PinFunction function,
      String state,
      String place,
      PinFunction red,
      String why,
      double minutes) {
    add(
        new CheckMaker.Words(
            id,
            title,
            group,
            function,
            state,
            place,
            pin(connector, red),
            pin(connector, PinFunction.EARTH),
            why,
            minutes),
        new Probing(setup, Measure.VOLTS, Nodes.socket(red), Nodes.socket(PinFunction.EARTH)));
  }

  private void add(CheckMaker.Words words, Probing probing) {
    checks.add(maker.make(words, probing));
  }
}
