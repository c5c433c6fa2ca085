package org.jexel.core.job;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jexel.core.care.BeforeTow;
import org.jexel.core.care.LookedOver;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.road.Setting;

/** What is looked at before each journey, and when somebody did. */
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

  /** The newest one, if something in it is not in order. */
  Optional<LookedOver> wrong() {
    List<LookedOver> done = record.lookedOver();
    return done.stream()
        .skip(Math.max(0, done.size() - 1))
        .filter(last -> last.verdict() == Verdict.FAILS)
        .findFirst();
  }
}
