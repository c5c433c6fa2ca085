package org.jexel.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.jexel.core.Rigs;
import org.jexel.core.bench.Stand;
import org.jexel.core.harness.Harness;
import org.jexel.core.network.Fault;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What hands, eyes and a gentle stop find at the wheels, as brake mechanics tell it. */
class WheelChecksTest {
  private static final Rig RIG = Rigs.twoAxles();
  private static final Harness HARNESS = Stand.harness(RIG);
  private static final List<Check> CHECKS = CheckSheet.of(RIG, HARNESS, OptionalDouble.of(12.6));

  private static Check check(String id) {
    return CHECKS.stream().filter(c -> c.id().equals(id)).findFirst().orElseThrow();
  }

  private static String word(String check, String faults) {
    double place = FaultyRig.of(RIG, HARNESS, Fault.parse(faults)).read(check(check));
    return check(check).measure().text(Math.round(place), UnitSystem.METRIC);
  }

  @ParameterizedTest
  @CsvSource({
    "set_tight, turns, drags",
    "set_tight, adjusts, binds already",
    "set_tight, heats, hot",
    "set_slack, adjusts, many notches",
    "set_slack, heats, cold",
    "shoes_thin, shoes, worn thin",
    "shoes_greasy, shoes, greasy",
    "shoes_glazed, shoes, glazed",
    "lever_seized, grips, turns on",
    "lever_seized, pivots, sticks",
    "lever_seized, heats, cold",
    "brake_seized, turns, drags",
    "brake_seized, pivots, sticks",
    "magnet_stuck, grips, turns on",
    "magnet_stuck, face, stuck on its post",
    "magnet_worn, face, worn or grooved",
    "bearing, rocks, knocks or growls",
    "tyre_soft, tyre, soft"
  })
  void aWheelShowsWhatIsTheMatterWithIt(String condition, String reading, String word) {
    String left = reading + ".magnet_axle1_left";
    String fault = "mechanical:magnet_axle1_left:" + condition;
    assertThat(word(left, fault)).isEqualTo(word);
    assertThat(word(left, "")).isNotEqualTo(word).isNotEqualTo("hot");
    assertThat(word(reading + ".magnet_axle2_right", fault))
        .as("another wheel")
        .isEqualTo(word(left, ""));
    assertThat(word("hums.magnet_axle1_left", fault))
        .as("its magnet has its current")
        .isEqualTo("hums");
  }

  /** The side that brakes less lets the rig be drawn to the other. */
  @ParameterizedTest
  @CsvSource({
    "mechanical:magnet_axle1_left:lever_seized, to the right",
    "mechanical:magnet_axle2_right:shoes_greasy, to the left",
    "open:magnet_axle1_left, to the right",
    "draws:magnet_axle1_right:0.4, to the left",
    "mechanical:magnet_axle1_right:brake_seized, straight",
    "mechanical:magnet_axle1_left:tyre_soft, to the left",
    "mechanical:magnet_axle1_left:load_aside, to the right",
    "'mechanical:magnet_axle1_left:lever_seized,mechanical:magnet_axle2_right:lever_seized', straight",
    "'mechanical:magnet_axle1_left:shoes_glazed,mechanical:magnet_axle1_left:shoes_greasy', to the right"
  })
  void aRigIsDrawnToTheSideThatBrakesMore(String faults, String word) {
    assertThat(word("pulls.trailer", faults)).isEqualTo(word);
  }

  @Test
  void aMagnetWithoutCurrentNeitherHumsNorHoldsNorHeats() {
    String open = "open:magnet_axle2_left";
    assertThat(word("hums.magnet_axle2_left", open)).isEqualTo("silent");
    assertThat(word("grips.magnet_axle2_left", open)).isEqualTo("turns on");
    assertThat(word("heats.magnet_axle2_left", open)).isEqualTo("cold");
    assertThat(word("heats.magnet_axle1_left", open)).isEqualTo("as the others");
    assertThat(word("stands.trailer", "mechanical:magnet_axle1_right:load_aside"))
        .isEqualTo("right side low");
  }

  /** A wheel keeps its condition when its magnet is gone, whichever was found first. */
  @Test
  void aMagnetThatIsOpenAndABearingThatKnocksStandTogether() {
    String open = "open:magnet_axle1_left";
    String bearing = "mechanical:magnet_axle1_left:bearing";
    for (String both : List.of(open + "," + bearing, bearing + "," + open)) {
      assertThat(word("hums.magnet_axle1_left", both)).isEqualTo("silent");
      assertThat(word("rocks.magnet_axle1_left", both)).isEqualTo("knocks or growls");
    }
  }

  /** An actuator has a gauge and no drum that is looked into for a magnet. */
  @Test
  void anActuatorsPressureTellsAirFromALeak() {
    Rig digger =
        Rigs.twoAxles(
            RigField.BRAKE_TYPE, "ELECTRIC_HYDRAULIC", RigField.BREAKAWAY_KIT, "OWN_BATTERY");
    Harness harness = Stand.harness(digger);
    List<Check> checks = CheckSheet.of(digger, harness, OptionalDouble.of(12.6));
    assertThat(checks).noneMatch(c -> c.id().contains("magnet"));
    Check pressure =
        checks.stream().filter(c -> c.id().equals("pressure.actuator")).findFirst().orElseThrow();
    assertThat(pressure.band().expected()).isEqualTo(2);
    assertThat(pressure).matches(Check::proves, "proves").matches(Check::gatesTheRoad, "gates");
    for (String[] one :
        new String[][] {
          {"mechanical:actuator:air_in_lines", "builds none"},
          {"mechanical:actuator:fluid_leaks", "leaks away"},
          {"open:pin_charge", "builds none"},
          {"", "builds and stays"}
        }) {
      double place = FaultyRig.of(digger, harness, Fault.parse(one[0])).read(pressure);
      assertThat(Measure.PRESSING.words().get((int) Math.round(place)))
          .as(one[0])
          .isEqualTo(one[1]);
    }
  }

  @Test
  void aDrumIsTakenOffOnceForAllThatIsSeenUnderIt() {
    List<Round> off =
        Round.of(CHECKS).stream()
            .filter(round -> round.first().group() == Check.Group.DRUM)
            .toList();
    assertThat(off).hasSize(4);
    assertThat(off.get(0).title()).isEqualTo("Take the drum off: axle 1 left");
    assertThat(off.get(0).checks())
        .extracting(Check::measure)
        .containsExactly(Measure.LININGS, Measure.MAGNET_FACE, Measure.LEVER);
  }

  /** None of it is needed to prove a rig, and what is not a sound wheel's word fails. */
  @Test
  void handsAndEyesJudgeWhatNoMeterShows() {
    List<Check> wheels =
        CHECKS.stream()
            .filter(
                c ->
                    c.group() == Check.Group.WHEELS
                        || c.group() == Check.Group.DRUM
                        || c.group() == Check.Group.DRIVEN)
            .collect(Collectors.toList());
    assertThat(wheels).hasSize(4 * 8 + 2).noneMatch(Check::proves);
    for (Check check : wheels) {
      for (int word = 0; word < check.measure().words().size(); word++) {
        boolean sound = word == check.band().expected();
        Verdict verdict = check.band().judge(word);
        assertThat(verdict).as(check.id()).isEqualTo(sound ? Verdict.HOLDS : Verdict.FAILS);
        assertThat(check.meaning(verdict, word)).as(check.id() + " " + word).isNotBlank();
      }
    }
  }
}
