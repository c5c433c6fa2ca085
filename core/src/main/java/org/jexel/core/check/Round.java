package org.jexel.core.check;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jexel.core.harness.Spot;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Measure;
import org.jexel.core.rig.Lamp;

/**
 * Checks that are taken in one go: a walk round the rig in one state, one word for each lamp or
 * wheel; all that is seen of a wheel with its drum off, or read at a rear lamp with its lens off.
 * Any other figure is a round of its own. Several rounds can be one {@link Check#walk walk}, and
 * are then taken as one.
 *
 * @param checks at least one, all in one place, and in one setup but for a walk
 */
public record Round(List<Check> checks) {
  /** The walk on which lamps are looked at circuit by circuit. */
  public static final String LAMPS = "look";

  /** The walk on which they are looked at with two circuits on, which a shared return betrays. */
  public static final String TOGETHER = "together";

  /** Before anybody walks: the battery, and a word with whoever drives it. */
  static final String FIRST_MINUTE = "first";

  /** The walk on which plug, cord and box are moved. */
  static final String DRAWBAR = "moved";

  /** The walk on which each braked wheel is raised once, tried with the pin out and with it in. */
  static final String RAISED = "raised";

  /** To look at one lamp again, beside the others, min. */
  private static final double ONE_LAMP = 0.5;

  /** To read one stamp more, the lens off, min. */
  private static final double NEXT_STAMP = 0.25;

  /** For each further circuit, whether its lamps are looked at or its pin is read, min. */
  private static final double NEXT_CIRCUIT = 0.5;

  /** To the next rear lamp, and its lens off, min. */
  private static final double NEXT_LENS = 3;

  /** For each further place on the walk along the drawbar, min. */
  private static final double NEXT_PLACE = 1.5;

  /** Under the trailer to the next wheel, with leads or clamp, min. */
  private static final double NEXT_WHEEL = 2;

  /** To turn the wheels that are up once more, or to take the clamp after the leads, min. */
  private static final double ONCE_MORE = 1;

  public Round {
    checks = List.copyOf(checks);
  }

  /** The rounds of these checks, in the order in which each begins. */
  public static List<Round> of(Collection<Check> checks) {
    Map<String, List<Check>> rounds = new LinkedHashMap<>();
    checks.forEach(c -> rounds.computeIfAbsent(c.round(), id -> new ArrayList<>()).add(c));
    return rounds.values().stream().map(Round::new).toList();
  }

  /** The rounds of a walk, or this one alone. */
  public List<Round> parts() {
    return of(checks);
  }

  private boolean isWalk() {
    return parts().size() > 1;
  }

  private boolean raised() {
    return first().walk().equals(RAISED);
  }

  public String id() {
    return isOneFigure() ? first().id() : isWalk() ? first().walk() : first().round();
  }

  /** What the one in the cab switches on or holds, and what a hand does, in turn. */
  public String state() {
    if (ofFigures()) {
      return inOneState() ? first().state() : stateInTurn();
    } else if (!isWalk() || first().measure() == Measure.STAMP) {
      return first().state();
    } else if (first().measure() == Measure.MOVING) {
      return parts().stream()
          .skip(1)
          .map(part -> part.reach().how())
          .collect(Collectors.joining(" ", first().state() + " ", ""));
    } else if (raised()) {
      return "Plug out; each braked wheel in turn off the ground on a stand, the others chocked. Pull the breakaway pin and turn the wheel, seconds only; put the pin back, and turn it again.";
    }
    return parts().stream()
        .map(part -> LoadedChecks.holding(part.first().probing().setup().state().on()))
        .collect(Collectors.joining("; ", "As you call it out, one after the other: ", "."));
  }

  private String stateInTurn() {
    return first().group() == Check.Group.SUPPLY
        ? "Everything off, for both."
        : "One circuit after the other, as each line says; read it before the next.";
  }

  /** Where to stand, or along what to go. */
  public String place() {
    boolean along = isWalk() && first().measure() == Measure.MOVING;
    return along ? "Along the drawbar, from the connector to the box" : first().place();
  }

  /** What this part of a walk is. */
  public String heading() {
    return first().measure() == Measure.GLOW ? state() : title();
  }

  /** Whether leads or clamp go from one to the next. */
  private boolean ofFigures() {
    return checks.size() > 1 && !words();
  }

  /** Whether it is one figure, and nothing else is taken with it. */
  public boolean isOneFigure() {
    return checks.size() == 1 && !words();
  }

  /** Where the red lead goes. */
  public String red() {
    return inTurn(Check::red);
  }

  /** Where the black lead goes. */
  public String black() {
    return inTurn(Check::black);
  }

  /** Of the leads; a clamp or an eye among them says its place in its own line. */
  private String inTurn(Function<Check, String> lead) {
    List<Check> led = checks.stream().filter(Round::hasLeads).toList();
    List<String> leads = (led.isEmpty() ? checks : led).stream().map(lead).distinct().toList();
    return leads.size() == 1 ? leads.get(0) : "each in turn, as below";
  }

  private static boolean hasLeads(Check check) {
    return check.measure() == Measure.VOLTS || check.measure() == Measure.OHMS;
  }

  /** Whether nothing is switched between its readings. */
  public boolean inOneState() {
    return checks.stream().map(Check::state).distinct().count() == 1;
  }

  private Reach reach() {
    return Reach.valueOf(first().probing().red());
  }

  public Check first() {
    return checks.get(0);
  }

  /** Whether nothing but words is said, and no figure read. */
  public boolean words() {
    return checks.stream().noneMatch(check -> check.measure().words().isEmpty());
  }

  /** What is done, in a few words. */
  public String title() {
    if (isWalk() && raised()) {
      return "Raise each braked wheel: it stands with the pin out, and is free with it in";
    } else if (ofFigures()) {
      return titleInTurn();
    }
    return switch (first().measure()) {
      case GLOW ->
          isWalk()
              ? first().walk().equals(TOGETHER)
                  ? "Look at the rear lamps, two circuits on together"
                  : "Look round, one lamp circuit after the other"
              : "Look round: " + LoadedChecks.holding(first().probing().setup().state().on());
      case TURNING -> "Turn each braked wheel by hand";
      case KIND -> "Look at the lamps: bulb or diode, as listed";
      case STAMP -> (isWalk() ? "Each rear lamp" : rearLamp()) + ", lens off: what is stamped";
      case FUSE -> "Look at the fuses of the socket";
      case WAKING -> first().title();
      case HUMMING -> "Listen at the brakes";
      case GRIPPING ->
          first().probing().setup().state().is(StateWord.BREAKAWAY)
              ? "Pull the breakaway pin: each wheel must stand"
              : "Hold each braked wheel against its brake";
      case ADJUSTING -> "Count the notches at each adjuster";
      case PLAY -> "Rock each braked wheel, and hear it turn";
      case TYRE -> "Gauge the tyres";
      case HEAT -> "Feel each drum after gentle stops";
      case LININGS -> "Take the drum off: " + first().key().spot().map(Spot::wheelLabel).orElse("");
      case MOVING -> isWalk() ? "Move plug, cord and box joints in turn" : reach().act();
      default -> first().title();
    };
  }

  /** The walk on which a check is read beside its like, with the same lead or clamp. */
  static String inTurn(Check check) {
    return switch (check.group()) {
      case SUPPLY -> FIRST_MINUTE;
      case REAR_LAMPS -> "rear";
      case AT_THE_LAMP -> check.key().reading();
      case BRAKES -> "lever";
      case SOCKET -> "socket";
      case LOADED -> "loaded";
      case BOX, CHARGE -> "box";
      case BENCH -> TrailerAlone.BENCH;
      default -> TrailerAlone.DEAD_PINS;
    };
  }

  private String titleInTurn() {
    return switch (first().group()) {
      case SUPPLY -> "The battery, and a word with whoever drives it";
      case SOCKET -> "Socket, plug out: volts of each circuit in turn";
      case LOADED -> "Connector, plug in: each circuit in turn";
      case BOX, CHARGE -> "Box, plug in: volts of each stud in turn";
      case REAR_LAMPS ->
          (isWalk() ? "Each rear lamp" : rearLamp())
              + ", lens off: volts across each part, and its stamp";
      case BRAKES -> "At the connector, lever held full: volts and current in turn";
      case AT_THE_LAMP ->
          first().measure() == Measure.AMPS
              ? "Behind each braked wheel in turn: what its magnet draws"
              : "Behind each braked wheel in turn: volts across its magnet";
      case BENCH -> "Trailer’s plug: what each pin draws from a bench supply";
      default -> "Trailer’s plug, dead: ohms of each pin to earth";
    };
  }

  private String rearLamp() {
    Lamp lamp = first().key().spot().flatMap(Spot::lamp).orElseThrow();
    return lamp.role().label() + ", " + lamp.side().label();
  }

  /** Effort without the way there, min. */
  public double minutes() {
    if (checks.size() == 1 && first().measure() == Measure.GLOW) {
      return ONE_LAMP;
    }
    int rounds = parts().size();
    long figures = checks.stream().filter(check -> check.measure().words().isEmpty()).count();
    long stamps = checks.stream().filter(check -> check.measure() == Measure.STAMP).count();
    return first().minutes()
        + (rounds - 1) * nextRound()
        + Math.max(0, figures - rounds) * NEXT_CIRCUIT
        + stamps * NEXT_STAMP;
  }

  private double nextRound() {
    return switch (first().group()) {
      case REAR_LAMPS -> NEXT_LENS;
      case AT_THE_LAMP -> NEXT_WHEEL;
      case BRAKES -> ONCE_MORE;
      default ->
          switch (first().measure()) {
            case MOVING -> NEXT_PLACE;
            case GLOW, VOLTS, OHMS -> NEXT_CIRCUIT;
            default -> ONCE_MORE;
          };
    };
  }
}
