package org.jexel.core.diagnosis;

import java.util.ArrayList;
import java.util.List;

/**
 * Severities between those that are solved for every fault, where they are needed: of each fault
 * that comes near the top one more, half way between the severity that explains the readings best
 * and the better of its neighbours. A diode lamp draws by a curve, and what it is read at lies
 * neither where half nor where twice the ohms would put it; a place is not to be ruled out since
 * its grid is wide there.
 */
final class Finer {
  /** Logarithm of how far below the best a severity may stand whose fault is looked at closer. */
  private static final double NEAR = 12;

  /** Two severities that no reading shows farther apart than this need none between, deviations. */
  private static final double APART = 1;

  /** What is left of a neighbour's weight: the one between takes a quarter of either. */
  private static final double LEFT = 0.75;

  private final Predicted predicted;
  private final Readings readings;
  private final List<Row> singles;

  Finer(Predicted predicted, Readings readings) {
    this.predicted = predicted;
    this.readings = readings;
    this.singles = predicted.singles();
  }

  /** With those severities among the others. */
  Predicted predicted() {
    if (readings.places().isEmpty()) {
      return predicted;
    }
    double[] log = new double[singles.size()];
    double most = Double.NEGATIVE_INFINITY;
    for (int h = 0; h < log.length; h++) {
      Row row = singles.get(h);
      log[h] = Math.log(row.hypothesis().weight()) + readings.log(row);
      most = Math.max(most, log[h]);
    }
    List<Row> finer = new ArrayList<>();
    int from = 0;
    for (List<Hypothesis> fault : Severities.apart(hypotheses())) {
      int end = from + fault.size();
      List<Row> severities = new ArrayList<>(singles.subList(from, end));
      int best = best(log, from, end);
      if (end - from > 1 && log[best] > most - NEAR) {
        int lower = best > from ? best - 1 : best + 1;
        int upper = best + 1 < end ? best + 1 : best - 1;
        int neighbour = log[lower] > log[upper] ? lower : upper;
        add(severities, Math.min(best, neighbour) - from);
      }
      finer.addAll(severities);
      from = end;
    }
    return finer.size() == singles.size() ? predicted : predicted.with(finer);
  }

  private List<Hypothesis> hypotheses() {
    return singles.stream().map(Row::hypothesis).toList();
  }

  private static int best(double[] log, int from, int end) {
    int best = from;
    for (int h = from + 1; h < end; h++) {
      best = log[h] > log[best] ? h : best;
    }
    return best;
  }

  /** The one between a severity and the next, which it takes its weight from. */
  private void add(List<Row> severities, int at) {
    Row one = severities.get(at);
    Row two = severities.get(at + 1);
    if (readings.places().stream().anyMatch(place -> apart(one, two, place))) {
      predicted
          .halfWay(one, two)
          .ifPresent(
              middle -> {
                severities.set(at, one.times(LEFT));
                severities.set(at + 1, two.times(LEFT));
                severities.add(at + 1, middle);
              });
    }
  }

  private static boolean apart(Row one, Row two, int place) {
    double gap = Math.abs(one.means()[place] - two.means()[place]);
    return gap > APART * Math.min(one.deviations()[place], two.deviations()[place]);
  }
}
