package org.jexel.core.diagnosis;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jexel.core.check.Alone;
import org.jexel.core.check.Check;
import org.jexel.core.check.Round;
import org.jexel.core.quantity.Measure;

/**
 * The check with the greatest expected drop of entropy for each minute, minutes for moving included
 * (Lindley, "On a measure of the information provided by an experiment", Annals of Mathematical
 * Statistics 27, 1956).
 */
final class NextCheck {
  /** A check that would tell less than this is not worth a walk, bit. */
  private static final double LEAST_GAIN = 0.003;

  private static final double MOVING = 0.5;

  /**
   * Whatever is read, a state is set, held and typed, min. Without it a row of cheap checks that
   * tell next to nothing came before one walk under the trailer that settles it.
   */
  private static final double ATTENTION = 4;

  /** A question sets no state, and holds nothing: it is put, and the answer typed. */
  private static final double A_QUESTION = 2;

  /** What slips of the eye leave of a round's worth. */
  private static final double WORDS_TRUE = 0.9;

  /**
   * What drivers leave of what they are asked: the information in their word, by the shares of
   * {@link Likelihood} where three of ten faults come and go, 0.30 of 0.88 bit.
   */
  private static final double TOLD_TRUE = 0.34;

  private final List<Check> checks;
  private final Set<Integer> closed;
  private final String standing;
  private final List<Row> rows;
  private final double[] shares;

  /** How probable it is that the rig is sound. */
  private final double sound;

  private final boolean alone;
  private final Predicate<Check> offered;

  /**
   * @param rows most probable first
   * @param shares their probabilities
   * @param closed places of what has been read and is not worth another look
   * @param standing the place where the last reading was taken
   * @param alone whether nobody else can hold pedal or lever
   * @param offered what may be asked for by now
   */
  NextCheck(
      List<Check> checks,
      List<Row> rows,
      double[] shares,
      Set<Integer> closed,
      String standing,
      boolean alone,
      Predicate<Check> offered) {
    this.alone = alone;
    this.offered = offered;
    this.checks = checks;
    this.rows = rows;
    this.shares = shares;
    this.closed = closed;
    this.standing = standing;
    this.sound =
        IntStream.range(0, shares.length)
            .filter(h -> rows.get(h).hypothesis().healthy())
            .mapToDouble(h -> shares[h])
            .sum();
  }

  Optional<Diagnosis.Next> choose(List<Row> leaders) {
    Diagnosis.Next best = null;
    for (List<Integer> round : rounds()) {
      if (closed.isEmpty() && checks.get(round.get(0)).group() == Check.Group.SUPPLY) {
        // One minute settles it, and every other expected value starts from this one.
        return Optional.of(next(round, gain(round), leaders));
      }
    }
    for (List<Integer> round : rounds()) {
      double gain = gain(round);
      Diagnosis.Next next = next(round, gain, leaders);
      if (gain > LEAST_GAIN && (best == null || worth(next) > worth(best))) {
        best = next;
      }
    }
    return Optional.ofNullable(best);
  }

  /** One check by itself, whatever it tells. */
  Diagnosis.Next of(int place, List<Row> leaders) {
    return next(List.of(place), gain(List.of(place)), leaders);
  }

  private Diagnosis.Next next(List<Integer> round, double gain, List<Row> leaders) {
    Round taken = new Round(round.stream().map(checks::get).toList());
    double effort = alone ? Alone.minutes(taken) : taken.minutes();
    double minutes = effort + (taken.first().place().equals(standing) ? 0 : MOVING);
    return new Diagnosis.Next(taken.checks(), gain, minutes, between(round, leaders));
  }

  /** By the minute; what the proof of a sound rig will ask for anyhow costs so much less now. */
  private double worth(Diagnosis.Next next) {
    boolean asked = isAsked(next.first());
    double owed =
        !asked && next.checks().stream().allMatch(c -> isAsked(c) || c.proves()) ? sound : 0;
    double attention = asked ? A_QUESTION : ATTENTION;
    return next.gain() / (next.minutes() * (1 - owed) + attention);
  }

  /** What can still be taken: places of the checks of each round, or of each walk. */
  private Collection<List<Integer>> rounds() {
    Map<String, List<Integer>> rounds = new LinkedHashMap<>();
    for (int c = 0; c < checks.size(); c++) {
      if (!closed.contains(c) && offered.test(checks.get(c))) {
        rounds.computeIfAbsent(trip(checks.get(c)), r -> new ArrayList<>()).add(c);
      }
    }
    return rounds.values();
  }

  /** Nobody calls out to an empty cab: one prop there holds for all that is read in its state. */
  private String trip(Check check) {
    return alone && Alone.needsHelper(check)
        ? check.walk() + " " + check.probing().setup()
        : check.walk();
  }

  /** The leading group and the first that this round tells from it. */
  private List<Hypothesis> between(List<Integer> round, List<Row> leaders) {
    List<Hypothesis> two = new ArrayList<>();
    if (leaders.size() > 1) {
      Row first = leaders.get(0);
      two.add(first.hypothesis());
      leaders.stream()
          .skip(1)
          .filter(other -> apart(first, other, round))
          .findFirst()
          .ifPresent(other -> two.add(other.hypothesis()));
    }
    return List.copyOf(two);
  }

  /** Of whoever drives it; nobody reads anything. */
  private static boolean isAsked(Check check) {
    return check.measure() == Measure.COMING;
  }

  /** What a round would tell; a driver's word in it is worth less than what is read beside it. */
  private double gain(List<Integer> round) {
    Map<Boolean, List<Integer>> apart =
        round.stream().collect(Collectors.partitioningBy(c -> isAsked(checks.get(c))));
    return apart.values().stream().mapToDouble(part -> part.isEmpty() ? 0 : heaped(part)).sum();
  }

  /**
   * What checks of one kind would tell. Their readings fall into heaps that it tells apart; their
   * entropy is what is learnt. A heap is held together by its most probable member, so that a vague
   * hypothesis joins no two.
   */
  private double heaped(List<Integer> round) {
    List<Row> leaders = new ArrayList<>();
    List<Double> heaps = new ArrayList<>();
    for (int i = 0; i < rows.size(); i++) {
      int at = 0;
      while (at < leaders.size() && apart(leaders.get(at), rows.get(i), round)) {
        at++;
      }
      if (at == leaders.size()) {
        leaders.add(rows.get(i));
        heaps.add(shares[i]);
      } else {
        heaps.set(at, heaps.get(at) + shares[i]);
      }
    }
    return trust(checks.get(round.get(0)).measure()) * entropy(heaps);
  }

  private static double trust(Measure measure) {
    return measure == Measure.COMING ? TOLD_TRUE : measure.words().isEmpty() ? 1 : WORDS_TRUE;
  }

  private boolean apart(Row one, Row two, List<Integer> round) {
    for (int c : round) {
      if (one.apart(two, checks.get(c), c)) {
        return true;
      }
    }
    return false;
  }

  /** Of shares that need not sum to 1, bit. */
  private static double entropy(Collection<Double> shares) {
    double sum = shares.stream().mapToDouble(Double::doubleValue).sum();
    double bits = 0;
    for (double share : shares) {
      if (share > 0) {
        bits -= share / sum * Math.log(share / sum) / Math.log(2);
      }
    }
    return bits;
  }
}
