package org.jexel.core.job;

import java.time.Instant;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jexel.core.check.Alone;
import org.jexel.core.check.Check;
import org.jexel.core.check.CheckSheet;
import org.jexel.core.check.PartOutput;
import org.jexel.core.check.Round;
import org.jexel.core.check.SideBySide;
import org.jexel.core.check.SupplyFinding;
import org.jexel.core.diagnosis.Diagnosis;
import org.jexel.core.diagnosis.Predictions;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.Rig;

/**
 * Station 4: the checks of this rig, which readings of them still stand, and what they say. The one
 * place where a reading gets its verdict.
 */
public final class BenchWork {
  private final JobRecord record;
  private final Planner planner;
  private final Once<Map<String, Taken>> newest = new Once<>(this::findNewest);
  private final Once<Map<String, Double>> values = new Once<>(this::findValues);
  private final Once<List<Check>> checks = new Once<>(this::findChecks);
  private final Once<Map<String, Check>> byId = new Once<>(this::indexChecks);
  private final Once<List<Check>> proof = new Once<>(this::findProof);
  private final Once<Diagnosis> diagnosis = new Once<>(this::diagnose);

  BenchWork(JobRecord record, Planner planner) {
    this.record = record;
    this.planner = planner;
  }

  /** The newest reading of each check that still stands: a repair asks for some again. */
  public Map<String, Taken> newest() {
    return newest.get();
  }

  private Map<String, Taken> findNewest() {
    Map<String, Taken> found = new LinkedHashMap<>();
    record.readings().forEach(reading -> found.put(reading.check(), reading));
    found
        .values()
        .removeIf(reading -> record.repairs().stream().anyMatch(repair -> repair.unsays(reading)));
    return found;
  }

  private Map<String, Double> findValues() {
    Map<String, Double> found = new HashMap<>();
    newest().forEach((id, reading) -> found.put(id, atFull(reading)));
    return found;
  }

  /** What a reading comes to at full output, which is what every check expects. */
  public double atFull(Taken reading) {
    return reading.pinVolts().isEmpty()
        ? reading.value()
        : PartOutput.atFull(reading.value(), reading.pinVolts().getAsDouble(), fullOutput());
  }

  /** Volts at the brake pin at full output; NaN where there is none. */
  public double fullOutput() {
    return check(PartOutput.FULL).map(full -> full.band().expected()).orElse(Double.NaN);
  }

  /** The newest reading of a check, be it from before a repair. */
  public Optional<Taken> last(String check) {
    return record.readings().stream().filter(r -> r.check().equals(check)).reduce((a, b) -> b);
  }

  /** Checks that were read before a repair that changes them, and not since; drives come last. */
  public List<Check> askedAgain() {
    return record.repairs().stream()
        .flatMap(repair -> repair.again().stream())
        .distinct()
        .filter(id -> !newest().containsKey(id) && last(id).isPresent())
        .flatMap(id -> check(id).stream())
        // Nobody has driven it since.
        .filter(check -> check.group() != Check.Group.TOLD)
        .sorted(Comparator.comparing(check -> check.group() == Check.Group.DRIVEN))
        .toList();
  }

  /** Whether a repair changed what some check of brakes or wheels reads. */
  boolean brakesWereMended() {
    return brakesMendedAt().isPresent();
  }

  /** When something of the brakes was last mended; empty where nothing was. */
  Optional<Instant> brakesMendedAt() {
    return record.repairs().stream()
        .filter(
            repair ->
                repair.again().stream()
                    .flatMap(id -> check(id).stream())
                    .anyMatch(Check::ofTheBrakes))
        .map(Mended::at)
        .max(Comparator.naturalOrder());
  }

  /** Battery volts as read; every later check starts from them. */
  private OptionalDouble supply() {
    Taken read = newest().get(CheckSheet.SUPPLY);
    return read == null ? OptionalDouble.empty() : OptionalDouble.of(read.value());
  }

  /** What is told of a supply that is none for this trailer. */
  public Optional<SupplyFinding> supplyFinding() {
    return supply().isPresent() ? SupplyFinding.of(supply().getAsDouble()) : Optional.empty();
  }

  /** The rig as it now stands: with the battery that was read. */
  public Rig asRead() {
    return CheckSheet.asRead(record.rig(), supply());
  }

  /** Every check of this rig, in working order. */
  public List<Check> checks() {
    return checks.get();
  }

  private List<Check> findChecks() {
    return planner.checks(record.rig(), record.shop().stock(), supply());
  }

  private Map<String, Check> indexChecks() {
    return checks().stream().collect(Collectors.toMap(Check::id, Function.identity()));
  }

  public Optional<Check> check(String id) {
    return Optional.ofNullable(byId.get().get(id));
  }

  /** The checks that the rig is not proved without. */
  public List<Check> proof() {
    return proof.get();
  }

  private List<Check> findProof() {
    return checks().stream().filter(Check::proves).toList();
  }

  /** Checks that were read although the rig is proved without them. */
  public List<Check> readBeyond() {
    return checks().stream()
        .filter(check -> !check.proves() && newest().containsKey(check.id()))
        .toList();
  }

  /** Checks in the order of work: alone, what needs somebody in the cab comes last. */
  public List<Check> inOrder(List<Check> some) {
    return record.alone() ? Alone.order(some) : some;
  }

  /**
   * How each check stands: its newest reading against the band as it is now computed. What the
   * simulated meter showed is to be watched at best: it proves nothing of this trailer.
   */
  public Verdict verdict(Check check) {
    Taken reading = newest().get(check.id());
    if (reading == null) {
      return Verdict.NOT_YET;
    }
    Verdict read =
        check
            .band()
            .judge(atFull(reading))
            .and(sides(check).map(SideBySide::verdict).orElse(Verdict.NOT_YET));
    return reading.simulated() ? read.and(Verdict.WATCH) : read;
  }

  /** How a round stands: as the worst of it, but not yet while something in it is unread. */
  public Verdict verdict(Round round) {
    return Verdict.ofAll(round.checks().stream().map(this::verdict).toList());
  }

  /** Whether anything of a round was only practised, with the simulated meter. */
  public boolean isPractised(Round round) {
    return round.checks().stream()
        .flatMap(check -> Optional.ofNullable(newest().get(check.id())).stream())
        .anyMatch(Taken::simulated);
  }

  /** The other side's reading against this one; empty where there is none. */
  public Optional<SideBySide> sides(Check check) {
    return SideBySide.of(check, this::check, values.get());
  }

  /** What explains the readings that stand, and what to read next. */
  public Diagnosis diagnosis() {
    return diagnosis.get();
  }

  private Diagnosis diagnose() {
    return diagnosis(
        record.readings().stream()
            .filter(this::isSeen)
            .map(reading -> new Diagnosis.Seen(reading.check(), atFull(reading)))
            .toList());
  }

  /**
   * Whether it counts as a look. What was said of a whole round at once is no second one, nor is
   * what was practised the first of two.
   */
  private boolean isSeen(Taken reading) {
    Taken newest = newest().get(reading.check());
    return newest != null
        && record.repairs().stream().noneMatch(repair -> repair.unsays(reading))
        && (reading.equals(newest) || !reading.atOnce())
        && reading.simulated() == newest.simulated();
  }

  /** The same for other readings of this rig. */
  public Diagnosis diagnosis(List<Diagnosis.Seen> readings) {
    return Diagnosis.of(predictions(), readings, record.alone());
  }

  /** What every fault of this rig would make every check read. */
  public Predictions predictions() {
    return planner.predictions(record.rig(), record.shop().stock(), supply());
  }

  /** Whether anything was ever read. */
  boolean isBegun() {
    return !record.readings().isEmpty();
  }

  /** Whether the whole proof is read. */
  boolean isRead() {
    return proof().stream().noneMatch(check -> verdict(check) == Verdict.NOT_YET);
  }

  /** What fails by what was read, on its band or against the other side. */
  public List<Check> failing() {
    return Stream.concat(proof().stream(), readBeyond().stream())
        .filter(check -> verdict(check) == Verdict.FAILS)
        .toList();
  }

  /** Whether anything of the proof fails. */
  boolean fails() {
    return proof().stream().anyMatch(check -> verdict(check) == Verdict.FAILS);
  }

  StationState state() {
    if (newest().isEmpty()) {
      return StationState.NOT_YET;
    }
    Verdict whole =
        Verdict.ofAll(
            Stream.concat(proof().stream(), readBeyond().stream()).map(this::verdict).toList());
    return whole == Verdict.NOT_YET ? StationState.UNDER_WAY : StationState.of(whole);
  }
}
