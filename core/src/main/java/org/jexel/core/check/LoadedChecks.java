package org.jexel.core.check;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Load;
import org.jexel.core.harness.Nodes;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;

/**
 * Volts and amperes while everything is joined and draws its current: at the connector, at the
 * studs of the box, and across each lamp, its return, and each magnet.
 */
final class LoadedChecks {
  /** The two readings of a magnet under load. */
  static final String MAGNET_VOLTS = "magnet.volts";

  static final String MAGNET_AMPS = "magnet.amps";

  private static final double AT_SOCKET = 1;
  private static final double AT_BOX = 3;
  private static final double UNDER = 6;

  /** At the trailer's back, where nobody has to crawl; its lens off. */
  static final double AT_REAR = 4;

  private final Harness harness;
  private final CheckMaker maker;
  private final List<Check> checks = new ArrayList<>();

  private LoadedChecks(Harness harness, CheckMaker maker) {
    this.harness = harness;
    this.maker = maker;
  }

  static List<Check> of(Harness harness, CheckMaker maker) {
    LoadedChecks loaded = new LoadedChecks(harness, maker);
    loaded.atTheConnector();
    loaded.atTheBox();
    loaded.atTheTerminals();
    return loaded.checks;
  }

  /** Circuits that feed lamps of this rig. */
  static List<PinFunction> circuits(Harness harness) {
    return PinFunction.LIGHTS.stream().filter(harness::has).toList();
  }

  /** What switches a circuit on. */
  static StateWord word(PinFunction function) {
    return StateWord.valueOf(function.name());
  }

  /** What the one in the cab switches on or holds, as a sentence. */
  static String held(StateWord... on) {
    return on.length == 0 ? "All off." : Phrase.opening(holding(List.of(on))) + ".";
  }

  /** The same within a sentence. */
  static String holding(Collection<StateWord> on) {
    List<String> words = new ArrayList<>();
    for (StateWord word : on.stream().sorted().toList()) {
      words.add(
          switch (word) {
            case TAIL -> "tail lamps on";
            case LEFT -> "left indicator on (judge the peak)";
            case RIGHT -> "right indicator on (judge the peak)";
            case STOP -> "pedal held down";
            case REVERSE -> "reverse selected, engine off";
            case LEVER -> "gain at the top, manual lever held full";
            case LIFTED -> "coupler off the ball, or a card between";
            default -> word.word();
          });
    }
    return String.join(", ", words);
  }

  private void atTheConnector() {
    for (PinFunction function : circuits(harness)) {
      volts(
          new CheckId("loaded", Nodes.id(function)),
          "Connector, " + function.label() + ", plug in",
          Check.Group.LOADED,
          function,
          held(word(function)),
          "At the connector, probes from behind",
          Setup.rig(word(function)),
          Lead.socket(function),
          Lead.socket(PinFunction.EARTH),
          AT_SOCKET);
      if (function == PinFunction.TAIL) {
        tailAmps();
      }
    }
    StateWord[] all = {StateWord.TAIL, StateWord.STOP, StateWord.LIFTED};
    volts(
        new CheckId("loaded", "return"),
        "Vehicle's earth, under load",
        Check.Group.LOADED,
        PinFunction.EARTH,
        held(all),
        "From the connector's earth pin to the battery's minus post",
        Setup.rig(all),
        Lead.socket(PinFunction.EARTH),
        Lead.MINUS,
        AT_BOX);
  }

  /**
   * Many small lamps side by side, on a run that loses next to nothing: one of other watts, or of
   * the other kind, changes no volts that a meter shows, and glows like its like beside it.
   */
  private void tailAmps() {
    PinFunction tail = PinFunction.TAIL;
    checks.add(
        maker.make(
            new CheckMaker.Words(
                new CheckId("clamp", Nodes.id(tail)),
                "Connector, tail: what it draws",
                Check.Group.LOADED,
                tail,
                held(word(tail)),
                "At the connector, clamp on the tail conductor",
                "clamp around the tail conductor",
                "–",
                "On the right volts the current alone tells a lamp of other watts, or of the other kind.",
                AT_SOCKET),
            new Probing(Setup.rig(word(tail)), Measure.AMPS, Nodes.wire(Nodes.socket(tail)), "")));
  }

  private void atTheBox() {
    for (PinFunction function : circuits(harness)) {
      atTheBox(function, word(function));
    }
    atTheBox(PinFunction.BRAKE, StateWord.LEVER);
    if (harness.has(PinFunction.BRAKE)) {
      wholeReturn();
    }
  }

  /** The brakes' current shows a poor earth that lamps are too weak for. */
  private void wholeReturn() {
    volts(
        new CheckId("box", "return"),
        "Whole return, brakes on",
        Check.Group.BOX,
        PinFunction.EARTH,
        held(StateWord.LEVER),
        "A long lead from the box's earth stud to the battery's minus post",
        Setup.rig(StateWord.LEVER),
        Lead.box(PinFunction.EARTH),
        Lead.MINUS,
        AT_BOX);
  }

  private void atTheBox(PinFunction function, StateWord on) {
    volts(
        new CheckId("box", Nodes.id(function)),
        "Box, " + function.label() + " stud",
        Check.Group.BOX,
        function,
        held(on),
        "At the junction box",
        Setup.rig(on),
        Lead.box(function),
        Lead.box(PinFunction.EARTH),
        AT_BOX);
  }

  private void atTheTerminals() {
    for (Load load : harness.loads()) {
      if (load.lamp()) {
        lamp(load);
      } else if (load.kind() == Load.Kind.MAGNET) {
        magnet(load);
      }
    }
  }

  /**
   * At the rear lamps each circuit ends: the drop limit is asked there, and what is lost on the way
   * no eye sees and neither pin nor stud shows.
   */
  private void lamp(Load load) {
    Setup setup = Setup.rig(word(load.function()));
    String state = held(word(load.function()));
    String which = load.label() + ", " + load.function().lit();
    volts(
        CheckId.of("lamp", load),
        "Across " + which,
        load.isOfRearLamp() ? Check.Group.REAR_LAMPS : Check.Group.AT_THE_LAMP,
        load.function(),
        state,
        "At the lamp",
        setup,
        Lead.live(load),
        Lead.back(load),
        load.isOfRearLamp() ? AT_REAR : UNDER);
    volts(
        CheckId.of("return", load),
        "Return of " + which,
        Check.Group.AT_THE_LAMP,
        load.function(),
        state,
        "From the lamp's return to the box's earth stud",
        setup,
        Lead.back(load),
        Lead.box(PinFunction.EARTH),
        UNDER);
    checks.add(
        maker.make(
            new CheckMaker.Words(
                CheckId.of("draws", load),
                "Current of " + which,
                Check.Group.AT_THE_LAMP,
                load.function(),
                state,
                "At the lamp, one of its wires off",
                "meter in line, 10 A range",
                "–",
                "On the right volts a lamp of other watts, or of another kind, draws another current. What is stamped on a bulb tells the same.",
                UNDER),
            new Probing(setup, Measure.AMPS, Nodes.wire(load.feed()), "")));
  }

  private void magnet(Load load) {
    volts(
        CheckId.of(MAGNET_VOLTS, load),
        "Across " + load.label(),
        Check.Group.AT_THE_LAMP,
        PinFunction.BRAKE,
        held(StateWord.LEVER),
        "At the magnet's two wires, behind the wheel",
        Setup.rig(StateWord.LEVER),
        Lead.live(load),
        Lead.back(load),
        UNDER);
    checks.add(
        maker.make(
            new CheckMaker.Words(
                CheckId.of(MAGNET_AMPS, load),
                "Current of " + load.label(),
                Check.Group.AT_THE_LAMP,
                PinFunction.BRAKE,
                held(StateWord.LEVER),
                "Clamp on one of its two wires, behind the wheel",
                "clamp around the wire",
                "–",
                "Each magnet by itself: side with side within 15 %.",
                UNDER),
            new Probing(Setup.rig(StateWord.LEVER), Measure.AMPS, load.name(), "")));
  }

  private void volts(
      CheckId id,
      String title,
      Check.Group group,
      PinFunction function,
      String state,
      String place,
      Setup setup,
      Lead red,
      Lead black,
      double minutes) {
    if (maker.reaches(setup, red.node(), black.node())) {
      checks.add(
          maker.make(
              new CheckMaker.Words(
                  id,
                  title,
                  group,
                  function,
                  state,
                  place,
                  red.words(),
                  black.words(),
                  "Under load a poor joint shows itself as volts that are missing.",
                  minutes),
              new Probing(setup, Measure.VOLTS, red.node(), black.node())));
    }
  }

  /**
   * Where a lead goes.
   *
   * @param node of the network
   * @param words for people
   */
  private record Lead(String node, String words) {
    static final Lead MINUS = new Lead(Harness.BATTERY_MINUS, "battery minus post");

    static Lead socket(PinFunction function) {
      return new Lead(Nodes.socket(function), "connector, " + function.label());
    }

    static Lead box(PinFunction function) {
      return new Lead(Nodes.box(function), "box, " + function.label());
    }

    static Lead live(Load load) {
      String part = load.lamp() ? ", " + load.function().lit() : "";
      return new Lead(load.feed(), load.label() + part + ": its live terminal");
    }

    static Lead back(Load load) {
      return new Lead(load.back(), load.label() + ": its return terminal");
    }
  }
}
