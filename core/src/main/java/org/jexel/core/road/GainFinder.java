package org.jexel.core.road;

import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import org.jexel.core.braking.Surface;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;

/**
 * Which gain to try next, and when the highest one that does not lock is known.
 *
 * <p>The stops are those of one surface and one load. The first is made at the middle of the scale
 * or below it, where this rig is believed to lock sooner. From then on the stop that tells most;
 * upward, while nothing has locked, at most half of what remains. It is done when the highest mark
 * that locks in at most one of ten cases is within a mark of the answer with 86 %, and has held
 * twice.
 */
public final class GainFinder {
  /** Stops after which searching on wears tyres more than it teaches. */
  public static final int MOST_STOPS = 12;

  /** A gain that locks no oftener is one to live with. */
  private static final double MAY_LOCK = 0.10;

  /** Marks that are weighed at once. */
  private static final int WEIGHED = 40;

  private static final double KNOWN = 0.86;
  private static final int TIMES = 2;

  /** From here on a lock is said to be in reach, or to be out of it. */
  private static final double IN_REACH = 0.80;

  private final GainScale scale;
  private final BrakeCurve curve;
  private final List<GainStop> stops;
  private final GainBelief before;
  private final GainBelief belief;

  private GainFinder(GainScale scale, BrakeCurve curve, Surface surface, List<GainStop> stops) {
    this.scale = scale;
    this.curve = curve;
    this.stops = stops;
    this.before = GainBelief.before(curve, surface.peak());
    this.belief = before.and(stops);
  }

  /**
   * @param surface of the stops; of the next one while there are none
   * @param stops at full lever, oldest first
   */
  public static GainAdvice advise(
      GainScale scale, BrakeCurve curve, Surface surface, List<GainStop> stops) {
    return new GainFinder(scale, curve, surface, List.copyOf(stops)).advise();
  }

  private GainAdvice advise() {
    int settled = highestFree();
    if (stops.isEmpty()) {
      return first(settled);
    }
    int top = curve.marksCount() - 1;
    if (freeAt(top) >= TIMES) {
      return atTheTop(top);
    }
    if (lockedAt(0) >= TIMES) {
      return advice(
          GainAdvice.Act.LOOK_FOR_FAULT,
          Double.NaN,
          "It locks at the lowest mark. Look at the load, the brakes' adjustment and the controller.");
    }
    int doubted = doubted();
    boolean known = settled >= 0 && settled < openLock() && around(settled) >= KNOWN;
    if (known && doubted < 0 && held(settled)) {
      return advice(GainAdvice.Act.SETTLE, mark(settled), settledWords(settled));
    }
    if (stops.size() >= MOST_STOPS) {
      return advice(
          GainAdvice.Act.LOOK_FOR_FAULT,
          Double.NaN,
          "Twelve stops and no clear answer. Something changes between stops: look for it.");
    }
    if (doubted >= 0) {
      return advice(GainAdvice.Act.REPEAT, mark(doubted), doubtedWords(doubted));
    }
    if (known) {
      return freeAt(settled) == 0
          ? advice(GainAdvice.Act.TRY, mark(settled), knownWords(settled))
          : advice(
              GainAdvice.Act.CONFIRM,
              mark(settled),
              Phrase.of("%s held. A second stop there settles it.", number(settled)));
    }
    int next = mostTelling();
    boolean again = stops.stream().anyMatch(stop -> curve.place(stop.gain()) == next);
    return advice(
        again ? GainAdvice.Act.REPEAT : GainAdvice.Act.TRY, mark(next), tellingWords(next));
  }

  private GainAdvice first(int believed) {
    int middle = curve.place(scale.middle());
    int at = Math.max(0, Math.min(middle, believed));
    return advice(
        GainAdvice.Act.TRY,
        mark(at),
        at < middle
            ? Phrase.of(
                "No stop yet. By its brakes and load this rig may lock from %s on: start below it.",
                number(at + 1))
            : "No stop yet. Start at the middle of the scale.");
  }

  private GainAdvice atTheTop(int top) {
    boolean reachable = before.never() < 1 - IN_REACH;
    return reachable
        ? advice(
            GainAdvice.Act.LOOK_FOR_FAULT,
            Double.NaN,
            "No lock at the top of the scale, where this rig's brakes reach it. Look for lost volts, a brake that is off, or worn shoes, before more stops.")
        : advice(
            GainAdvice.Act.SETTLE,
            mark(top),
            "The top of the scale held twice: by its load and brakes this rig does not lock.");
  }

  /** The highest mark that locks in at most one of ten cases; −1 where each locks oftener. */
  private int highestFree() {
    int highest = -1;
    for (int i = 0; i < curve.marksCount() && belief.locks(i) <= MAY_LOCK; i++) {
      highest = i;
    }
    return highest;
  }

  /** How likely the answer lies within a mark of this one. */
  private double around(int place) {
    double[] answers = belief.answers();
    double sum = 0;
    for (int i = Math.max(0, place); i <= Math.min(answers.length - 1, place + 2); i++) {
      sum += answers[i];
    }
    return sum;
  }

  /** Tried itself without a lock, and once more there or at a higher mark, which is harder. */
  private boolean held(int place) {
    long above =
        stops.stream()
            .filter(stop -> curve.place(stop.gain()) >= place && !stop.outcome().locked())
            .count();
    return freeAt(place) > lockedAt(place) && above >= TIMES;
  }

  private int freeAt(int place) {
    return (int)
        stops.stream()
            .filter(stop -> curve.place(stop.gain()) == place && !stop.outcome().locked())
            .count();
  }

  private int lockedAt(int place) {
    return (int)
        stops.stream()
            .filter(stop -> curve.place(stop.gain()) == place && stop.outcome().locked())
            .count();
  }

  /** The lowest mark that locked oftener than it held: nothing above it is driven. */
  private int openLock() {
    return IntStream.range(0, curve.marksCount())
        .filter(place -> lockedAt(place) > freeAt(place))
        .findFirst()
        .orElse(curve.marksCount());
  }

  /**
   * The lowest mark that locked, if it did so once and a higher one held, by more than a mark's
   * blur; or −1. Where a lower one locked oftener, nobody drives a higher one again to find out.
   */
  private int doubted() {
    int place = openLock();
    return lockedAt(place) == 1 && freeAt(place) == 0 && heldAbove(place) ? place : -1;
  }

  private boolean heldAbove(int place) {
    return curve.place(highestThatHeld()) > place + 1;
  }

  private int mostTelling() {
    int highest = stops.stream().mapToInt(stop -> curve.place(stop.gain())).max().orElseThrow();
    int top = curve.marksCount() - 1;
    boolean locked = stops.stream().anyMatch(stop -> stop.outcome().locked());
    int limit = locked ? openLock() : Math.max(highest + 1, highest + (top - highest) / 2);
    int last = Math.min(top, limit);
    int stride = 1 + last / WEIGHED;
    int near = leastOpen(0, last, stride);
    return stride == 1
        ? near
        : leastOpen(Math.max(0, near - stride), Math.min(last, near + stride), 1);
  }

  /** After which stop the least is open; on a fine scale every so many marks are weighed. */
  private int leastOpen(int from, int to, int stride) {
    return IntStream.iterate(from, i -> i <= to, i -> i + stride)
        .boxed()
        .min(Comparator.comparingDouble(belief::entropyAfter))
        .orElseThrow();
  }

  private String settledWords(int place) {
    int above = place + 1;
    return above < curve.marksCount() && lockedAt(above) > 0
        ? Phrase.of("%s held twice, and %s locked.", number(place), number(above))
        : Phrase.of(
            "%s held twice; by all stops %s locks in %.0f of 100.",
            number(place),
            above < curve.marksCount() ? number(above) : "more",
            100 * belief.locks(Math.min(above, curve.marksCount() - 1)));
  }

  private String knownWords(int place) {
    return Phrase.of(
        "By all stops %s is the highest mark that locks in at most one of ten: try it.",
        number(place));
  }

  private String doubtedWords(int place) {
    return Phrase.of(
        "%s locked, and %s held: one of the two is not what it seemed. Drive the lower one again before going on.",
        number(place), Measure.GAIN.number(highestThatHeld(), UnitSystem.METRIC));
  }

  private String tellingWords(int next) {
    return Phrase.of(
        "A stop here locks in %.0f of 100 by what is known, and tells most.",
        100 * belief.locks(next));
  }

  private double mark(int place) {
    return curve.marks()[place];
  }

  private String number(int place) {
    return Measure.GAIN.number(
        curve.marks()[Math.min(place, curve.marksCount() - 1)], UnitSystem.METRIC);
  }

  private GainAdvice advice(GainAdvice.Act act, double gain, String reason) {
    return new GainAdvice(act, gain, highestThatHeld(), lowestThatLocked(), reason, chances());
  }

  private List<GainAdvice.Chance> chances() {
    return IntStream.range(0, curve.marksCount())
        .mapToObj(i -> new GainAdvice.Chance(mark(i), belief.locks(i)))
        .toList();
  }

  private double highestThatHeld() {
    return stops.stream()
        .filter(stop -> !stop.outcome().locked())
        .mapToDouble(GainStop::gain)
        .max()
        .orElse(Double.NaN);
  }

  private double lowestThatLocked() {
    return stops.stream()
        .filter(stop -> stop.outcome().locked())
        .mapToDouble(GainStop::gain)
        .min()
        .orElse(Double.NaN);
  }
}
