package org.jexel.core.judge;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import org.jexel.core.bench.Stand;
import org.jexel.core.check.Check;
import org.jexel.core.diagnosis.Diagnosis;
import org.jexel.core.diagnosis.Predictions;
import org.jexel.core.harness.Harness;
import org.jexel.core.rig.Rig;

/**
 * Two faults at once, each of which the proof would show alone: the first that is sure is mended,
 * what it changed is read again, and the search goes on.
 */
final class JudgedPairs {
  private static final int MOST_OF_PAIRS = 14;

  private JudgedPairs() {}

  static void print(int rigs, Random dice, boolean tell) {
    int all = 0;
    int first = 0;
    int both = 0;
    int wrong = 0;
    while (all < rigs) {
      Rig rig = Stand.anyRig(dice);
      Harness harness = Stand.harness(rig);
      Netlist whole = Yard.whole(rig, harness);
      List<Check> checks = Stand.checks(rig, harness);
      List<Check> proof = checks.stream().filter(Check::proves).toList();
      long lying = dice.nextLong();
      Yard sound = new Yard(rig, harness, net -> net, lying);
      List<Mischief> hidden = new ArrayList<>();
      while (hidden.size() < 2) {
        Mischief drawn = Mischief.draw(whole, dice);
        boolean other =
            hidden.stream().allMatch(h -> Collections.disjoint(h.parts(), drawn.parts()));
        if (other
            && !drawn.now()
            && JudgedFinder.moves(new Yard(rig, harness, drawn.edit(), lying), sound, proof)) {
          hidden.add(drawn);
        }
      }
      List<Mischief> left = new ArrayList<>(hidden);
      try {
        boolean astray =
            pair(
                Predictions.of(rig, harness, checks),
                whole,
                left,
                new Random(dice.nextLong()),
                now -> new Yard(rig, harness, together(now), lying));
        wrong += astray ? 1 : 0;
      } catch (IllegalStateException unsolved) {
        continue;
      }
      all++;
      first += left.size() < 2 ? 1 : 0;
      both += left.isEmpty() ? 1 : 0;
      if (tell && !left.isEmpty()) {
        System.out.println(
            "  pair " + hidden.stream().map(Mischief::told).toList() + " left " + left.size());
      }
    }
    System.out.printf(
        Locale.ROOT,
        "pairs, %d rigs, %d checks: one found %.0f %%, both %.0f %%, sure of something else %.0f %%%n",
        all,
        MOST_OF_PAIRS,
        100.0 * first / all,
        100.0 * both / all,
        100.0 * wrong / all);
  }

  private static UnaryOperator<Netlist> together(List<Mischief> left) {
    List<Mischief> now = List.copyOf(left);
    return net -> {
      Netlist edited = net;
      for (Mischief mischief : now) {
        edited = mischief.edit().apply(edited);
      }
      return edited;
    };
  }

  /**
   * Removes from the list what is found and mended; true if the finder is sure of something else.
   */
  private static boolean pair(
      Predictions predictions,
      Netlist whole,
      List<Mischief> left,
      Random noise,
      Function<List<Mischief>, Yard> yards) {
    List<Diagnosis.Seen> seen = new ArrayList<>();
    Yard yard = yards.apply(left);
    Diagnosis now = Diagnosis.of(predictions, seen);
    for (int taken = 0; taken <= MOST_OF_PAIRS && !left.isEmpty(); ) {
      Diagnosis.Group leading = now.groups().get(0);
      if (!seen.isEmpty() && JudgedFinder.sure(now) && !leading.leading().healthy()) {
        boolean named = left.removeIf(mischief -> namesAny(leading, mischief, whole));
        if (!named) {
          return true;
        }
        yard = yards.apply(left);
        List<String> again = predictions.affectedBy(leading.hypotheses());
        seen.removeIf(reading -> again.contains(reading.check()));
      } else if (now.next().isEmpty()) {
        return false;
      } else {
        for (Check check : now.next().get().checks()) {
          seen.add(new Diagnosis.Seen(check.id(), yard.read(check, noise)));
        }
        taken++;
      }
      now = Diagnosis.of(predictions, seen);
    }
    return false;
  }

  private static boolean namesAny(Diagnosis.Group group, Mischief mischief, Netlist whole) {
    return group.hypotheses().stream()
        .flatMap(hypothesis -> hypothesis.faults().stream())
        .anyMatch(fault -> JudgedFinder.touches(fault, mischief, whole));
  }
}
