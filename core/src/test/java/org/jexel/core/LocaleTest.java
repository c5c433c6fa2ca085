package org.jexel.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Pattern;
import org.jexel.core.breakaway.BreakawayLoad;
import org.jexel.core.cab.ControllerFeed;
import org.jexel.core.cab.Fitting;
import org.jexel.core.check.Check;
import org.jexel.core.check.CheckSheet;
import org.jexel.core.harness.CutList;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.Materials;
import org.jexel.core.harness.Scope;
import org.jexel.core.harness.StepPlan;
import org.jexel.core.harness.WireSize;
import org.jexel.core.network.FaultCatalog;
import org.jexel.core.network.Lit;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.network.RigState;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Sum;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.GapList;
import org.jexel.core.rig.LoadItem;
import org.jexel.core.rig.LoadSheet;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.Wish;
import org.jexel.core.road.UnbrakedStop;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A machine's language changes no word, and whoever thinks in inches meets no metre. */
class LocaleTest {
  /** 1,5 or 1.234,5: a figure as the locale of some machine would write it. */
  private static final Pattern COMMA = Pattern.compile("\\d,\\d");

  /** A length in metric, unless the same stands beside it in feet or inches. */
  private static final Pattern METRIC = Pattern.compile("\\d (m|mm|cm|kg|km)\\b(?! \\(|/h \\()");

  private static List<String> everything(UnitSystem units) {
    Rig rig =
        Rigs.rig(
            Rigs.sheet(
                RigField.AXLE_COUNT, 3,
                RigField.BRAKE_TYPE, "ELECTRIC",
                RigField.TOW_CONNECTOR, "flat-4",
                RigField.TRAILER_CONNECTOR, "flat-4",
                RigField.CONTROLLER_KIND, "UNDER_DASH",
                RigField.BREAKAWAY_KIT, "OWN_BATTERY",
                RigField.OVERALL_LENGTH, 9.5,
                RigField.OVERALL_WIDTH, 2.4),
            new LoadItem("Sand", 900, 3.5));
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    Scope scope = new Scope(rig, Wish.CONVERT, harness);
    List<String> words = new ArrayList<>();
    List<Sum> sums = new ArrayList<>();
    FaultCatalog.of(rig, harness).forEach(fault -> words.add(fault.words(units)));
    StepPlan.of(scope, units)
        .forEach(
            s -> words.addAll(List.of(s.title(), s.detail(), String.join(" ", s.materials()))));
    Materials.of(scope, units).items().forEach(item -> words.add(item.what() + " " + item.why()));
    CutList.Reel stub = new CutList.Reel(1, "16 AWG", null, 0.5);
    CutList.of(scope, List.of(stub)).lines().stream()
        .flatMap(line -> line.remark().stream())
        .forEach(remark -> words.add(remark.words(units)));
    harness.problems().forEach(problem -> words.add(problem.message()));
    harness.circuits().forEach(c -> c.rulings().forEach(ruling -> words.add(ruling.words())));
    harness.circuits().forEach(circuit -> sums.add(circuit.sum()));
    for (Check check : CheckSheet.of(rig, harness, OptionalDouble.empty())) {
      words.addAll(List.of(check.title(), check.state(), check.place(), check.red(), check.why()));
      words.add(check.measure().text(check.band().expected(), units));
      sums.add(check.sum());
    }
    GapList.of(rig).forEach(gap -> words.addAll(List.of(gap.title(), gap.reason(), gap.work())));
    rig.lamps().forEach(lamp -> words.add(lamp.reason()));
    Optional<ControllerFeed> feed = ControllerFeed.of(rig, harness);
    Fitting.of(rig, Wish.CONVERT, feed, Fitting.Found.NOTHING).forEach(f -> words.add(f.words()));
    sums.add(feed.orElseThrow().breaker().sum());
    sums.add(UnbrakedStop.of(rig, LoadSheet.of(rig)).sum());
    sums.add(
        BreakawayLoad.of(rig, harness, LocalDate.of(2026, 1, 15)).holding().orElseThrow().sum());
    var solved = RigNetwork.of(rig, harness, RigState.of(StateWord.TAIL)).network().solve();
    Lit.of(harness, solved, solved).forEach(lit -> words.add(lit.story()));
    for (Sum sum : sums) {
      words.add(sum.title() + " " + sum.substituted(units) + " " + sum.result(units));
      sum.terms()
          .forEach(term -> words.add(term.meaning() + term.measure().text(term.si(), units)));
    }
    return words;
  }

  @ParameterizedTest
  @ValueSource(strings = {"de-DE", "ar-EG", "tr-TR", "hi-IN-u-nu-deva"})
  void noMachinesLanguageChangesAWord(String tag) {
    List<String> here = everything(UnitSystem.US);
    Locale before = Locale.getDefault();
    try {
      Locale.setDefault(Locale.forLanguageTag(tag));
      assertThat(everything(UnitSystem.US)).isEqualTo(here);
    } finally {
      Locale.setDefault(before);
    }
  }

  @org.junit.jupiter.api.Test
  void whoeverThinksInInchesMeetsNoMetreAndNoComma() {
    assertThat(everything(UnitSystem.US))
        .hasSizeGreaterThan(300)
        .allSatisfy(words -> assertThat(words).doesNotContainPattern(METRIC))
        .allSatisfy(words -> assertThat(words).doesNotContainPattern(COMMA));
  }
}
