package org.jexel.core.road;

import java.util.List;
import java.util.TreeMap;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Must;
import org.jexel.core.quantity.UnitSystem;

/**
 * Closes in on the highest gain that does not lock, by halving the bracket on the controller's own
 * grid.
 *
 * <p>The stops are those of one surface and one load. Starts at the middle. While no lock was seen,
 * a step upward takes at most half of what remains. A stop on the verge is made once more; the
 * verge twice at one gain bounds the answer. Where stops at one gain contradict each other the
 * majority speaks, and a tie asks for a repeat. The answer stands when the bracket is one step wide
 * and its lower edge was confirmed by a second stop without lock.
 */
public final class GainBracket {
  /** Stops after which searching on wears tyres more than it teaches. */
  public static final int MOST_STOPS = 12;

  private static final int CONFIRMATIONS = 2;

  private GainBracket() {}

  public static GainAdvice advise(GainScale scale, List<GainStop> stops) {
    if (stops.isEmpty()) {
      return advice(
          GainAdvice.Act.TRY,
          scale.middle(),
          Double.NaN,
          Double.NaN,
          "No stop yet. Start at the middle of the scale.");
    }
    TreeMap<Double, int[]> counts = new TreeMap<>();
    for (GainStop stop : stops) {
      int[] count = counts.computeIfAbsent(stop.gain(), gain -> new int[2]);
      count[stop.outcome().locked() ? 1 : 0]++;
    }
    for (var entry : counts.entrySet()) {
      if (entry.getValue()[0] == entry.getValue()[1]) {
        return repeat(
            stops, entry.getKey(), "Stops at this gain contradict each other. One more decides.");
      }
    }
    double lower = Double.NaN;
    double upper = Double.NaN;
    for (var entry : counts.entrySet()) {
      boolean locks = entry.getValue()[1] > entry.getValue()[0];
      if (locks && Double.isNaN(upper)) {
        upper = entry.getKey();
      } else if (!locks) {
        lower = entry.getKey();
      }
    }
    if (lower > upper) {
      int[] atUpper = Must.have(counts, upper);
      int[] atLower = Must.have(counts, lower);
      double doubtful = atUpper[0] + atUpper[1] <= atLower[0] + atLower[1] ? upper : lower;
      return repeat(
          stops,
          doubtful,
          "It locked at %s but not at %s. Repeat the doubtful one."
              .formatted(
                  Measure.GAIN.number(upper, UnitSystem.METRIC),
                  Measure.GAIN.number(lower, UnitSystem.METRIC)));
    }
    double free = lower;
    long verges =
        stops.stream().filter(s -> s.outcome() == Outcome.VERGE && s.gain() == free).count();
    if (stops.size() >= MOST_STOPS
        && !settled(scale, lower, upper, counts, verges >= CONFIRMATIONS)) {
      return fault(
          lower, upper, "Twelve stops and no clear answer. Something changes between stops.");
    }
    return close(scale, counts, lower, upper, verges);
  }

  private static GainAdvice close(
      GainScale scale, TreeMap<Double, int[]> counts, double lower, double upper, long verges) {
    if (Double.isNaN(lower)) {
      if (scale.down((scale.least() + upper) / 2) <= scale.least()) {
        return fault(
            lower,
            upper,
            "It locks at the bottom of the scale. Look at the load, the brakes' adjustment and the controller.");
      }
      double next = scale.down((scale.least() + upper) / 2);
      return advice(
          GainAdvice.Act.TRY,
          next,
          lower,
          upper,
          "It locks at %s: halve.".formatted(Measure.GAIN.number(upper, UnitSystem.METRIC)));
    }
    boolean nextLocks = upper - lower <= scale.step() * 1.001;
    boolean top = scale.atLeast(lower, scale.greatest());
    int free = Must.have(counts, lower)[0];
    if (nextLocks || verges >= CONFIRMATIONS || verges == free) {
      boolean twice = free >= CONFIRMATIONS;
      String words =
          nextLocks
              ? twice ? "%s held twice, and %s locked." : "%s held and %s locked. Confirm it once."
              : twice
                  ? "%s was twice on the verge. No mark above it was tried."
                  : "%s was on the verge once. A second stop there tells whether it is.";
      return advice(
          twice ? GainAdvice.Act.SETTLE : GainAdvice.Act.CONFIRM,
          lower,
          lower,
          upper,
          words.formatted(
              Measure.GAIN.number(lower, UnitSystem.METRIC),
              Measure.GAIN.number(upper, UnitSystem.METRIC)));
    }
    if (top) {
      return fault(
          lower,
          upper,
          "No lock at the top of the scale. Look for lost volts, a brake that is off, or worn shoes, before more stops.");
    }
    if (Double.isNaN(upper)) {
      double next =
          Math.max(lower + scale.step(), scale.down(lower + (scale.greatest() - lower) / 2));
      return advice(
          GainAdvice.Act.TRY,
          scale.down(next),
          lower,
          upper,
          "No lock up to %s: go up by half of what remains."
              .formatted(Measure.GAIN.number(lower, UnitSystem.METRIC)));
    }
    double next = scale.down((lower + upper) / 2);
    return advice(
        GainAdvice.Act.TRY,
        next,
        lower,
        upper,
        "Between %s (free) and %s (locks): take the middle."
            .formatted(
                Measure.GAIN.number(lower, UnitSystem.METRIC),
                Measure.GAIN.number(upper, UnitSystem.METRIC)));
  }

  private static boolean settled(
      GainScale scale, double lower, double upper, TreeMap<Double, int[]> counts, boolean verge) {
    return (verge || upper - lower <= scale.step() * 1.001)
        && Must.have(counts, lower)[0] >= CONFIRMATIONS;
  }

  private static GainAdvice repeat(List<GainStop> stops, double gain, String reason) {
    return stops.size() >= MOST_STOPS
        ? fault(
            Double.NaN, Double.NaN, "Stops keep contradicting each other. Look for what changes.")
        : advice(GainAdvice.Act.REPEAT, gain, Double.NaN, Double.NaN, reason);
  }

  private static GainAdvice fault(double lower, double upper, String reason) {
    return advice(GainAdvice.Act.LOOK_FOR_FAULT, Double.NaN, lower, upper, reason);
  }

  private static GainAdvice advice(
      GainAdvice.Act act, double gain, double lower, double upper, String reason) {
    return new GainAdvice(act, gain, lower, upper, reason);
  }
}
