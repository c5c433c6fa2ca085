package org.jexel.core.check;

import java.util.ArrayList;
import java.util.List;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Load;
import org.jexel.core.harness.Nodes;
import org.jexel.core.network.LampPins;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Measure;
import org.jexel.core.rig.LampFeed;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;

/**
 * What the eye, the ear and the hand tell: every lamp in each state and in the pairs of states that
 * a shared return cannot hide from, hum and drag at each wheel.
 */
final class SenseChecks {
  private static final String NO_LEAD = "–";
  private static final String WALK = "Once round trailer and vehicle, lenses shaded by a hand";
  private static final double AT_THE_FUSES = 3;
  private static final double ROUND = 1.5;
  private static final double WITH_HELPER = 2;
  private static final double ON_STANDS = 6;

  private static final StateWord[][] TOGETHER = {
    {StateWord.TAIL, StateWord.LEFT},
    {StateWord.TAIL, StateWord.RIGHT},
    {StateWord.TAIL, StateWord.STOP}
  };

  private final LampFeed feed;
  private final Harness harness;
  private final CheckMaker maker;
  private final List<Check> checks = new ArrayList<>();

  private SenseChecks(LampFeed feed, Harness harness, CheckMaker maker) {
    this.feed = feed;
    this.harness = harness;
    this.maker = maker;
  }

  static List<Check> of(Rig rig, Harness harness, CheckMaker maker) {
    LampFeed feed = rig.sheet().choice(RigField.LAMP_FEED, LampFeed.class);
    SenseChecks senses = new SenseChecks(feed, harness, maker);
    senses.fuses();
    senses.lamps();
    senses.kinds();
    senses.brakes();
    return senses.checks;
  }

  private void fuses() {
    for (PinFunction function : PinFunction.values()) {
      if (function != PinFunction.EARTH && harness.has(function) && fused(function)) {
        checks.add(
            maker.make(
                new CheckMaker.Words(
                    new CheckId("fuse", Nodes.id(function)),
                    "Fuse: " + function.label(),
                    Check.Group.FUSES,
                    function,
                    "All off. Look through each fuse, or pull it. Put in one of the same rating, once, and only where nothing is seen to be wrong.",
                    "At the vehicle's fuses",
                    "your eye",
                    NO_LEAD,
                    "A blown fuse is half an answer: the other half is what blew it.",
                    AT_THE_FUSES),
                new Probing(
                    Setup.rig(StateWord.UNPLUGGED), Measure.FUSE, Nodes.fuse(function), "")));
      }
    }
  }

  /** A module has no fuse for each of its outputs. */
  private boolean fused(PinFunction function) {
    return feed.sharesBulbs() || function == PinFunction.BRAKE || function == PinFunction.CHARGE;
  }

  private void lamps() {
    List<StateWord[]> states = new ArrayList<>();
    LoadedChecks.circuits(harness)
        .forEach(function -> states.add(new StateWord[] {LoadedChecks.word(function)}));
    states.addAll(List.of(TOGETHER));
    for (StateWord[] state : states) {
      harness.loads().stream()
          .filter(load -> load.lamp() && told(load, state))
          .forEach(load -> look(load, state));
      if (feed.sharesBulbs() && state.length == 1) {
        ownLamps(state[0]);
      }
    }
  }

  /** The rear lamps tell it by their stamps. */
  private void kinds() {
    for (Load load : harness.loads()) {
      if (load.lamp() && !load.isOfRearLamp()) {
        boolean led = load.kind() == Load.Kind.LED;
        String listed = led ? "a diode lamp" : "a bulb";
        CheckId id = CheckId.of("kind", load).against(led ? "led" : "bulb");
        checks.add(
            maker.make(
                new CheckMaker.Words(
                    id,
                    "Kind: %s, listed as %s".formatted(load.label(), listed),
                    Check.Group.SEEN,
                    load.function(),
                    LoadedChecks.held(StateWord.TAIL),
                    WALK,
                    "your eye",
                    NO_LEAD,
                    "A diode lamp shows points and is there at once, a bulb glows up. Among many small lamps no meter tells one that was changed.",
                    ROUND),
                new Probing(Setup.rig(StateWord.TAIL), Measure.KIND, load.name(), "")));
      }
    }
  }

  /** They hang on the same circuits and are passed on the same walk. */
  private void ownLamps(StateWord word) {
    PinFunction function = PinFunction.valueOf(word.name());
    checks.add(
        maker.make(
            new CheckMaker.Words(
                new CheckId("look." + word.word(), LampPins.own(function)),
                "Look: Vehicle's own lamps, " + part(function),
                Check.Group.SEEN,
                function,
                LoadedChecks.held(word),
                WALK,
                "your eye",
                NO_LEAD,
                "What dims the vehicle's own bulbs as well lies ahead of the socket, and a trailer's current that finds no earth comes back through them.",
                ROUND),
            new Probing(Setup.rig(word), Measure.GLOW, LampPins.own(function), "")));
  }

  /**
   * With one circuit on, all that it feeds; and always the rear lamps, where returns are shared.
   */
  private static boolean told(Load load, StateWord... state) {
    boolean marked = state.length == 1 && state[0] == StateWord.TAIL;
    return load.isOfRearLamp()
        || marked
        || state.length == 1 && state[0] == LoadedChecks.word(load.function());
  }

  private void look(Load load, StateWord... state) {
    List<String> words = new ArrayList<>();
    for (StateWord word : state) {
      words.add(word.word());
    }
    checks.add(
        maker.make(
            new CheckMaker.Words(
                CheckId.of("look." + String.join("+", words), load),
                "Look: %s, %s part".formatted(load.label(), part(load.function())),
                Check.Group.SEEN,
                load.function(),
                LoadedChecks.held(state),
                WALK,
                "your eye",
                NO_LEAD,
                "A lamp that glows when it should not shares somebody's return.",
                ROUND),
            new Probing(Setup.rig(state), Measure.GLOW, load.name(), "")));
  }

  /** What of a lamp a circuit lights; without a stop pin the indicators are the stop lamps too. */
  private String part(PinFunction function) {
    boolean turn = function == PinFunction.LEFT || function == PinFunction.RIGHT;
    return !turn
        ? function.lit()
        : harness.has(PinFunction.STOP) ? "indicator" : "stop and indicator";
  }

  private void brakes() {
    for (Load load : harness.loads()) {
      if (load.kind() == Load.Kind.MAGNET || load.kind() == Load.Kind.ACTUATOR) {
        listen(load, load.kind() == Load.Kind.ACTUATOR);
        turn(load, load.kind() == Load.Kind.ACTUATOR);
      }
    }
  }

  private void listen(Load load, boolean actuator) {
    checks.add(
        maker.make(
            new CheckMaker.Words(
                CheckId.of("hums", load),
                "Listen: " + (actuator ? "Actuator's pump" : load.label()),
                Check.Group.SEEN,
                PinFunction.BRAKE,
                LoadedChecks.held(StateWord.LEVER) + " Helper in the cab.",
                actuator ? "At the actuator" : "At the wheel",
                "your ear",
                NO_LEAD,
                actuator
                    ? "The pump runs when the signal arrives and its own supply is there: both at once, before any meter is out."
                    : "A magnet that pulls is heard and felt before any meter is out.",
                WITH_HELPER),
            new Probing(Setup.rig(StateWord.LEVER), Measure.HUMMING, load.name(), "")));
  }

  private void turn(Load load, boolean actuator) {
    checks.add(
        maker.make(
            new CheckMaker.Words(
                CheckId.of("turns", load),
                actuator ? "Turn a braked wheel" : "Turn the wheel: " + load.label(),
                // Once a pin has been pulled, each wheel is to be free again.
                BreakawayChecks.pulls(maker) ? Check.Group.BREAKAWAY : Check.Group.SEEN,
                PinFunction.BRAKE,
                "All off, plug out, breakaway pin in; wheel off the ground on a stand.",
                "At the wheel",
                "your hand",
                NO_LEAD,
                "A brake that is fed when nothing should feed it drags, heats its lining and empties the battery.",
                ON_STANDS),
            new Probing(Setup.rig(StateWord.UNPLUGGED), Measure.TURNING, load.name(), "")));
  }
}
