package org.jexel.core.rig;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.jexel.core.Rigs;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.Load;
import org.jexel.core.harness.WireSize;
import org.jexel.core.network.Network;
import org.jexel.core.network.RigNetwork;
import org.junit.jupiter.api.Test;

class AxleByAxleTest {
  private static Rig twoAxles(Object... more) {
    Object[] pairs = {
      RigField.AXLE_COUNT, 2,
      RigField.BRAKE_TYPE, "ELECTRIC",
      RigField.TOW_CONNECTOR, "blade-7",
      RigField.TRAILER_CONNECTOR, "blade-7"
    };
    Object[] all = java.util.Arrays.copyOf(pairs, pairs.length + more.length);
    System.arraycopy(more, 0, all, pairs.length, more.length);
    return Rigs.rig(Rigs.sheet(all));
  }

  @Test
  void anAxleThatNobodyLookedAtIsAsTheFirst() {
    RigSheet sheet = twoAxles(RigField.TYRE_RADIUS, 0.4, "MAGNET_OHMS.0", 3.4).sheet();
    assertThat(sheet.si(new FieldKey(RigField.TYRE_RADIUS, 1))).isEqualTo(0.4);
    assertThat(sheet.figure(new FieldKey(RigField.MAGNET_OHMS, 1)).reason())
        .isEqualTo("as on the first axle");
  }

  @Test
  void brakesOnTheSecondAxleAloneAreStillElectric() {
    Rig rig = twoAxles("BRAKE_TYPE.0", "NONE", "BRAKE_TYPE.1", "ELECTRIC");
    assertThat(rig.hasMagnets()).isTrue();
    assertThat(rig.brakedAxles()).containsExactly(1);
    assertThat(rig.carries(PinFunction.BRAKE)).isTrue();
  }

  @Test
  void eachAxlesMagnetsKeepTheirOwnOhms() {
    Rig rig = twoAxles("MAGNET_OHMS.0", 3.2, "MAGNET_OHMS.1", 3.9);
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    assertThat(harness.loads().stream().filter(l -> l.kind() == Load.Kind.MAGNET).map(Load::ohms))
        .containsExactlyInAnyOrder(3.2, 3.2, 3.9, 3.9);
    Network network = RigNetwork.dead(rig, harness).network();
    double ohms = network.solve().ohms("plug_brake", "plug_earth");
    assertThat(ohms).isCloseTo(1 / (2 / 3.2 + 2 / 3.9), within(0.12)).isGreaterThan(0.87);
  }

  @Test
  void theSumOfMixedMagnetsTellsEachKind() {
    Rig rig = twoAxles("MAGNET_OHMS.0", 3.2, "MAGNET_OHMS.1", 3.9);
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    var check =
        org.jexel.core.check.CheckSheet.of(rig, harness, java.util.OptionalDouble.of(12.6)).stream()
            .filter(c -> c.id().equals("brake.resistance"))
            .findFirst()
            .orElseThrow();
    assertThat(check.sum().terms())
        .extracting(org.jexel.core.quantity.Term::symbol)
        .containsExactly("r_1", "n_1", "r_2", "n_2", "R_c");
    assertThat(check.band().expected()).isBetween(0.88, 1.0);
  }

  @Test
  void twoKindsOfBrakesOnOneTrailerFail() {
    assertThat(GapList.of(twoAxles("BRAKE_TYPE.1", "OVERRUN")))
        .extracting(Gap::title)
        .contains("Brakes of different kinds");
  }

  @Test
  void theSecondSocketCountsWhenItTakesThePlug() {
    List<Object> base = List.of(RigField.TOW_CONNECTOR, "flat-4", RigField.TRAILER_CONNECTOR);
    Rig one = Rigs.rig(Rigs.sheet(base.get(0), base.get(1), base.get(2), "blade-7"));
    assertThat(GapList.of(one)).extracting(Gap::title).contains("Socket on the vehicle");
    Rig two =
        Rigs.rig(
            Rigs.sheet(
                base.get(0),
                base.get(1),
                base.get(2),
                "blade-7",
                RigField.SECOND_TOW_CONNECTOR,
                "blade-7"));
    assertThat(two.towConnector().id()).isEqualTo("blade-7");
    assertThat(GapList.of(two)).extracting(Gap::title).doesNotContain("Socket on the vehicle");
  }

  @Test
  void aRearLampKeepsItsSideWhenMovedAndAMarkerTakesTheNewOne() {
    List<Lamp> lamps = twoAxles().lamps();
    Lamp rear = lamps.stream().filter(l -> l.slot().equals("rear-left")).findFirst().orElseThrow();
    Lamp marker =
        lamps.stream().filter(l -> l.slot().equals("marker-rear-left")).findFirst().orElseThrow();
    assertThat(rear.at(3, -0.2).side()).isEqualTo(Side.LEFT);
    assertThat(marker.at(3, -0.2).side()).isEqualTo(Side.RIGHT);
    assertThat(marker.at(3, -0.2).placed()).isTrue();
  }

  @Test
  void thePlanCarriesWhatSitsOnDrawbarOrBed() {
    Plan plan = new Plan(1.2, 4, 1);
    assertThat(plan.carries(2, 1)).isTrue();
    assertThat(plan.carries(0.6, 0.31)).isTrue();
    assertThat(plan.carries(0.6, 0.4)).isFalse();
    assertThat(plan.carries(4.1, 0)).isFalse();
    assertThat(plan.carries(-0.1, 0)).isFalse();
  }
}
