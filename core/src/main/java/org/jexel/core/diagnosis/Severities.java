package org.jexel.core.diagnosis;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.function.BiPredicate;
import java.util.function.Function;
import java.util.stream.IntStream;
import org.jexel.core.network.Fault;

/**
 * One fault in all its severities: what each makes every check read, and how far it may lie from
 * that, since the true one lies somewhere between two of them.
 */
final class Severities {
  /** Fewer chafes are solved one by one. */
  private static final int LEAST = 3;

  /** Of what a fault changes, at most this share is open: a fault is told from none. */
  private static final double MOST_OPEN = 0.5;

  private static final double HALF_WAY = 0.5;

  /** Where a fuse stands between it and its neighbours, how far a reading may be off. */
  private static final double ACROSS_A_FUSE = 0.3;

  private final List<Hypothesis> known = new ArrayList<>();
  private final List<double[]> means = new ArrayList<>();
  private final double[] healthy;
  private final List<Hypothesis> severities;
  private final Function<Hypothesis, Optional<double[]>> predict;
  private final BiPredicate<double[], double[]> alike;

  /** Where a fuse stands between each and the next. */
  private final List<BitSet> jumps = new ArrayList<>();

  /** By severity; empty where no rig can stand so. */
  private final List<Optional<double[]>> solved;

  /** Which readings a fuse makes one thing or the other: it is whole in one, blown in the other. */
  interface Jump {
    BitSet between(double[] one, double[] two);
  }

  /**
   * @param severities of one fault, from one end of its range to the other
   * @param healthy what every check reads on a sound rig
   * @param predict what every check reads with one of them; empty where no rig can stand so
   * @param alike whether all that is read, but for ohms, is nearly the same
   * @param jump where a fuse stands between two of them, by what all checks read
   */
  Severities(
      List<Hypothesis> severities,
      double[] healthy,
      Function<Hypothesis, Optional<double[]>> predict,
      BiPredicate<double[], double[]> alike,
      Jump jump) {
    this.healthy = healthy;
    this.predict = predict;
    this.alike = alike;
    this.severities = severities;
    this.solved = new ArrayList<>(Collections.nCopies(severities.size(), Optional.empty()));
    int last = severities.size() - 1;
    if (last + 1 >= LEAST && all(Fault.Kind.SHORT)) {
      solve(0);
      solve(last);
      halve(0, last);
    } else {
      IntStream.rangeClosed(0, last).forEach(this::solve);
    }
    for (int i = 0; i <= last; i++) {
      if (solved.get(i).isPresent()) {
        known.add(severities.get(i));
        means.add(solved.get(i).get());
      }
    }
    for (int i = 1; i < means.size(); i++) {
      jumps.add(jump.between(means.get(i - 1), means.get(i)));
    }
  }

  private void solve(int i) {
    solved.set(i, predict.apply(severities.get(i)));
  }

  private boolean all(Fault.Kind kind) {
    return severities.stream().allMatch(severity -> fault(severity).kind() == kind);
  }

  private double amount(int i) {
    return fault(severities.get(i)).amount();
  }

  /**
   * A chafe blows its fuse up to some ohms, and then reads the same however good it is, but for its
   * ohms: what lies between two that read alike reads alike.
   */
  private void halve(int from, int to) {
    if (to - from < 2) {
      return;
    }
    Optional<double[]> one = solved.get(from);
    Optional<double[]> two = solved.get(to);
    if (one.isPresent() && two.isPresent() && alike.test(one.get(), two.get())) {
      for (int i = from + 1; i < to; i++) {
        double share = (amount(i) - amount(from)) / (amount(to) - amount(from));
        double[] between = new double[healthy.length];
        for (int c = 0; c < between.length; c++) {
          between[c] = one.get()[c] + share * (two.get()[c] - one.get()[c]);
        }
        solved.set(i, Optional.of(between));
      }
    } else {
      int middle = (from + to) / 2;
      solve(middle);
      halve(from, middle);
      halve(middle, to);
    }
  }

  /** Of those that can be. */
  int size() {
    return known.size();
  }

  Hypothesis hypothesis(int i) {
    return known.get(i);
  }

  double[] means(int i) {
    return means.get(i);
  }

  /**
   * How far a reading may lie from this severity's: half of the way to the nearer neighbour. What a
   * fuse makes of it is one thing or the other, and nothing between; beside one it may lie as far
   * the other way as that neighbour, where nobody solved it.
   *
   * @throws IllegalStateException where there is one severity alone
   */
  double spread(int i, int check) {
    if (size() < 2) {
      throw new IllegalStateException("one severity has no neighbour");
    }
    double here = means.get(i)[check];
    double moved = Math.abs(here - healthy[check]);
    double way = Double.POSITIVE_INFINITY;
    double part = HALF_WAY;
    for (int other = i - 1; other <= i + 1; other += 2) {
      if (other < 0 || other >= size()) {
        continue;
      } else if (jumps.get(Math.min(i, other)).get(check)) {
        part = 1;
      } else {
        way = Math.min(way, Math.abs(means.get(other)[check] - here));
      }
    }
    return Double.isInfinite(way)
        ? ACROSS_A_FUSE * Math.min(Math.abs(here), moved)
        : Math.min(part * way, MOST_OPEN * moved);
  }

  /** Hypotheses by what they are, each fault with all its severities in a row. */
  static List<List<Hypothesis>> apart(List<Hypothesis> all) {
    List<List<Hypothesis>> faults = new ArrayList<>();
    for (int from = 0, end = 0; from < all.size(); from = end) {
      end = from + 1;
      while (end < all.size() && all.get(from).isSameFault(all.get(end))) {
        end++;
      }
      faults.add(all.subList(from, end));
    }
    return faults;
  }

  private static Fault fault(Hypothesis hypothesis) {
    return hypothesis.known().get(0).fault();
  }
}
