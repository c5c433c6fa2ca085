package org.jexel.core.job;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.jexel.core.cab.Fitting;
import org.jexel.core.check.Check;
import org.jexel.core.check.CheckSheet;
import org.jexel.core.check.Round;
import org.jexel.core.check.SupplyFinding;
import org.jexel.core.harness.Step;
import org.jexel.core.harness.StepPlan;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.RatingCheck;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.Wish;

/**
 * The order in which a job's acts come up, by what is wanted of it: the first rule that has
 * something to say says it. Plates and lengths are asked where an answer hangs on them: lengths
 * before wire is cut by them, plates before the load is driven.
 */
final class NextActs {
  private static final Set<Fitting.Topic> EVERY_TOPIC = EnumSet.allOf(Fitting.Topic.class);

  private final Work work;
  private final RoadNext road;

  private NextActs(Work work) {
    this.work = work;
    this.road = new RoadNext(work);
  }

  static NextAct of(Work work) {
    NextActs acts = new NextActs(work);
    return Stream.of(acts.always(), acts.first(), acts.proof(), acts.last())
        .flatMap(Function.identity())
        .flatMap(rule -> rule.get().stream())
        .findFirst()
        .orElseGet(acts::handOver);
  }

  private NextAct handOver() {
    return act(
        Station.HANDOVER,
        new Aim.HandOver(),
        work.record().signed() ? "Print the report and hand over" : "Sign the report");
  }

  /** What goes before anything that was wanted. */
  private Stream<Rule> always() {
    return Stream.of(this::wrongSupply, this::readAgain, this::overload);
  }

  /** What this job is begun with. */
  private Stream<Rule> first() {
    return switch (work.record().wish()) {
      case REPAIR -> Stream.of(this::symptom);
      case ANNUAL -> Stream.empty();
      case NEW_CONTROLLER ->
          Stream.of(this::controllerKind, this::length, this::knownBeforeFitting, this::wiring);
      case NEW_BUILD, CONVERT, REPLACE_CORD, ADD_LAMPS, ADD_BREAKAWAY ->
          Stream.of(this::length, this::controllerKind, this::wiring);
    };
  }

  private Stream<Rule> proof() {
    return Stream.of(this::failsBeyondTheProof, this::atTheBench);
  }

  /** What closes it up, and what is driven. */
  private Stream<Rule> last() {
    return Stream.of(
        this::step,
        () -> inTheCab(EVERY_TOPIC, Verdict.FAILS),
        () -> road.isDriven() ? inTheCab(EVERY_TOPIC, Verdict.NOT_YET) : Optional.empty(),
        this::breakaway,
        this::cable,
        this::plate,
        road::next);
  }

  private interface Rule extends Supplier<Optional<NextAct>> {}

  static NextAct act(Station station, Aim aim, String text) {
    return new NextAct(station, aim, text, "");
  }

  private boolean braked() {
    return work.record().rig().hasElectricBrakes();
  }

  private Optional<NextAct> wrongSupply() {
    return work.bench()
        .supplyFinding()
        .filter(SupplyFinding::stops)
        .map(
            finding ->
                new NextAct(
                    Station.BENCH,
                    new Aim.Read(CheckSheet.SUPPLY),
                    finding.words(),
                    "a 12 V vehicle"));
  }

  /** Whoever has just mended something stands at the rig: nothing else is nearer. */
  private Optional<NextAct> readAgain() {
    return work.bench().askedAgain().stream()
        .findFirst()
        .map(
            check ->
                act(
                    Station.BENCH,
                    new Aim.FindFault(),
                    "Read again after the repair: " + check.title()));
  }

  private Optional<NextAct> symptom() {
    return work.bench().isBegun()
        ? Optional.empty()
        : Optional.of(
            act(
                Station.BENCH,
                new Aim.FindFault(),
                "Say what is wrong with it, or take the first look"));
  }

  private Optional<NextAct> plate() {
    return road.isDriven() ? work.rig().unreadPlate().map(NextActs::readPlate) : Optional.empty();
  }

  private static NextAct readPlate(RigField field) {
    return enter(field, "Read the plate: ");
  }

  private Optional<NextAct> length() {
    return work.harness().unmeasured().map(field -> enter(field, "Measure: "));
  }

  private static NextAct enter(RigField field, String verb) {
    return act(
        Station.RIG,
        new Aim.Enter(field),
        verb + Phrase.within(field.subject().label()) + ", " + Phrase.within(field.label()));
  }

  private Optional<NextAct> overload() {
    return work.rig().ratings().stream()
        .filter(rating -> rating.verdict() == Verdict.FAILS)
        .findFirst()
        .map(over -> work.rig().unreadPlate().map(NextActs::readPlate).orElse(lighten(over)));
  }

  /** Nobody moves load for a rating that is only assumed. */
  private static NextAct lighten(RatingCheck over) {
    if (over.rating() != null && over.assumed()) {
      return readPlate(over.rating().field());
    }
    return act(
        Station.RIG,
        new Aim.MoveLoad(),
        "Move or leave load: " + over.title() + " " + over.words());
  }

  private Optional<NextAct> controllerKind() {
    return braked() && work.cab().unknown()
        ? Optional.of(
            act(Station.CAB, new Aim.Enter(RigField.CONTROLLER_KIND), "Say which controller it is"))
        : Optional.empty();
  }

  /** What the cab must be known for before a hole is drilled or a battery is off. */
  private Optional<NextAct> knownBeforeFitting() {
    Set<Fitting.Topic> known = EnumSet.complementOf(EnumSet.of(Fitting.Topic.MOUNTING));
    return inTheCab(known, Verdict.FAILS).or(() -> inTheCab(known, Verdict.NOT_YET));
  }

  /** The steps before the bench. */
  private Optional<NextAct> wiring() {
    return work.harness().openStep().filter(NextActs::beforeTheBench).map(NextActs::step);
  }

  private static boolean beforeTheBench(Step step) {
    return step.phase() != Step.Phase.CLOSE && !step.id().equals(StepPlan.TEST_AT_THE_BENCH);
  }

  private Optional<NextAct> step() {
    return work.harness().openStep().map(NextActs::step);
  }

  private static NextAct step(Step step) {
    return act(Station.HARNESS, new Aim.DoStep(), step.title());
  }

  private Optional<NextAct> failsBeyondTheProof() {
    return work.bench().readBeyond().stream()
        .filter(check -> work.bench().verdict(check) == Verdict.FAILS)
        .findFirst()
        .map(NextActs::find);
  }

  private static NextAct find(Check check) {
    return act(Station.BENCH, new Aim.FindFault(), "Find the fault: " + check.title());
  }

  /** The first check of the proof that fails; while none does, the first still to be read. */
  private Optional<NextAct> atTheBench() {
    BenchWork bench = work.bench();
    List<Round> rounds = Round.of(bench.inOrder(bench.proof()));
    for (Round round : rounds) {
      for (Check check : round.checks()) {
        if (bench.verdict(check) == Verdict.FAILS) {
          return Optional.of(failed(round, check));
        }
      }
    }
    return rounds.stream()
        .filter(round -> bench.verdict(round) == Verdict.NOT_YET)
        .findFirst()
        .map(NextActs::read);
  }

  private static NextAct read(Round round) {
    String text = round.words() ? round.title() : "Read: " + round.title();
    return act(Station.BENCH, new Aim.Read(round.id()), text);
  }

  /** A battery is charged; whatever else fails may have many causes. */
  private static NextAct failed(Round round, Check check) {
    return check.group() == Check.Group.SUPPLY
        ? new NextAct(
            Station.BENCH,
            new Aim.Read(round.id()),
            "Mend and read again: " + check.title(),
            "the repair")
        : find(check);
  }

  private Optional<NextAct> inTheCab(Set<Fitting.Topic> topics, Verdict verdict) {
    return work.cab().fitting().stream()
        .filter(finding -> topics.contains(finding.topic()) && finding.verdict() == verdict)
        .findFirst()
        .map(NextActs::fit);
  }

  private static NextAct fit(Fitting.Finding finding) {
    return act(Station.CAB, new Aim.FitController(finding.topic()), finding.words());
  }

  private Optional<NextAct> breakaway() {
    if (work.breakaway().isIndoors()) {
      return Optional.of(
          act(
              Station.BREAKAWAY,
              new Aim.Enter(RigField.BATTERY_INDOORS),
              "Put the breakaway’s battery back: not to be towed without it"));
    }
    Optional<Round> owed = work.breakaway().pull().owed();
    if (owed.isPresent()) {
      return owed.map(
          round ->
              act(
                  Station.BENCH,
                  new Aim.Read(round.id()),
                  "Again, since the pin was pulled after it: " + round.title()));
    }
    return work.breakaway().isMissing()
        ? Optional.of(
            act(Station.BREAKAWAY, new Aim.FitBreakaway(), "Fit a breakaway and enter its battery"))
        : Optional.empty();
  }

  /** Where a kit is fitted or driven with; one that does not fit is always said. */
  private Optional<NextAct> cable() {
    boolean asked = road.isDriven() || work.record().wish() == Wish.ADD_BREAKAWAY;
    return work.breakaway().cableAsks(asked)
        ? Optional.of(
            act(Station.BREAKAWAY, new Aim.FitCable(), work.breakaway().cable().worst().words()))
        : Optional.empty();
  }
}
