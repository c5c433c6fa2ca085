package org.jexel.core.connector;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import org.jexel.core.Rigs;
import org.junit.jupiter.api.Test;

class ConnectorFilesTest {
  private final ConnectorCatalog catalog = Rigs.CATALOG;

  @Test
  void theFiveConnectorsAndThreeConventionsAreThere() {
    assertThat(catalog.connectors())
        .extracting(Connector::id)
        .containsExactlyInAnyOrder("flat-4", "flat-5", "round-6", "blade-7", "flat-7");
    assertThat(catalog.conventions())
        .extracting(Convention::id)
        .containsExactlyInAnyOrder("utility", "blade", "flat-7");
  }

  @Test
  void onlyConnectorsForBrakedTrailersHaveABrakePin() {
    assertThat(catalog.connector("blade-7").has(PinFunction.BRAKE)).isTrue();
    assertThat(catalog.connector("flat-7").has(PinFunction.BRAKE)).isTrue();
    assertThat(catalog.connector("round-6").has(PinFunction.BRAKE)).isTrue();
    assertThat(catalog.connector("flat-4").has(PinFunction.BRAKE)).isFalse();
  }

  @Test
  void brownGreenAndYellowDoAnotherJobInTheOtherConvention() {
    Convention utility = catalog.convention("utility");
    Convention blade = catalog.convention("blade");
    for (WireColour trap : List.of(WireColour.BROWN, WireColour.GREEN, WireColour.YELLOW)) {
      assertThat(utility.function(trap)).as(trap.label()).isNotEqualTo(blade.function(trap));
    }
    for (WireColour safe : List.of(WireColour.WHITE, WireColour.BLUE, WireColour.BLACK)) {
      assertThat(utility.function(safe)).as(safe.label()).isEqualTo(blade.function(safe));
    }
  }

  @Test
  void aFourWayPlugGoesIntoAFiveWaySocketAndNotTheOtherWayRound() {
    Connector four = catalog.connector("flat-4");
    Connector five = catalog.connector("flat-5");
    assertThat(five.takes(four)).isTrue();
    assertThat(four.takes(five)).isFalse();
  }

  @Test
  void aPinTwiceAFunctionTwiceOrNoEarthIsRefusedByName() {
    Pin earth = new Pin(1, PinFunction.EARTH, 20, -1);
    assertThatThrownBy(() -> connector(earth, new Pin(1, PinFunction.TAIL, 10, -1)))
        .hasMessageContaining("pin 1 stands twice");
    assertThatThrownBy(
            () ->
                connector(
                    earth,
                    new Pin(2, PinFunction.TAIL, 10, -1),
                    new Pin(3, PinFunction.TAIL, 10, -1)))
        .hasMessageContaining("tail stands twice");
    assertThatThrownBy(() -> connector(new Pin(2, PinFunction.TAIL, 10, -1)))
        .hasMessageContaining("without an earth pin");
    assertThatThrownBy(() -> new Pin(1, PinFunction.EARTH, 0, -1)).hasMessageContaining("rating");
  }

  @Test
  void aConnectorWithAnUnknownConventionStopsTheStart() {
    assertThatThrownBy(
            () ->
                new ConnectorCatalog(
                    List.of(connector(new Pin(1, PinFunction.EARTH, 20, -1))), List.of()))
        .hasMessageContaining("unknown convention own");
    assertThatThrownBy(() -> catalog.connector("none")).hasMessageContaining("none");
  }

  @Test
  void twoFilesWithOneIdStopTheStart() {
    Convention own = new Convention("own", "Own", Map.of());
    assertThatThrownBy(() -> new ConnectorCatalog(List.of(), List.of(own, own)))
        .hasMessageContaining("own stands twice");
  }

  private static Connector connector(Pin... pins) {
    return new Connector("mine", "Mine", "own", List.of(), List.of(pins));
  }
}
