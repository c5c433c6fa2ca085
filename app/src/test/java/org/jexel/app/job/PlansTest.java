package org.jexel.app.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.jexel.app.AppTest;
import org.jexel.core.connector.ConnectorCatalog;
import org.jexel.core.harness.WireSize;
import org.jexel.core.quantity.Provenance;
import org.jexel.core.rig.Entry;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.LampOffer;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;
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
