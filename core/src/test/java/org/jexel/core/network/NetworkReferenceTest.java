package org.jexel.core.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

/**
 * One axle over a long feed, worked by hand: battery 12.60 V behind 20 mΩ; 0.45 V lost in the
 * controller at full output; feed 6.0 m of 10 AWG; one pin; trunk 7.5 m of 12 AWG; then across the
 * axle 1.6 m of 14 AWG to the far wheel; each wheel 3.2 Ω; the return the same, with one pin; 40
 * °C.
 */
class NetworkReferenceTest {
  private static final double RHO = 1.7241e-8;
  private static final double WARM = 1 + 0.00393 * 20;

  private static double wire(double gauge, double metres) {
    double diameter = 0.127e-3 * Math.pow(92, (36 - gauge) / 39);
    return RHO * metres / (Math.PI * diameter * diameter / 4) * WARM;
  }

  private static final double FEED = wire(10, 6.0);
  private static final double TRUNK = wire(12, 7.5);
  private static final double ACROSS = wire(14, 1.6);
  private static final double PIN = 0.005;
  private static final double WHEEL = 3.2;

  private static Network reference() {
    return new Network("minus")
        .add(new Element.Source("battery", "plus", "minus", 12.60, 0.020))
        .add(new Element.Converter("controller", "plus", "out", 1, 0.45))
        .add(new Element.Resistor("feed", "out", "socket", FEED))
        .add(new Element.Resistor("pin", "socket", "plug", PIN))
        .add(new Element.Resistor("trunk", "plug", "near", TRUNK))
        .add(new Element.Resistor("near_wheel", "near", "near_back", WHEEL))
        .add(new Element.Resistor("across", "near", "far", ACROSS))
        .add(new Element.Resistor("far_wheel", "far", "far_back", WHEEL))
        .add(new Element.Resistor("across_back", "far_back", "near_back", ACROSS))
        .add(new Element.Resistor("trunk_back", "near_back", "plug_back", TRUNK))
        .add(new Element.Resistor("pin_back", "plug_back", "socket_back", PIN))
        .add(new Element.Resistor("feed_back", "socket_back", "minus", FEED));
  }

  @Test
  void voltsAndAmpsAreThoseWorkedByHand() {
    double farBranch = WHEEL + 2 * ACROSS;
    double wheels = WHEEL * farBranch / (WHEEL + farBranch);
    double total = (12.60 - 0.45) / (0.020 + 2 * (FEED + PIN + TRUNK) + wheels);
    double atNear = total * wheels;
    double far = atNear / farBranch;

    Solution solution = reference().solve();

    assertThat(solution.amps("battery")).isCloseTo(total, within(1e-9));
    assertThat(solution.volts("near", "near_back")).isCloseTo(atNear, within(1e-9));
    assertThat(solution.amps("far_wheel")).isCloseTo(far, within(1e-9));
    assertThat(solution.volts("far", "far_back")).isCloseTo(far * WHEEL, within(1e-9));
    assertThat(solution.volts("socket", "socket_back"))
        .isCloseTo(12.60 - 0.45 - total * (0.020 + 2 * FEED), within(1e-9));
  }

  @Test
  void theFiguresAreWhatAMeterWouldShow() {
    Solution solution = reference().solve();
    assertThat(solution.amps("battery")).isCloseTo(6.86, within(0.05));
    assertThat(solution.volts("far", "far_back")).isCloseTo(10.9, within(0.15));
  }

  @Test
  void halfTheShareHalvesTheVoltsAndQuartersTheBatteryCurrent() {
    double full = pulsed(1);
    double half = pulsed(0.5);
    assertThat(half / full).isCloseTo(0.25, within(0.01));
  }

  /** Battery current of a stiff supply with a pulsed output of the given share. */
  private static double pulsed(double share) {
    return new Network("g")
        .add(new Element.Source("battery", "p", "g", 12.6, 1e-3))
        .add(new Element.Converter("controller", "p", "o", share, 0))
        .add(new Element.Resistor("magnets", "o", "g", 1.6))
        .solve()
        .amps("battery");
  }

  @Test
  void aFloatingPartIsDefined() {
    Network network = reference().add(new Element.Resistor("lost", "here", "there", 10));
    assertThat(network.solve().volts("here")).isCloseTo(0, within(1e-6));
  }

  @Test
  void twoStiffSourcesAgainstEachOtherAreNamed() {
    Network network =
        new Network("g")
            .add(new Element.Source("first", "p", "g", 12, 0))
            .add(new Element.Source("second", "p", "g", 13, 0));
    assertThatThrownBy(network::solve)
        .isInstanceOf(NetworkException.class)
        .hasMessageContaining("first")
        .hasMessageContaining("second");
  }

  @Test
  void badPartsAreRefusedByName() {
    assertThatThrownBy(() -> new Element.Resistor("wire_3", "a", "b", 0))
        .hasMessageContaining("wire_3");
    assertThatThrownBy(() -> new Element.Source("bat", "a", "b", Double.NaN, 0))
        .hasMessageContaining("bat");
    assertThatThrownBy(() -> new Element.Converter("ctrl", "a", "b", 1.2, 0))
        .hasMessageContaining("ctrl");
    assertThatThrownBy(() -> reference().add(new Element.Resistor("feed", "x", "y", 1)))
        .hasMessageContaining("feed stands twice");
    assertThatThrownBy(() -> reference().solve().volts("nowhere")).hasMessageContaining("nowhere");
  }
}
