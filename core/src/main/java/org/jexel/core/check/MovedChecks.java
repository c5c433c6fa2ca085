package org.jexel.core.check;

import java.util.ArrayList;
import java.util.List;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Nodes;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;

/**
 * What makes and breaks reads sound at rest and open the next minute: with everything on, a hand
 * moves plug, cord, box and looms in turn, and an eye or ear tells what goes out with it.
 */
final class MovedChecks {
  private static final double A_WORD = 0.5;

  /** A driver's word is to be watched at most: it proves no fault, and no station fails on it. */
  private static final Band UNWATCHED = new Band(0, 0, 1.4);

  private static final double AT_HAND = 2;
  private static final double UNDER_THE_TRAILER = 6;

  private MovedChecks() {}

  static List<Check> of(Harness harness, CheckMaker maker) {
    List<PinFunction> watched = new ArrayList<>(LoadedChecks.circuits(harness));
    List<StateWord> on = on(harness);
    if (harness.has(PinFunction.BRAKE)) {
      watched.add(PinFunction.BRAKE);
      on.add(StateWord.LEVER);
    }
    Setup setup = Setup.rig(on.toArray(StateWord[]::new));
    String held = held(on);
    List<Check> checks = new ArrayList<>(List.of(told(maker)));
    for (Reach reach : Reach.values()) {
      for (PinFunction function : watched) {
        boolean brake = function == PinFunction.BRAKE;
        checks.add(
            maker.make(
                new CheckMaker.Words(
                    new CheckId("moved." + reach.word(), Nodes.id(function)),
                    reach.title() + ": " + Phrase.opening(watched(function)),
                    Check.Group.MOVED,
                    function,
                    held + reach.how(),
                    reach.place(),
                    brake ? "your ear" : "your eye",
                    "–",
                    "What makes and breaks reads sound at rest. What goes out while you move it is held by what your hand is on; if all of it goes out together, it is the earth.",
                    reach == Reach.LOOM ? UNDER_THE_TRAILER : AT_HAND),
                new Probing(setup, Measure.MOVING, reach.name(), "")));
      }
    }
    return checks;
  }

  /** No sound rig is expected to have been watched by anybody. */
  private static Check told(CheckMaker maker) {
    return maker
        .make(
            new CheckMaker.Words(
                new CheckId("told", "coming"),
                "Ask whether it comes and goes",
                Check.Group.TOLD,
                null,
                "Engine off. Ask whoever drives it: is it always wrong, or now and then, over bumps, in turns, in rain?",
                "With whoever drives it",
                "their word",
                "–",
                "What makes and breaks may read sound all day in the yard. A word of who saw it on the road says where to look, and proves nothing.",
                A_WORD),
            new Probing(Setup.rig(StateWord.UNPLUGGED), Measure.COMING, "", ""))
        .within(UNWATCHED);
  }

  private static String watched(PinFunction function) {
    return switch (function) {
      case LEFT, RIGHT -> function.label() + " indicator";
      case REVERSE -> "reverse lamp";
      case BRAKE -> "brakes";
      default -> function.label() + " lamps";
    };
  }

  /** The pedal lights what an indicator would flash, where they share a lamp. */
  private static List<StateWord> on(Harness harness) {
    List<StateWord> on = new ArrayList<>(List.of(StateWord.TAIL, StateWord.STOP));
    if (harness.has(PinFunction.STOP)) {
      on.add(StateWord.HAZARD);
    }
    if (harness.has(PinFunction.REVERSE)) {
      on.add(StateWord.REVERSE);
    }
    return on;
  }

  private static String held(List<StateWord> on) {
    String all = "Tail lamps on, pedal held down";
    if (on.contains(StateWord.HAZARD)) {
      all += ", hazard lights on (their beat stays even)";
    }
    if (on.contains(StateWord.REVERSE)) {
      all += ", reverse selected with the engine off";
    }
    if (on.contains(StateWord.LEVER)) {
      all += ", manual lever held full for seconds at a time";
    }
    return all + ". What goes out once, make it go out a second time before you say so. ";
  }
}
