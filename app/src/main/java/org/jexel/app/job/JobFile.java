package org.jexel.app.job;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.jexel.app.bench.Reading;
import org.jexel.app.cab.CabFound;
import org.jexel.app.cab.CabNote;
import org.jexel.app.harness.StepTick;
import org.jexel.app.rig.LampEntry;
import org.jexel.app.rig.LoadLine;
import org.jexel.app.rig.RigFigure;
import org.jexel.app.rig.RigPart;
import org.jexel.app.road.GainSetting;
import org.jexel.app.road.TestStop;
import org.jexel.app.security.Person;
import org.jexel.app.workshop.ControllerEntry;
import org.jexel.core.breakaway.BreakawayLoad;
import org.jexel.core.cab.ControllerFeed;
import org.jexel.core.cab.ControllerModel;
import org.jexel.core.cab.Fitting;
import org.jexel.core.check.Check;
import org.jexel.core.check.CheckSheet;
import org.jexel.core.check.Round;
import org.jexel.core.check.SideBySide;
import org.jexel.core.check.SupplyFinding;
import org.jexel.core.connector.ConnectorCatalog;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.diagnosis.Diagnosis;
import org.jexel.core.diagnosis.Predictions;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Scope;
import org.jexel.core.harness.Step;
import org.jexel.core.harness.StepPlan;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.Entry;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.Gap;
import org.jexel.core.rig.GapList;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.LampOffer;
import org.jexel.core.rig.LoadSheet;
import org.jexel.core.rig.RatingCheck;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;
import org.jexel.core.rig.Subject;
import org.jexel.core.road.GainAdvice;
import org.jexel.core.road.GainBracket;
import org.jexel.core.road.GainScale;
import org.jexel.core.road.Gate;

/**
 * Everything that is known of one job at one moment, and what the core says of it. The one place
 * where entities become core records; computed parts are worked out once, on demand.
 */
public final class JobFile {
  private final Job job;
  private final Person person;
  private final List<LeftOut> leftOut;
  private final Map<FieldKey, RigFigure> figures = new LinkedHashMap<>();
  private final List<LoadLine> loadLines;
  private final List<Reading> readings;
  private final List<TestStop> stops;
  private final List<GainSetting> settings;
  private final Map<String, StepTick> ticks = new LinkedHashMap<>();
  private final List<StepTick> repairs;
  private final Map<String, CabNote> cabNotes = new LinkedHashMap<>();
  private final Supplier<Drafts.Typed> typed;
  private final Plans plans;
  private final Rig rig;
  private final Map<String, Object> computed = new HashMap<>();
  private boolean held;
  private boolean changed;
  private boolean otherThanReadings;

  JobFile(
      Job job,
      Person person,
      ConnectorCatalog catalog,
      Rows rows,
      List<LeftOut> leftOut,
      Supplier<Drafts.Typed> typed,
      Plans plans) {
    this.job = job;
    this.person = person;
    this.leftOut = leftOut;
    this.loadLines = rows.loads();
    this.readings = rows.readings();
    this.stops = standing(rows.stops(), TestStop::id, TestStop::correctsId);
    this.settings = rows.settings();
    this.typed = typed;
    this.plans = plans;
    rows.cabNotes().forEach(note -> this.cabNotes.put(note.card(), note));
    rows.ticks().forEach(tick -> this.ticks.put(tick.step(), tick));
    this.repairs = rows.ticks().stream().filter(tick -> tick.mended() != null).toList();
    rows.figures().forEach(row -> figures.put(row.key(), row));
    Map<FieldKey, Entry> entries =
        figures.entrySet().stream()
            .filter(e -> !e.getValue().cleared())
            .collect(Collectors.toMap(Map.Entry::getKey, e -> e.getValue().entry()));
    RigSheet sheet = new RigSheet(entries, catalog);
    this.rig =
        new Rig(
            sheet,
            lamps(sheet, catalog, rows.lamps()),
            loadLines.stream().map(LoadLine::item).toList());
  }

  /** The offer, with what people said of each lamp, and the lamps that they added. */
  private static List<Lamp> lamps(
      RigSheet sheet, ConnectorCatalog catalog, List<LampEntry> entries) {
    boolean reversePin =
        catalog
            .connector(sheet.choice(RigField.PLANNED_CONNECTOR).value())
            .has(PinFunction.REVERSE);
    Map<String, Lamp> bySlot = new LinkedHashMap<>();
    LampOffer.of(sheet, reversePin).forEach(lamp -> bySlot.put(lamp.slot(), lamp));
    for (LampEntry entry : entries) {
      bySlot.merge(entry.slot(), entry.lamp(), JobFile::said);
    }
    return new ArrayList<>(bySlot.values());
  }

  /** An offered lamp keeps its computed place and reason until somebody puts it elsewhere. */
  private static Lamp said(Lamp offered, Lamp entry) {
    Lamp lamp = offered.with(entry.state(), entry.technology());
    return entry.placed() ? lamp.at(entry.x(), entry.y()) : lamp;
  }

  private static <T> List<T> standing(
      List<T> rows, Function<T, Long> id, Function<T, Long> corrects) {
    Set<Long> corrected = rows.stream().map(corrects).collect(Collectors.toSet());
    return rows.stream().filter(row -> !corrected.contains(id.apply(row))).toList();
  }

  public Job job() {
    return job;
  }

  public Person person() {
    return person;
  }

  /** Stored rows that this version cannot digest; the job stands without them. */
  public List<LeftOut> leftOut() {
    return leftOut;
  }

  /**
   * Works out whatever the core says of all rows together.
   *
   * @throws RuntimeException if they do not go together
   */
  void digest() {
    progress();
    advice();
    breakawayLoad();
    gate();
  }

  /** Marks this file as the one that an act decides on, with the job's lock in hand. */
  JobFile held() {
    this.held = true;
    return this;
  }

  /**
   * Says that an act changed the job: its stations are then worked out anew.
   *
   * @throws IllegalStateException outside an act, where the file may be older than the job
   */
  public void changed() {
    readingsAdded();
    this.otherThanReadings = true;
  }

  /**
   * Says that an act added readings and touched nothing else: only they are read anew.
   *
   * @throws IllegalStateException outside an act
   */
  public void readingsAdded() {
    if (!held) {
      throw new IllegalStateException("A job is changed by an act alone: see JobFiles.act");
    }
    this.changed = true;
  }

  boolean isChanged() {
    return changed;
  }

  boolean onlyReadingsAdded() {
    return changed && !otherThanReadings;
  }

  public UnitSystem units() {
    return person.units();
  }

  public Rig rig() {
    return rig;
  }

  /** The rig as it now stands: with the battery that was read at the bench. */
  public Rig asRead() {
    return once("asRead", () -> CheckSheet.asRead(rig, supply()));
  }

  public RigPart part(Subject subject) {
    return switch (subject) {
      case TOW -> job.tow();
      case TRAILER -> job.trailer();
      case CONTROLLER -> job.controller();
    };
  }

  /** The newest row of a field, a clearing one included. */
  public Optional<RigFigure> figureRow(FieldKey key) {
    return Optional.ofNullable(figures.get(key));
  }

  public List<LoadLine> loadLines() {
    return loadLines;
  }

  /** Every reading, oldest first. */
  public List<Reading> readings() {
    return readings;
  }

  /** The newest reading of each check that still stands: a repair asks for some again. */
  public Map<String, Reading> newestReadings() {
    return once(
        "newest",
        () -> {
          Map<String, Reading> newest = new LinkedHashMap<>();
          readings.forEach(reading -> newest.put(reading.checkId(), reading));
          newest.values().removeIf(this::mendedSince);
          return newest;
        });
  }

  private boolean mendedSince(Reading reading) {
    return repairs.stream()
        .anyMatch(
            repair ->
                repair.again().contains(reading.checkId())
                    && !repair.tickedAt().isBefore(reading.takenAt()));
  }

  /** The newest reading of a check, be it from before a repair. */
  public Optional<Reading> lastReading(String check) {
    return readings.stream().filter(r -> r.checkId().equals(check)).reduce((a, b) -> b);
  }

  /** What was mended on this rig, oldest first. */
  public List<StepTick> repairs() {
    return repairs;
  }

  /** Checks that were read before a repair that changes them, and not since. */
  public List<Check> askedAgain() {
    return once(
        "again",
        () ->
            repairs.stream()
                .flatMap(repair -> repair.again().stream())
                .distinct()
                .filter(id -> !newestReadings().containsKey(id) && lastReading(id).isPresent())
                .flatMap(id -> check(id).stream())
                .toList());
  }

  /** Stops that no later row corrects, oldest first. */
  public List<TestStop> stops() {
    return stops;
  }

  public Optional<GainSetting> setting() {
    return settings.isEmpty() ? Optional.empty() : Optional.of(settings.get(settings.size() - 1));
  }

  public Drafts.Typed typed() {
    return once("typed", typed);
  }

  public LoadSheet load() {
    return once("load", () -> LoadSheet.of(rig));
  }

  public List<RatingCheck> ratings() {
    return once("ratings", () -> RatingCheck.of(rig, load(), job.workshop().tongueBand()));
  }

  public List<Gap> gaps() {
    return once("gaps", () -> GapList.of(rig));
  }

  public Harness harness() {
    return once("harness", () -> plans.harness(rig, job.workshop().stock()));
  }

  /** What of the plan is work for this job. */
  public Scope scope() {
    return once("scope", () -> new Scope(rig, job.wish(), harness()));
  }

  /** The acts of the work, in order. */
  public List<Step> steps() {
    return once("steps", () -> StepPlan.of(scope(), units()));
  }

  /** The newest tick of a step, an unticking one included. */
  public Optional<StepTick> tick(String step) {
    return Optional.ofNullable(ticks.get(step));
  }

  /** Ticked by somebody, or done by its nature: the bench's readings tick the bench's steps. */
  public boolean done(Step step) {
    boolean read = proof().stream().noneMatch(c -> verdict(c) == Verdict.NOT_YET);
    boolean holds = read && proof().stream().noneMatch(c -> verdict(c) == Verdict.FAILS);
    return switch (step.id()) {
      case "test.bench" -> read;
      case "repair.find" -> !readings.isEmpty();
      case "repair.again" -> holds;
      default -> tick(step.id()).map(StepTick::done).orElse(false);
    };
  }

  /** The first act that is still to do. */
  public Optional<Step> openStep() {
    return steps().stream().filter(step -> !done(step)).findFirst();
  }

  /** The controller's supply; empty without electric brakes. */
  public Optional<ControllerFeed> controllerFeed() {
    return ControllerFeed.of(rig, harness());
  }

  /** What was typed last on a card of the cab, by field. */
  public Map<String, String> cabNote(String card) {
    return cabNoteRow(card).map(CabNote::fields).orElse(Map.of());
  }

  /** The newest note of a card. */
  public Optional<CabNote> cabNoteRow(String card) {
    return Optional.ofNullable(cabNotes.get(card));
  }

  /** The controller's model in the workshop's library, where somebody said which it is. */
  public Optional<ControllerModel> model() {
    return job.controller().model().filter(ControllerEntry::readable).map(ControllerEntry::model);
  }

  /** What was typed on the cards of the cab. */
  public Fitting.Found found() {
    return once("found", () -> CabFound.of(this));
  }

  /** How the controller stands in this vehicle. */
  public List<Fitting.Finding> fitting() {
    return once("fitting", () -> Fitting.of(rig, job.wish(), controllerFeed(), found()));
  }

  public BreakawayLoad breakawayLoad() {
    return BreakawayLoad.of(rig, harness());
  }

  /** Every check of this rig, in working order. */
  public List<Check> checks() {
    return once("checks", () -> plans.checks(rig, job.workshop().stock(), supply()));
  }

  /** The checks that the rig is not proved without. */
  public List<Check> proof() {
    return once("proof", () -> checks().stream().filter(Check::proves).toList());
  }

  /** Checks that were read although the rig is proved without them. */
  public List<Check> readBeyond() {
    return checks().stream()
        .filter(c -> !c.proves() && newestReadings().containsKey(c.id()))
        .toList();
  }

  /** What is told of a supply that is none for this trailer. */
  public Optional<SupplyFinding> supplyFinding() {
    return supply().isPresent() ? SupplyFinding.of(supply().getAsDouble()) : Optional.empty();
  }

  /** Battery volts as read at the bench; every later check starts from it. */
  private OptionalDouble supply() {
    Reading supply = newestReadings().get("supply.battery");
    return supply == null ? OptionalDouble.empty() : OptionalDouble.of(supply.value());
  }

  public Optional<Check> check(String id) {
    return checks().stream().filter(check -> check.id().equals(id)).findFirst();
  }

  /** What explains the newest readings, and what to read next. */
  public Diagnosis diagnosis() {
    return once(
        "diagnosis",
        () ->
            diagnosis(
                newestReadings().values().stream()
                    .map(reading -> new Diagnosis.Seen(reading.checkId(), reading.value()))
                    .toList()));
  }

  /** The same for other readings of this rig. */
  public Diagnosis diagnosis(List<Diagnosis.Seen> readings) {
    return Diagnosis.of(predictions(), readings, job.alone());
  }

  /** What every fault of this rig would make every check read. */
  public Predictions predictions() {
    return plans.predictions(rig, job.workshop().stock(), supply());
  }

  /** How each check stands: its newest reading against the band as it is now computed. */
  public Verdict verdict(Check check) {
    Reading reading = newestReadings().get(check.id());
    return reading == null
        ? Verdict.NOT_YET
        : check
            .band()
            .judge(reading.value())
            .and(sides(check).map(SideBySide::verdict).orElse(Verdict.NOT_YET));
  }

  /** How a round stands: as the worst of it, but not yet while something in it is unread. */
  public Verdict verdict(Round round) {
    return Verdict.ofAll(round.checks().stream().map(this::verdict).toList());
  }

  /** The other side's reading against this one; empty where there is none. */
  public Optional<SideBySide> sides(Check check) {
    Map<String, Double> read =
        once(
            "read",
            () -> {
              Map<String, Double> values = new HashMap<>();
              newestReadings().forEach((id, reading) -> values.put(id, reading.value()));
              return values;
            });
    return SideBySide.of(check, this::check, read);
  }

  public Gate gate() {
    return once(
        "gate",
        () ->
            Gate.of(proof(), proof().stream().collect(Collectors.toMap(Check::id, this::verdict))));
  }

  public GainScale scale() {
    RigSheet sheet = rig.sheet();
    return new GainScale(
        sheet.si(RigField.GAIN_LEAST),
        sheet.si(RigField.GAIN_GREATEST),
        sheet.si(RigField.GAIN_STEP));
  }

  public GainAdvice advice() {
    return once(
        "advice",
        () ->
            GainBracket.advise(
                scale(),
                stops.stream()
                    .filter(stop -> stop.way() == TestStop.Way.LEVER)
                    .map(TestStop::gainStop)
                    .toList()));
  }

  public Progress progress() {
    return once("progress", () -> Progress.of(this));
  }

  @SuppressWarnings("unchecked")
  private <T> T once(String name, Supplier<T> compute) {
    Object value = computed.get(name);
    if (value == null) {
      value = compute.get();
      computed.put(name, value);
    }
    return (T) value;
  }
}
