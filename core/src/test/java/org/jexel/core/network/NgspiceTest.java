package org.jexel.core.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.jexel.core.Rigs;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.WireSize;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Stock ngspice solves the exported deck and must find the same voltages and currents. */
class NgspiceTest {
  private static final double MILLI = 1e-3;

  private static void agree(Network network) {
    Spice spice = Spice.of(network.solve(), "agreement");
    Ngspice judge = Ngspice.run(spice.deck());
    spice
        .nodes()
        .forEach(
            (node, volts) ->
                assertThat(volts).as(node).isCloseTo(judge.volts(node), within(MILLI)));
    spice
        .branches()
        .forEach(
            (name, amps) -> assertThat(amps).as(name).isCloseTo(judge.amps(name), within(MILLI)));
  }

  @Test
  void theLawsOfLampsLedsAndDiodesAreTheSame() {
    for (double volts : new double[] {-14, -3, -0.01, 0.02, 0.4, 3, 7.5, 9, 10.4, 12.8, 16}) {
      agree(
          new Network("g")
              .add(new Element.Source("supply", "p", "g", volts, 0.02))
              .add(new Filament("lamp", "p", "g", 2.1, 12.8))
              .add(new Led("led", "p", "l", 0.25))
              .add(new Element.Resistor("led_back", "l", "g", 4))
              .add(new Diode("diode", "p", "d", Diode.SILICON_VOLTS))
              .add(new Element.Resistor("diode_back", "d", "g", 1.5))
              .add(new Element.Converter("stage", "p", "o", 0.6, 0.3))
              .add(new Element.Resistor("magnet", "o", "g", 3.2)));
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          tail                     |
          tail left                | open:wire_earth_rear_left
          tail stop lever          | ohms:pin_earth:0.5
          left                     | open:joint_cord_earth
          tail stop running        | open:pin_earth
          hazard                   | bridge:box_tail:box_left
          lever pedal running      | draws:magnet_axle1_left:0.01,draws:magnet_axle2_right:3
          breakaway unplugged      |
          running                  | pulled:2
          running lever            | flat:breakaway_battery:8
          tail right reverse       | exchanged:wire_cord_tail:wire_cord_right
          stop                     | short:box_left
          tail left                | exchanged:wire_tail_rear_left:wire_left_rear_left
          tail left                | bridge:tail_rear_left:left_rear_left
          tail left                | other_kind:lamp_left_rear_left:0.7,other_kind:lamp_tail_plate
          left                     | open:own_left,draws:own_tail:0.5
          running                  | reversed:diode_breakaway
          running                  | bypassed:diode_breakaway
          """)
  void aMixedRigAgreesInEveryStateAndFault(String words, String faults) {
    for (String technology : List.of("FILAMENT", "LED")) {
      for (String lampReturn : List.of("OWN_CONDUCTOR", "FRAME")) {
        Rig rig =
            Rigs.rig(
                Rigs.sheet(
                    RigField.AXLE_COUNT, 2,
                    RigField.BRAKE_TYPE, "ELECTRIC",
                    RigField.TOW_CONNECTOR, "blade-7",
                    RigField.TRAILER_CONNECTOR, "blade-7",
                    RigField.BREAKAWAY_KIT, "OWN_BATTERY",
                    RigField.BRAKE_FEED, "RING",
                    RigField.LAMP_TECHNOLOGY, technology,
                    RigField.LAMP_RETURN, lampReturn));
        Harness harness = HarnessPlanner.plan(rig, WireSize.METRIC);
        String there =
            lampReturn.equals("FRAME") && faults != null
                ? faults.replace("wire_earth_rear_left", "screw_rear_left")
                : faults;
        RigState state =
            new RigState(StateWord.parse(List.of(words.strip().split(" +"))), 0.7, 0.5, 1);
        agree(
            RigNetwork.of(rig, harness, state, Fault.parse(there == null ? "" : there)).network());
      }
    }
  }
}
