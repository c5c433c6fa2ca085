package org.jexel.app.device;

import java.util.List;
import org.jexel.core.braking.Train;
import org.jexel.core.harness.Harness;
import org.jexel.core.network.Fault;
import org.jexel.core.rig.Rig;
import org.jexel.core.road.GainScale;
import org.jexel.core.road.SimulatedRoad;
import org.jexel.core.road.StopTrial;
import org.springframework.stereotype.Component;

/** Stands in for a road: it drives the job's rig, with whatever was hidden on it. */
@Component
public class RoadPort {
  private final SimulatedMeterPort hidden;
  private final SimulatedChance chance;

  RoadPort(SimulatedMeterPort hidden, SimulatedChance chance) {
    this.hidden = hidden;
    this.chance = chance;
  }

  /**
   * One stop.
   *
   * @param rated the job's train, with brakes as rated
   */
  public SimulatedRoad.Seen drive(
      long job, Rig rig, Harness harness, Train rated, StopTrial trial, GainScale scale) {
    List<Fault> faults = hidden.of(job).map(SimulatedRig::faults).orElse(List.of());
    long seed = hidden.of(job).map(SimulatedRig::seed).orElse(job);
    return SimulatedRoad.of(rated, SimulatedRoad.left(rig, harness, rated, faults), seed)
        .drive(trial, scale, chance);
  }
}
