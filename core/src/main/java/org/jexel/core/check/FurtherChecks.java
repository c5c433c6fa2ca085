package org.jexel.core.check;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.Load;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Measure;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;

/**
 * Checks beyond the sheet, for whoever looks for a fault: the connector under load, the trailer
 * alone on a bench supply, what the eye, the ear and the hand tell, the studs of the box, and the
 * terminals of each lamp and magnet.
 */
public final class FurtherChecks {
  /** Before a magnet's name: the ids of its own two checks. */
  static final String MAGNET_VOLTS = "magnet.volts.";

  static final String MAGNET_AMPS = "magnet.amps.";

  private static final double AT_SOCKET = 1;
  private static final double ROUND = 1.5;
  private static final double WITH_HELPER = 2;
  private static final double AT_BOX = 3;
  private static final double UNDER = 6;

  private static final List<PinFunction> LAMPS =
      List.of(
          PinFunction.TAIL,
          PinFunction.LEFT,
          PinFunction.RIGHT,
          PinFunction.STOP,
          PinFunction.REVERSE);

  /** Two circuits at once: what a shared return cannot hide. */
  private static final StateWord[][] TOGETHER = {
    {StateWord.TAIL, StateWord.LEFT},
    {StateWord.TAIL, StateWord.RIGHT},
    {StateWord.TAIL, StateWord.STOP}
  };

  private final Rig rig;
  private final Harness harness;
  private final CheckMaker maker;
  private final List<Check> checks = new ArrayList<>();

  private FurtherChecks(Rig rig, Harness harness) {
    this.rig = rig;
    this.harness = harness;
    this.maker = new CheckMaker(rig, harness);
  }

  /**
   * @param supply battery volts as read, V
   */
  public static List<Check> of(Rig rig, Harness harness, OptionalDouble supply) {
    FieldKey engineOff = FieldKey.of(RigField.ENGINE_OFF_VOLTS);
    Rig measured =
        supply.isPresent() ? rig.with(rig.sheet().with(engineOff, supply.getAsDouble())) : rig;
    FurtherChecks further = new FurtherChecks(measured, harness);
    further.atTheConnector();
    further.onTheBench();
    further.seen();
    further.atTheBox();
    further.atTheTerminals();
    return List.copyOf(further.checks);
  }

  private List<PinFunction> circuits() {
    return LAMPS.stream().filter(harness::has).toList();
  }

  private static StateWord word(PinFunction function) {
    return StateWord.valueOf(function.name());
  }

  private static String held(StateWord... on) {
    List<String> words = new ArrayList<>();
    for (StateWord word : on) {
      words.add(
          switch (word) {
            case TAIL -> "tail lamps on";
            case LEFT -> "left indicator on (judge the peak)";
            case RIGHT -> "right indicator on (judge the peak)";
            case STOP -> "pedal held down";
            case REVERSE -> "reverse selected, engine off";
            case LEVER -> "gain at the top, manual lever held full";
            default -> word.word();
          });
    }
    String all = String.join(", ", words);
    return all.isEmpty() ? "All off." : all.substring(0, 1).toUpperCase() + all.substring(1) + ".";
  }

  private void atTheConnector() {
    for (PinFunction function : circuits()) {
      String id = HarnessPlanner.id(function);
      volts(
          "loaded." + id,
          "Connector, " + function.label() + ", plug in",
          Check.Group.LOADED,
          function,
          Setup.rig(word(function)),
          held(word(function)),
          "At the connector, probes from behind",
          "sock_" + id,
          "sock_earth",
          AT_SOCKET);
    }
    StateWord[] all = {StateWord.TAIL, StateWord.STOP};
    volts(
        "loaded.return",
        "Vehicle's earth, under load",
        Check.Group.LOADED,
        PinFunction.EARTH,
        Setup.rig(all),
        held(all),
        "From the connector's earth pin to the battery's minus post",
        "sock_earth",
        Harness.BATTERY_MINUS,
        AT_BOX);
  }

  private void onTheBench() {
    List<PinFunction> pins = new ArrayList<>(circuits());
    if (rig.hasElectricBrakes() && harness.has(PinFunction.BRAKE)) {
      pins.add(PinFunction.BRAKE);
    }
    for (PinFunction function : pins) {
      add(
          "bench." + HarnessPlanner.id(function),
          "Bench supply on " + function.label(),
          Check.Group.BENCH,
          function,
          "Plug out; bench supply of 12.8 V through a fused lead on this pin and earth.",
          "At the trailer's plug",
          "in series in the fused lead",
          "earth pin to the supply's minus",
          new Probing(Setup.bench(function), Measure.AMPS, RigNetwork.BENCH, ""),
          "It settles whether vehicle or trailer is at fault: here no vehicle is joined.",
          WITH_HELPER);
    }
  }

  private void seen() {
    List<StateWord[]> states = new ArrayList<>();
    circuits().forEach(function -> states.add(new StateWord[] {word(function)}));
    for (StateWord[] pair : TOGETHER) {
      states.add(pair);
    }
    for (StateWord[] state : states) {
      boolean marked = state.length == 1 && state[0] == StateWord.TAIL;
      for (Load load : harness.loads()) {
        boolean lamp = load.kind() == Load.Kind.FILAMENT || load.kind() == Load.Kind.LED;
        boolean rear = load.name().contains("rear") && !load.name().contains("marker");
        if (lamp && (rear || marked)) {
          look(load, state);
        }
      }
    }
    for (Load magnet : magnets()) {
      sensed(
          "turns." + magnet.name(),
          "Turn the wheel: " + magnet.label(),
          Measure.TURNING,
          "All off, plug out, breakaway pin in; wheel off the ground on a stand.",
          Setup.rig(StateWord.UNPLUGGED),
          magnet,
          UNDER);
      sensed(
          "hums." + magnet.name(),
          "Listen: " + magnet.label(),
          Measure.HUMMING,
          held(StateWord.LEVER) + " Helper in the cab.",
          Setup.rig(StateWord.LEVER),
          magnet,
          WITH_HELPER);
    }
  }

  private List<Load> magnets() {
    return harness.loads().stream().filter(l -> l.kind() == Load.Kind.MAGNET).toList();
  }

  private void look(Load load, StateWord... state) {
    List<String> words = new ArrayList<>();
    for (StateWord word : state) {
      words.add(word.word());
    }
    add(
        "look." + String.join("+", words) + "." + load.name(),
        "Look: %s, %s part".formatted(load.label(), load.function().label()),
        Check.Group.SEEN,
        load.function(),
        held(state),
        "Once round the trailer, lenses shaded by a hand",
        "your eye",
        "–",
        new Probing(Setup.rig(state), Measure.GLOW, load.name(), ""),
        "A lamp that glows when it should not shares somebody's return.",
        ROUND);
  }

  private void sensed(
      String id,
      String title,
      Measure measure,
      String state,
      Setup setup,
      Load magnet,
      double minutes) {
    add(
        id,
        title,
        Check.Group.SEEN,
        PinFunction.BRAKE,
        state,
        "At the wheel",
        measure == Measure.TURNING ? "your hand" : "your ear",
        "–",
        new Probing(setup, measure, magnet.name(), ""),
        "A magnet that pulls is heard and felt before any meter is out.",
        minutes);
  }

  private void atTheBox() {
    for (PinFunction function : circuits()) {
      String id = HarnessPlanner.id(function);
      volts(
          "box." + id,
          "Box, " + function.label() + " stud",
          Check.Group.BOX,
          function,
          Setup.rig(word(function)),
          held(word(function)),
          "At the junction box",
          "box_" + id,
          "box_earth",
          AT_BOX);
    }
    if (rig.hasElectricBrakes() && harness.has(PinFunction.BRAKE)) {
      volts(
          "box.brake",
          "Box, brake stud",
          Check.Group.BOX,
          PinFunction.BRAKE,
          Setup.rig(StateWord.LEVER),
          held(StateWord.LEVER),
          "At the junction box",
          "box_brake",
          "box_earth",
          AT_BOX);
    }
    volts(
        "box.breakaway",
        "Breakaway battery",
        Check.Group.BOX,
        PinFunction.CHARGE,
        Setup.rig(StateWord.UNPLUGGED),
        "Plug out for ten minutes.",
        "At the breakaway battery",
        Harness.BREAKAWAY_PLUS,
        "box_earth",
        AT_BOX);
  }

  private void atTheTerminals() {
    for (Load load : harness.loads()) {
      if (load.kind() == Load.Kind.FILAMENT || load.kind() == Load.Kind.LED) {
        Setup setup = Setup.rig(word(load.function()));
        String state = held(word(load.function()));
        volts(
            "lamp." + load.name(),
            "Across %s, %s".formatted(load.label(), load.function().label()),
            Check.Group.AT_THE_LAMP,
            load.function(),
            setup,
            state,
            "At the lamp",
            load.feed(),
            load.back(),
            UNDER);
        volts(
            "return." + load.name(),
            "Return of %s, %s".formatted(load.label(), load.function().label()),
            Check.Group.AT_THE_LAMP,
            load.function(),
            setup,
            state,
            "From the lamp's return to the box's earth stud",
            load.back(),
            "box_earth",
            UNDER);
      }
    }
    for (Load magnet : magnets()) {
      volts(
          MAGNET_VOLTS + magnet.name(),
          "Across " + magnet.label(),
          Check.Group.AT_THE_LAMP,
          PinFunction.BRAKE,
          Setup.rig(StateWord.LEVER),
          held(StateWord.LEVER),
          "At the magnet's two wires, behind the wheel",
          magnet.feed(),
          magnet.back(),
          UNDER);
      add(
          MAGNET_AMPS + magnet.name(),
          "Current of " + magnet.label(),
          Check.Group.AT_THE_LAMP,
          PinFunction.BRAKE,
          held(StateWord.LEVER),
          "Clamp on one of its two wires, behind the wheel",
          "clamp around the wire",
          "–",
          new Probing(Setup.rig(StateWord.LEVER), Measure.AMPS, magnet.name(), ""),
          "Each magnet by itself: side with side within 15 %.",
          UNDER);
    }
  }

  private void volts(
      String id,
      String title,
      Check.Group group,
      PinFunction function,
      Setup setup,
      String state,
      String place,
      String red,
      String black,
      double minutes) {
    if (maker.reaches(setup, red, black)) {
      add(
          id,
          title,
          group,
          function,
          state,
          place,
          named(red),
          named(black),
          new Probing(setup, Measure.VOLTS, red, black),
          "Under load a poor joint shows itself as volts that are missing.",
          minutes);
    }
  }

  /** A node in words. */
  private static String named(String node) {
    return node.replaceFirst("^sock_", "connector, ")
        .replaceFirst("^box_", "box, ")
        .replaceFirst("_near$", "")
        .replace('_', ' ');
  }

  private void add(
      String id,
      String title,
      Check.Group group,
      PinFunction function,
      String state,
      String place,
      String red,
      String black,
      Probing probing,
      String why,
      double minutes) {
    checks.add(
        maker.make(
            new CheckMaker.Words(
                id,
                title,
                group,
                function,
                state,
                place,
                red,
                black,
                why,
                minutes,
                CheckMaker.SOLVED),
            probing));
  }
}
