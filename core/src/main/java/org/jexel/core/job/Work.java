package org.jexel.core.job;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jexel.core.braking.Train;
import org.jexel.core.care.LookedOver;
import org.jexel.core.harness.Harness;
import org.jexel.core.quantity.UnitSystem;

/**
 * What the core says of one job: a part for each station, each worked out when first asked for and
 * remembered. For one thread; two of them for one record say the same.
 */
public final class Work {
  private final JobRecord record;
  private final Planner planner;
  private final UnitSystem units;
  private final RigWork rig;
  private final BenchWork bench;
  private final HarnessWork harness;
  private final CabWork cab;
  private final BreakawayWork breakaway;
  private final RoadWork road;
  private final CareWork care;
  private final Once<Progress> progress;

  /**
   * @param units of whoever reads the words
   */
  public Work(JobRecord record, Planner planner, UnitSystem units) {
    this.record = record;
    this.planner = planner;
    this.units = units;
    Once<Harness> plan = new Once<>(() -> planner.harness(record.rig(), record.shop().stock()));
    this.rig = new RigWork(record);
    this.bench = new BenchWork(record, planner);
    this.harness = new HarnessWork(record, plan, bench, units);
    this.cab = new CabWork(record, plan);
    this.breakaway = new BreakawayWork(record, plan, rig, bench, units);
    Once<List<Train.Brake>> brakes =
        new Once<>(() -> planner.brakes(record.rig(), record.shop().stock()));
    this.road = new RoadWork(record, plan, brakes, rig, bench, breakaway);
    this.care = new CareWork(record, rig, breakaway, road, units);
    this.progress = new Once<>(() -> planner.progress(record, units, this::workedOut));
  }

  /** As it stood at an earlier moment, which was that day where the workshop is. */
  public Work asOf(Instant at, LocalDate day) {
    return new Work(record.asOf(at, day), planner, units);
  }

  /** What all of this is worked out from. */
  public JobRecord record() {
    return record;
  }

  public RigWork rig() {
    return rig;
  }

  public HarnessWork harness() {
    return harness;
  }

  public CabWork cab() {
    return cab;
  }

  public BenchWork bench() {
    return bench;
  }

  public BreakawayWork breakaway() {
    return breakaway;
  }

  public RoadWork road() {
    return road;
  }

  public CareWork care() {
    return care;
  }

  /**
   * What an owner reads first.
   *
   * @param beforeTow the newest list that was walked before a journey; no part of the job's record,
   *     since journeys go on when the job is done
   */
  public InShort inShort(Optional<LookedOver> beforeTow) {
    return InShort.of(this, beforeTow, units);
  }

  /** What whoever drives it takes along. */
  public DriversCard driversCard() {
    return DriversCard.of(this, units);
  }

  /** How the stations stand, and what comes next. */
  public Progress progress() {
    return progress.get();
  }

  /**
   * Works out everything that the stations say, so that a record that does not go together shows;
   * one that did before does again.
   *
   * @throws RuntimeException if it does not
   */
  public void digest() {
    progress();
  }

  private Progress workedOut() {
    Progress told = Progress.of(this);
    road.advice();
    road.gate();
    road.gains();
    road.even();
    breakaway.load();
    return told;
  }
}
