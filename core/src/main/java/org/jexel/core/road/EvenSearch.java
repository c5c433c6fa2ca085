package org.jexel.core.road;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;

/**
 * The search for even pull, from stops by the pedal: up while the trailer pushes, down where it
 * tugs.
 *
 * @param pushes highest gain at which it pushed
 * @param tugs lowest gain at which it tugged
 * @param even a gain at which it did neither, the newest one
 * @param found whether that gain is proved: twice even, or even between a push and a tug
 * @param words what they say together
 */
public record EvenSearch(
    OptionalDouble pushes, OptionalDouble tugs, OptionalDouble even, boolean found, String words) {
  private static final int TWICE = 2;

  /**
   * @param stops of one surface and load, oldest first
   */
  public static EvenSearch of(GainScale scale, List<TestStop> stops) {
    OptionalDouble pushes = gains(stops, Observed.Feel.PUSH).max();
    OptionalDouble tugs = gains(stops, Observed.Feel.TUG).min();
    OptionalDouble even = gains(stops, Observed.Feel.EVEN).reduce((a, b) -> b);
    boolean found = even.isPresent() && proved(stops, even.getAsDouble(), pushes, tugs);
    return new EvenSearch(pushes, tugs, even, found, words(scale, pushes, tugs, even, found));
  }

  private static boolean proved(
      List<TestStop> stops, double even, OptionalDouble pushes, OptionalDouble tugs) {
    long times = gains(stops, Observed.Feel.EVEN).filter(gain -> gain == even).count();
    boolean between =
        pushes.isPresent()
            && tugs.isPresent()
            && pushes.getAsDouble() < even
            && even < tugs.getAsDouble();
    return between || times >= TWICE;
  }

  private static DoubleStream gains(List<TestStop> stops, Observed.Feel feel) {
    return stops.stream()
        .filter(stop -> stop.way() == TestStop.Way.PEDAL && stop.observed().feel() == feel)
        .mapToDouble(TestStop::gain);
  }

  private static String words(
      GainScale scale,
      OptionalDouble pushes,
      OptionalDouble tugs,
      OptionalDouble even,
      boolean found) {
    if (even.isPresent()) {
      return Phrase.of(
          found
              ? "Neither push nor tug at gain %s."
              : "Neither push nor tug at gain %s, once: a second stop there proves it.",
          number(even.getAsDouble()));
    } else if (pushes.isPresent() && tugs.isPresent()) {
      return pushes.getAsDouble() < tugs.getAsDouble()
          ? Phrase.of(
              "It pushes at %s and tugs at %s: even pull lies between.",
              number(pushes.getAsDouble()), number(tugs.getAsDouble()))
          : "It pushed at a gain at which, or above which, it tugged: the pedal was not the same. Once more, with one effort.";
    } else if (pushes.isPresent()) {
      return pushes.getAsDouble() >= scale.greatest()
          ? "It pushes at the top of the scale: the trailer brakes with less than its share."
          : Phrase.of("It pushes at %s: more gain.", number(pushes.getAsDouble()));
    } else if (tugs.isPresent()) {
      return Phrase.of("It tugs at %s: less gain.", number(tugs.getAsDouble()));
    }
    return "No stop by the pedal has said yet whether the trailer pushes or tugs.";
  }

  private static String number(double gain) {
    return Measure.GAIN.number(gain, UnitSystem.METRIC);
  }
}
