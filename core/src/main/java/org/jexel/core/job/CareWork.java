package org.jexel.core.job;

import java.time.LocalDate;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import org.jexel.core.care.BeforeTow;
import org.jexel.core.care.CareBook;
import org.jexel.core.care.CareInterval;
import org.jexel.core.care.CarePart;
import org.jexel.core.care.CarePlan;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.road.Setting;

/** What is looked at before each journey, and cared for over the years. */
public final class CareWork {
  private final JobRecord record;
  private final RigWork rig;
  private final BreakawayWork breakaway;
  private final RoadWork road;
  private final UnitSystem units;

  CareWork(
      JobRecord record, RigWork rig, BreakawayWork breakaway, RoadWork road, UnitSystem units) {
    this.record = record;
    this.rig = rig;
    this.breakaway = breakaway;
    this.road = road;
    this.units = units;
  }

  /** Made from what this trailer has, with what it carries today. */
  public BeforeTow list() {
    OptionalDouble gain =
        road.gains()
            .here()
            .map(Setting::gain)
            .map(OptionalDouble::of)
            .orElse(OptionalDouble.empty());
    return BeforeTow.of(record.rig(), rig.load(), record.shop().tongueBand(), gain, units);
  }

  /**
   * What is cared for over the years.
   *
   * @param book what was done for this trailer, in this job and others
   * @param intervals of the workshop
   */
  public CarePlan plan(CareBook book, Function<CarePart, CareInterval> intervals) {
    Optional<LocalDate> battery =
        record.rig().hasElectricBrakes() ? breakaway.due().battery() : Optional.empty();
    return CarePlan.of(record.rig(), book, intervals, battery, record.day(), units);
  }
}
