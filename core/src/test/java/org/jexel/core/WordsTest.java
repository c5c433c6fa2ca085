package org.jexel.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import org.jexel.core.check.Check;
import org.jexel.core.check.CheckSheet;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.Scope;
import org.jexel.core.harness.Step;
import org.jexel.core.harness.StepPlan;
import org.jexel.core.harness.WireSize;
import org.jexel.core.network.FaultCatalog;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.GapList;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.Wish;
import org.junit.jupiter.api.Test;

/** Every sentence that rigs of all kinds can show, read for what no person would write. */
class WordsTest {
  private static final int RIGS = 12;

  private static Rig drawn(Random dice) {
    return Rigs.rig(
        Rigs.sheet(
            RigField.AXLE_COUNT,
            1 + dice.nextInt(3),
            RigField.BRAKE_TYPE,
            one(dice, "NONE", "ELECTRIC", "ELECTRIC", "ELECTRIC_HYDRAULIC"),
            RigField.TOW_CONNECTOR,
            one(dice, "flat-4", "blade-7", "round-6", "flat-7"),
            RigField.TRAILER_CONNECTOR,
            one(dice, "flat-4", "blade-7", "round-6", "flat-7"),
            RigField.LAMP_TECHNOLOGY,
            one(dice, "FILAMENT", "LED"),
            RigField.LAMP_RETURN,
            one(dice, "OWN_CONDUCTOR", "FRAME"),
            RigField.BREAKAWAY_KIT,
            one(dice, "NONE", "OWN_BATTERY", "HOUSE_BATTERY"),
            RigField.CONTROLLER_KIND,
            one(dice, "NONE", "BUILT_IN", "UNDER_DASH", "REMOTE_KNOB", "WIRELESS", "TIMED")));
  }

  private static String one(Random dice, String... of) {
    return of[dice.nextInt(of.length)];
  }

  private static Set<String> sentences(Rig rig) {
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    Set<String> all = new LinkedHashSet<>();
    for (UnitSystem units : UnitSystem.values()) {
      for (Wish wish : Wish.values()) {
        for (Step step : StepPlan.of(new Scope(rig, wish, harness), units)) {
          all.addAll(List.of(step.title(), step.detail(), step.caution()));
          step.items().forEach(item -> all.add(item.words()));
        }
      }
      FaultCatalog.of(rig, harness).forEach(fault -> all.add(fault.family().words(units)));
    }
    for (Check check : CheckSheet.of(rig, harness, OptionalDouble.empty())) {
      all.addAll(List.of(check.title(), check.state(), check.place()));
      all.addAll(List.of("Red on " + check.red() + ".", "Black on " + check.black() + "."));
      for (Verdict verdict : Verdict.values()) {
        all.add(check.meaning(verdict, check.band().expected()));
      }
    }
    harness.problems().forEach(problem -> all.add(problem.message()));
    harness.circuits().forEach(circuit -> all.add(circuit.name() + ": " + circuit.reason()));
    GapList.of(rig).forEach(gap -> all.addAll(List.of(gap.title(), gap.reason(), gap.work())));
    return all;
  }

  @Test
  void noSentenceShowsARawIdALostPluralOrAWordTwice() {
    Random dice = new Random(16);
    List<String> wrong = new ArrayList<>();
    for (int i = 0; i < RIGS; i++) {
      for (String sentence : sentences(drawn(dice))) {
        wrong.addAll(Wording.wrong(sentence));
      }
    }
    assertThat(wrong.stream().distinct()).isEmpty();
  }
}
