package org.jexel.core.diagnosis;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jexel.core.check.Check;
import org.jexel.core.network.FaultFamily;

/**
 * Two faults at once. Every single that explains a part of the readings is weighed with every
 * other: first by what each does alone, which costs no solution, then solved for whatever comes
 * near the top. So the second fault that nothing has shown yet has its small share as well, and the
 * next check can look for it.
 */
final class Company {
  /** Singles that explain most, to be paired with all others. */
  private static final int LEADERS = 16;

  /** Pairs that are kept. */
  private static final int KEPT = 1500;

  /** Pairs near the top that are solved in one round. */
  private static final int SOLVED = 24;

  private static final int ROUNDS = 4;

  /** So many rigs with a fault have a second one, against those that have one. */
  private static final double BOTH = 0.2;

  private final Predicted predicted;
  private final List<Row> singles;
  private final Row healthy;
  private final int[] places;
  private final Reading[] values;

  /** Log-likelihood of each single for each reading. */
  private final double[][] alone;

  private final boolean[][] touches;
  private final double share;

  /** What each single breaks. */
  private final List<Set<String>> parts;

  /** A pair and how well it does, logarithm. */
  private record Scored(Row row, double score) {}

  private record Candidate(int one, int two, double score) {}

  Company(Predicted predicted, Map<Integer, Reading> seen) {
    this.predicted = predicted;
    this.singles = predicted.singles();
    this.healthy = singles.get(0);
    this.places = seen.keySet().stream().mapToInt(Integer::intValue).toArray();
    this.values = seen.values().toArray(Reading[]::new);
    this.alone = new double[singles.size()][places.length];
    this.touches = new boolean[singles.size()][places.length];
    double weights = 0;
    for (int h = 0; h < singles.size(); h++) {
      Row row = singles.get(h);
      weights += row.hypothesis().weight();
      for (int r = 0; r < places.length; r++) {
        alone[h][r] = log(row, r);
        touches[h][r] = row.touches(healthy, places[r]);
      }
    }
    share = BOTH / weights;
    parts = singles.stream().map(row -> parts(row.hypothesis())).toList();
  }

  private double log(Row row, int reading) {
    int place = places[reading];
    return row.log(check(place), place, values[reading]);
  }

  private Check check(int place) {
    return predicted.checks().get(place);
  }

  /** The pairs worth weighing, those near the top solved. */
  List<Row> pairs() {
    List<Candidate> candidates = new ArrayList<>();
    Set<Long> met = new HashSet<>();
    for (int one : leaders()) {
      for (int two = 1; two < singles.size(); two++) {
        long pair = Math.min(one, two) * (long) singles.size() + Math.max(one, two);
        if (apart(one, two) && met.add(pair)) {
          candidates.add(new Candidate(one, two, score(one, two)));
        }
      }
    }
    candidates.sort(Comparator.comparingDouble(Candidate::score).reversed());
    List<Scored> kept = new ArrayList<>();
    for (Candidate c : candidates.subList(0, Math.min(KEPT, candidates.size()))) {
      Row one = singles.get(c.one());
      Row both = one.with(singles.get(c.two()), healthy, both(c.one(), c.two()));
      kept.add(new Scored(both, c.score()));
    }
    for (int round = 0; round < ROUNDS; round++) {
      if (!solveTheTop(kept)) {
        break;
      }
    }
    return kept.stream().map(Scored::row).toList();
  }

  private Hypothesis both(int one, int two) {
    return singles.get(one).hypothesis().and(singles.get(two).hypothesis(), share);
  }

  /** Solves what is near the top and not solved yet; false if there was nothing. */
  private boolean solveTheTop(List<Scored> kept) {
    boolean any = false;
    for (int i = 0; i < Math.min(SOLVED, kept.size()); i++) {
      Row guessed = kept.get(i).row();
      if (!guessed.solved()) {
        any = true;
        Row solved = predicted.pair(guessed.hypothesis()).orElse(null);
        double score = solved == null ? Double.NEGATIVE_INFINITY : score(solved);
        kept.set(i, new Scored(solved == null ? guessed : solved, score));
      }
    }
    kept.removeIf(scored -> scored.score() == Double.NEGATIVE_INFINITY);
    kept.sort(Comparator.comparingDouble(Scored::score).reversed());
    return any;
  }

  private double score(Row row) {
    double sum = Math.log(row.hypothesis().weight());
    for (int r = 0; r < places.length; r++) {
      sum += log(row, r);
    }
    return sum;
  }

  private double score(int one, int two) {
    Row a = singles.get(one);
    Row b = singles.get(two);
    double sum = Math.log(a.hypothesis().weight() * b.hypothesis().weight() * share);
    for (int r = 0; r < places.length; r++) {
      if (!touches[two][r]) {
        sum += alone[one][r];
      } else if (!touches[one][r]) {
        sum += alone[two][r];
      } else {
        int place = places[r];
        sum +=
            Likelihood.log(
                check(place),
                a.meanWith(b, healthy, place),
                a.deviationWith(b, healthy, place),
                values[r]);
      }
    }
    return sum;
  }

  /** Singles that explain most of what a healthy rig does not, each fault in its best severity. */
  private List<Integer> leaders() {
    double[] partly = new double[singles.size()];
    List<Integer> order = new ArrayList<>();
    for (int h = 1; h < singles.size(); h++) {
      partly[h] = Math.log(singles.get(h).hypothesis().weight());
      for (int r = 0; r < places.length; r++) {
        partly[h] += Math.max(0, alone[h][r] - alone[0][r]);
      }
      order.add(h);
    }
    order.sort(Comparator.comparingDouble((Integer h) -> -partly[h]));
    Set<List<FaultFamily>> families = new HashSet<>();
    List<Integer> leaders = new ArrayList<>();
    for (int h : order) {
      if (leaders.size() < LEADERS && families.add(singles.get(h).hypothesis().families())) {
        leaders.add(h);
      }
    }
    // The one that stands best as a whole, in every severity, has company as well.
    int best = best();
    List<FaultFamily> family = singles.get(best).hypothesis().families();
    for (int h = 1; h < singles.size(); h++) {
      if (singles.get(h).hypothesis().families().equals(family) && !leaders.contains(h)) {
        leaders.add(h);
      }
    }
    return leaders;
  }

  private int best() {
    int best = 0;
    double most = Double.NEGATIVE_INFINITY;
    for (int h = 1; h < singles.size(); h++) {
      double sum = Math.log(singles.get(h).hypothesis().weight());
      for (double log : alone[h]) {
        sum += log;
      }
      if (sum > most) {
        most = sum;
        best = h;
      }
    }
    return best;
  }

  private static Set<String> parts(Hypothesis hypothesis) {
    return hypothesis.faults().stream()
        .flatMap(fault -> fault.parts().stream())
        .collect(Collectors.toSet());
  }

  /** Two faults of one part are one fault. */
  private boolean apart(int one, int two) {
    return one != two && Collections.disjoint(parts.get(one), parts.get(two));
  }
}
