package org.jexel.core.diagnosis;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jexel.core.check.Check;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Must;

/** Which of what was read does not go together with what a hypothesis predicts. */
final class Doubts {
  /** So many deviations off speak against a hypothesis. */
  private static final double AGAINST = 2;

  /** A reading so many deviations off is not explained. */
  private static final double UNEXPLAINED = 4.5;

  /** Doubtful readings that are told. */
  private static final int DOUBTFUL = 3;

  private static final int WORDS_A_SLIP = 20;

  private final Predicted predicted;
  private final Readings readings;
  private final Map<Integer, Reading> seen;

  Doubts(Predicted predicted, Readings readings) {
    this.predicted = predicted;
    this.readings = readings;
    this.seen = readings.byPlace();
  }

  private double off(Row row, int place) {
    return row.off(predicted.checks().get(place), place, Must.have(seen, place).value());
  }

  boolean against(Row row, int place) {
    return off(row, place) >= AGAINST;
  }

  /**
   * Every figure within reach, and no more slips of the eye than one and one in twenty; what was
   * said twice is none.
   */
  boolean explainedBy(Row row) {
    int words = 0;
    int slips = 0;
    for (int place : seen.keySet()) {
      double off = off(row, place);
      boolean word = readings.isWord(place);
      if (off >= UNEXPLAINED || word && off >= AGAINST && Must.have(seen, place).times() > 1) {
        return false;
      }
      if (word) {
        words++;
        slips += off >= AGAINST ? 1 : 0;
      }
    }
    return slips <= 1 + words / WORDS_A_SLIP;
  }

  /** What fails, was read once, and is a slip if this is so: worth another look. */
  List<Integer> slips(Row row) {
    return odd(failingUnder(row));
  }

  /**
   * What went out under a hand once: to see it again costs little, and nobody imagines it twice.
   */
  List<Integer> wentOutOnce() {
    return odd(
        seen.keySet().stream()
            .map(place -> predicted.checks().get(place))
            .filter(check -> check.measure() == Measure.MOVING)
            .toList());
  }

  /** Of these, what fails on its band and was read once: to read again what holds tells nothing. */
  List<Integer> odd(List<Check> checks) {
    return checks.stream()
        .map(check -> predicted.place(check.id()))
        .filter(place -> Must.have(seen, place).fails() && Must.have(seen, place).times() == 1)
        .toList();
  }

  /** What fails on its band and is not explained. */
  List<Check> failingUnder(Row row) {
    return seen.keySet().stream()
        .filter(place -> Must.have(seen, place).fails() && against(row, place))
        .map(place -> predicted.checks().get(place))
        .toList();
  }

  /** Readings each of which is the only one that some hypothesis leaves unexplained. */
  List<Check> doubtful(List<Row> all) {
    Map<Integer, Double> freed = new HashMap<>();
    for (Row row : all) {
      List<Integer> unexplained =
          seen.keySet().stream().filter(place -> off(row, place) >= bound(place)).toList();
      if (unexplained.size() == 1) {
        double rest = Math.log(row.hypothesis().weight());
        for (int place : seen.keySet()) {
          rest += place == unexplained.get(0) ? 0 : readings.log(row, place);
        }
        freed.merge(unexplained.get(0), rest, Math::max);
      }
    }
    return freed.keySet().stream()
        .sorted(Comparator.comparingDouble((Integer place) -> -Must.have(freed, place)))
        .limit(DOUBTFUL)
        .map(place -> predicted.checks().get(place))
        .toList();
  }

  /** A figure has its reach; of words the neighbouring one is off already. */
  private double bound(int place) {
    return readings.isWord(place) ? AGAINST : UNEXPLAINED;
  }
}
