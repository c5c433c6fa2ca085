package org.jexel.core.report;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.jexel.core.job.Station;
import org.jexel.core.job.StationState;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What stops a signature. */
class SigningTest {
  private static final String WHY = "The customer tows it empty to our other yard.";

  private static Signing signing(List<Station> failing, boolean owner, String reason) {
    return new Signing(failing, owner, "Electrician", reason, true, 0);
  }

  @ParameterizedTest
  @EnumSource(StationState.class)
  void whatFailsStopsItAndNothingElseDoes(StationState state) {
    Map<Station, StationState> states = new EnumMap<>(Station.class);
    for (Station station : Station.values()) {
      states.put(station, StationState.HOLDS);
    }
    states.put(Station.BREAKAWAY, state);
    List<Station> failing = Signing.failing(states);
    assertThat(failing)
        .isEqualTo(state == StationState.FAILS ? List.of(Station.BREAKAWAY) : List.of());
    assertThat(signing(failing, false, "").problems().isEmpty())
        .isEqualTo(state != StationState.FAILS);
  }

  @Test
  void whereSomethingFailsTheOwnerAloneSignsAndWritesWhy() {
    List<Station> failing = List.of(Station.BENCH, Station.ROAD);
    assertThat(signing(failing, false, WHY).problems().get(Signing.REASON))
        .contains("mended first", "Bench, Road.");
    assertThat(signing(failing, true, "").problems()).containsOnlyKeys(Signing.REASON);
    assertThat(signing(failing, true, "so be it").problems()).containsOnlyKeys(Signing.REASON);
    assertThat(signing(failing, true, "x".repeat(301)).problems()).containsOnlyKeys(Signing.REASON);
    for (String reason : List.of(WHY, "x".repeat(300), "x".repeat(10))) {
      assertThat(signing(failing, true, reason).problems()).isEmpty();
    }
  }

  @Test
  void nobodySignsWhatWasNotReadOrInNoRole() {
    assertThat(new Signing(List.of(), true, "Owner", "", false, 0).problems())
        .containsOnlyKeys(Signing.SEEN);
    assertThat(new Signing(List.of(), true, "Owner", "", true, 2).problems().get(Signing.SEEN))
        .startsWith("2 stored rows cannot be read");
    assertThat(new Signing(List.of(), true, " ", "", true, 0).problems())
        .containsOnlyKeys(Signing.ROLE);
    assertThat(new Signing(List.of(), true, "x".repeat(60), "", true, 0).problems()).isEmpty();
    assertThat(new Signing(List.of(), true, "x".repeat(61), "", true, 0).problems())
        .containsOnlyKeys(Signing.ROLE);
  }
}
