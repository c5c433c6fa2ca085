package org.jexel.core.job;

import java.time.LocalDate;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;

/**
 * How the stations of a job stand, and its single next act.
 *
 * @param states one for each station
 * @param next what to do now
 * @param breakawayDue when its pull test or its battery is due again; empty while neither counts
 */
public record Progress(
    Map<Station, StationState> states, NextAct next, Optional<LocalDate> breakawayDue) {

  static Progress of(Work work) {
    Map<Station, StationState> states = new EnumMap<>(Station.class);
    states.put(Station.RIG, work.rig().state());
    states.put(Station.HARNESS, work.harness().state());
    states.put(Station.CAB, work.cab().state());
    states.put(Station.BENCH, work.bench().state());
    states.put(Station.BREAKAWAY, work.breakaway().state());
    states.put(Station.ROAD, work.road().state());
    states.put(Station.HANDOVER, handover(work, states));
    return new Progress(states, NextActs.of(work), work.breakaway().due().first());
  }

  /** The report is due once every other station stands, and holds once somebody signed it so. */
  private static StationState handover(Work work, Map<Station, StationState> others) {
    if (others.values().stream().allMatch(StationState::stands)) {
      return work.record().signed() ? StationState.HOLDS : StationState.COMPUTED;
    }
    return work.bench().isBegun() ? StationState.UNDER_WAY : StationState.NOT_YET;
  }
}
