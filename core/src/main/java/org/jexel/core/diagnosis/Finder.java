package org.jexel.core.diagnosis;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import org.jexel.core.check.Check;
import org.jexel.core.network.FaultFamily;
import org.jexel.core.quantity.Must;

/** One search: posterior ∝ weight · Π likelihood over the singles and the pairs worth weighing. */
final class Finder {
  /** Hypotheses below this probability neither choose the next check nor are told. */
  private static final double WORTH = 2e-5;

  /** A reading so many deviations off is not explained. */
  private static final double UNEXPLAINED = 4.5;

  /** So many deviations off speak against a hypothesis. */
  private static final double AGAINST = 2;

  /** Doubtful readings that are told. */
  private static final int DOUBTFUL = 3;

  private static final int WORDS_A_SLIP = 20;

  /** Readings that are so many times likelier under a fault than on a sound rig speak for it. */
  private static final double SPEAKS_FOR = 20;

  /** So many rigs in a hundred have something that is on no list. */
  private static final double UNLISTED = 0.02;

  private final Predicted predicted;
  private final Map<Integer, Double> seen = new LinkedHashMap<>();
  private final boolean alone;
  private final boolean proved;
  private String standing = "";

  /** That it is something which is not on the list. */
  private double unlisted;

  /** Most probable first, and the share of each in all that is listed. */
  private final List<Row> rows = new ArrayList<>();

  private double[] shares = {};

  private final Map<FaultFamily, List<Integer>> withFamily = new HashMap<>();

  Finder(Predicted predicted, List<Diagnosis.Seen> readings, boolean alone) {
    this.alone = alone;
    this.predicted = predicted;
    for (Diagnosis.Seen reading : readings) {
      int place = predicted.place(reading.check());
      if (place >= 0) {
        Check check = predicted.checks().get(place);
        seen.put(place, Predictions.seen(check, reading.value()));
        standing = check.place();
      }
    }
    List<Check> proof = predicted.checks().stream().filter(Check::proves).toList();
    // Where nothing is asked, nothing is proved.
    this.proved =
        !proof.isEmpty() && proof.stream().allMatch(c -> seen.containsKey(predicted.place(c.id())));
  }

  Diagnosis find() {
    List<Row> all = new ArrayList<>(predicted.singles());
    if (!seen.isEmpty()) {
      all.addAll(new Company(predicted, seen).pairs());
    }
    weigh(all);
    List<List<Integer>> groups = Alike.groups(rows, predicted.checks(), this::share);
    List<Diagnosis.Group> told = groups.stream().map(this::told).toList();
    List<Row> leaders = groups.stream().map(group -> rows.get(group.get(0))).toList();
    Offered offered = new Offered(predicted, seen, wheelsAreSuspect());
    NextCheck next =
        new NextCheck(predicted.checks(), rows, shares, seen.keySet(), standing, alone, offered);
    boolean explained = explains(leaders.get(0));
    boolean fits = explained && unlisted < told.get(0).present();
    List<Check> doubtful = explained ? List.of() : doubtful(all);
    return new Diagnosis(told, fits, unlisted, doubtful, next.choose(leaders));
  }

  /** Whether a reading speaks for something at a wheel. */
  private boolean wheelsAreSuspect() {
    int healthy = rows.indexOf(predicted.healthy());
    return IntStream.range(0, rows.size())
        .filter(h -> rows.get(h).hypothesis().isMechanical())
        .anyMatch(h -> healthy < 0 || evidence(h) > SPEAKS_FOR * evidence(healthy));
  }

  /** Readings each of which is the only one that some hypothesis leaves unexplained. */
  private List<Check> doubtful(List<Row> all) {
    Map<Integer, Double> freed = new HashMap<>();
    for (Row row : all) {
      List<Integer> unexplained =
          seen.keySet().stream().filter(place -> off(row, place) >= bound(place)).toList();
      if (unexplained.size() == 1) {
        double rest = Math.log(row.hypothesis().weight());
        for (int place : seen.keySet()) {
          rest += place == unexplained.get(0) ? 0 : log(row, place);
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
    return predicted.checks().get(place).measure().words().isEmpty() ? UNEXPLAINED : AGAINST;
  }

  private double log(Row row, int place) {
    return row.log(predicted.checks().get(place), place, Must.have(seen, place));
  }

  /** Bayes; keeps what is worth keeping, most probable first. */
  private void weigh(List<Row> all) {
    double[] log = new double[all.size()];
    double most = Double.NEGATIVE_INFINITY;
    for (int h = 0; h < log.length; h++) {
      Row row = all.get(h);
      log[h] = Math.log(row.hypothesis().weight());
      for (int place : seen.keySet()) {
        log[h] += log(row, place);
      }
      most = Math.max(most, log[h]);
    }
    double listed = 0;
    for (int h = 0; h < log.length; h++) {
      log[h] = Math.exp(log[h] - most);
      listed += log[h];
    }
    double other = Math.exp(somethingElse(all) - most);
    unlisted = Double.isInfinite(other) ? 1 : other / (listed + other);
    List<Integer> order = new ArrayList<>();
    for (int h = 0; h < log.length; h++) {
      log[h] /= listed;
      if (log[h] > WORTH) {
        order.add(h);
      }
    }
    order.sort(Comparator.comparingDouble((Integer h) -> -log[h]));
    shares = order.stream().mapToDouble(h -> log[h]).toArray();
    order.forEach(h -> rows.add(all.get(h)));
  }

  /** Logarithm of the weight of a fault that nobody has listed, by what has been read. */
  private double somethingElse(List<Row> all) {
    Row healthy = all.get(0);
    double weights =
        predicted.singles().stream().mapToDouble(row -> row.hypothesis().weight()).sum();
    double log = Math.log(UNLISTED * weights);
    for (int place : seen.keySet()) {
      Check check = predicted.checks().get(place);
      log += Likelihood.logOfAnything(check, log(healthy, place));
    }
    return log;
  }

  /** Every figure within reach, and no more slips of the eye than one and one in twenty. */
  private boolean explains(Row row) {
    int words = 0;
    int slips = 0;
    for (int place : seen.keySet()) {
      double off = off(row, place);
      if (off >= UNEXPLAINED) {
        return false;
      }
      if (!predicted.checks().get(place).measure().words().isEmpty()) {
        words++;
        slips += off >= AGAINST ? 1 : 0;
      }
    }
    return slips <= 1 + words / WORDS_A_SLIP;
  }

  private double off(Row row, int place) {
    return row.off(predicted.checks().get(place), place, Must.have(seen, place));
  }

  private double share(List<Integer> group) {
    return group.stream().mapToDouble(h -> shares[h]).sum();
  }

  private Diagnosis.Group told(List<Integer> group) {
    Row first = rows.get(group.get(0));
    Row healthy = predicted.healthy();
    return new Diagnosis.Group(
        group.stream().map(h -> rows.get(h).hypothesis()).toList(),
        (1 - unlisted) * share(group),
        (1 - unlisted) * present(group),
        titles(p -> off(first, p) < AGAINST && off(healthy, p) >= AGAINST),
        titles(p -> off(first, p) >= AGAINST),
        proved);
  }

  /**
   * How sure it is that what the group's hypotheses share is there, with company or without. A
   * sound rig is one that the proof finds sound: what no check of the proof would tell from it,
   * such as a joint of one magnet that is a little poor, counts with it, unless something that was
   * read speaks for it.
   */
  private double present(List<Integer> group) {
    Hypothesis leading = rows.get(group.get(0)).hypothesis();
    BitSet named = new BitSet(rows.size());
    group.forEach(named::set);
    if (leading.healthy()) {
      double sound = evidence(group.get(0));
      for (int h = 0; h < rows.size(); h++) {
        if (evidence(h) < SPEAKS_FOR * sound && !shownByTheProof(rows.get(h))) {
          named.set(h);
        }
      }
    } else if (leading.known().size() == 1) {
      group.stream()
          .map(h -> rows.get(h).hypothesis().families())
          .filter(families -> families.size() == 1)
          .flatMap(families -> Must.have(withFamily(), families.get(0)).stream())
          .forEach(named::set);
    }
    return named.stream().mapToDouble(h -> shares[h]).sum();
  }

  /** What the readings say for a row, whatever was thought of it before; against other rows. */
  private double evidence(int h) {
    return shares[h] / rows.get(h).hypothesis().weight();
  }

  /** Places of the rows in which a family stands, alone or in company. */
  private Map<FaultFamily, List<Integer>> withFamily() {
    if (withFamily.isEmpty()) {
      for (int h = 0; h < rows.size(); h++) {
        for (FaultFamily family : rows.get(h).hypothesis().families()) {
          withFamily.computeIfAbsent(family, f -> new ArrayList<>()).add(h);
        }
      }
    }
    return withFamily;
  }

  private boolean shownByTheProof(Row row) {
    Row healthy = predicted.healthy();
    for (int c = 0; c < predicted.checks().size(); c++) {
      Check check = predicted.checks().get(c);
      if (check.proves() && row.apart(healthy, check, c)) {
        return true;
      }
    }
    return false;
  }

  private List<String> titles(IntPredicate which) {
    return seen.keySet().stream()
        .filter(which::test)
        .map(place -> predicted.checks().get(place).title())
        .distinct()
        .toList();
  }
}
