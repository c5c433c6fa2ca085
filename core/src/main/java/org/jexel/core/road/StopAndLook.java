package org.jexel.core.road;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jexel.core.braking.Drag;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;

/**
 * When stops say that something is wrong, and more of them would only wear tyres: one wheel locks
 * alone, at once where the others hardly brake, else twice, for some wheel is always the first; one
 * does nothing; the trailer pulls to one side twice, or what it brakes with falls while the gain
 * stands.
 *
 * @param reason in a sentence
 * @param pulls whether the symptom is a pull to one side
 */
public record StopAndLook(String reason, boolean pulls) {
  private static final int TWICE = 2;

  /** Of a share measured before at the same gain: a fall that scatter does not explain. */
  private static final double FADED = 0.75;

  /**
   * @param stops of one surface and load, oldest first, none before the last look for a fault
   */
  public static Optional<StopAndLook> of(List<TestStop> stops) {
    return Stream.of(oneWheel(stops), oneSide(stops), fading(stops))
        .flatMap(Optional::stream)
        .findFirst();
  }

  private static Optional<StopAndLook> oneWheel(List<TestStop> stops) {
    Map<String, Integer> alone = new HashMap<>();
    for (TestStop stop : stops) {
      List<Observed.Wheel> wheels = stop.observed().wheels();
      List<Observed.Wheel> locked = wheels.stream().filter(w -> w.outcome().locked()).toList();
      if (locked.size() == 1 && wheels.size() > 1) {
        Observed.Wheel one = locked.get(0);
        List<Observed.Wheel> others = wheels.stream().filter(w -> w != one).toList();
        boolean weak = others.stream().noneMatch(w -> w.outcome().atLeast(Outcome.FIRM));
        boolean below = others.stream().noneMatch(w -> w.outcome().atLeast(Outcome.VERGE));
        int times = below ? alone.merge(one.label(), 1, Integer::sum) : 0;
        if (weak || times >= TWICE) {
          return Optional.of(
              new StopAndLook(
                  Phrase.of(
                      "At gain %s the wheel at %s locked alone. Look at its adjustment, at the linings of the others, and at the load.",
                      gain(stop), one.label()),
                  false));
        }
      }
      List<Observed.Wheel> idle =
          wheels.stream().filter(w -> w.outcome() == Outcome.NOTHING).toList();
      boolean others = wheels.stream().anyMatch(w -> w.outcome().atLeast(Outcome.FIRM));
      if (!idle.isEmpty() && others) {
        return Optional.of(
            new StopAndLook(
                Phrase.of(
                    "At gain %s the wheel at %s did nothing while others braked. Look for its magnet, its lead and its shoes.",
                    gain(stop), idle.get(0).label()),
                false));
      }
    }
    return Optional.empty();
  }

  private static Optional<StopAndLook> oneSide(List<TestStop> stops) {
    for (Observed.Pull side : List.of(Observed.Pull.LEFT, Observed.Pull.RIGHT)) {
      if (stops.stream().filter(stop -> stop.observed().pull() == side).count() >= TWICE) {
        return Optional.of(
            new StopAndLook(
                Phrase.of(
                    "Twice it pulled %s. Brakes of the two sides differ, or the load lies aside.",
                    Phrase.within(side.label())),
                true));
      }
    }
    return Optional.empty();
  }

  private static Optional<StopAndLook> fading(List<TestStop> stops) {
    for (int i = 0; i < stops.size(); i++) {
      for (int j = i + 1; j < stops.size(); j++) {
        if (faded(stops.get(i), stops.get(j))) {
          return Optional.of(
              new StopAndLook(
                  Phrase.of(
                      "At gain %s it now brakes with less than three quarters of what it did. Let the brakes cool; if it stays so, look for lost volts and for greasy or glazed linings.",
                      gain(stops.get(j))),
                  false));
        }
      }
    }
    return Optional.empty();
  }

  private static boolean faded(TestStop before, TestStop now) {
    if (before.gain() != now.gain() || before.outcome().locked() || now.outcome().locked()) {
      return false;
    }
    double was = share(before);
    return share(now) < FADED * was;
  }

  /** Held against another of the same rig, so the usual drag serves. */
  private static double share(TestStop stop) {
    return stop.gainStop(Drag.USUAL).map(s -> s.share().orElse(Double.NaN)).orElse(Double.NaN);
  }

  private static String gain(TestStop stop) {
    return Measure.GAIN.number(stop.gain(), UnitSystem.METRIC);
  }
}
