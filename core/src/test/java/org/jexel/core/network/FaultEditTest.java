package org.jexel.core.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.jexel.core.Rigs;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.WireSize;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What each kind of fault does to a rig with everything on it. */
class FaultEditTest {
  private static final Rig RIG =
      Rigs.rig(
          Rigs.sheet(
              RigField.AXLE_COUNT, 2,
              RigField.BRAKE_TYPE, "ELECTRIC",
              RigField.TOW_CONNECTOR, "blade-7",
              RigField.TRAILER_CONNECTOR, "blade-7",
              RigField.LAMP_TECHNOLOGY, "LED",
              RigField.BREAKAWAY_KIT, "OWN_BATTERY",
              RigField.HOUSE_BATTERY, "YES"));
  private static final Harness HARNESS = HarnessPlanner.plan(RIG, WireSize.GAUGES);
  private static final RigState NIGHT = RigState.of(StateWord.TAIL, StateWord.LEVER);

  private static Solution with(String faults) {
    return with(NIGHT, faults);
  }

  private static Solution with(RigState state, String faults) {
    return RigNetwork.of(RIG, HARNESS, state, Fault.parse(faults)).network().solve();
  }

  @Test
  void anOpenConductorCarriesNothingAndItsPartIsGone() {
    Solution open = with("open:wire_cord_brake");
    assertThat(open.network().has("wire_cord_brake")).isFalse();
    assertThat(open.amps("magnet_axle1_left")).isCloseTo(0, within(1e-4));
  }

  @Test
  void addedOhmsLowerTheVoltsBehindThem() {
    double healthy = with("").across("magnet_axle1_left");
    assertThat(with("ohms:pin_brake:0.5").across("magnet_axle1_left")).isLessThan(healthy - 2);
    assertThat(with("ohms:fuse_brake:0.5").across("magnet_axle1_left")).isLessThan(healthy - 2);
    assertThat(with("ohms:battery:0.1").across("magnet_axle1_left")).isLessThan(healthy - 0.5);
  }

  @Test
  void aWeakMagnetDrawsLessAndAShortedOneMore() {
    double healthy = with("").amps("magnet_axle2_right");
    assertThat(with("draws:magnet_axle2_right:0.6").amps("magnet_axle2_right"))
        .isLessThan(0.65 * healthy);
    assertThat(with("draws:magnet_axle2_right:3").amps("magnet_axle2_right"))
        .isGreaterThan(2 * healthy);
  }

  @Test
  void aReversedLedStaysDarkAndItsNeighboursDoNot() {
    Solution reversed = with("reversed:lamp_tail_plate");
    assertThat(reversed.amps("lamp_tail_plate")).isCloseTo(0, within(1e-5));
    assertThat(reversed.amps("lamp_tail_rear_left")).isCloseTo(0.05, within(1e-3));
    assertThat(with("draws:lamp_tail_plate:2").amps("lamp_tail_plate"))
        .isCloseTo(0.12, within(1e-3));
  }

  /** 5 W of filament draw 0.39 A at 12.8 V, where the plate's diodes drew 0.06 A. */
  @Test
  void aLampOfTheOtherKindDrawsItsOwnCurrentByItsOwnLaw() {
    Solution filament = with("other_kind:lamp_tail_plate:0.39");
    assertThat(filament.amps("lamp_tail_plate")).isBetween(0.36, 0.39);
    assertThat(filament.network().element("lamp_tail_plate")).isInstanceOf(Filament.class);
    assertThat(filament.brightness("lamp_tail_plate")).isGreaterThan(0.6);
  }

  @Test
  void aMissingDiodeLetsTheTrailersBatteryFeedTheVehicle() {
    RigState idle = RigState.of();
    double through = with(idle, "flat:battery:11,bypassed:diode_breakaway").amps("diode_breakaway");
    assertThat(through).isLessThan(-1);
    assertThat(with(idle, "flat:battery:11").amps("diode_breakaway")).isCloseTo(0, within(1e-4));
    assertThat(
            with(RigState.of(StateWord.RUNNING), "reversed:diode_breakaway")
                .amps("diode_breakaway"))
        .isCloseTo(0, within(1e-4));
    assertThat(with(RigState.of(StateWord.RUNNING), "").amps("diode_house")).isPositive();
  }

  @Test
  void aFlatBatterySagsUnderLoad() {
    RigState pulled = RigState.of(StateWord.BREAKAWAY, StateWord.UNPLUGGED);
    assertThat(with(pulled, "flat:breakaway_battery:9").across("magnet_axle1_left"))
        .isLessThan(0.6 * with(pulled, "").across("magnet_axle1_left"));
  }

  @Test
  void conductorsThatTouchLightEachOthersLamps() {
    RigState left = RigState.of(StateWord.LEFT);
    assertThat(with(left, "bridge:box_left:box_right").amps("lamp_right_rear_right"))
        .isCloseTo(0.25, within(1e-3));
    assertThat(with(left, "").amps("lamp_right_rear_right")).isCloseTo(0, within(1e-4));
  }

  @Test
  void aShortInTheVehicleGoesToItsOwnMetal() {
    Solution vehicle = with(RigState.of(StateWord.TAIL, StateWord.UNPLUGGED), "short:sock_tail");
    assertThat(vehicle.amps("fuse_tail")).isGreaterThan(30);
    Element.Resistor chafe = (Element.Resistor) vehicle.network().element("short_sock_tail");
    assertThat(chafe.b()).isEqualTo(Harness.BATTERY_MINUS);
  }

  @Test
  void faultsStandTogetherInAnyNumber() {
    List<Fault> all =
        Fault.parse("open:lamp_tail_plate, ohms:pin_earth:0.3, draws:magnet_axle1_left:0.5,pulled");
    assertThat(all).hasSize(4);
    assertThat(all.get(3)).isEqualTo(new Fault(Fault.Kind.PULLED, "", "", 1.5));
    Solution solution = with("open:lamp_tail_plate,ohms:pin_earth:0.3,draws:magnet_axle1_left:0.5");
    assertThat(solution.network().has("lamp_tail_plate")).isFalse();
    assertThat(solution.volts("plug_earth", "sock_earth")).isGreaterThan(0.5);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "open:wire_to_the_moon",
        "ohms:lamp_tail_plate:2",
        "short:nowhere",
        "bridge:box_tail:nowhere",
        "exchanged:wire_cord_tail:controller",
        "draws:pin_earth:0",
        "draws:controller:2",
        "flat:pin_earth:9",
        "reversed:battery"
      })
  void whatCannotHappenToAPartIsRefusedWithItsName(String fault) {
    String named = fault.split(":")[fault.contains("nowhere") ? fault.split(":").length - 1 : 1];
    String expected = fault.startsWith("exchanged") ? "controller" : named;
    assertThatThrownBy(() -> with(fault))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining(expected);
  }

  @Test
  void aRigWithoutControllerHasNoSignalToMisread() {
    Rig bare = Rigs.unbraked();
    Harness harness = HarnessPlanner.plan(bare, WireSize.GAUGES);
    assertThatThrownBy(
            () -> RigNetwork.of(bare, harness, RigState.of(), Fault.parse("signal")).network())
        .hasMessageContaining("controller");
    assertThat(FaultCatalog.of(bare, harness))
        .extracting(fault -> fault.words(UnitSystem.METRIC))
        .noneMatch(
            l -> l.contains("Controller") || l.contains("Breakaway") || l.contains("Magnet"));
  }

  @Test
  void whatCanBeTheMatterWithALampIsInTheCatalogWhereItCanBe() {
    assertThat(FaultCatalog.of(RIG, HARNESS))
        .extracting(fault -> fault.words(UnitSystem.METRIC))
        .contains("Wrong way round: Plate lamp, left, tail", "Isolating diode missing")
        .contains(
            "A lamp of the other kind, 0.39 A: Plate lamp, left, tail",
            "A lamp of the other kind, 1.64 A: Plate lamp, left, tail",
            "Feeds exchanged at the lamp: Rear lamp, left, tail and indicator",
            "Feed and return exchanged: tail, left, towards Plate lamp, left",
            "Feeds touch in the lamp, 0.05 Ω: Rear lamp, right, tail and indicator",
            "Burnt out: the vehicle's own lamps, tail");
    Rig module = Rigs.twoAxles(RigField.LAMP_FEED, "MODULE");
    assertThat(FaultCatalog.of(module, HarnessPlanner.plan(module, WireSize.GAUGES)))
        .extracting(fault -> fault.words(UnitSystem.METRIC))
        .noneMatch(words -> words.contains("vehicle's own lamps"));
    Rig filaments = Rigs.twoAxles();
    assertThat(FaultCatalog.of(filaments, HarnessPlanner.plan(filaments, WireSize.GAUGES)))
        .extracting(fault -> fault.words(UnitSystem.METRIC))
        .noneMatch(l -> l.startsWith("Wrong way round"));
  }
}
