package org.jexel.core.check;

import java.util.List;
import java.util.Optional;
import org.jexel.core.connector.Face;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Nodes;
import org.jexel.core.harness.Spot;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Sum;
import org.jexel.core.quantity.Verdict;
import org.jspecify.annotations.Nullable;

/**
 * One check of the sheet.
 *
 * @param key stays the same as long as the rig has the check
 * @param title what is checked
 * @param group heading that it stands under
 * @param function the pin concerned; null for the battery
 * @param state what to switch on first
 * @param place where to stand
 * @param red where the red lead goes
 * @param black where the black lead goes
 * @param measure volts, amps or ohms
 * @param band expected value and its band
 * @param why reason for the check and for its value
 * @param sum how the value was found
 * @param influences the uncertain parts, the strongest first
 * @param minutes effort
 * @param probing how the network gives the reading
 */
public record Check(
    CheckId key,
    String title,
    Group group,
    @Nullable PinFunction function,
    String state,
    String place,
    String red,
    String black,
    Measure measure,
    Band band,
    String why,
    Sum sum,
    List<Influence> influences,
    double minutes,
    Probing probing) {
  private static final int STRONGEST = 5;

  /** Headings of the sheet, in the order that isolates faults soonest. */
  public enum Group {
    SUPPLY("Supply", true),
    SOCKET("Vehicle's socket, no load", true),
    FUSES("Vehicle's own fuses", false),
    LOADED("At the connector, plug in", true),
    BENCH("Trailer alone on a bench supply", false),
    BOX("At the junction box", false),
    CONTINUITY("Continuity and returns, plug out", false),
    TRAILER("Brake circuit, plug out", true),
    MAGNETS("Each magnet by itself", false),
    BRAKES("Brakes under load", true),
    AT_THE_LAMP("At each lamp and magnet", false),
    CHARGE("Charge of the trailer’s batteries", true),
    SEEN("Seen, heard and felt", true),
    REAR_LAMPS("At the rear lamps, lit", true),
    BREAKAWAY("Breakaway: pin in, out, and in again", true),
    TOLD("Told by whoever drives it", false),
    MOVED("Moved by hand", false),
    WHEELS("At each wheel", false),
    DRUM("Drum off", false),
    DRIVEN("Driven on closed ground", false);

    private final String label;
    private final boolean proves;

    Group(String label, boolean proves) {
      this.label = label;
      this.proves = proves;
    }

    /** Whether a rig is proved by it; the others look closer where something is wrong. */
    public boolean proves() {
      return proves;
    }

    public String label() {
      return label;
    }
  }

  /**
   * A part whose spread widens the band.
   *
   * @param element its name in the network
   * @param label for people
   * @param shift change of the reading when the part is at its worst, SI, signed
   * @param assumed whether a measurement would narrow it
   */
  public record Influence(String element, String label, double shift, boolean assumed) {}

  /** The parts that widen the band most. */
  public List<Influence> strongest() {
    return influences.subList(0, Math.min(STRONGEST, influences.size()));
  }

  /** The same judged by another band, which no part of the rig widens. */
  Check within(Band own) {
    return new Check(
        key, title, group, function, state, place, red, black, measure, own, why, sum, List.of(),
        minutes, probing);
  }

  /** Its key, as programs, forms and stored rows know it. */
  public String id() {
    return key.text();
  }

  /**
   * Checks of one round are taken in one go: a walk round the rig in one state, one word for each
   * lamp or wheel; whatever is seen once a drum is off; each part of a rear lamp whose lens is off.
   * Any other figure is a round of its own.
   */
  public String round() {
    if (group == Group.DRUM) {
      return WheelChecks.DRUM_OFF + "." + key.part();
    } else if (group == Group.REAR_LAMPS) {
      return "rear." + key.spot().flatMap(Spot::lamp).orElseThrow().node();
    }
    return measure.words().isEmpty() ? key.text() : key.reading();
  }

  /**
   * Rounds of one walk are taken one after the other without going anywhere: lamps are looked at
   * circuit by circuit, as somebody in the cab switches them on, and by two circuits together; the
   * red lead goes from pin to pin, from stud to stud or from one rear lamp to the other; while the
   * lever is held volts and current are read at the connector, and leads or clamp go from magnet to
   * magnet; plug, cord and box are moved at the drawbar; a wheel that is up is tried with the
   * breakaway pin out, and with it in; whoever drives it is asked while the meter is on the
   * battery. What is no such walk is its round.
   */
  public String walk() {
    return switch (measure) {
      case COMING -> Round.FIRST_MINUTE;
      case MOVING -> probing.red().equals(Reach.LOOM.name()) ? round() : Round.DRAWBAR;
      case GLOW -> probing.setup().state().on().size() == 1 ? Round.LAMPS : Round.TOGETHER;
      case GRIPPING, TURNING -> group == Group.BREAKAWAY ? Round.RAISED : round();
      case VOLTS, AMPS, OHMS, STAMP -> isReadInTurn() ? Round.inTurn(this) : round();
      default -> round();
    };
  }

  /** Whether it is read with others in one place, one after the other. */
  private boolean isReadInTurn() {
    return switch (group) {
      case SUPPLY, SOCKET, BENCH, REAR_LAMPS -> true;
      case AT_THE_LAMP -> function == PinFunction.BRAKE;
      case BRAKES -> probing.setup().state().is(StateWord.LEVER);
      case LOADED -> PinFunction.LIGHTS.contains(function);
      case BOX, CHARGE -> probing.black().equals(Nodes.box(PinFunction.EARTH));
      case CONTINUITY -> probing.black().equals(Nodes.plug(PinFunction.EARTH));
      default -> false;
    };
  }

  /** Whether the rig is not proved without it. */
  public boolean proves() {
    return group.proves();
  }

  /** How the connector looks from where one stands; empty where none is in front of one. */
  public Optional<Face.View> face() {
    return switch (group) {
      case SOCKET -> Optional.of(Face.View.SOCKET_FACE);
      case TRAILER, BENCH, CONTINUITY -> Optional.of(Face.View.PLUG_FACE);
      case BRAKES, LOADED ->
          // A clamp is on the conductor, not on a pin.
          measure == Measure.VOLTS ? Optional.of(Face.View.SOCKET_WIRING) : Optional.empty();
      case BREAKAWAY ->
          probing.red().equals(Nodes.plug(PinFunction.BRAKE))
              ? Optional.of(Face.View.PLUG_FACE)
              : Optional.empty();
      case TOLD,
          SUPPLY,
          FUSES,
          CHARGE,
          SEEN,
          MOVED,
          BOX,
          REAR_LAMPS,
          AT_THE_LAMP,
          MAGNETS,
          WHEELS,
          DRUM,
          DRIVEN ->
          Optional.empty();
    };
  }

  /** The pin under the black lead; empty where it is taken elsewhere, or no lead at all. */
  public Optional<PinFunction> blackPin() {
    boolean atTheTerminal =
        group == Group.CONTINUITY && !probing.black().equals(Nodes.plug(PinFunction.EARTH));
    boolean elsewhere = function == PinFunction.EARTH || atTheTerminal || black.equals("–");
    return face().isEmpty() || elsewhere ? Optional.empty() : Optional.of(PinFunction.EARTH);
  }

  /**
   * Whether the network gives its expected value; what hands and eyes find of a wheel it does not.
   */
  public boolean solved() {
    return switch (measure) {
      case FUSE, WAKING, MOVING, COMING, KIND, STAMP -> false;
      case GLOW, TURNING, HUMMING, GRIPPING -> true;
      default -> measure.words().isEmpty();
    };
  }

  /** Whether it tells of brakes and wheels, by meter or by hand. */
  public boolean ofTheBrakes() {
    return switch (group) {
      case BRAKES, TRAILER, MAGNETS, WHEELS, DRUM, DRIVEN -> true;
      case SEEN, BREAKAWAY -> function == PinFunction.BRAKE && !measure.words().isEmpty();
      default -> false;
    };
  }

  /** Whether a wheel may turn depends on this check. */
  public boolean gatesTheRoad() {
    return group == Group.BRAKES || group == Group.TRAILER;
  }

  /** What a verdict on this check means, in words. */
  public String meaning(Verdict verdict, double reading) {
    boolean low = reading < band.low();
    return switch (verdict) {
      case NOT_YET -> "No reading yet.";
      case HOLDS -> "Inside the band: this part is as computed.";
      case WATCH ->
          band.hangsOnAssumption(reading)
              ? CheckMeaning.otherThanAssumed(this)
              : (low ? "A little low. " : "A little high. ")
                  + "Clean the contact, take it again, and go on if it repeats.";
      case FAILS -> CheckMeaning.of(this, low, reading);
    };
  }
}
