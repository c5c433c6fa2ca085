package org.jexel.core.job;

import java.util.OptionalDouble;
import org.jexel.core.care.BeforeTow;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.road.Setting;

/** What is looked at before each journey. */
public final class CareWork {
  private final JobRecord record;
  private final RigWork rig;
  private final RoadWork road;
  private final UnitSystem units;

  CareWork(JobRecord record, RigWork rig, RoadWork road, UnitSystem units) {
    this.record = record;
    this.rig = rig;
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
}
