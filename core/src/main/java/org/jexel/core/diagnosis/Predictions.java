package org.jexel.core.diagnosis;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jexel.core.check.Check;
import org.jexel.core.check.Meter;
import org.jexel.core.harness.Harness;
import org.jexel.core.network.Fault;
import org.jexel.core.network.KnownFault;
import org.jexel.core.quantity.Measure;
import org.jexel.core.rig.Rig;

/**
 * What every hypothesis says that every check would read: a mean and a standard deviation.
 *
 * <p>Means come from the network with the hypothesis's faults ({@link Means}). The deviation is the
 * band's of the healthy rig (a quarter of its width) scaled with the reading, the meter's own
 * error, and for a graded fault the way to its neighbours.
 *
 * <p>For any number of threads: what is worked out on demand is worked out under its lock once.
 */
public final class Predictions {
  /** Readings of a sound rig that count as none. */
  static final double SMALL = 0.3;

  private static final double HALF = 0.5;

  /** Ohms nearer than this on their scale are both of bare metal, none open or live. */
  private static final double NEAR_OHMS = 0.6;

  /** Words nearer than this on their scale are said alike. */
  private static final double SAME_WORD = 0.2;

  /** Solved pairs that are kept. */
  private static final int MOST_PAIRS = 4000;

  private final List<Check> checks;
  private final Means means;
  private final Shared shared;

  /** Places of what is seen of fuses. */
  private final int[] fuses;

  private final List<Row> singles = new ArrayList<>();

  /** Rows of one fault, by it. */
  private final Map<Fault, Row> listed = new HashMap<>();

  private final Map<Set<Fault>, Optional<Row>> pairs = new HashMap<>();

  /**
   * Rows of severities between two that were solved for all, by their fault: no more than those.
   */
  private final Map<Fault, Optional<Row>> between = new ConcurrentHashMap<>();

  /** Means of the sound rig, and their deviations. */
  private final double[] sound;

  private final double[] soundly;

  private Predictions(List<Check> checks, Means means) {
    this.checks = checks;
    this.means = means;
    this.sound = means.sound();
    this.soundly =
        IntStream.range(0, sound.length)
            .mapToDouble(c -> Deviation.of(checks.get(c), sound[c], sound[c], 0))
            .toArray();
    this.shared = new Shared(checks);
    this.fuses =
        IntStream.range(0, checks.size())
            .filter(c -> checks.get(c).measure() == Measure.FUSE)
            .toArray();
  }

  public static Predictions of(Rig rig, Harness harness, List<Check> checks) {
    return of(rig, harness, checks, Hypothesis.of(rig, harness));
  }

  public static Predictions of(
      Rig rig, Harness harness, List<Check> checks, List<Hypothesis> hypotheses) {
    List<Check> read = List.copyOf(checks);
    Means means = new Means(rig, harness, read);
    Predictions predictions = new Predictions(read, means);
    predictions.solve(hypotheses);
    return predictions;
  }

  /**
   * Every fault in all its severities, on as many cores as there are. Neighbours take about as
   * long, so they are dealt out like cards.
   */
  private void solve(List<Hypothesis> hypotheses) {
    List<List<Hypothesis>> faults = Severities.apart(hypotheses);
    List<Integer> dealt = new ArrayList<>(IntStream.range(0, faults.size()).boxed().toList());
    Collections.shuffle(dealt, new Random(faults.size()));
    Severities[] solved = new Severities[faults.size()];
    dealt.parallelStream()
        .forEach(
            i ->
                solved[i] =
                    new Severities(faults.get(i), sound, means::of, this::alike, this::blownByOne));
    List<Row> rows = Arrays.stream(solved).parallel().flatMap(this::rows).toList();
    rows.forEach(row -> row.hypothesis().faults().forEach(fault -> listed.put(fault, row)));
    singles.addAll(
        rows.parallelStream()
            .map(row -> loose(row.hypothesis()).map(part -> breaking(row, part)).orElse(row))
            .toList());
  }

  private Stream<Row> rows(Severities solved) {
    return IntStream.range(0, solved.size()).mapToObj(i -> row(solved, i));
  }

  private Row row(Severities solved, int i) {
    Hypothesis hypothesis = solved.hypothesis(i);
    double[] mean = solved.means(i);
    return solved.size() > 1
        ? row(hypothesis, mean, check -> solved.spread(i, check))
        : row(hypothesis, mean, check -> graded(hypothesis, check, mean[check]));
  }

  /** Whether only the ohms of what touches would tell the two. */
  private boolean alike(double[] one, double[] two) {
    for (int c = 0; c < one.length; c++) {
      Check check = checks.get(c);
      double gap = Math.abs(one[c] - two[c]);
      boolean word = !check.measure().words().isEmpty();
      boolean ohms = check.measure() == Measure.OHMS;
      double least = ohms ? NEAR_OHMS : word ? SAME_WORD : Meter.error(two[c], check.measure()) / 2;
      if (gap > least) {
        return false;
      }
    }
    return true;
  }

  /** Where a fuse of the vehicle, or the bench lead's, is blown by one and not by the other. */
  private BitSet blownByOne(double[] one, double[] two) {
    BitSet apart = new BitSet(one.length);
    if (IntStream.of(fuses).anyMatch(fuse -> one[fuse] != two[fuse])) {
      apart.set(0, one.length);
    }
    for (int c = 0; c < one.length; c++) {
      Measure measure = checks.get(c).measure();
      if (Likelihood.isBlown(measure, one[c]) != Likelihood.isBlown(measure, two[c])) {
        apart.set(c);
      }
    }
    return apart;
  }

  /** The part that makes and breaks, if that is what is the matter. */
  private static Optional<String> loose(Hypothesis hypothesis) {
    return hypothesis.faults().stream()
        .filter(fault -> fault.kind() == Fault.Kind.LOOSE)
        .map(Fault::part)
        .findFirst();
  }

  /** The same with what is read while the part is off: a fault that stands by itself, or solved. */
  private Row breaking(Row made, String part) {
    Fault off = Fault.of(Fault.Kind.OPEN, part);
    KnownFault open =
        new KnownFault(off, made.hypothesis().families().get(0), OptionalDouble.empty(), 0);
    Hypothesis gone = new Hypothesis(List.of(open), 0);
    Optional<Row> broken =
        Optional.ofNullable(listed.get(off))
            .or(() -> means.of(gone).map(mean -> row(gone, mean, check -> 0)))
            .map(row -> underTheHand(row, made));
    return new Row(
        made.hypothesis(), made.means(), made.deviations(), made.solved(), broken.orElse(null));
  }

  /** While a hand moves it, it makes and breaks, whatever it was at before. */
  private Row underTheHand(Row off, Row made) {
    double[] means = off.means().clone();
    for (int c = 0; c < means.length; c++) {
      Measure measure = checks.get(c).measure();
      if (measure == Measure.MOVING || measure == Measure.COMING) {
        means[c] = made.means()[c];
      }
    }
    return new Row(off.hypothesis(), means, off.deviations(), off.solved());
  }

  /**
   * @param spread how far a graded fault may move each reading to either side
   */
  private Row row(Hypothesis hypothesis, double[] mean, IntToDoubleFunction spread) {
    double[] deviation = new double[mean.length];
    for (int c = 0; c < mean.length; c++) {
      // What a fault does not move it does not spread either.
      deviation[c] =
          mean[c] == sound[c]
              ? soundly[c]
              : Deviation.of(checks.get(c), mean[c], sound[c], spread.applyAsDouble(c));
    }
    return new Row(hypothesis, mean, deviation, true);
  }

  /** Two faults together, solved; remembered, since the next reading will ask again. */
  private synchronized Optional<Row> pair(Hypothesis both) {
    if (pairs.size() > MOST_PAIRS) {
      pairs.clear();
    }
    return pairs.computeIfAbsent(
        new HashSet<>(both.faults()),
        faults -> means.of(both).map(mean -> row(both, mean, c -> graded(both, c, mean[c]))));
  }

  /** One fault half way between two of its severities, solved; remembered like a pair. */
  private Optional<Row> halfWay(Row one, Row two) {
    Hypothesis middle = one.hypothesis().halfWay(two.hypothesis());
    return between.computeIfAbsent(
        middle.faults().get(0),
        fault -> {
          Severities three =
              new Severities(
                  List.of(one.hypothesis(), middle, two.hypothesis()),
                  sound,
                  h ->
                      h == middle
                          ? means.of(h)
                          : Optional.of((h == one.hypothesis() ? one : two).means()),
                  this::alike,
                  this::blownByOne);
          return three.size() < 3 ? Optional.empty() : Optional.of(row(three, 1));
        });
  }

  /**
   * How far a fault without neighbours may move a reading. Of a divider V = V₀·R/(R + r) a factor
   * in r moves V by (V₀ − V)·V/V₀: most in the middle.
   */
  private double graded(Hypothesis hypothesis, int check, double mean) {
    if (!checks.get(check).measure().words().isEmpty()) {
      return 0;
    }
    double healthy = sound[check];
    double partly = Math.abs(healthy) < SMALL ? HALF : Math.min(1, Math.abs(mean / healthy));
    return hypothesis.graded() * (mean - healthy) * partly;
  }

  public List<Check> checks() {
    return checks;
  }

  /** For a search. */
  Predicted predicted() {
    return new Predicted(checks, singles, this::pair, this::halfWay, shared);
  }

  public List<Hypothesis> hypotheses() {
    return singles.stream().map(Row::hypothesis).toList();
  }

  /** Checks that would read otherwise if these faults, in any mix, were mended. */
  public List<String> affectedBy(Collection<Hypothesis> mended) {
    Set<Fault> faults = new HashSet<>();
    mended.forEach(hypothesis -> faults.addAll(hypothesis.faults()));
    Set<String> affected = new LinkedHashSet<>();
    List<Row> solved = new ArrayList<>(singles);
    between.values().forEach(row -> row.ifPresent(solved::add));
    for (Row row : solved) {
      if (!row.hypothesis().healthy() && faults.containsAll(row.hypothesis().faults())) {
        for (int c = 0; c < checks.size(); c++) {
          if (row.touches(singles.get(0), c)) {
            affected.add(checks.get(c).id());
          }
        }
      }
    }
    return List.copyOf(affected);
  }
}
