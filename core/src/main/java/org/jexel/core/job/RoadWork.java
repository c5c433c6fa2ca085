package org.jexel.core.job;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jexel.core.braking.Control;
import org.jexel.core.braking.Drag;
import org.jexel.core.braking.Surface;
import org.jexel.core.braking.Train;
import org.jexel.core.check.PartOutput;
import org.jexel.core.harness.Harness;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.RatingCheck;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;
import org.jexel.core.rig.Wish;
import org.jexel.core.road.Assist;
import org.jexel.core.road.AtTheMagnets;
import org.jexel.core.road.BrakeCurve;
import org.jexel.core.road.Calibration;
import org.jexel.core.road.CoastDown;
import org.jexel.core.road.EvenSearch;
import org.jexel.core.road.GainAdvice;
import org.jexel.core.road.GainFinder;
import org.jexel.core.road.GainScale;
import org.jexel.core.road.GainStop;
import org.jexel.core.road.Gate;
import org.jexel.core.road.Profile;
import org.jexel.core.road.RigTrain;
import org.jexel.core.road.RoadCard;
import org.jexel.core.road.Said;
import org.jexel.core.road.StopAndLook;
import org.jexel.core.road.StopTrial;
import org.jexel.core.road.TestStop;
import org.jexel.core.road.VoltsByGain;
import org.jexel.core.road.WarmUp;

/** Station 6: what must hold before a wheel turns, and the gain that the stops lead to. */
public final class RoadWork {
  private final JobRecord record;
  private final RigWork rig;
  private final BenchWork bench;
  private final Once<Harness> plan;
  private final Once<Gate> gate;
  private final Once<GainAdvice> advice;
  private final Once<Train> train;
  private final Once<GainScale> scale;
  private final Once<Drag> drag;
  private final Once<Optional<Calibration>> calibration;
  private final Once<SettledGains> gains;

  RoadWork(
      JobRecord record,
      Once<Harness> plan,
      Once<List<Train.Brake>> brakes,
      RigWork rig,
      BenchWork bench,
      BreakawayWork breakaway) {
    this.record = record;
    this.rig = rig;
    this.bench = bench;
    this.plan = plan;
    this.gate =
        new Once<>(
            () ->
                Gate.of(
                    bench.checks(),
                    bench::verdict,
                    held(breakaway.state()),
                    Verdict.ofAll(rig.ratings().stream().map(RatingCheck::verdict).toList()),
                    record.said(),
                    record.day()));
    this.train = new Once<>(() -> RigTrain.of(record.rig(), brakes.get(), rig.load()));
    this.scale = new Once<>(this::scaled);
    this.drag = new Once<>(() -> coastDown().flatMap(CoastDown::drag).orElse(Drag.USUAL));
    this.advice = new Once<>(this::advised);
    this.calibration =
        new Once<>(
            () -> Calibration.of(train(), scale(), fullVolts(), courseSurface(), evidence()));
    this.gains =
        new Once<>(
            () -> SettledGains.of(record, rig.load().mass(), bench.brakesMendedAt(), surface()));
  }

  /** A breakaway that nobody proved is to be watched. */
  private static Verdict held(StationState state) {
    return switch (state) {
      case HOLDS -> Verdict.HOLDS;
      case FAILS -> Verdict.FAILS;
      default -> Verdict.WATCH;
    };
  }

  private GainAdvice advised() {
    GainAdvice found =
        GainFinder.advise(scale(), BrakeCurve.of(train(), scale()), courseSurface(), evidence());
    return look().map(look -> found.instead(look.reason())).orElse(found);
  }

  private List<GainStop> evidence() {
    return course().stream().flatMap(stop -> stop.gainStop(drag()).stream()).toList();
  }

  /** What rolling and air take, by the newest coast-down; the usual figure while there is none. */
  public Drag drag() {
    return drag.get();
  }

  /** The newest coast-down; empty while there is none. */
  public Optional<CoastDown> coastDown() {
    return record.said().stream()
        .filter(said -> said.what() == Said.What.COAST)
        .max(Comparator.comparing(Said::at))
        .flatMap(said -> CoastDown.parse(said.words()));
  }

  /** Of the stops that the search goes by, or of the first one. */
  public Surface courseSurface() {
    return surface().orElse(Surface.DRY_ASPHALT);
  }

  /** The search from here on, for where nothing computes. */
  public RoadCard card() {
    return RoadCard.of(scale(), BrakeCurve.of(train(), scale()), courseSurface(), evidence());
  }

  /** What the stops since the last look say is wrong; empty where nothing does. */
  public Optional<StopAndLook> look() {
    Optional<Instant> looked =
        record.said().stream()
            .filter(said -> said.what() == Said.What.LOOKED)
            .map(Said::at)
            .max(Comparator.naturalOrder());
    return StopAndLook.of(
        course().stream()
            .filter(stop -> looked.filter(at -> !stop.at().isAfter(at)).isEmpty())
            .toList());
  }

  /** The surface of the newest stop; empty while none was driven. */
  public Optional<Surface> surface() {
    List<TestStop> stops = record.stops();
    return stops.isEmpty() ? Optional.empty() : Optional.of(stops.get(stops.size() - 1).surface());
  }

  /**
   * The stops that one gain is found by: of the newest one's surface, with the load of now, and
   * after the brakes were last worked on.
   */
  public List<TestStop> course() {
    Optional<Instant> mended = bench.brakesMendedAt();
    return record.stops().stream()
        .filter(stop -> surface().equals(Optional.of(stop.surface())))
        .filter(stop -> Profile.sameLoad(rig.load().mass(), stop.trailerMass()))
        .filter(stop -> mended.filter(at -> !stop.at().isAfter(at)).isEmpty())
        .toList();
  }

  public Gate gate() {
    return gate.get();
  }

  /** How far the linings are warmed, or bedded in. */
  public WarmUp warmUp() {
    boolean built = record.wish() == Wish.NEW_BUILD || record.wish() == Wish.CONVERT;
    return WarmUp.of(record.said(), record.day(), built || bench.brakesWereMended());
  }

  public GainScale scale() {
    return scale.get();
  }

  private GainScale scaled() {
    RigSheet sheet = record.rig().sheet();
    GainScale marks =
        new GainScale(
            sheet.si(RigField.GAIN_LEAST),
            sheet.si(RigField.GAIN_GREATEST),
            sheet.si(RigField.GAIN_STEP));
    List<VoltsByGain.Reading> curve = curve();
    double full = fullVolts();
    if (!(full > 0)) {
      return marks;
    }
    return marks.with(
        curve.stream()
            .filter(reading -> reading.gain() > 0)
            .map(reading -> new GainScale.Share(reading.gain(), reading.volts() / full))
            .toList());
  }

  /** At the brake pin at a gain with the lever full, V; empty while its curve was not measured. */
  public OptionalDouble voltsAt(double gain) {
    return scale().measured().isEmpty()
        ? OptionalDouble.empty()
        : OptionalDouble.of(fullVolts() * scale().share(gain));
  }

  /** At the brake pin at full output, V. */
  private double fullVolts() {
    List<VoltsByGain.Reading> curve = curve();
    return bench
        .check(PartOutput.FULL)
        .map(check -> check.band().expected())
        .orElse(curve.isEmpty() ? 1 : curve.get(curve.size() - 1).volts());
  }

  /** Volts by gain: as read in this job, else as the library has this model's; else empty. */
  public List<VoltsByGain.Reading> curve() {
    return volts()
        .map(VoltsByGain::curve)
        .orElseGet(
            () ->
                record.found().model().stream()
                    .flatMap(model -> model.curve().stream())
                    .map(point -> new VoltsByGain.Reading(point.gain(), point.volts()))
                    .toList());
  }

  /** What the harness leaves of them at the magnets; empty while no curve is known. */
  public List<AtTheMagnets> atTheMagnets() {
    return AtTheMagnets.of(record.rig(), plan.get(), curve());
  }

  /** What was read of volts by gain in this job; empty while it is too little for a line. */
  public Optional<VoltsByGain> volts() {
    return VoltsByGain.gains(record.volts()) >= VoltsByGain.ENOUGH
        ? Optional.of(VoltsByGain.of(record.volts()))
        : Optional.empty();
  }

  /** The rig as moving masses, its brakes as rated. */
  public Train train() {
    return train.get();
  }

  public GainAdvice advice() {
    return advice.get();
  }

  /** What the measured stops of this search say of the brakes; empty while they are too few. */
  public Optional<Calibration> calibration() {
    return calibration.get();
  }

  /** As {@link #train()}, with brakes as the stops show them where they do. */
  public Train trainAsFound() {
    return calibration().map(found -> train().stronger(found.strength())).orElseGet(this::train);
  }

  /** Start-up assist; empty where the model has no levels or does not go by inertia. */
  public Optional<Assist> assist() {
    return record
        .found()
        .model()
        .filter(model -> !model.assist().isEmpty())
        .filter(model -> StopTrial.law(record.rig().controllerKind()) == Control.Law.INERTIA)
        .map(
            model ->
                Assist.of(
                    model.assist(),
                    train().vehicleMass(),
                    train().trailerMass(),
                    record.said().stream()
                        .filter(said -> said.what() == Said.What.ASSIST)
                        .flatMap(said -> Assist.felt(said.about(), said.words()).stream())
                        .toList()));
  }

  /** The other school's search, by the pedal. */
  public EvenSearch even() {
    return EvenSearch.of(scale(), course());
  }

  /** The settled gains, beside what the rig is now. */
  public SettledGains gains() {
    return gains.get();
  }

  StationState state() {
    if (!record.rig().hasElectricBrakes()) {
      return StationState.COMPUTED;
    }
    if (gains().holding().isPresent()) {
      return StationState.of(Verdict.HOLDS, !record.stops().isEmpty());
    } else if (gains().newest().isPresent()) {
      return StationState.WATCH;
    }
    if (record.stops().isEmpty()) {
      return StationState.NOT_YET;
    }
    return advice().act() == GainAdvice.Act.LOOK_FOR_FAULT
        ? StationState.FAILS
        : StationState.UNDER_WAY;
  }
}
