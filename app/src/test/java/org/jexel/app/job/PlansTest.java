package org.jexel.app.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.concurrent.atomic.AtomicInteger;
import org.jexel.app.AppTest;
import org.jexel.core.breakaway.BreakawayRule;
import org.jexel.core.connector.ConnectorCatalog;
import org.jexel.core.harness.WireSize;
import org.jexel.core.job.JobRecord;
import org.jexel.core.job.Planner;
import org.jexel.core.job.Progress;
import org.jexel.core.job.Shop;
import org.jexel.core.job.Taken;
import org.jexel.core.job.Work;
import org.jexel.core.quantity.Provenance;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.Entry;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.LampOffer;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;
import org.jexel.core.rig.TongueBand;
import org.jexel.core.rig.Wish;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What is remembered, and what makes it be worked out anew. */
@AppTest
class PlansTest {
  @Autowired private ConnectorCatalog catalog;

  private final Plans plans = new Plans();

  private Rig rig(double length) {
    Map<FieldKey, Entry> entries = new HashMap<>();
    entries.put(FieldKey.of(RigField.OVERALL_LENGTH), Entry.number(length, Provenance.MEASURED));
    RigSheet sheet = new RigSheet(entries, catalog);
    return new Rig(sheet, LampOffer.of(sheet, false), List.of());
  }

  @Test
  void theSameRigIsPlannedOnceHoweverOftenItIsOpened() {
    assertThat(plans.harness(rig(4), WireSize.GAUGES))
        .isSameAs(plans.harness(rig(4), WireSize.GAUGES));
    assertThat(plans.checks(rig(4), WireSize.GAUGES, OptionalDouble.of(12.5)))
        .isSameAs(plans.checks(rig(4), WireSize.GAUGES, OptionalDouble.of(12.5)));
  }

  /** How a job stands is worked out once for a record, and anew for each that differs. */
  @Test
  void aRecordStandsAsItDidUntilSomethingOfItChanges() {
    AtomicInteger worked = new AtomicInteger();
    Progress one = progress(rig(4), List.of(), UnitSystem.METRIC, worked);
    assertThat(progress(rig(4), List.of(), UnitSystem.METRIC, worked)).isSameAs(one);
    assertThat(worked).hasValue(1);
    progress(rig(5), List.of(), UnitSystem.METRIC, worked);
    progress(rig(4), List.of(), UnitSystem.US, worked);
    Taken read = new Taken(1, "supply.battery", 12.6, Instant.EPOCH, "Tamo");
    progress(rig(4), List.of(read), UnitSystem.METRIC, worked);
    Taken other = new Taken(1, "supply.battery", 12.5, Instant.EPOCH, "Tamo");
    progress(rig(4), List.of(other), UnitSystem.METRIC, worked);
    assertThat(worked).hasValue(5);
  }

  private Progress progress(Rig rig, List<Taken> read, UnitSystem units, AtomicInteger worked) {
    Shop shop = new Shop(WireSize.GAUGES, TongueBand.NORTH_AMERICA, BreakawayRule.USUAL);
    JobRecord record =
        JobRecord.of(Wish.ANNUAL, false, shop, LocalDate.EPOCH)
            .rig(rig)
            .read(read, List.of())
            .build();
    return plans.progress(
        record,
        units,
        () -> {
          worked.incrementAndGet();
          return new Work(record, Planner.ANEW, units).progress();
        });
  }

  @Test
  void aLongerTrailerAMovedLampOrAnotherShelfIsPlannedAnew() {
    var before = plans.harness(rig(4), WireSize.GAUGES);
    assertThat(plans.harness(rig(5), WireSize.GAUGES)).isNotSameAs(before);
    assertThat(plans.harness(rig(4), WireSize.METRIC)).isNotSameAs(before);
    Rig rig = rig(4);
    List<Lamp> moved =
        rig.lamps().stream().map(l -> l.slot().equals("plate") ? l.at(3, 0.1) : l).toList();
    assertThat(plans.harness(new Rig(rig.sheet(), moved, List.of()), WireSize.GAUGES))
        .isNotEqualTo(before);
  }

  @Test
  void anotherSupplyMakesOtherExpectationsFromTheSamePlan() {
    var low = plans.checks(rig(4), WireSize.GAUGES, OptionalDouble.of(11.9));
    var high = plans.checks(rig(4), WireSize.GAUGES, OptionalDouble.of(12.7));
    assertThat(low.get(1).band().expected()).isLessThan(high.get(1).band().expected());
    assertThat(plans.checks(rig(4), WireSize.GAUGES, OptionalDouble.empty())).hasSameSizeAs(low);
  }
}
