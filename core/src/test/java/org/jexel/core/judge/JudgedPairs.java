package org.jexel.core.judge;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
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
    List<Ended> all = new ArrayList<>();
    Cores.<Optional<Ended>>judge(
        () -> {
          Rig rig = Stand.anyRig(dice);
          long seed = dice.nextLong();
          return () -> search(rig, new Random(seed));
        },
        ended -> {
          ended.ifPresent(
              e -> {
                all.add(e);
                if (tell && e.left > 0) {
                  System.out.println("  pair " + e.told + " left " + e.left);
                }
              });
          return all.size() < rigs;
        });
    System.out.printf(
        Locale.ROOT,
        "pairs, %d rigs, %d checks: one found %.0f %%, both %.0f %%, sure of something else %.0f %%%n",
        rigs,
        MOST_OF_PAIRS,
        JudgedFinder.share(all, e -> e.left < 2),
        JudgedFinder.share(all, e -> e.left == 0),
        JudgedFinder.share(all, Ended::astray));
  }

  /**
   * @param left how many were not found
   * @param astray whether it was sure of something else
   */
  private record Ended(int left, boolean astray, String told) {}

  /** Empty where ngspice does not solve the two together. */
  private static Optional<Ended> search(Rig rig, Random dice) {
    Harness harness = Stand.harness(rig);
    Netlist whole = Yard.whole(rig, harness);
    List<Check> checks = Stand.checks(rig, harness);
    List<Check> proof = checks.stream().filter(Check::proves).toList();
    long lying = dice.nextLong();
    Yard sound = new Yard(rig, harness, net -> net, lying);
    List<Mischief> hidden = new ArrayList<>();
    while (hidden.size() < 2) {
      Mischief drawn = Mischief.draw(whole, dice);
      boolean other = hidden.stream().allMatch(h -> Collections.disjoint(h.parts(), drawn.parts()));
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
              dice,
              now -> new Yard(rig, harness, together(now), lying));
      return Optional.of(
          new Ended(left.size(), astray, hidden.stream().map(Mischief::told).toList().toString()));
    } catch (IllegalStateException unsolved) {
      return Optional.empty();
    }
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
