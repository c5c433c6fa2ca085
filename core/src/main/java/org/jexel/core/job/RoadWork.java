package org.jexel.core.job;

import java.util.Optional;
import java.util.stream.Collectors;
import org.jexel.core.check.Check;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;
import org.jexel.core.road.GainAdvice;
import org.jexel.core.road.GainBracket;
import org.jexel.core.road.GainScale;
import org.jexel.core.road.Gate;
import org.jexel.core.road.Setting;

/** Station 6: what must hold before a wheel turns, and the gain that the stops lead to. */
public final class RoadWork {
  private final JobRecord record;
  private final Once<Gate> gate;
  private final Once<GainAdvice> advice;

  RoadWork(JobRecord record, BenchWork bench) {
    this.record = record;
    this.gate =
        new Once<>(
            () ->
                Gate.of(
                    bench.proof(),
                    bench.proof().stream().collect(Collectors.toMap(Check::id, bench::verdict))));
    this.advice =
        new Once<>(
            () ->
                GainBracket.advise(
                    scale(),
                    record.stops().stream().flatMap(stop -> stop.gainStop().stream()).toList()));
  }

  public Gate gate() {
    return gate.get();
  }

  public GainScale scale() {
    RigSheet sheet = record.rig().sheet();
    return new GainScale(
        sheet.si(RigField.GAIN_LEAST),
        sheet.si(RigField.GAIN_GREATEST),
        sheet.si(RigField.GAIN_STEP));
  }

  public GainAdvice advice() {
    return advice.get();
  }

  public Optional<Setting> setting() {
    return record.setting();
  }

  StationState state() {
    if (!record.rig().hasElectricBrakes() || setting().isPresent()) {
      return StationState.HOLDS;
    }
    if (record.stops().isEmpty()) {
      return StationState.NOT_YET;
    }
    return advice().act() == GainAdvice.Act.LOOK_FOR_FAULT
        ? StationState.FAILS
        : StationState.UNDER_WAY;
  }
}
