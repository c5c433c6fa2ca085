package org.jexel.core.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

/** Laws of any linear network, on random ladders with cross-links. */
class NetworkPropertiesTest {
  private static List<Element> ladder(long seed, int rungs, double firstOhms) {
    Random random = new Random(seed);
    List<Element> elements = new ArrayList<>();
    elements.add(new Element.Source("battery", "n0", "g", 11 + 3 * random.nextDouble(), 0.02));
    for (int i = 0; i < rungs; i++) {
      double ohms = i == 0 ? firstOhms : 0.005 + random.nextDouble();
      elements.add(new Element.Resistor("rail" + i, "n" + i, "n" + (i + 1), ohms));
      elements.add(
          new Element.Resistor("rung" + i, "n" + (i + 1), "g", 1 + 20 * random.nextDouble()));
    }
    if (rungs > 3) {
      elements.add(new Element.Resistor("link", "n1", "n" + rungs, 0.5 + random.nextDouble()));
    }
    elements.add(new Element.Converter("stage", "n1", "o", 0.2 + 0.8 * random.nextDouble(), 0.3));
    elements.add(new Element.Resistor("load", "o", "g", 1.6));
    return elements;
  }

  private static Solution solve(List<Element> elements) {
    Network network = new Network("g");
    elements.forEach(network::add);
    return network.solve();
  }

  @Property(tries = 200)
  void currentsSumToZeroAtEveryNode(
      @ForAll long seed, @ForAll @IntRange(min = 1, max = 40) int rungs) {
    List<Element> elements = ladder(seed, rungs, 0.1);
    Solution solution = solve(elements);
    Map<String, Double> into = currentsInto(solution);
    into.remove("g");
    into.forEach((node, sum) -> assertThat(sum).as(node).isCloseTo(0, within(1e-9)));
  }

  /** Sum of the currents into each node, A. */
  static Map<String, Double> currentsInto(Solution solution) {
    Map<String, Double> into = new HashMap<>();
    for (Element element : solution.network().elements()) {
      double amps = solution.amps(element.name());
      if (element instanceof Element.TwoPole p) {
        into.merge(p.a(), -amps, Double::sum);
        into.merge(p.b(), amps, Double::sum);
      } else if (element instanceof Element.Source s) {
        into.merge(s.plus(), amps, Double::sum);
        into.merge(s.minus(), -amps, Double::sum);
      } else if (element instanceof Element.Converter c) {
        into.merge(c.in(), -c.share() * amps, Double::sum);
        into.merge(c.out(), amps, Double::sum);
      }
    }
    return into;
  }

  @Property(tries = 100)
  void sensitivityIsTheSlopeThatASmallChangeShows(@ForAll long seed) {
    double ohms = 0.2;
    double step = 1e-6;
    Solution here = solve(ladder(seed, 6, ohms));
    double before = solve(ladder(seed, 6, ohms - step)).volts("n6");
    double after = solve(ladder(seed, 6, ohms + step)).volts("n6");
    assertThat(here.ofVolts("n6", "g").to("rail0"))
        .isCloseTo((after - before) / (2 * step), within(1e-5));
    double lessAmps = solve(ladder(seed, 6, ohms - step)).amps("battery");
    double moreAmps = solve(ladder(seed, 6, ohms + step)).amps("battery");
    assertThat(here.ofSourceAmps("battery").to("rail0"))
        .isCloseTo((moreAmps - lessAmps) / (2 * step), within(1e-4));
  }

  @Property(tries = 50)
  void sensitivityToSupplyAndToTheStageAreSlopesToo(@ForAll long seed) {
    List<Element> elements = ladder(seed, 5, 0.1);
    Solution here = solve(elements);
    double step = 1e-5;
    assertThat(here.ofVolts("o", "g").to("battery"))
        .isCloseTo(slope(elements, "battery", step), within(1e-6));
    assertThat(here.ofVolts("o", "g").to("stage"))
        .isCloseTo(slope(elements, "stage", step), within(1e-6));
  }

  private static double slope(List<Element> elements, String name, double step) {
    return (solve(shifted(elements, name, step)).volts("o")
            - solve(shifted(elements, name, -step)).volts("o"))
        / (2 * step);
  }

  private static List<Element> shifted(List<Element> elements, String name, double by) {
    return elements.stream()
        .map(
            e -> {
              if (!e.name().equals(name)) {
                return e;
              }
              return e instanceof Element.Source s
                  ? new Element.Source(name, s.plus(), s.minus(), s.volts() + by, s.ohms())
                  : stage((Element.Converter) e, by);
            })
        .toList();
  }

  private static Element stage(Element.Converter c, double by) {
    return new Element.Converter(c.name(), c.in(), c.out(), c.share(), c.drop() + by);
  }

  @Property(tries = 100)
  void oneMoreLoadNeverRaisesTheVoltsOfAnother(
      @ForAll long seed, @ForAll @IntRange(min = 2, max = 20) int rungs) {
    List<Element> with = ladder(seed, rungs, 0.1);
    double before = solve(with).volts("n" + rungs);
    with.add(new Element.Resistor("more", "n" + rungs, "g", 3.2));
    assertThat(solve(with).volts("n" + rungs)).isLessThanOrEqualTo(before + 1e-12);
  }

  @Property(tries = 100)
  void whatTheSourceGivesIsWhatTheResistorsBurn(@ForAll long seed) {
    List<Element> elements = ladder(seed, 8, 0.1);
    Solution solution = solve(elements);
    double burnt = 0;
    for (Element element : elements) {
      double amps = solution.amps(element.name());
      if (element instanceof Element.Resistor r) {
        burnt += amps * amps * r.ohms();
      } else if (element instanceof Element.Converter c) {
        burnt += c.share() * c.drop() * amps;
      }
    }
    double given = solution.volts("n0") * solution.amps("battery");
    assertThat(burnt).isCloseTo(given, within(1e-6 * given));
  }
}
