package org.jexel.core.diagnosis;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jexel.core.check.Check;

/**
 * The check with the greatest expected drop of entropy for each minute, minutes for moving included
 * (Lindley, "On a measure of the information provided by an experiment", Annals of Mathematical
 * Statistics 27, 1956).
 */
final class NextCheck {
  /** A check that would tell less than this is not worth a walk, bit. */
  private static final double LEAST_GAIN = 0.003;

  private static final double MOVING = 0.5;

  /** What slips of the eye leave of a round's worth. */
  private static final double WORDS_TRUE = 0.9;

  private final List<Check> checks;
  private final Set<Integer> seen;
  private final String standing;
  private final List<Row> rows;
  private final double[] shares;

  /**
   * @param rows most probable first
   * @param shares their probabilities
   * @param seen places of what has been read
   * @param standing the place where the last reading was taken
   */
  NextCheck(
      List<Check> checks, List<Row> rows, double[] shares, Set<Integer> seen, String standing) {
    this.checks = checks;
    this.rows = rows;
    this.shares = shares;
    this.seen = seen;
    this.standing = standing;
  }

  Optional<Diagnosis.Next> choose(List<Row> leaders) {
    Diagnosis.Next best = null;
    for (List<Integer> round : rounds()) {
      Check first = checks.get(round.get(0));
      double gain = first.measure().words().isEmpty() ? ofNumber(round.get(0)) : ofWords(round);
      double minutes = first.minutes() + (first.place().equals(standing) ? 0 : MOVING);
      if (gain > LEAST_GAIN && (best == null || gain / minutes > best.gain() / best.minutes())) {
        best =
            new Diagnosis.Next(
                round.stream().map(checks::get).toList(), gain, minutes, between(round, leaders));
      }
    }
    return Optional.ofNullable(best);
  }

  /** What can still be taken: places of the checks of each round. */
  private Collection<List<Integer>> rounds() {
    Map<String, List<Integer>> rounds = new LinkedHashMap<>();
    for (int c = 0; c < checks.size(); c++) {
      if (!seen.contains(c)) {
        rounds.computeIfAbsent(checks.get(c).round(), r -> new ArrayList<>()).add(c);
      }
    }
    return rounds.values();
  }

  /** Labels of the leading group and the first that this round tells from it. */
  private List<String> between(List<Integer> round, List<Row> leaders) {
    Set<String> labels = new LinkedHashSet<>();
    if (leaders.size() > 1) {
      Row first = leaders.get(0);
      labels.add(first.hypothesis().label());
      leaders.stream()
          .skip(1)
          .filter(other -> round.stream().anyMatch(c -> first.apart(other, checks.get(c), c)))
          .findFirst()
          .ifPresent(other -> labels.add(other.hypothesis().label()));
    }
    return List.copyOf(labels);
  }

  /** Words of a round are nearly sure: what is learnt is which of its patterns it shows. */
  private double ofWords(List<Integer> round) {
    Map<String, Double> patterns = new HashMap<>();
    StringBuilder pattern = new StringBuilder();
    for (int i = 0; i < rows.size(); i++) {
      pattern.setLength(0);
      for (int c : round) {
        pattern.append((char) ('0' + Math.round(rows.get(i).means()[c])));
      }
      patterns.merge(pattern.toString(), shares[i], Double::sum);
    }
    return WORDS_TRUE * entropy(patterns.values());
  }

  /**
   * Readings fall into heaps that one reading tells apart; their entropy is what is learnt. A heap
   * is held together by its most probable member, so that a vague hypothesis joins no two.
   */
  private double ofNumber(int place) {
    Check check = checks.get(place);
    List<Row> leaders = new ArrayList<>();
    List<Double> heaps = new ArrayList<>();
    for (int i = 0; i < rows.size(); i++) {
      int at = 0;
      while (at < leaders.size() && leaders.get(at).apart(rows.get(i), check, place)) {
        at++;
      }
      if (at == leaders.size()) {
        leaders.add(rows.get(i));
        heaps.add(shares[i]);
      } else {
        heaps.set(at, heaps.get(at) + shares[i]);
      }
    }
    return entropy(heaps);
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
