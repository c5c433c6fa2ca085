package org.jexel.core.diagnosis;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jexel.core.check.Check;

/**
 * What explains all readings so far, how sure that is, and which check would tell the rest apart.
 *
 * <p>Bayes over the hypotheses: posterior ∝ weight · Π likelihood. Where no single fault explains
 * the readings, pairs of those that explain a part are weighed as well. Hypotheses that no check of
 * this rig can separate stand as one group. The next check is the one with the greatest expected
 * drop of entropy for each minute, minutes for moving included (Lindley, "On a measure of the
 * information provided by an experiment", Annals of Mathematical Statistics 27, 1956).
 *
 * @param groups most probable first; probabilities sum to at most 1
 * @param fits whether the leading one explains every reading; if not, the honest answer is that
 *     nothing known does
 * @param next the check to take now; empty when none would tell more
 */
public record Diagnosis(List<Group> groups, boolean fits, Optional<Next> next) {
  /** Hypotheses below this probability do not choose the next check. */
  private static final double WORTH = 1e-4;

  /** A reading so many deviations off is not explained. */
  private static final double UNEXPLAINED = 4.5;

  /** Singles that pairs are made of. */
  private static final int PAIRED = 24;

  private static final int MOST_FAULTS = 2;

  /** So many rigs with a fault have a second one. */
  private static final double BOTH = 0.08;

  /** From here on a leading fault is asked whether it has company. */
  private static final double LEADS = 0.8;

  private static final double SURE = 0.9;

  private static final int GROUPED = 400;

  /** Means this many joint deviations apart are told apart by one reading. */
  private static final double APART = 2.5;

  /** A check that would tell less than this is not worth a walk, bit. */
  private static final double LEAST_GAIN = 0.02;

  private static final double MOVING = 0.5;

  /** What slips of the eye leave of a round's worth. */
  private static final double WORDS_TRUE = 0.9;

  /**
   * @param check its id
   * @param value SI; for words their place in the measure's list
   */
  public record Seen(String check, double value) {}

  /**
   * Hypotheses that no check can tell apart.
   *
   * @param hypotheses most probable first
   * @param probability of all together
   * @param explains titles of the readings that it explains and a healthy rig does not
   * @param against titles of the readings that speak against it
   */
  public record Group(
      List<Hypothesis> hypotheses,
      double probability,
      List<String> explains,
      List<String> against) {
    public Hypothesis leading() {
      return hypotheses.get(0);
    }

    /** Labels, each once; the leading one with company that nobody would see is left out. */
    public List<String> labels() {
      int faults = Math.max(1, leading().faults().size());
      return hypotheses.stream()
          .filter(h -> h.faults().size() <= faults)
          .map(Hypothesis::label)
          .distinct()
          .toList();
    }

    /** Sure enough to pick up a tool. */
    public boolean sure() {
      return probability > SURE;
    }
  }

  /**
   * @param checks to take: one figure, or every word of one round
   * @param gain expected drop of entropy, bit
   * @param minutes with the way there
   * @param between labels of the two groups that it tells apart best
   */
  public record Next(List<Check> checks, double gain, double minutes, List<String> between) {
    public Check first() {
      return checks.get(0);
    }
  }

  /**
   * @param readings in the order in which they were taken; of one check the last stands
   */
  public static Diagnosis of(Predictions predictions, List<Seen> readings) {
    return new Finder(predictions, readings).find();
  }

  private static final class Finder {
    private final Predictions predictions;
    private final Map<Integer, Double> seen = new LinkedHashMap<>();
    private String standing = "";

    Finder(Predictions predictions, List<Seen> readings) {
      this.predictions = predictions;
      for (Seen reading : readings) {
        int place = predictions.place(reading.check());
        if (place >= 0) {
          Check check = predictions.checks().get(place);
          seen.put(place, Predictions.seen(check, reading.value()));
          standing = check.place();
        }
      }
    }

    Diagnosis find() {
      int singles = predictions.hypotheses().size();
      double[] posterior = posterior();
      int best = best(posterior);
      if (seen.size() > 1) {
        if (!explains(best)) {
          pairs(singles);
        } else if (best > 0 && posterior[best] > LEADS) {
          companions(best);
        }
        posterior = posterior();
        best = best(posterior);
      }
      List<Group> groups = groups(posterior);
      return new Diagnosis(groups, explains(best), next(posterior, groups));
    }

    private double[] posterior() {
      int n = predictions.hypotheses().size();
      double[] log = new double[n];
      double most = Double.NEGATIVE_INFINITY;
      for (int h = 0; h < n; h++) {
        log[h] = Math.log(predictions.hypotheses().get(h).weight());
        for (Map.Entry<Integer, Double> reading : seen.entrySet()) {
          log[h] += Likelihood.log(predictions, h, reading.getKey(), reading.getValue());
        }
        most = Math.max(most, log[h]);
      }
      double sum = 0;
      for (int h = 0; h < n; h++) {
        log[h] = Math.exp(log[h] - most);
        sum += log[h];
      }
      for (int h = 0; h < n; h++) {
        log[h] /= sum;
      }
      return log;
    }

    private static int best(double[] posterior) {
      int best = 0;
      for (int h = 1; h < posterior.length; h++) {
        best = posterior[h] > posterior[best] ? h : best;
      }
      return best;
    }

    private boolean explains(int hypothesis) {
      return seen.entrySet().stream()
          .allMatch(r -> off(hypothesis, r.getKey(), r.getValue()) < UNEXPLAINED);
    }

    private double off(int hypothesis, int place, double value) {
      return Likelihood.off(predictions, hypothesis, place, value);
    }

    /** Pairs of the singles that explain a part of what a healthy rig does not. */
    private void pairs(int singles) {
      List<Integer> order = new ArrayList<>();
      double[] partly = new double[singles];
      Map<String, Integer> bestOfLabel = new HashMap<>();
      for (int h = 1; h < singles; h++) {
        for (Map.Entry<Integer, Double> reading : seen.entrySet()) {
          double own = Likelihood.log(predictions, h, reading.getKey(), reading.getValue());
          double none = Likelihood.log(predictions, 0, reading.getKey(), reading.getValue());
          partly[h] += Math.max(own, none) - none;
        }
        partly[h] += Math.log(predictions.hypotheses().get(h).weight());
        String label = predictions.hypotheses().get(h).label();
        Integer same = bestOfLabel.get(label);
        if (same == null || partly[h] > partly[same]) {
          bestOfLabel.put(label, h);
        }
      }
      order.addAll(bestOfLabel.values());
      order.sort(Comparator.comparingDouble((Integer h) -> -partly[h]));
      List<Integer> chosen = order.subList(0, Math.min(PAIRED, order.size()));
      for (int i = 0; i < chosen.size(); i++) {
        for (int j = i + 1; j < chosen.size(); j++) {
          both(chosen.get(i), chosen.get(j));
        }
      }
    }

    /** The leading fault with every other: what rules a second one out is worth a check as well. */
    private void companions(int leading) {
      List<Hypothesis> known = List.copyOf(predictions.hypotheses());
      Set<String> labels = new HashSet<>(known.get(leading).parts());
      for (int h = 1; h < known.size(); h++) {
        if (known.get(h).faults().size() == 1 && labels.add(known.get(h).label())) {
          both(leading, h);
        }
      }
    }

    private void both(int a, int b) {
      Hypothesis one = predictions.hypotheses().get(a);
      Hypothesis two = predictions.hypotheses().get(b);
      if (one.faults().size() + two.faults().size() <= MOST_FAULTS && apart(one, two)) {
        predictions.pair(one.and(two, BOTH / predictions.weight()));
      }
    }

    private static boolean apart(Hypothesis one, Hypothesis two) {
      Set<String> parts = new HashSet<>();
      return java.util.stream.Stream.of(one, two)
          .flatMap(h -> h.faults().stream())
          .flatMap(f -> java.util.stream.Stream.of(f.part(), f.other()))
          .filter(part -> !part.isEmpty())
          .allMatch(parts::add);
    }

    private List<Group> groups(double[] posterior) {
      List<Integer> order = new ArrayList<>();
      for (int h = 0; h < posterior.length; h++) {
        if (posterior[h] > WORTH) {
          order.add(h);
        }
      }
      order.sort(Comparator.comparingDouble((Integer h) -> -posterior[h]));
      List<Integer> top = order.subList(0, Math.min(GROUPED, order.size()));
      List<List<Integer>> members = new ArrayList<>();
      for (int h : top) {
        members.stream()
            .filter(group -> same(group.get(0), h))
            .findFirst()
            .ifPresentOrElse(group -> group.add(h), () -> members.add(new ArrayList<>(List.of(h))));
      }
      List<Group> groups = new ArrayList<>();
      for (List<Integer> group : members) {
        double sum = group.stream().mapToDouble(h -> posterior[h]).sum();
        int first = group.get(0);
        groups.add(
            new Group(
                group.stream().map(predictions.hypotheses()::get).toList(),
                sum,
                titles(p -> off(first, p, seen.get(p)) < 2 && off(0, p, seen.get(p)) >= 2),
                titles(p -> off(first, p, seen.get(p)) >= 2)));
      }
      groups.sort(Comparator.comparingDouble(Group::probability).reversed());
      return groups;
    }

    private List<String> titles(java.util.function.IntPredicate which) {
      return seen.keySet().stream()
          .filter(which::test)
          .map(place -> predictions.checks().get(place).title())
          .toList();
    }

    /** One fault in two severities, or two that no check can tell apart. */
    private boolean same(int a, int b) {
      if (predictions.hypotheses().get(a).label().equals(predictions.hypotheses().get(b).label())) {
        return true;
      }
      for (int c = 0; c < predictions.checks().size(); c++) {
        if (apart(a, b, c)) {
          return false;
        }
      }
      return true;
    }

    private boolean apart(int a, int b, int check) {
      double gap = Math.abs(predictions.mean(a, check) - predictions.mean(b, check));
      if (!predictions.checks().get(check).measure().words().isEmpty()) {
        return gap >= 1;
      }
      return gap
          > APART * Math.hypot(predictions.deviation(a, check), predictions.deviation(b, check));
    }

    private Optional<Next> next(double[] posterior, List<Group> groups) {
      List<Integer> likely = new ArrayList<>();
      for (int h = 0; h < posterior.length; h++) {
        if (posterior[h] > WORTH) {
          likely.add(h);
        }
      }
      likely.sort(Comparator.comparingDouble((Integer h) -> -posterior[h]));
      Next best = null;
      for (List<Integer> round : rounds()) {
        Check first = predictions.checks().get(round.get(0));
        double gain =
            first.measure().words().isEmpty()
                ? ofNumber(posterior, likely, round.get(0))
                : ofWords(posterior, likely, round);
        double minutes = first.minutes() + (first.place().equals(standing) ? 0 : MOVING);
        if (gain > LEAST_GAIN && (best == null || gain / minutes > best.gain() / best.minutes())) {
          List<Check> checks = round.stream().map(predictions.checks()::get).toList();
          best = new Next(checks, gain, minutes, between(round, groups));
        }
      }
      return Optional.ofNullable(best);
    }

    /** What can still be taken: places of the checks of each round. */
    private Collection<List<Integer>> rounds() {
      Map<String, List<Integer>> rounds = new LinkedHashMap<>();
      for (int c = 0; c < predictions.checks().size(); c++) {
        if (!seen.containsKey(c)) {
          String round = predictions.checks().get(c).round();
          rounds.computeIfAbsent(round, r -> new ArrayList<>()).add(c);
        }
      }
      return rounds.values();
    }

    /** Labels of the leading group and the first that this round tells from it. */
    private List<String> between(List<Integer> round, List<Group> groups) {
      if (groups.size() < 2) {
        return List.of();
      }
      int first = predictions.hypotheses().indexOf(groups.get(0).leading());
      Set<String> labels = new LinkedHashSet<>();
      labels.add(groups.get(0).leading().label());
      for (Group group : groups.subList(1, groups.size())) {
        int other = predictions.hypotheses().indexOf(group.leading());
        if (round.stream().anyMatch(c -> apart(first, other, c))) {
          labels.add(group.leading().label());
          break;
        }
      }
      return List.copyOf(labels);
    }

    /** Words of a round are nearly sure: what is learnt is which of its patterns it shows. */
    private double ofWords(double[] posterior, List<Integer> likely, List<Integer> round) {
      Map<String, Double> patterns = new HashMap<>();
      for (int h : likely) {
        StringBuilder pattern = new StringBuilder();
        for (int c : round) {
          pattern.append((char) ('0' + Math.round(predictions.mean(h, c))));
        }
        patterns.merge(pattern.toString(), posterior[h], Double::sum);
      }
      return WORDS_TRUE
          * entropy(patterns.values().stream().mapToDouble(Double::doubleValue).toArray());
    }

    private static double entropy(double[] weights) {
      double sum = 0;
      for (double weight : weights) {
        sum += weight;
      }
      double bits = 0;
      for (double weight : weights) {
        if (weight > 0) {
          bits -= weight / sum * Math.log(weight / sum) / Math.log(2);
        }
      }
      return bits;
    }

    /**
     * Readings fall into heaps that one reading tells apart; their entropy is what is learnt. A
     * heap is held together by its most probable member, so that a vague hypothesis joins no two.
     */
    private double ofNumber(double[] posterior, List<Integer> byPosterior, int check) {
      List<Integer> leaders = new ArrayList<>();
      List<Double> heaps = new ArrayList<>();
      for (int h : byPosterior) {
        int at = 0;
        while (at < leaders.size() && apart(leaders.get(at), h, check)) {
          at++;
        }
        if (at == leaders.size()) {
          leaders.add(h);
          heaps.add(posterior[h]);
        } else {
          heaps.set(at, heaps.get(at) + posterior[h]);
        }
      }
      return entropy(heaps.stream().mapToDouble(Double::doubleValue).toArray());
    }
  }
}
