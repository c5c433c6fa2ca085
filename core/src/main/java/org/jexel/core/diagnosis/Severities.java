package org.jexel.core.diagnosis;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.jexel.core.network.Fault;

/**
 * One fault in all its severities: what each makes every check read, and how far it may lie from
 * that, since the true one lies somewhere between two of them.
 *
 * <p>Of a resistance every other severity is solved. In a linear network a resistance u that is put
 * into one branch moves every reading by d(u) = D·u / (u + ρ), with ρ what the branch sees of the
 * rest (Thévenin). Two solved neighbours give D and ρ of each reading, and what lies between them
 * without a solution. Lamps bend that little, since the neighbours are near.
 */
final class Severities {
  /** Fewer are solved one by one. */
  private static final int LEAST = 3;

  private static final double NOTHING = 1e-12;

  /** Of what a fault changes, at most this share is open: a fault is told from none. */
  private static final double MOST_OPEN = 0.5;

  private final List<Hypothesis> known = new ArrayList<>();
  private final List<double[]> means = new ArrayList<>();
  private final double[] healthy;

  /**
   * @param severities of one fault, from one end of its range to the other
   * @param healthy what every check reads on a sound rig
   * @param predict what every check reads with one of them; empty where no rig can stand so
   */
  Severities(
      List<Hypothesis> severities,
      double[] healthy,
      Function<Hypothesis, Optional<double[]>> predict) {
    this.healthy = healthy;
    int all = severities.size();
    boolean between = all >= LEAST && severities.stream().allMatch(Severities::addsOhms);
    List<Optional<double[]>> solved = new ArrayList<>();
    for (int i = 0; i < all; i++) {
      boolean left = between && i % 2 == 1 && i + 1 < all;
      solved.add(left ? Optional.empty() : predict.apply(severities.get(i)));
    }
    for (int i = 0; i < all; i++) {
      Hypothesis own = severities.get(i);
      Optional<double[]> mean = solved.get(i);
      if (between && i % 2 == 1 && i + 1 < all) {
        Optional<double[]> one = solved.get(i - 1);
        Optional<double[]> two = solved.get(i + 1);
        mean =
            one.isPresent() && two.isPresent()
                ? Optional.of(
                    means(
                        fault(own).amount(),
                        fault(severities.get(i - 1)).amount(),
                        one.get(),
                        fault(severities.get(i + 1)).amount(),
                        two.get()))
                : predict.apply(own);
      }
      if (mean.isPresent()) {
        known.add(own);
        means.add(mean.get());
      }
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
   * How far a reading may lie from this severity's: half of the way to the nearer neighbour, since
   * the other may have blown a fuse.
   *
   * @throws IllegalStateException where there is one severity alone
   */
  double spread(int i, int check) {
    if (size() < 2) {
      throw new IllegalStateException("one severity has no neighbour");
    }
    double here = means.get(i)[check];
    double way = 2 * MOST_OPEN * Math.abs(here - healthy[check]);
    for (int other = i - 1; other <= i + 1; other += 2) {
      if (other >= 0 && other < size()) {
        way = Math.min(way, Math.abs(means.get(other)[check] - here));
      }
    }
    return way / 2;
  }

  /** Up to where the hypotheses from this one on are one fault. */
  static int end(List<Hypothesis> all, int from) {
    int end = from + 1;
    while (end < all.size() && together(all.get(from), all.get(end))) {
      end++;
    }
    return end;
  }

  private static boolean together(Hypothesis one, Hypothesis two) {
    if (one.known().size() != 1 || !one.families().equals(two.families())) {
      return false;
    }
    Fault a = fault(one);
    Fault b = fault(two);
    return a.kind() == b.kind() && a.part().equals(b.part()) && a.other().equals(b.other());
  }

  private static Fault fault(Hypothesis hypothesis) {
    return hypothesis.known().get(0).fault();
  }

  private static boolean addsOhms(Hypothesis hypothesis) {
    // A chafe blows its fuse from some severity on, a breakaway pin is live up to one: each of
    // these is solved by itself.
    return fault(hypothesis).kind() == Fault.Kind.OHMS;
  }

  private double[] means(double u, double u1, double[] one, double u2, double[] two) {
    double[] between = new double[healthy.length];
    for (int c = 0; c < between.length; c++) {
      between[c] = healthy[c] + moved(u, u1, one[c] - healthy[c], u2, two[c] - healthy[c]);
    }
    return between;
  }

  /** d(u) through (u₁, d₁) and (u₂, d₂); their middle where no such curve goes through both. */
  static double moved(double u, double u1, double d1, double u2, double d2) {
    double bend = d1 / u1 - d2 / u2;
    if (Math.abs(bend) < NOTHING) {
      return d1 * u / u1;
    }
    double rho = (d2 - d1) / bend;
    return rho > 0 ? d1 * (u1 + rho) / u1 * u / (u + rho) : (d1 + d2) / 2;
  }
}
