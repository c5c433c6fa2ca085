package org.jexel.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import org.jexel.core.braking.Drag;
import org.jexel.core.braking.Stop;
import org.jexel.core.breakaway.CableWindow;
import org.jexel.core.breakaway.Coupling;
import org.jexel.core.breakaway.HoldingTime;
import org.jexel.core.cab.Mounting;
import org.jexel.core.check.Check;
import org.jexel.core.check.CheckSheet;
import org.jexel.core.harness.BreakerChoice;
import org.jexel.core.harness.Circuit;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.WireSize;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Sum;
import org.jexel.core.quantity.Term;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.LoadItem;
import org.jexel.core.rig.LoadSheet;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.road.UnbrakedStop;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Whoever works a shown sum out, with the figures as they are printed, comes to its result. */
class SumsHoldTest {
  /** What a current may have that its loads do not account for. */
  private static final double UNTOLD = 0.002;

  static Stream<Sum> sums() {
    List<Sum> sums = new ArrayList<>();
    List<Rig> rigs =
        List.of(
            Rigs.twoAxles(),
            Rigs.oneAxle(),
            Rigs.unbraked(),
            Rigs.twoAxles(RigField.AXLE_COUNT, 3),
            Rigs.twoAxles(RigField.LAMP_TECHNOLOGY, "LED"),
            Rigs.twoAxles(RigField.LAMP_RETURN, "FRAME", RigField.BRAKE_FEED, "PER_SIDE"),
            Rigs.rig(
                Rigs.sheet(RigField.WEIGHED_TONGUE, 120, RigField.WEIGHED_AXLES, 980),
                new LoadItem("hives", 300, 2.4)),
            Rigs.rig(Rigs.sheet(RigField.WEIGHED_TONGUE, 120), new LoadItem("hives", 300, 2.4)));
    for (Rig rig : rigs) {
      LoadSheet load = LoadSheet.of(rig);
      sums.addAll(load.sums());
      sums.add(UnbrakedStop.of(rig, load).sum());
      Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
      harness.circuits().stream().map(Circuit::sum).forEach(sums::add);
      CheckSheet.of(rig, harness, OptionalDouble.empty()).stream()
          .map(Check::sum)
          .forEach(sums::add);
    }
    sums.addAll(CableWindow.of(Coupling.of(Rigs.sheet())).sums());
    sums.add(BreakerChoice.of(14.3, 2, new BreakerChoice.Limit(30, "the brake pin")).sum());
    sums.add(HoldingTime.of(18_000, 7.5, 1.25).sum());
    sums.addAll(
        Stop.leverOnly(Stop.fromDistance(11.11, 30), 2400, 2600, 11.11, new Drag(1.3, true))
            .sums());
    sums.add(Stop.fromTime(11.11, 5.4));
    sums.add(Mounting.of(0.3, 0.1, 0, Mounting.Limits.UNSTATED).sum());
    return sums.stream().filter(SumsHoldTest::isArithmetic).distinct();
  }

  /** What the whole network's solution gives has no formula to be worked out by hand. */
  private static boolean isArithmetic(Sum sum) {
    return Stream.of(
            "each lamp cold", "solved", "carries nothing", "signal input", "as read on the scale")
        .noneMatch(sum.formula()::contains);
  }

  @ParameterizedTest
  @MethodSource("sums")
  void theSubstitutedFormulaEqualsTheResult(Sum sum) {
    assertThat(sum.formula()).as(sum.title()).containsAnyOf("=", "≥");
    // Roundings of the terms add up: unrounded they have to come to the last digit.
    double unrounded = workedOut(sum, Term::si);
    double printed = workedOut(sum, SumsHoldTest::printed);
    assertThat(unrounded)
        .as(sum.title() + ": " + sum.substituted(UnitSystem.METRIC))
        .isCloseTo(
            sum.si(), within(step(sum) + (sum.measure() == Measure.AMPS ? UNTOLD * sum.si() : 0)));
    assertThat(printed)
        .as(sum.title() + ": " + sum.substituted(UnitSystem.METRIC))
        .isCloseTo(sum.si(), within(step(sum) * (1 + 0.5 * sum.terms().size())));
  }

  private static double printed(Term term) {
    String number = term.measure().number(term.si(), UnitSystem.METRIC);
    return term.measure().unit(UnitSystem.METRIC).toSi(Double.parseDouble(number));
  }

  private static double workedOut(Sum sum, ToDoubleFunction<Term> figure) {
    String right = sum.formula().split("[=≥]", 2)[1];
    List<Term> terms = new ArrayList<>(sum.terms());
    terms.sort((a, b) -> b.symbol().length() - a.symbol().length());
    for (Term term : terms) {
      String symbol = java.util.regex.Pattern.quote(term.symbol());
      right =
          right.replaceAll(
              "(?<![\\p{L}\\d_])" + symbol + "(?![\\p{L}\\d_])",
              String.format(java.util.Locale.ROOT, "(%.12f)", figure.applyAsDouble(term)));
    }
    return new Arithmetic(right).value();
  }

  /** Half of the result's last printed digit, SI. */
  private static double step(Sum sum) {
    String number = sum.measure().number(sum.si(), UnitSystem.METRIC);
    int dot = number.indexOf('.');
    int decimals = dot < 0 ? 0 : number.length() - dot - 1;
    return sum.measure().unit(UnitSystem.METRIC).toSi(0.5 * Math.pow(10, -decimals));
  }

  @ParameterizedTest
  @CsvSource({"1 + 2 · 3, 7", "(1 + 2) · 3, 9", "2² / (4 · 0.5), 2", "2 · (3 / 4)^2, 1.125"})
  void theTestsOwnArithmeticIsRight(String text, double value) {
    assertThat(new Arithmetic(text).value()).isCloseTo(value, within(1e-12));
  }

  @Test
  void theTestsOwnArithmeticKnowsTheCosine() {
    assertThat(new Arithmetic("cos(0.5) − 1").value()).isCloseTo(Math.cos(0.5) - 1, within(1e-12));
  }

  /** Plus, minus, times, over, powers, cosine and brackets. */
  private static final class Arithmetic {
    private final String text;
    private int at;

    Arithmetic(String text) {
      this.text = text.replace(" ", "").replace("²", "^2").replace('−', '-');
    }

    double value() {
      double value = sum();
      assertThat(at).as("read to the end of " + text).isEqualTo(text.length());
      return value;
    }

    private boolean take(char c) {
      boolean here = at < text.length() && text.charAt(at) == c;
      at += here ? 1 : 0;
      return here;
    }

    private double sum() {
      double value = product();
      while (true) {
        if (take('+')) {
          value += product();
        } else if (take('-')) {
          value -= product();
        } else {
          return value;
        }
      }
    }

    private double product() {
      double value = power();
      while (true) {
        if (take('·')) {
          value *= power();
        } else if (take('/')) {
          value /= power();
        } else {
          return value;
        }
      }
    }

    private double power() {
      double base = atom();
      return take('^') ? Math.pow(base, atom()) : base;
    }

    private double atom() {
      if (text.startsWith("cos", at)) {
        at += 3;
        return Math.cos(atom());
      }
      if (take('-')) {
        return -atom();
      }
      if (take('(')) {
        double value = sum();
        assertThat(take(')')).as("closed bracket in " + text).isTrue();
        return value;
      }
      int from = at;
      while (at < text.length() && "0123456789.".indexOf(text.charAt(at)) >= 0) {
        at++;
      }
      return Double.parseDouble(text.substring(from, at));
    }
  }
}
