package org.jexel.core.diagnosis;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.jexel.core.check.Check;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Must;

/** What was read, and how likely it is under what a hypothesis predicts. */
final class Readings {
  /** One word in a hundred is pressed by mistake, seen at once and corrected; logarithm. */
  private static final double PRESSED = Math.log(0.01);

  private final Predicted predicted;
  private final Map<Integer, Reading> seen = new LinkedHashMap<>();
  private final Map<String, List<Integer>> trips = new LinkedHashMap<>();
  private final int[] figures;
  private final double[][] correlations;
  private final double ofSound;

  /** What a sound rig's own row makes of each reading; NaN until it is asked for. */
  private final double[][] sound;

  private String standing = "";

  Readings(Predicted predicted, List<Diagnosis.Seen> all) {
    this.predicted = predicted;
    for (Diagnosis.Seen one : all) {
      int place = predicted.place(one.check());
      if (place >= 0) {
        Check check = predicted.checks().get(place);
        Reading before = seen.get(place);
        seen.put(
            place,
            before == null ? Reading.first(check, one.value()) : before.then(check, one.value()));
        standing = check.place();
      }
    }
    sound = new double[Likelihood.COMMON.length][predicted.checks().size()];
    Arrays.stream(sound).forEach(row -> Arrays.fill(row, Double.NaN));
    figures = seen.keySet().stream().filter(place -> !isWord(place)).mapToInt(p -> p).toArray();
    correlations = predicted.shared().correlations(figures);
    ofSound = shared(predicted.healthy());
  }

  /** By place of their check. */
  Map<Integer, Reading> byPlace() {
    return seen;
  }

  Set<Integer> places() {
    return seen.keySet();
  }

  /** Where the last one was taken. */
  String standing() {
    return standing;
  }

  /** Whether all of the proof was read; where nothing is asked, nothing is proved. */
  boolean proofIsRead() {
    return predicted.checks().stream().anyMatch(Check::proves)
        && proof().allMatch(seen::containsKey);
  }

  /** Whether it was, and none of it fails on its band. */
  boolean prove() {
    return proofIsRead() && proof().noneMatch(place -> Must.have(seen, place).fails());
  }

  private Stream<Integer> proof() {
    return predicted.checks().stream()
        .filter(Check::proves)
        .map(check -> predicted.place(check.id()));
  }

  double log(Row row, int place) {
    return row.log(predicted.checks().get(place), place, Must.have(seen, place));
  }

  /** Logarithm of how likely all of it is. */
  double log(Row row) {
    double log = 0;
    for (List<Integer> trip : trips()) {
      log += row.together(one -> taken(one, trip));
    }
    return log + takenBack(row);
  }

  /**
   * What was said of a part and is taken back at the next look was a slip of the eye, or stood
   * otherwise then: for what makes and breaks, so much likelier, unless a sound rig shows it.
   */
  private double takenBack(Row row) {
    if (row.broken() == null) {
      return 0;
    }
    double log = 0;
    for (int place : seen.keySet()) {
      Reading last = Must.have(seen, place);
      Check check = predicted.checks().get(place);
      if (isLook(check)) {
        for (Reading before : last.takenBack()) {
          double slip = Math.max(PRESSED, Likelihood.log(check, last.value(), 0, before));
          double read = predicted.healthy().log(check, place, before);
          log += Math.max(0, row.log(check, place, before) - Math.max(slip, read));
        }
      }
    }
    return log;
  }

  /** Whether it is said how a part stands at the moment. */
  private static boolean isLook(Check check) {
    return !check.measure().words().isEmpty()
        && check.measure() != Measure.MOVING
        && check.measure() != Measure.COMING;
  }

  /** The same of one walk, as everything stood on it. */
  private double taken(Row row, List<Integer> trip) {
    boolean lamps = predicted.checks().get(trip.get(0)).measure() == Measure.GLOW;
    if (!lamps) {
      return trip.stream().mapToDouble(place -> likeSound(row, place, 0, this::alone)).sum();
    }
    double[] log = Likelihood.SHARE_OF_COMMON.clone();
    double most = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < log.length; i++) {
      for (int place : trip) {
        log[i] += likeSound(row, place, i, this::ofALamp);
      }
      most = Math.max(most, log[i]);
    }
    double sum = 0;
    for (double one : log) {
      sum += Math.exp(one - most);
    }
    return most + Math.log(sum);
  }

  /** What is read as on a sound rig is worked out once for all that says so. */
  private double likeSound(Row row, int place, int node, Weighed weighed) {
    Row healthy = predicted.healthy();
    if (!row.reads(healthy, place)) {
      return weighed.log(row, place, node);
    }
    if (Double.isNaN(sound[node][place])) {
      sound[node][place] = weighed.log(healthy, place, node);
    }
    return sound[node][place];
  }

  private double ofALamp(Row row, int place, int node) {
    Check check = predicted.checks().get(place);
    return row.ofALamp(check, place, Must.have(seen, place), Likelihood.COMMON[node]);
  }

  /** Logarithm of how likely one reading is, of lamps at one of the nodes of what they share. */
  private interface Weighed {
    double log(Row row, int place, int node);
  }

  /**
   * Logarithm of how much likelier the figures are together than each by itself, since all of them
   * are read of the same parts.
   */
  double logOfShared(Row row) {
    return readsAsSound(row) ? ofSound : shared(row);
  }

  /** Whether it says of every figure what a sound rig says. */
  private boolean readsAsSound(Row row) {
    return Arrays.stream(figures).allMatch(place -> row.reads(predicted.healthy(), place));
  }

  private double shared(Row row) {
    double[] z = new double[figures.length];
    double[] c = new double[figures.length];
    for (int i = 0; i < figures.length; i++) {
      z[i] = row.deviationsOff(figures[i], Must.have(seen, figures[i]).value());
      c[i] = row.shareOfTolerance(predicted.healthy(), figures[i]);
    }
    return Shared.log(correlations, z, c);
  }

  private double alone(Row row, int place, int node) {
    return row.alone(predicted.checks().get(place), place, Must.have(seen, place));
  }

  /** What is taken in one go. */
  private Collection<List<Integer>> trips() {
    if (trips.isEmpty()) {
      for (int place : seen.keySet()) {
        trips
            .computeIfAbsent(predicted.checks().get(place).walk(), w -> new ArrayList<>())
            .add(place);
      }
    }
    return trips.values();
  }

  /** Whether a word was said; else a figure was read. */
  boolean isWord(int place) {
    return !predicted.checks().get(place).measure().words().isEmpty();
  }
}
