package org.jexel.core.judge;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.function.Function;
import org.jexel.core.bench.Stand;
import org.jexel.core.check.Check;
import org.jexel.core.diagnosis.Diagnosis;
import org.jexel.core.diagnosis.Predictions;

/**
 * What the proof is worth once all of it is read: whether a rig in which nothing is wrong is called
 * sound, and one in which something is.
 */
final class JudgedProof {
  /** Beyond the proof, of a rig in which nothing is wrong. */
  private static final int MORE = 3;

  private JudgedProof() {}

  /** The sheet calls what lies outside its band by its name, and whoever sees that reads again. */
  private static List<Diagnosis.Seen> readTwice(Yard yard, Check check, Random noise) {
    List<Diagnosis.Seen> read = new ArrayList<>();
    double value = yard.read(check, noise);
    read.add(new Diagnosis.Seen(check.id(), value));
    if (JudgedFinder.outside(check, value)) {
      read.add(new Diagnosis.Seen(check.id(), yard.read(check, noise)));
    }
    return read;
  }

  /** Of a rig in which nothing is wrong: whether it is called sound, at once and a little later. */
  private record Healthy(boolean atOnce, boolean later, boolean faulty) {
    static Healthy of(Case rig) {
      List<Check> checks = Stand.checks(rig.rig(), rig.harness());
      Yard yard = new Yard(rig.rig(), rig.harness(), net -> net, rig.lying());
      Random noise = new Random(rig.noise());
      Predictions predictions = Predictions.of(rig.rig(), rig.harness(), checks);
      List<Diagnosis.Seen> seen = proof(yard, checks, noise);
      Diagnosis now = Diagnosis.of(predictions, seen);
      final boolean atOnce = isSound(now);
      for (int more = 0; more < MORE && !JudgedFinder.sure(now) && now.next().isPresent(); more++) {
        for (Check check : now.next().get().checks()) {
          seen.add(new Diagnosis.Seen(check.id(), yard.read(check, noise)));
        }
        now = Diagnosis.of(predictions, seen);
      }
      return new Healthy(atOnce, isSound(now), JudgedFinder.sure(now) && !isSound(now));
    }
  }

  private static List<Diagnosis.Seen> proof(Yard yard, List<Check> checks, Random noise) {
    List<Diagnosis.Seen> seen = new ArrayList<>();
    checks.stream()
        .filter(Check::proves)
        .forEach(check -> seen.addAll(readTwice(yard, check, noise)));
    return seen;
  }

  static void healthy(int rigs, Random dice) {
    List<Healthy> all = judged(rigs, dice, rig -> Optional.of(Healthy.of(rig)));
    System.out.printf(
        Locale.ROOT,
        "healthy, proof read, what is outside read twice, %d rigs: called healthy %.1f %%, after at most %d more checks %.1f %%, called faulty %.1f %%%n",
        rigs,
        JudgedFinder.share(all, Healthy::atOnce),
        MORE,
        JudgedFinder.share(all, Healthy::later),
        JudgedFinder.share(all, Healthy::faulty));
  }

  /**
   * What soundness is worth: rigs with a fault that is always there and that the proof sees, the
   * whole proof read. A fault that makes and breaks is no part of what is claimed.
   */
  static void faulty(int rigs, Random dice) {
    List<Boolean> sound = judged(rigs, dice, JudgedProof::calledSound);
    System.out.printf(
        Locale.ROOT,
        "faulty, proof read, what is outside read twice, %d rigs: called healthy %.1f %%%n",
        rigs,
        JudgedFinder.share(sound, called -> called));
  }

  private static Optional<Boolean> calledSound(Case rig) {
    List<Check> checks = Stand.checks(rig.rig(), rig.harness());
    Yard yard = rig.yard();
    if (rig.mischief().now() || !rig.shows(yard, checks.stream().filter(Check::proves).toList())) {
      return Optional.empty();
    }
    List<Diagnosis.Seen> seen = proof(yard, checks, new Random(rig.noise()));
    Predictions predictions = Predictions.of(rig.rig(), rig.harness(), checks);
    return Optional.of(isSound(Diagnosis.of(predictions, seen)));
  }

  /** So many of those that count, and that ngspice solves. */
  private static <T> List<T> judged(int rigs, Random dice, Function<Case, Optional<T>> judge) {
    List<T> all = new ArrayList<>();
    Cores.<Optional<T>>judge(
        () -> {
          Case drawn = Case.draw(dice);
          return () -> {
            try {
              return judge.apply(drawn);
            } catch (IllegalStateException unsolved) {
              return Optional.empty();
            }
          };
        },
        one -> {
          one.ifPresent(all::add);
          return all.size() < rigs;
        });
    return all;
  }

  private static boolean isSound(Diagnosis now) {
    return JudgedFinder.sure(now) && now.groups().get(0).leading().healthy();
  }
}
