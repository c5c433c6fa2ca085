package org.jexel.core.cab;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.jexel.core.quantity.Fraction;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.ControllerKind;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Holes, angles, signals and plugs in the cab. */
class FitTest {
  private static Fraction in64(int n) {
    return new Fraction(n, 64);
  }

  @Property
  void fractionsAreExactToThe64th(
      @ForAll @IntRange(min = 0, max = 20000) int a,
      @ForAll @IntRange(min = 0, max = 20000) int b) {
    assertThat(in64(a).plus(in64(b))).isEqualTo(in64(a + b));
    assertThat(in64(a).plus(in64(b)).minus(in64(b))).isEqualTo(in64(a));
    assertThat(in64(a).half().plus(in64(a).half())).isEqualTo(in64(a));
    assertThat(Fraction.parse(in64(a).toString(), UnitSystem.US)).isEqualTo(in64(a));
    assertThat(Fraction.nearest(in64(a).metres())).isEqualTo(in64(a));
    assertThat(in64(a).onTheTape()).isTrue();
  }

  @Test
  void fractionsAreReadAsTheyAreWritten() {
    for (String text : List.of("7 3/8", "7-3/8", "7.375", "7,375 in", "59/8\"")) {
      assertThat(Fraction.parse(text, UnitSystem.US)).as(text).isEqualTo(new Fraction(59, 8));
    }
    assertThatThrownBy(() -> Fraction.parse("3/0", UnitSystem.US)).hasMessageContaining("3/8");
    assertThatThrownBy(() -> Fraction.parse("half", UnitSystem.US)).hasMessageContaining("2 5/8");
    assertThat(new Fraction(-1, 2)).hasToString("−1/2 in");
  }

  /** A millimetre is 5/127 in, so that nothing is lost on the way from one to the other. */
  @Test
  void millimetresAreExactAndATapeEndsAtASixtyFourth() {
    Fraction width = Fraction.parse("120.5 mm", UnitSystem.US);
    assertThat(width).isEqualTo(Fraction.parse("120,5", UnitSystem.METRIC));
    assertThat(width.metres()).isEqualTo(0.1205);
    assertThat(PanelCentre.of(width, null, null).centre().text(UnitSystem.METRIC))
        .isEqualTo("60.3 mm");
    assertThat(width.half().text(UnitSystem.US)).isEqualTo("about 2 3/8 in");
    assertThat(Fraction.parse("2 5/8", UnitSystem.METRIC).text(UnitSystem.METRIC))
        .as("a fraction is of an inch")
        .isEqualTo("66.7 mm");
    assertThatThrownBy(() -> Fraction.parse("1 3/10", UnitSystem.US)).hasMessageContaining("1/64");
    assertThatThrownBy(() -> Fraction.parse("1/128", UnitSystem.US)).hasMessageContaining("1/64");
  }

  @Test
  void anAngleThatHoldsSaysWhatItWasHeldAgainst() {
    Mounting rolled = Mounting.of(0, 0, Math.toRadians(70), Mounting.Limits.UNSTATED);
    assertThat(rolled.verdict()).isEqualTo(Verdict.HOLDS);
    assertThat(rolled.basis()).contains("up to 10°", "up to 15°", "rolled as it may be");
    Mounting.Limits stated = new Mounting.Limits(0.1, 0.1, Math.toRadians(45), false);
    assertThat(Mounting.of(0, 0, 0.1, stated).basis()).contains("rolled up to 45°");
  }

  @Test
  void aColourIsTheSameByItsNameAndByItsCode() {
    assertThat(ControllerLines.leads("supply BK\nearth White\nstop gray\nbrake bu"))
        .isEqualTo(ControllerLines.leads("supply black\nearth WH\nstop GY\nbrake blue"));
    assertThat(
            CavityMatch.of(CavityMatch.parse("1 BK\n2 red"), CavityMatch.parse("1 black\n2 RD"))
                .agrees())
        .isTrue();
  }

  @Test
  void theMiddleOfAPanelIsCheckedFromBothEdges() {
    PanelCentre centre =
        PanelCentre.of(
            Fraction.parse("7 3/8", UnitSystem.US),
            Fraction.parse("3 11/16", UnitSystem.US),
            Fraction.parse("3 11/16", UnitSystem.US));
    assertThat(centre.centre()).hasToString("3 11/16 in");
    assertThat(centre.verdict()).isEqualTo(Verdict.HOLDS);
    PanelCentre off =
        PanelCentre.of(
            Fraction.of(8),
            Fraction.parse("4 1/8", UnitSystem.US),
            Fraction.parse("3 7/8", UnitSystem.US));
    assertThat(off.off()).isEqualTo(new Fraction(1, 8));
    assertThat(off.verdict()).isEqualTo(Verdict.FAILS);
    PanelCentre tape =
        PanelCentre.of(Fraction.of(8), Fraction.of(4), Fraction.parse("4 1/4", UnitSystem.US));
    assertThat(tape.gap()).isEqualTo(new Fraction(1, 4));
    assertThatThrownBy(() -> PanelCentre.of(Fraction.of(0), null, null))
        .hasMessageContaining("wider");
  }

  @Property(tries = 200)
  void theNearestDrillIsWithinAQuarterMillimetreAndOneThroughIsNeverTooSmall(
      @ForAll @DoubleRange(min = 1.5, max = 12.5) double millimetres) {
    double hole = millimetres / 1000;
    assertThat(Math.abs(Drills.nearest(hole).get(0).error())).isLessThanOrEqualTo(0.00025 + 1e-9);
    Drills.Drill through = Drills.through(hole);
    assertThat(through.diameter()).isGreaterThanOrEqualTo(hole - 1e-9);
    assertThat(through.error()).isLessThan(0.0011);
  }

  /** Best known radius ratios for equal circles in a circle (Graham and others, 1998). */
  @ParameterizedTest
  @CsvSource({
    "2,2.0",
    "3,2.1547",
    "4,2.4142",
    "5,2.7013",
    "6,3.0",
    "7,3.0",
    "8,3.3048",
    "9,3.6131",
    "10,3.8130",
    "11,3.9238",
    "12,4.0296"
  })
  void equalCablesArePackedWithinThreePercentOfTheBestKnown(int n, double best) {
    double[] cables = new double[n];
    Arrays.fill(cables, 0.006);
    assertThat(CirclePacking.around(cables) / 0.006)
        .isGreaterThan(0.995 * best)
        .isLessThan(1.03 * best);
  }

  @Property(tries = 25)
  void aBundleIsNeverSmallerThanItsCopperNorAHoleThanItsBundle(
      @ForAll @Size(min = 1, max = 9) List<@DoubleRange(min = 2, max = 12) Double> cables) {
    double[] d = cables.stream().mapToDouble(mm -> mm / 1000).toArray();
    BundleHole hole = BundleHole.of(d);
    double area = Arrays.stream(d).map(x -> x * x).sum();
    assertThat(hole.around()).isGreaterThanOrEqualTo(Math.sqrt(area) - 1e-9);
    assertThat(hole.around()).isLessThanOrEqualTo(Arrays.stream(d).sum() + 1e-9);
    assertThat(hole.drill().diameter()).isGreaterThanOrEqualTo(hole.around() / 0.8 - 1e-9);
  }

  @Test
  void aTurnedControllerSensesLessAndATiltedOneSensesGravity() {
    Mounting turned = Mounting.of(Math.toRadians(25), 0, 0, Mounting.Limits.UNSTATED);
    assertThat(turned.error()).isCloseTo(Math.cos(Math.toRadians(25)) - 1, within(1e-12));
    assertThat(turned.verdict()).isEqualTo(Verdict.FAILS);
    assertThat(turned.reasons().get(0)).contains("25°").contains("10°");
    Mounting tilted = Mounting.of(0, Math.toRadians(13), Math.PI / 2, Mounting.Limits.UNSTATED);
    assertThat(tilted.offset()).isCloseTo(0.225, within(1e-3));
    assertThat(tilted.verdict()).isEqualTo(Verdict.WATCH);
    assertThat(Mounting.of(0, 0, 0, Mounting.Limits.UNSTATED).verdict()).isEqualTo(Verdict.HOLDS);
    assertThatThrownBy(() -> Mounting.of(9, 0, 0, Mounting.Limits.UNSTATED))
        .hasMessageContaining("°");
  }

  private static StopSignal.Reading wire(
      String name, double up, double down, double upKey, double downKey) {
    return new StopSignal.Reading(name, up, down, upKey, downKey, false);
  }

  @Test
  void theSwitchedSideIsFoundAmongItsLookalikes() {
    double no = Double.NaN;
    StopSignal found =
        StopSignal.of(
            List.of(
                wire("red-white", 12.5, 12.5, no, no),
                wire("green", 0, 12.4, no, no),
                wire("blue", 12.5, 0, no, no),
                wire("violet", 0, 0, 12.4, 12.4),
                wire("grey", 0, 5.5, no, no),
                wire("black", 0, 0, no, no)),
            12.5,
            false);
    assertThat(found.wires())
        .extracting(StopSignal.Wire::kind)
        .containsExactly(
            StopSignal.Kind.CONSTANT,
            StopSignal.Kind.SWITCHED,
            StopSignal.Kind.NORMALLY_CLOSED,
            StopSignal.Kind.KEYED,
            StopSignal.Kind.PULSED,
            StopSignal.Kind.DEAD);
    assertThat(found.use().orElseThrow().reading().name()).isEqualTo("green");
    assertThat(found.advice()).contains("isolator");
  }

  @Test
  void aTestLampSpeaksForAMeter() {
    assertThat(StopSignal.lamp(" Lit ", 12.5)).hasValue(12.5);
    assertThat(StopSignal.lamp("off", 12.5)).hasValue(0);
    assertThat(StopSignal.lamp("dim", 10).orElseThrow()).isBetween(2.0, 7.0);
    assertThat(StopSignal.lamp("12.4", 12.5)).isEmpty();
  }

  @Test
  void aWireThatFlashesOrContradictsItselfIsNotTaken() {
    StopSignal.Reading flashing =
        new StopSignal.Reading("yellow", 0, 12.4, Double.NaN, Double.NaN, true);
    StopSignal shared = StopSignal.of(List.of(flashing), 12.5, false);
    assertThat(shared.use()).isEmpty();
    assertThat(shared.advice()).contains("pump");
    StopSignal odd = StopSignal.of(List.of(wire("pink", 0, 12.4, 0, 0)), 12.5, false);
    assertThat(odd.wires().get(0).kind()).isEqualTo(StopSignal.Kind.CONTRADICTION);
    assertThat(StopSignal.of(List.of(), 12.5, false).advice()).contains("pedal up");
  }

  @Test
  void exchangedCavitiesAreNamedWithTheFewestMoves() {
    CavityMatch match =
        CavityMatch.of(
            CavityMatch.parse("1 stop\n2 earth\n3 supply\n4 brake\n5 -\n6 ?"),
            CavityMatch.parse("1 stop\n2 brake\n3 supply\n4 ground\n5 -\n6 tail"));
    assertThat(match.lines())
        .extracting(CavityMatch.Line::kind)
        .containsExactly(
            CavityMatch.Kind.AGREE,
            CavityMatch.Kind.EXCHANGE,
            CavityMatch.Kind.AGREE,
            CavityMatch.Kind.EXCHANGE,
            CavityMatch.Kind.EMPTY,
            CavityMatch.Kind.UNKNOWN);
    assertThat(match.moves()).isEqualTo(2);
    assertThat(match.insert()).isEqualTo(Map.of(2, 4, 4, 2));
    assertThat(match.agrees()).isFalse();
  }

  @Property(tries = 100)
  void movingWhatIsReleasedMakesBothEndsAgree(@ForAll @IntRange(min = 2, max = 9) int n) {
    List<String> functions =
        new java.util.ArrayList<>(
            List.of(
                "stop", "earth", "charge", "brake", "tail", "left", "right", "reverse", "lamp"));
    java.util.Collections.shuffle(functions, new java.util.Random(n));
    StringBuilder vehicle = new StringBuilder();
    StringBuilder harness = new StringBuilder();
    List<String> some = functions.subList(0, n);
    List<String> turned = new java.util.ArrayList<>(some);
    java.util.Collections.rotate(turned, 1);
    for (int i = 0; i < n; i++) {
      vehicle.append(i + 1).append(' ').append(some.get(i)).append('\n');
      harness.append(i + 1).append(' ').append(turned.get(i)).append('\n');
    }
    Map<Integer, String> bought = CavityMatch.parse(harness.toString());
    CavityMatch match = CavityMatch.of(CavityMatch.parse(vehicle.toString()), bought);
    Map<Integer, String> mended = new java.util.HashMap<>(bought);
    match.release().forEach(mended::remove);
    match.insert().forEach((from, to) -> mended.put(to, bought.get(from)));
    assertThat(CavityMatch.of(CavityMatch.parse(vehicle.toString()), mended).agrees()).isTrue();
    assertThat(new HashSet<>(match.release())).hasSize(match.moves());
  }

  @Test
  void everyKindIsPoweredUpAndShowsWhatASoundOneWould() {
    for (ControllerKind kind : ControllerKind.values()) {
      for (PowerUp.Stage stage : PowerUp.sequence(kind)) {
        assertThat(PowerUp.show(kind, stage.held(), 0.5).display())
            .as(kind + ", " + stage.act())
            .isEqualTo(stage.expect());
        assertThat(stage.expect().meaning()).isNotBlank();
      }
    }
    assertThat(PowerUp.sequence(ControllerKind.NONE)).isEmpty();
    assertThat(PowerUp.sequence(ControllerKind.WIRELESS))
        .extracting(PowerUp.Stage::expect)
        .contains(PowerUp.Display.UNPAIRED, PowerUp.Display.LINK_LOST);
  }

  @Test
  void theLeverWithoutTrailerIsAFaultOnlyWhereTheVehicleLogsIt() {
    PowerUp.Held pressed = new PowerUp.Held(false, 1, false, false, true, true);
    assertThat(PowerUp.show(ControllerKind.BUILT_IN, pressed, 1).display())
        .isEqualTo(PowerUp.Display.FAULT);
    assertThat(PowerUp.show(ControllerKind.UNDER_DASH, pressed, 1).display())
        .isEqualTo(PowerUp.Display.NO_TRAILER);
    assertThat(PowerUp.show(ControllerKind.BUILT_IN, pressed, 1).share()).isZero();
  }

  @Property
  void theOutputFollowsLeverAndGain(
      @ForAll @DoubleRange(min = 0, max = 1) double lever,
      @ForAll @DoubleRange(min = 0, max = 1) double gain) {
    PowerUp.Held held = new PowerUp.Held(true, lever, false, true, true, true);
    double share = PowerUp.show(ControllerKind.TIMED, held, gain).share();
    assertThat(share).isCloseTo(lever * gain, within(1e-12));
  }

  @Test
  void aCavityListThatCannotBeIsRefusedWithItsLine() {
    assertThatThrownBy(() -> CavityMatch.parse("1 stop\n1 earth"))
        .hasMessage("Line 2: cavity 1 stands twice.");
    assertThatThrownBy(() -> CavityMatch.parse("stop 1")).hasMessageContaining("Line 1");
    assertThatThrownBy(() -> CavityMatch.parse("1 a\n".repeat(60)))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
