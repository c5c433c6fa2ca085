package org.jexel.core.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The laws of the single elements, at every voltage of either sign. */
class ElementLawsTest {
  private static final Filament LAMP = new Filament("lamp", "a", "b", 2.1, 12.8);
  private static final Led LED = new Led("led", "a", "b", 0.25);
  private static final Diode SILICON = new Diode("diode", "a", "b", Diode.SILICON_VOLTS);

  static Stream<Element.TwoPole> elements() {
    return Stream.of(
        new Element.Resistor("r", "a", "b", 3.2),
        new Fuse("fuse", "a", "b", 0.002, 15),
        LAMP,
        LED,
        SILICON,
        new Diode("schottky", "a", "b", Diode.SCHOTTKY_VOLTS));
  }

  @ParameterizedTest
  @MethodSource("elements")
  void theSlopeIsTheDerivativeEverywhereAndNeverFalls(Element.TwoPole element) {
    for (double volts = -16; volts <= 16; volts += 0.0913) {
      double step = 1e-6;
      double slope = (element.amps(volts + step) - element.amps(volts - step)) / (2 * step);
      double size = Math.max(1e-6, Math.abs(slope));
      assertThat(element.slope(volts)).as("%s at %s V", element.name(), volts).isNotNegative();
      assertThat(element.slope(volts)).isCloseTo(slope, within(2e-3 * size + 1e-7));
      assertThat(element.amps(volts + 0.05)).isGreaterThanOrEqualTo(element.amps(volts));
    }
    assertThat(element.start()).isPositive().isFinite();
  }

  @Property
  void aHotFilamentFollowsThePowerLaw(@ForAll @DoubleRange(min = 1, max = 16) double volts) {
    double law = 2.1 * Math.pow(volts / 12.8, 0.55);
    assertThat(LAMP.amps(volts)).isCloseTo(law, within(1e-3 * law));
    assertThat(LAMP.amps(-volts)).isCloseTo(-LAMP.amps(volts), within(1e-12));
  }

  @Test
  void aColdFilamentIsATwelfthOfItsHotResistance() {
    double cold = 1e-6 / LAMP.amps(1e-6);
    assertThat(cold).isCloseTo(12.8 / (12 * 2.1), within(1e-6));
    assertThat(LAMP.amps(12.8)).isCloseTo(2.1, within(1e-5));
    assertThat(LAMP.amps(0)).isZero();
  }

  @Test
  void lightFadesFasterThanVolts() {
    assertThat(LAMP.brightness(12.8)).isCloseTo(1, within(1e-12));
    assertThat(LAMP.brightness(6.4)).isCloseTo(Math.pow(0.5, 3.4), within(1e-12));
    assertThat(LAMP.brightness(-6.4)).isEqualTo(LAMP.brightness(6.4));
  }

  @ParameterizedTest
  @ValueSource(doubles = {-14, -1, 0, 3, 6.99})
  void anLedIsDarkBelowSevenVoltsAndAgainstItsPolarity(double volts) {
    assertThat(LED.brightness(volts)).isZero();
    assertThat(Math.abs(LED.amps(volts))).isLessThan(2e-6);
  }

  @ParameterizedTest
  @ValueSource(doubles = {10.5, 12.8, 16})
  void anLedIsRegulatedFromTenAndAHalfVoltsOn(double volts) {
    assertThat(LED.amps(volts)).isCloseTo(0.25, within(1e-5));
    assertThat(LED.brightness(volts)).isEqualTo(1);
  }

  @Test
  void aDiodeDropsItsForwardVoltageAtTenAmpsAndBlocksBackwards() {
    assertThat(SILICON.amps(0.7)).isCloseTo(10, within(1e-6));
    assertThat(new Diode("s", "a", "b", Diode.SCHOTTKY_VOLTS).amps(0.4))
        .isCloseTo(10, within(1e-6));
    assertThat(Math.abs(SILICON.amps(-15))).isLessThan(1e-5);
    assertThat(SILICON.amps(3)).isFinite();
    assertThat(SILICON.amps(0)).isZero();
  }

  @Test
  void aControllerWithoutSupplyGivesNothingAndAwakeItLosesItsDrop() {
    Element.Converter half = new Element.Converter("c", "in", "out", 0.5, 0.3);
    assertThat(half.output(12.6)).isCloseTo(0.5 * 12.3, within(1e-12));
    assertThat(half.output(0)).isZero();
    for (double volts = -2; volts < 8; volts += 0.05) {
      double slope = (half.output(volts + 1e-6) - half.output(volts - 1e-6)) / 2e-6;
      assertThat(half.slope(volts)).isCloseTo(slope, within(1e-5)).isPositive();
    }
  }

  @Test
  void partsThatCannotBeAreRefusedByName() {
    assertThatThrownBy(() -> new Filament("plate", "a", "b", 0, 12.8))
        .hasMessageContaining("plate");
    assertThatThrownBy(() -> new Led("marker", "a", "b", -1)).hasMessageContaining("marker");
    assertThatThrownBy(() -> new Diode("feed", "a", "b", 0)).hasMessageContaining("feed");
    assertThatThrownBy(() -> new Fuse("f7", "a", "b", 0.01, 0)).hasMessageContaining("f7");
    assertThatThrownBy(() -> new Element.Converter("ctrl", "a", "b", 0.5, 4))
        .hasMessageContaining("ctrl");
  }

  private static Network night(double lampAmps, double forward, double fuseOhms) {
    return new Network("g")
        .add(new Element.Source("battery", "p", "g", 12.6, 0.02))
        .add(new Fuse("fuse", "p", "f", fuseOhms, 10))
        .add(new Element.Resistor("wire", "f", "l", 0.1))
        .add(new Filament("lamp", "l", "g", lampAmps, 12.8))
        .add(new Led("led", "l", "e", 0.3))
        .add(new Element.Resistor("return", "e", "g", 0.4))
        .add(new Diode("diode", "l", "c", forward))
        .add(new Element.Source("small", "c", "g", 11.6, 0.2));
  }

  @Property(tries = 60)
  void sensitivitiesOfLampsDiodesAndFusesAreTheirSlopes(
      @ForAll @DoubleRange(min = 0.3, max = 3) double amps) {
    Solution here = night(amps, 0.7, 0.01).solve();
    Solution.Sensitivity volts = here.ofVolts("l", "g");
    double d = 1e-5;
    assertThat(volts.to("lamp"))
        .isCloseTo(slope(night(amps + d, 0.7, 0.01), night(amps - d, 0.7, 0.01), d), within(1e-5));
    assertThat(volts.to("diode"))
        .isCloseTo(slope(night(amps, 0.7 + d, 0.01), night(amps, 0.7 - d, 0.01), d), within(1e-3));
    assertThat(volts.to("fuse"))
        .isCloseTo(slope(night(amps, 0.7, 0.01 + d), night(amps, 0.7, 0.01 - d), d), within(1e-3));
    assertThat(here.ofAmps("wire").to("lamp"))
        .isCloseTo(
            (night(amps + d, 0.7, 0.01).solve().amps("wire")
                    - night(amps - d, 0.7, 0.01).solve().amps("wire"))
                / (2 * d),
            within(1e-4));
  }

  private static double slope(Network up, Network down, double d) {
    return (up.solve().volts("l") - down.solve().volts("l")) / (2 * d);
  }

  @Property(tries = 60)
  void theOrderOfEliminationIsAPermutation(@ForAll @IntRange(min = 1, max = 60) int n) {
    Random random = new Random(n);
    List<BitSet> neighbours = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      neighbours.add(new BitSet(n));
    }
    for (int i = 1; i < n; i++) {
      int j = random.nextInt(i);
      neighbours.get(i).set(j);
      neighbours.get(j).set(i);
    }
    Set<Integer> places = new HashSet<>();
    for (int place : EliminationOrder.of(neighbours)) {
      assertThat(place).isBetween(0, n - 1);
      places.add(place);
    }
    assertThat(places).hasSize(n);
  }

  @Test
  void aLongChainOfLampsIsSolvedToItsLastDecimal() {
    Network chain = new Network("g").add(new Element.Source("battery", "n0", "g", 12.6, 0.02));
    for (int i = 0; i < 300; i++) {
      chain.add(new Element.Resistor("wire" + i, "n" + i, "n" + (i + 1), 0.002));
      chain.add(new Filament("lamp" + i, "n" + (i + 1), "g", 0.05, 12.8));
    }
    Solution solution = chain.solve();
    double given = solution.amps("battery");
    double taken = 0;
    for (int i = 0; i < 300; i++) {
      taken += solution.amps("lamp" + i);
      assertThat(solution.volts("n" + (i + 1))).isLessThan(solution.volts("n" + i));
    }
    assertThat(taken).isCloseTo(given, within(1e-7));
  }

  @Test
  void aDeckKeepsToPlainLettersAndEveryDigit() {
    Spice spice = Spice.of(night(1, 0.7, 0.01).solve(), "J1001 ⌀ “night”");
    assertThat(spice.deck()).matches("(?s)\\p{ASCII}*").startsWith("* J1001").endsWith(".end\n");
    assertThat(spice.deck()).contains("r_wire f l 0.10000000000000000");
    assertThat(spice.branches().get("v_battery")).isNegative();
    assertThat(spice.branches().get("r_battery_inside")).isPositive();
    assertThat(spice.nodes()).containsKeys("battery_inside", "g", "l");
  }
}
