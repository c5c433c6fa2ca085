package org.jexel.core.network;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.jexel.core.Rigs;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.WireSize;
import org.jexel.core.rig.LampFeed;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The same trailer behind vehicles that feed its lamps in different ways. */
class LampPinsTest {
  private static Solution solve(LampFeed feed, String faults, StateWord... on) {
    Rig rig = Rigs.twoAxles(RigField.LAMP_FEED, feed.name(), RigField.ENGINE_OFF_VOLTS, 12.6);
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    return RigNetwork.of(rig, harness, RigState.of(on), Fault.parse(faults)).network().solve();
  }

  /** The trailer's earth is gone: what is on finds its way over what is off. */
  @Test
  void aLostEarthComesBackThroughTheVehiclesBulbsAndStopsAtAModule() {
    String lost = "open:pin_earth";
    Solution direct = solve(LampFeed.DIRECT, lost, StateWord.LEFT);
    assertThat(direct.amps("own_right") + direct.amps("own_tail")).isGreaterThan(0.3);
    assertThat(direct.brightness("lamp_left_rear_left")).isGreaterThan(0.02);
    assertThat(Math.abs(direct.across("lamp_right_rear_right"))).isGreaterThan(0.2);
    Solution module = solve(LampFeed.MODULE, lost, StateWord.LEFT);
    assertThat(module.brightness("lamp_left_rear_left")).isLessThan(0.004);
    assertThat(Math.abs(module.amps("off_right"))).isLessThan(0.001);
  }

  @ParameterizedTest
  @EnumSource(LampFeed.class)
  void aSoundTrailerIsBrightBehindEachVehicleAndNgspiceSaysTheSame(LampFeed feed) throws Exception {
    for (String faults : List.of("", "open:pin_earth", "on_ball:wire_cord_earth:1.5")) {
      Solution solution = solve(feed, faults, StateWord.TAIL, StateWord.LEFT);
      if (faults.isEmpty()) {
        assertThat(solution.brightness("lamp_left_rear_left")).isGreaterThan(0.6);
        assertThat(solution.brightness("lamp_tail_plate")).isGreaterThan(0.6);
      }
      Ngspice judge = Ngspice.run(Spice.of(solution, feed.name()).deck());
      for (String node : List.of("sock_left", "sock_right", "box_earth", "box_tail", "frame")) {
        assertThat(judge.volts(node) - judge.volts("bat_neg"))
            .as(feed + " " + faults + " " + node)
            .isCloseTo(
                solution.volts(node, "bat_neg"), org.assertj.core.api.Assertions.within(1e-3));
      }
    }
  }

  /** 12 V less 0.3 V through 50 mΩ; the vehicle's own bulbs take 2.3 A on the tail circuit. */
  @Test
  void aModuleLosesItsOutputStageAndBulbsLoadTheirFuse() {
    Solution module = solve(LampFeed.MODULE, "", StateWord.LEFT, StateWord.LIFTED);
    Solution direct = solve(LampFeed.DIRECT, "", StateWord.LEFT);
    double less = direct.volts("sock_left", "sock_earth") - module.volts("sock_left", "sock_earth");
    assertThat(less).isBetween(0.2, 0.5);
    assertThat(direct.amps("fuse_left") - module.amps("fuse_left")).isBetween(1.4, 1.9);
    assertThat(((Fuse) direct.network().element("fuse_left")).rating()).isEqualTo(10);
    assertThat(((Fuse) module.network().element("fuse_left")).rating()).isEqualTo(5);
    assertThat(module.network().has("own_left")).isFalse();
    assertThat(direct.network().has("out_left")).isFalse();
  }

  @Test
  void aMonitoredVehicleIsTakenToFeedFromItsBus() {
    assertThat(
            Rigs.sheet(RigField.LAMPS_MONITORED, "YES").choice(RigField.LAMP_FEED, LampFeed.class))
        .isEqualTo(LampFeed.BUS);
    assertThat(Rigs.sheet().choice(RigField.LAMP_FEED, LampFeed.class)).isEqualTo(LampFeed.DIRECT);
  }

  /** The ball hides in the yard what shows on the road, and a card between shows it. */
  @Test
  void theBallCarriesInPlaceOfALostEarthUntilTheCouplerIsLifted() {
    String hidden = "on_ball:pin_earth:0.3";
    Solution yard = solve(LampFeed.MODULE, hidden, StateWord.TAIL);
    assertThat(yard.brightness("lamp_tail_plate")).isGreaterThan(0.5);
    Solution lifted = solve(LampFeed.MODULE, hidden, StateWord.TAIL, StateWord.LIFTED);
    assertThat(lifted.brightness("lamp_tail_plate")).isLessThan(0.004);
    assertThat(
            solve(LampFeed.MODULE, "", StateWord.TAIL, StateWord.LIFTED)
                .brightness("lamp_tail_plate"))
        .isGreaterThan(0.65);
    assertThat(PinFunction.LIGHTS).contains(PinFunction.REVERSE);
  }
}
