package org.jexel.core.job;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jexel.core.harness.Circuit;
import org.jexel.core.harness.Crosswalk;
import org.jexel.core.harness.Duty;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.KitWiring;
import org.jexel.core.harness.Scope;
import org.jexel.core.harness.Step;
import org.jexel.core.harness.StepPlan;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;

/** Station 2: the harness as planned, what of it is work for this job, and how far that is. */
public final class HarnessWork {
  private final Rig rig;
  private final Set<String> ticked;
  private final BenchWork bench;
  private final Once<Harness> plan;
  private final Once<Scope> scope;
  private final Once<List<Step>> steps;
  private final Once<Crosswalk> crosswalk;

  HarnessWork(JobRecord record, Once<Harness> plan, BenchWork bench, UnitSystem units) {
    this.rig = record.rig();
    this.ticked = record.ticked();
    this.bench = bench;
    this.plan = plan;
    this.scope = new Once<>(() -> new Scope(rig, record.wish(), plan.get(), ticked));
    this.steps = new Once<>(() -> StepPlan.of(scope.get(), units));
    this.crosswalk = new Once<>(() -> Crosswalk.of(rig, plan.get(), record.colours()));
  }

  public Harness plan() {
    return plan.get();
  }

  /** What each conductor does along its way, in the colours of the plan and as found. */
  public Crosswalk crosswalk() {
    return crosswalk.get();
  }

  /** The breakaway kit lead by lead, against those colours. */
  public KitWiring kit() {
    return KitWiring.of(rig, plan(), crosswalk());
  }

  /** What of the plan is work for this job. */
  public Scope scope() {
    return scope.get();
  }

  /** The acts of the work, in order. */
  public List<Step> steps() {
    return steps.get();
  }

  public boolean ticked(String step) {
    return ticked.contains(step);
  }

  /** Ticked by somebody, or done by its nature: the bench's readings tick the bench's steps. */
  public boolean done(Step step) {
    return switch (step.id()) {
      case StepPlan.TEST_AT_THE_BENCH -> bench.isRead();
      case StepPlan.FIND_THE_FAULT -> bench.isBegun();
      case StepPlan.READ_AGAIN -> bench.isRead() && !bench.fails();
      default -> step.ticks().stream().allMatch(this::ticked);
    };
  }

  /** The first act that is still to do. */
  public Optional<Step> openStep() {
    return steps().stream().filter(step -> !done(step)).findFirst();
  }

  /** The first length that nobody has measured, of those by which wire is to be cut. */
  Optional<RigField> unmeasured() {
    Set<RigField> lengths = EnumSet.noneOf(RigField.class);
    scope().newSpans().forEach(span -> lengths.addAll(cutBy(span.duty())));
    if (steps().stream().anyMatch(step -> step.id().equals(StepPlan.RUN_THE_SUPPLY))) {
      lengths.addAll(cutBy(Duty.VEHICLE));
    }
    return RigWork.unentered(rig, lengths.stream());
  }

  private static List<RigField> cutBy(Duty duty) {
    return switch (duty) {
      case VEHICLE -> List.of(RigField.FEED_RUN);
      case CORD, BREAKAWAY -> List.of(RigField.DRAWBAR_LENGTH);
      case RUN, TRUNK, ACROSS -> List.of(RigField.OVERALL_LENGTH, RigField.DRAWBAR_LENGTH);
    };
  }

  StationState state() {
    if (unmeasured().isPresent()) {
      return StationState.UNDER_WAY;
    }
    Verdict worst =
        plan().circuits().stream().map(Circuit::verdict).reduce(Verdict.HOLDS, Verdict::and);
    if (worst != Verdict.FAILS && openStep().isPresent()) {
      return StationState.UNDER_WAY;
    }
    return StationState.of(
        plan().problems().isEmpty() ? worst : worst.and(Verdict.WATCH),
        steps().stream().flatMap(step -> step.ticks().stream()).anyMatch(this::ticked));
  }
}
