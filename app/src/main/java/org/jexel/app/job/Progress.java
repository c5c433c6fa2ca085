package org.jexel.app.job;

import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jexel.core.cab.Fitting;
import org.jexel.core.check.Alone;
import org.jexel.core.check.Check;
import org.jexel.core.check.Round;
import org.jexel.core.check.SupplyFinding;
import org.jexel.core.harness.Circuit;
import org.jexel.core.harness.Step;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.BreakawayKit;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.RatingCheck;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;
import org.jexel.core.rig.Wish;
import org.jexel.core.road.GainAdvice;

/**
 * How the stations of a job stand, and its single next act.
 *
 * @param states one for each station
 * @param next what to do now
 */
public record Progress(Map<Station, StationState> states, NextAct next) {
  /** Plate figures without which a verdict on the load means little. */
  private static final RigField[] PLATES = {
    RigField.KERB_MASS,
    RigField.TOW_RATING,
    RigField.EMPTY_MASS,
    RigField.TRAILER_PERMITTED_MASS,
    RigField.AXLE_RATING
  };

  private static final RigField[] LENGTHS = {
    RigField.FEED_RUN, RigField.OVERALL_LENGTH, RigField.DRAWBAR_LENGTH
  };

  static Progress of(JobFile file) {
    Map<Station, StationState> states = new EnumMap<>(Station.class);
    states.put(Station.RIG, rig(file));
    states.put(Station.HARNESS, harness(file));
    states.put(Station.CAB, cab(file));
    states.put(Station.BENCH, bench(file));
    states.put(Station.BREAKAWAY, breakaway(file));
    states.put(Station.ROAD, road(file));
    boolean done =
        states.values().stream().allMatch(s -> s == StationState.HOLDS || s == StationState.WATCH);
    states.put(
        Station.HANDOVER,
        done
            ? StationState.HOLDS
            : file.readings().isEmpty() ? StationState.NOT_YET : StationState.UNDER_WAY);
    return new Progress(states, next(file));
  }

  private static StationState rig(JobFile file) {
    if (missing(file, PLATES).isPresent()) {
      return StationState.UNDER_WAY;
    }
    Verdict ratings =
        file.ratings().stream().map(RatingCheck::verdict).reduce(Verdict.HOLDS, Verdict::and);
    return of(file.gaps().isEmpty() ? ratings : ratings.and(Verdict.WATCH));
  }

  private static StationState harness(JobFile file) {
    if (missing(file, LENGTHS).isPresent()) {
      return StationState.UNDER_WAY;
    }
    Verdict worst =
        file.harness().circuits().stream()
            .map(Circuit::verdict)
            .reduce(Verdict.HOLDS, Verdict::and);
    if (worst != Verdict.FAILS && file.openStep().isPresent()) {
      return StationState.UNDER_WAY;
    }
    return of(file.harness().problems().isEmpty() ? worst : worst.and(Verdict.WATCH));
  }

  private static StationState cab(JobFile file) {
    List<Verdict> verdicts = file.fitting().stream().map(Fitting.Finding::verdict).toList();
    Verdict worst = verdicts.stream().reduce(Verdict.HOLDS, Verdict::and);
    if (worst == Verdict.FAILS || !verdicts.contains(Verdict.NOT_YET)) {
      return of(worst);
    }
    boolean begun = !file.rig().sheet().choice(RigField.CONTROLLER_KIND).assumed();
    return begun ? StationState.UNDER_WAY : StationState.NOT_YET;
  }

  private static StationState bench(JobFile file) {
    if (file.newestReadings().isEmpty()) {
      return StationState.NOT_YET;
    }
    List<Verdict> verdicts =
        Stream.concat(file.proof().stream(), file.readBeyond().stream())
            .map(file::verdict)
            .toList();
    Verdict whole = Verdict.ofAll(verdicts);
    return whole == Verdict.NOT_YET ? StationState.UNDER_WAY : of(whole);
  }

  private static StationState breakaway(JobFile file) {
    RigSheet sheet = file.rig().sheet();
    if (!file.rig().hasElectricBrakes()) {
      return StationState.HOLDS;
    }
    if (sheet.choice(RigField.BREAKAWAY_KIT, BreakawayKit.class) == BreakawayKit.NONE) {
      return sheet.choice(RigField.BREAKAWAY_KIT).assumed()
          ? StationState.NOT_YET
          : StationState.FAILS;
    }
    Optional<Verdict> holding = file.breakawayLoad().verdict();
    return sheet.figure(RigField.BREAKAWAY_CAPACITY).assumed()
        ? StationState.UNDER_WAY
        : of(holding.orElse(Verdict.WATCH));
  }

  private static StationState road(JobFile file) {
    if (!file.rig().hasElectricBrakes() || file.setting().isPresent()) {
      return StationState.HOLDS;
    }
    if (file.stops().isEmpty()) {
      return StationState.NOT_YET;
    }
    return file.advice().act() == GainAdvice.Act.LOOK_FOR_FAULT
        ? StationState.FAILS
        : StationState.UNDER_WAY;
  }

  private static StationState of(Verdict verdict) {
    return switch (verdict) {
      case NOT_YET -> StationState.NOT_YET;
      case HOLDS -> StationState.HOLDS;
      case WATCH -> StationState.WATCH;
      case FAILS -> StationState.FAILS;
    };
  }

  private static Optional<RigField> missing(JobFile file, RigField... fields) {
    for (RigField field : fields) {
      if (!file.rig().sheet().entered(FieldKey.of(field))) {
        return Optional.of(field);
      }
    }
    return Optional.empty();
  }

  private static NextAct next(JobFile file) {
    if (file.supplyFinding().filter(SupplyFinding::stops).isPresent()) {
      return new NextAct(
          Station.BENCH, "supply.battery", file.supplyFinding().get().words(), "a 12 V vehicle");
    }
    // Whoever has just mended something stands at the rig: nothing else is nearer.
    if (!file.askedAgain().isEmpty()) {
      Check again = file.askedAgain().get(0);
      return new NextAct(
          Station.BENCH, "finder", "Read again after the repair: " + again.title(), "");
    }
    Optional<RigField> plate = missing(file, PLATES);
    if (plate.isPresent()) {
      return figure(plate.get(), "Read the plate: ");
    }
    Optional<RatingCheck> over =
        file.ratings().stream().filter(r -> r.verdict() == Verdict.FAILS).findFirst();
    if (over.isPresent()) {
      return new NextAct(
          Station.RIG,
          "load",
          "Move or leave load: " + over.get().title() + " " + over.get().words(),
          "");
    }
    Optional<RigField> length = missing(file, LENGTHS);
    if (length.isPresent()) {
      return figure(length.get(), "Measure: ");
    }
    RigSheet sheet = file.rig().sheet();
    boolean braked = file.rig().hasElectricBrakes();
    if (braked && sheet.choice(RigField.CONTROLLER_KIND).assumed()) {
      return new NextAct(Station.CAB, "controller", "Say which controller it is", "");
    }
    Optional<Step> step = file.openStep();
    if (step.isPresent() && file.job().wish() != Wish.REPAIR && beforeTheBench(step.get())) {
      return act(step.get());
    }
    for (Check check : file.readBeyond()) {
      if (file.verdict(check) == Verdict.FAILS) {
        return finding(check);
      }
    }
    Optional<NextAct> reading = atTheBench(file);
    if (reading.isPresent()) {
      return reading.get();
    }
    if (step.isPresent()) {
      return act(step.get());
    }
    for (Verdict verdict : List.of(Verdict.FAILS, Verdict.NOT_YET)) {
      for (Fitting.Finding finding : file.fitting()) {
        if (finding.verdict() == verdict) {
          return new NextAct(
              Station.CAB, finding.topic().name().toLowerCase(Locale.ROOT), finding.words(), "");
        }
      }
    }
    if (braked && sheet.choice(RigField.BREAKAWAY_KIT, BreakawayKit.class) == BreakawayKit.NONE) {
      return new NextAct(Station.BREAKAWAY, "kit", "Fit a breakaway and enter its battery", "");
    }
    if (braked && file.setting().isEmpty()) {
      return onTheRoad(file);
    }
    return new NextAct(Station.HANDOVER, "report", "Print the report and hand over", "");
  }

  /** The first check of the proof that fails; while none does, the first still to be read. */
  private static Optional<NextAct> atTheBench(JobFile file) {
    List<Check> proof = file.job().alone() ? Alone.order(file.proof()) : file.proof();
    List<Round> rounds = Round.of(proof);
    for (Round round : rounds) {
      for (Check check : round.checks()) {
        if (file.verdict(check) == Verdict.FAILS) {
          return Optional.of(failed(round, check));
        }
      }
    }
    return rounds.stream()
        .filter(round -> file.verdict(round) == Verdict.NOT_YET)
        .findFirst()
        .map(Progress::unread);
  }

  private static NextAct unread(Round round) {
    String text = round.words() ? round.title() : "Read: " + round.title();
    return new NextAct(Station.BENCH, round.id(), text, "");
  }

  /** A battery is charged; whatever else fails may have many causes. */
  private static NextAct failed(Round round, Check check) {
    return check.group() == Check.Group.SUPPLY
        ? new NextAct(
            Station.BENCH, round.id(), "Mend and read again: " + check.title(), "the repair")
        : finding(check);
  }

  private static NextAct finding(Check check) {
    return new NextAct(Station.BENCH, "finder", "Find the fault: " + check.title(), "");
  }

  private static boolean beforeTheBench(Step step) {
    return step.phase() != Step.Phase.CLOSE && !step.id().equals("test.bench");
  }

  private static NextAct act(Step step) {
    return new NextAct(Station.HARNESS, "steps", step.title(), "");
  }

  private static NextAct onTheRoad(JobFile file) {
    GainAdvice advice = file.advice();
    return switch (advice.act()) {
      case LOOK_FOR_FAULT ->
          new NextAct(
              Station.ROAD, "advice", "Look for the fault: " + advice.reason(), "the cause");
      case SETTLE ->
          new NextAct(
              Station.ROAD,
              "settle",
              "Settle on gain " + Measure.GAIN.number(advice.gain(), UnitSystem.METRIC),
              "");
      case TRY, CONFIRM, REPEAT ->
          new NextAct(
              Station.ROAD,
              "stop",
              advice.act().label()
                  + " a stop at gain "
                  + Measure.GAIN.number(advice.gain(), UnitSystem.METRIC),
              "a level, dry, empty stretch");
    };
  }

  private static NextAct figure(RigField field, String verb) {
    String what =
        field.label().substring(0, 1).toLowerCase(Locale.ROOT) + field.label().substring(1);
    return new NextAct(
        Station.RIG,
        org.jexel.app.rig.RigCards.cardOf(field),
        verb + field.subject().label().toLowerCase(Locale.ROOT) + ", " + what,
        "");
  }
}
