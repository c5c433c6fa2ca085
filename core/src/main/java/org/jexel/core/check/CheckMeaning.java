package org.jexel.core.check;

import java.util.Optional;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.network.LampPins;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.NoFigure;
import org.jexel.core.quantity.UnitSystem;

/** What a failed reading points at. */
final class CheckMeaning {
  /** Below this share of the expected value a feed is dead rather than weak. */
  private static final double DEAD = 0.1;

  private static final String NOT_AS_COMPUTED =
      "Not as computed for this state. The fault finder weighs what can explain it.";

  private CheckMeaning() {}

  static String of(Check check, boolean low, double reading) {
    boolean dead = Math.abs(reading) < DEAD * Math.abs(check.band().expected());
    if (NoFigure.of(check.measure(), reading).equals(Optional.of(NoFigure.LIVE))) {
      return "The circuit is live with the plug out: something on the trailer feeds it, such as a breakaway switch without its pin. Ohms mean nothing until that is found.";
    }
    if (check.group() == Check.Group.AT_THE_LAMP && check.measure() == Measure.AMPS) {
      return dead
          ? "It draws nothing: burnt out or open, if volts stand across it."
          : low
              ? "It draws too little: volts are lost on the way, or it is not the one that was planned."
              : "It draws too much: shorted inside, or not the one that was planned.";
    }
    if (check.group() == Check.Group.LOADED && check.measure() == Measure.AMPS) {
      return drawn(low, dead);
    }
    if (check.measure() == Measure.STAMP || check.measure() == Measure.KIND) {
      return lamp(check.measure().number(reading, UnitSystem.METRIC));
    }
    return switch (check.group()) {
      case LOADED, BOX, REAR_LAMPS, AT_THE_LAMP ->
          dead
              ? "Nothing arrives here under load: what feeds it is open before this point."
              : low
                  ? "Volts are lost before this point, or in its return."
                  : "More than computed: the load behind this point is missing.";
      case CONTINUITY ->
          NoFigure.of(check.measure(), reading).isPresent()
              ? "Open: this run is broken between the pin and the terminal, or goes to another pin."
              : "Too many ohms for a run of copper: a poor joint on the way, or a break with a way round it.";
      case MAGNETS ->
          low
              ? "Shorted turns: it takes current and hardly pulls. Replace it."
              : NoFigure.of(check.measure(), reading).isPresent()
                  ? "Open: its coil or a lead is broken. Replace it."
                  : "Too many ohms: not the magnet of this plate, or a lead broken but for a strand.";
      case BENCH -> drawn(low, dead);
      case FUSES ->
          "Blown: its circuit drew more than it carries. Do not spend fuses on it: plug out, ohms from its pin to the earth pin show a chafe.";
      case TOLD ->
          "Nothing is found at rest, then. Move plug, cord, box and looms in turn, and watch what goes out.";
      case MOVED ->
          "It makes and breaks where your hand is: open it there, clean or renew the contact, and move it again.";
      case BREAKAWAY -> check.measure().words().isEmpty() ? pin(check, low, dead) : NOT_AS_COMPUTED;
      case SEEN ->
          check.function() != null && check.probing().red().equals(LampPins.own(check.function()))
              ? "The vehicle's own lamps differ as well: what is wrong lies ahead of the socket, or a current that finds no earth on the trailer comes back through them."
              : NOT_AS_COMPUTED;
      case WHEELS, DRUM, DRIVEN -> WheelChecks.meaning(check.measure(), reading);
      case SUPPLY ->
          SupplyFinding.of(reading)
              .map(SupplyFinding::words)
              .orElse(
                  low
                      ? "The battery is low. Charge it first: every later reading leans on it."
                      : "Above a resting battery. Is a charger or the engine on?");
      case SOCKET ->
          dead
              ? "Nothing arrives. Look at the fuse, then the feed, then the earth pin of the socket."
              : low
                  ? "Volts are lost on the way: a poor joint in the feed or the earth."
                  : "More than the battery gives here. Is the engine running, or is the earth pin taken elsewhere?";
      case TRAILER ->
          low
              ? "Too little resistance: a magnet is shorted, or a wire is chafed to the frame."
              : reading > 10 * check.band().expected()
                  ? "Open: a broken conductor, an open return, or all magnets off."
                  : "Too much resistance: a magnet or a wheel's joint is open, or a return is poor.";
      case CHARGE ->
          check.id().equals(BreakawayChecks.DIODE.text())
              ? low
                  ? "No volts across it: the diode is missing or bridged. The vehicle's starter drains the box."
                  : "Too many volts across it: the diode is the wrong way round or open, and nothing charges the box."
              : low
                  ? "The trailer's battery is not kept up, or flat: look at the charge pin, its fuse, its run and the diode."
                  : "More than computed: there may be no isolating diode, or the battery takes no charge.";
      case BRAKES -> brakes(check, low, dead);
    };
  }

  /** What is no fault if the rig is another than was assumed. */
  static String otherThanAssumed(Check check) {
    if (check.measure() == Measure.STAMP) {
      return "Its watts were assumed, not entered. If such lamps belong there, it is no fault: enter their stamp on the rig, and every band of this circuit follows.";
    }
    return check.function() == PinFunction.BRAKE
        ? "Not what magnets of the assumed resistance give, and no fault if these are others: read one off its leads, and enter it on the rig."
        : "Not what rear lamps of the assumed watts draw, and no fault if these are others: read their stamps with the lens off, and enter them on the rig.";
  }

  private static String lamp(String word) {
    return word.equals(Measure.KIND.words().get(1))
        ? "Fit the kind that is listed, or enter the other kind on the rig: every figure of this circuit leans on it."
        : "It is another lamp than the rig’s sheet says: fit its like, or correct the sheet.";
  }

  /** What the trailer draws from one pin, by whatever it is fed. */
  private static String drawn(boolean low, boolean dead) {
    return dead
        ? "The trailer draws nothing from this pin: feed or return is open in the trailer."
        : low
            ? "The trailer draws too little: a lamp, a magnet or a joint is missing, or a lamp is not the one that was planned."
            : "The trailer draws too much: something is chafed, shorted or joined to it, or a lamp is not the one that was planned.";
  }

  private static String pin(Check check, boolean low, boolean dead) {
    boolean out = check.probing().setup().state().is(StateWord.BREAKAWAY);
    if (check.measure() == Measure.AMPS) {
      return amps(low, dead);
    } else if (check.function() == PinFunction.CHARGE) {
      return low
          ? "The breakaway's battery is flat or worn: charge it, let it rest, read again; replace it if it does not stay up."
          : "Above a resting battery: is a charger on it, or is it one of another kind?";
    } else if (!out) {
      return "The brakes are fed with the pin in: it is part-way out, or the switch is bridged. It drags the wheels and empties the battery.";
    }
    return dead
        ? "A trailer that comes off would not brake. Look at the breakaway's battery, its fuse, its switch and both leads."
        : low
            ? "Less than computed: the breakaway's battery is weak, or its switch or leads lose volts."
            : "More than computed: a magnet is off, or the battery is under charge.";
  }

  private static String amps(boolean low, boolean dead) {
    return dead
        ? "No brake would hold once the trailer is off. Look at the breakaway's battery, its fuse, its switch and both leads."
        : low
            ? "Less than computed: a brake is off the circuit, or the battery is weak. Read the volts beside it: where they stand, a brake is off."
            : "More than computed: a magnet is shorted, or something else hangs on this circuit.";
  }

  private static String brakes(Check check, boolean low, boolean dead) {
    if (check.measure() == Measure.WAKING) {
      return "The pedal does not wake it: no stop signal reaches the controller, or it has no supply.";
    } else if (check.probing().setup().state().output() == 0) {
      return "Something brakes that nobody asks to: a stop signal from the constant side, or a lamp's conductor that touches the brake's. With dim lamps it is the trailer's earth that is lost.";
    } else if (check.function() == PinFunction.CHARGE) {
      boolean amps = check.measure() == Measure.AMPS;
      return low
          ? "The pump gets too little: look at the charge pin's feed, its fuse and the earth."
          : amps
              ? "More than computed: the pump labours, or something else hangs on the charge pin."
              : "More than computed: the pump hardly draws. Does it run?";
    } else if (dead) {
      return "Nothing at the brake pin. Look at the controller's output, its breaker and its stop signal.";
    }
    return low
        ? "Less than computed: volts are lost in a joint, or a magnet is off the circuit."
        : "More than computed: a magnet is shorted, or the load is not joined when volts are read.";
  }
}
