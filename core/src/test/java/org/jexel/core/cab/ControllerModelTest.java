package org.jexel.core.cab;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Size;
import org.jexel.core.connector.WireColour;
import org.jexel.core.rig.ControllerKind;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a workshop may write down of a controller, and what it may not. */
class ControllerModelTest {
  static ControllerModel model(
      double least, double greatest, double step, List<ControllerModel.Point> curve) {
    return new ControllerModel(
        "Test stand, under-dash",
        ControllerKind.UNDER_DASH,
        least,
        greatest,
        step,
        10,
        16,
        24,
        Mounting.Limits.UNSTATED,
        List.of("off", "low"),
        Map.of(),
        new TreeMap<>(),
        curve,
        "");
  }

  @ParameterizedTest
  @CsvSource({
    "0, 10, 0, step",
    "0, 10, -1, step",
    "5, 4, 0.5, greatest",
    "5, 5, 0.5, greatest",
    "-1, 10, 0.5, least",
    "0, 10, 11, step",
    "0, 10, 0.001, step"
  })
  void aScaleThatCannotBeSetIsRefusedAtItsField(
      double least, double greatest, double step, String field) {
    assertThat(model(least, greatest, step, List.of()).problems())
        .extracting(ControllerModel.Problem::field)
        .containsExactly(field);
  }

  @Test
  void aSoundModelHasNoProblemsAndItsScaleIsOnItsMarks() {
    ControllerModel sound = model(0, 10, 0.5, List.of());
    assertThat(sound.problems()).isEmpty();
    assertThat(sound.scale().isMark(6.5)).isTrue();
    assertThat(sound.volts(5)).isEmpty();
  }

  @Property
  void aCurveThatNeverFallsIsTakenAndReadBetweenItsPoints(
      @ForAll @Size(min = 2, max = 12) List<@DoubleRange(min = 0, max = 1) Double> rises,
      @ForAll @DoubleRange(min = 0, max = 1) double share) {
    List<ControllerModel.Point> curve = new ArrayList<>();
    double volts = 0;
    for (int i = 0; i < rises.size(); i++) {
      volts += rises.get(i);
      curve.add(new ControllerModel.Point(10.0 * i / rises.size(), volts));
    }
    ControllerModel model = model(0, 10, 0.5, curve);
    assertThat(model.problems()).isEmpty();
    ControllerModel.Point first = curve.get(0);
    ControllerModel.Point second = curve.get(1);
    double gain = first.gain() + share * (second.gain() - first.gain());
    assertThat(model.volts(gain).orElseThrow())
        .isCloseTo(first.volts() + share * (second.volts() - first.volts()), within(1e-9));
    curve.set(1, new ControllerModel.Point(second.gain(), first.volts() - 0.01));
    assertThat(model(0, 10, 0.5, curve).problems())
        .extracting(ControllerModel.Problem::field)
        .containsExactly("curve");
  }

  @Test
  void aFallingCurveIsToldWithItsPoint() {
    List<ControllerModel.Point> curve =
        List.of(new ControllerModel.Point(2, 3), new ControllerModel.Point(4, 2.5));
    assertThat(model(0, 10, 0.5, curve).problems())
        .extracting(ControllerModel.Problem::message)
        .containsExactly(
            "Point 2: 2.5 V is less than the 3 V before it: a higher gain never gives fewer volts.");
    assertThat(model(0, 3, 0.5, curve).problems())
        .extracting(ControllerModel.Problem::message)
        .containsExactly("Point 2: a gain of 4 is not on the scale.");
  }

  @Test
  void linesAreReadAndTheFirstThatIsNotUnderstoodIsNamed() {
    assertThat(ControllerLines.leads("supply black\nstop signal red\n\nbrake Blue"))
        .containsEntry(ControllerLead.SUPPLY, WireColour.BLACK)
        .containsEntry(ControllerLead.STOP, WireColour.RED)
        .containsEntry(ControllerLead.BRAKE, WireColour.BLUE);
    assertThat(ControllerLines.curve("0,5 0.7\n5 6.2 V"))
        .containsExactly(new ControllerModel.Point(0.5, 0.7), new ControllerModel.Point(5, 6.2));
    assertThatThrownBy(() -> ControllerLines.leads("supply black\nsupply red"))
        .hasMessage("Line 2: supply stands twice.");
    assertThatThrownBy(() -> ControllerLines.leads("horn black")).hasMessageStartingWith("Line 1");
    assertThatThrownBy(() -> ControllerLines.curve("1 1\nhigh 3")).hasMessageStartingWith("Line 2");
    assertThatThrownBy(() -> ControllerLines.curve("1 1\n".repeat(70)))
        .hasMessageContaining("at most 60 lines");
  }

  /** 6 of 10 gave 6 V here; there 6 V lies between 3 (5 V) and 4 (7 V), so 3 on whole marks. */
  @Test
  void aGainMovesByEqualVoltsDownToTheStepOfTheOther() {
    ControllerModel here = model(0, 10, 0.5, List.of(at(0, 0), at(10, 10)));
    ControllerModel there = model(0, 5, 1, List.of(at(1, 1), at(3, 5), at(5, 9)));
    MovedGain moved = MovedGain.of(here, 6, there).orElseThrow();
    assertThat(moved.volts()).isCloseTo(6, within(1e-9));
    assertThat(moved.gain()).hasValue(3);
    assertThat(MovedGain.of(here, 5, there).orElseThrow().gain()).as("the very volts").hasValue(3);
    assertThat(MovedGain.of(here, 9.5, there).orElseThrow().gain()).as("beyond it").isEmpty();
    assertThat(MovedGain.of(here, 0.5, there).orElseThrow().gain()).as("below it").isEmpty();
    assertThat(MovedGain.of(there, 0, here)).as("not measured there").isEmpty();
    assertThat(MovedGain.of(here, 6, model(0, 5, 1, List.of()))).isEmpty();
  }

  private static ControllerModel.Point at(double gain, double volts) {
    return new ControllerModel.Point(gain, volts);
  }
}
