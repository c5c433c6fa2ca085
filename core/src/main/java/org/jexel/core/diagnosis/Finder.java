package org.jexel.core.diagnosis;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import org.jexel.core.check.Check;
import org.jexel.core.network.FaultFamily;
import org.jexel.core.quantity.Must;

/** One search: posterior ∝ weight · Π likelihood over the singles and the pairs worth weighing. */
final class Finder {
  /** Hypotheses below this probability neither choose the next check nor are told. */
  private static final double WORTH = 2e-5;

  /** Readings that are so many times likelier under a fault than on a sound rig speak for it. */
  private static final double SPEAKS_FOR = 20;

  /** So many rigs in a hundred have something that is on no list. */
  private static final double UNLISTED = 0.02;

  /** Logarithm of how far below the best a row may stand and still be weighed again. */
  private static final double WITHIN_REACH = 30;

  private final Predicted predicted;
  private final Readings readings;
  private final Doubts doubts;
  private final boolean alone;

  /** That it is something which is not on the list. */
  private double unlisted;

  /** Most probable first, and the share of each in all that is listed. */
  private final List<Row> rows = new ArrayList<>();

  private double[] shares = {};

  /** Place of the sound rig's row; −1 where it is too improbable to be weighed. */
  private int sound = -1;

  private final Map<FaultFamily, List<Integer>> withFamily = new HashMap<>();
  private final Map<String, BitSet> mendedAt = new HashMap<>();

  Finder(Predicted predicted, List<Diagnosis.Seen> readings, boolean alone) {
    this.readings = new Readings(predicted, readings);
    this.predicted = new Finer(predicted, this.readings).predicted();
    this.doubts = new Doubts(this.predicted, this.readings);
    this.alone = alone;
  }

  Diagnosis find() {
    List<Row> all = new ArrayList<>(predicted.singles());
    if (!readings.places().isEmpty()) {
      all.addAll(new Company(predicted, readings.byPlace()).pairs());
    }
    weigh(all);
    List<List<Integer>> groups =
        new Alike(predicted.checks()).groups(rows, this::share, this::spokenFor);
    List<Diagnosis.Group> told = groups.stream().map(this::told).toList();
    List<Row> leaders = groups.stream().map(group -> rows.get(group.get(0))).toList();
    Offered offered = new Offered(predicted, readings.byPlace(), wheelsAreSuspect());
    boolean explained = doubts.explainedBy(leaders.get(0));
    boolean fits = explained && unlisted < told.get(0).present();
    List<Check> doubtful = doubtful(all, leaders.get(0), explained);
    Set<Integer> closed = new HashSet<>(readings.places());
    doubts.slips(leaders.get(0)).forEach(closed::remove);
    doubts.wentOutOnce().forEach(closed::remove);
    NextCheck next =
        new NextCheck(
            predicted.checks(), rows, shares, closed, readings.standing(), alone, offered);
    // What is odd is settled first where nothing else is left to settle it.
    Optional<Diagnosis.Next> again =
        doubts.odd(doubtful).stream().findFirst().map(place -> next.of(place, leaders));
    return new Diagnosis(
        told, fits, unlisted, doubtful, again.isPresent() ? again : next.choose(leaders));
  }

  private List<Check> doubtful(List<Row> all, Row leader, boolean explained) {
    if (!explained) {
      return doubts.doubtful(all);
    }
    boolean sound = leader.hypothesis().healthy() && readings.proofIsRead();
    return sound ? doubts.failingUnder(leader) : List.of();
  }

  /** Whether a reading speaks for something at a wheel. */
  private boolean wheelsAreSuspect() {
    return IntStream.range(0, rows.size())
        .filter(h -> rows.get(h).hypothesis().isMechanical())
        .anyMatch(this::spokenFor);
  }

  /** Bayes; keeps what is worth keeping, most probable first. */
  private void weigh(List<Row> all) {
    double[] log = new double[all.size()];
    double most = Double.NEGATIVE_INFINITY;
    for (int h = 0; h < log.length; h++) {
      Row row = all.get(h);
      log[h] = Math.log(row.hypothesis().weight()) + readings.log(row);
      most = Math.max(most, log[h]);
    }
    most = together(all, log, most);
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
    sound = rows.indexOf(predicted.healthy());
  }

  /** Weighs as one what is read of the same parts, of rows that may come near the top by it. */
  private double together(List<Row> all, double[] log, double most) {
    double greatest = Double.NEGATIVE_INFINITY;
    for (int h = 0; h < log.length; h++) {
      log[h] += log[h] > most - WITHIN_REACH ? readings.logOfShared(all.get(h)) : 0;
      greatest = Math.max(greatest, log[h]);
    }
    return greatest;
  }

  /** Logarithm of the weight of a fault that nobody has listed, by what has been read. */
  private double somethingElse(List<Row> all) {
    Row healthy = all.get(0);
    double weights =
        predicted.singles().stream().mapToDouble(row -> row.hypothesis().weight()).sum();
    double log = Math.log(UNLISTED * weights);
    for (int place : readings.places()) {
      Check check = predicted.checks().get(place);
      log += Likelihood.logOfAnything(check, readings.log(healthy, place));
    }
    return log;
  }

  private double share(List<Integer> group) {
    return group.stream().mapToDouble(h -> shares[h]).sum();
  }

  private Diagnosis.Group told(List<Integer> group) {
    Row first = rows.get(group.get(0));
    Row healthy = predicted.healthy();
    BitSet present = present(group);
    return new Diagnosis.Group(
        group.stream().map(h -> rows.get(h).hypothesis()).toList(),
        (1 - unlisted) * share(group),
        (1 - unlisted) * share(present),
        (1 - unlisted) * share(atOnePlace(group, present)),
        titles(p -> !doubts.against(first, p) && doubts.against(healthy, p)),
        titles(p -> doubts.against(first, p)),
        readings.prove());
  }

  private double share(BitSet some) {
    return some.stream().mapToDouble(h -> shares[h]).sum();
  }

  /** These, and all that is mended where one of the group's is: the same tool goes there. */
  private BitSet atOnePlace(List<Integer> group, BitSet present) {
    BitSet here = (BitSet) present.clone();
    group.stream()
        .flatMap(h -> rows.get(h).hypothesis().opened().stream())
        .forEach(place -> here.or(Must.have(mendedAt(), place)));
    return here;
  }

  /**
   * Rows in which what the group's hypotheses share is there, with company or without. A sound rig
   * is one that the proof finds sound: what no check of the proof would tell from it, such as a
   * joint of one magnet that is a little poor, counts with it, unless something that was read
   * speaks for it.
   */
  private BitSet present(List<Integer> group) {
    Hypothesis leading = rows.get(group.get(0)).hypothesis();
    BitSet named = new BitSet(rows.size());
    group.forEach(named::set);
    if (leading.healthy()) {
      for (int h = 0; h < rows.size(); h++) {
        if (!spokenFor(h) && !shownByTheProof(rows.get(h))) {
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
    return named;
  }

  /** What the readings say for a row, whatever was thought of it before; against other rows. */
  private double evidence(int h) {
    return shares[h] / rows.get(h).hypothesis().weight();
  }

  /** Whether the readings speak for a row, against a sound rig. */
  private boolean spokenFor(int h) {
    return sound < 0 || evidence(h) >= SPEAKS_FOR * evidence(sound);
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

  /** Places of the rows that are mended where something is opened. */
  private Map<String, BitSet> mendedAt() {
    if (mendedAt.isEmpty()) {
      for (int h = 0; h < rows.size(); h++) {
        for (String place : rows.get(h).hypothesis().opened()) {
          mendedAt.computeIfAbsent(place, p -> new BitSet()).set(h);
        }
      }
    }
    return mendedAt;
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
    return readings.places().stream()
        .filter(which::test)
        .map(place -> predicted.checks().get(place).title())
        .distinct()
        .toList();
  }
}
