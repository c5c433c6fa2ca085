package org.jexel.core.judge;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.jexel.core.bench.Stand;
import org.jexel.core.check.Check;
import org.jexel.core.diagnosis.Diagnosis;
import org.jexel.core.diagnosis.Hypothesis;
import org.jexel.core.diagnosis.Predictions;
import org.jexel.core.harness.Harness;
import org.jexel.core.network.Fault;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.Rig;

/**
 * The finder against faults that nobody told it of: {@code ./bench judged [rigs] [seed] [tell]}.
 *
 * <p>Beside each kind stands how many places the leading group names: a finder that named the whole
 * rig would always be right.
 *
 * <p>A fault counts if it moves at least one check of the rig out of its band, by the judge's own
 * network. Right: a hypothesis that names the touched part, or the nodes that touch, leads or
 * stands in the group of what no check tells from the leader. Sure and wrong: the page says sure,
 * and it is not that.
 */
public final class JudgedFinder {
  private static final int MOST_CHECKS = 8;

  /** Beyond the proof, of a rig in which nothing is wrong. */
  private static final int MORE = 3;

  private static final int[] STEPS = {0, 30, 50, 70, 80, 90, 95, 99, 101};

  private int[] said = new int[STEPS.length];
  private int[] right = new int[STEPS.length];
  private int leftOut;

  private JudgedFinder() {}

  /** How the searches of one kind ended. */
  private static final class Tally {
    int all;
    int right;
    int sureAndWrong;
    int unknown;
    double minutes;
    long figures;
    final List<Integer> places = new ArrayList<>();
    final List<Integer> checks = new ArrayList<>();
  }

  public static void main(String[] args) {
    int rigs = args.length > 0 ? Integer.parseInt(args[0]) : 200;
    long seed = args.length > 1 ? Long.parseLong(args[1]) : 1;
    new JudgedFinder().run(rigs, new Random(seed), args.length > 2);
  }

  private void run(int rigs, Random dice, boolean tell) {
    Map<Mischief.Kind, Tally> kinds = new EnumMap<>(Mischief.Kind.class);
    Tally total = new Tally();
    Tally closer = new Tally();
    while (total.all < rigs) {
      Rig rig = Stand.anyRig(dice);
      Harness harness = Stand.harness(rig);
      Netlist whole = Yard.whole(rig, harness);
      Mischief mischief = Mischief.draw(whole, dice);
      long lying = dice.nextLong();
      // Of its own, so that another finder meets the same rigs.
      Random noise = new Random(dice.nextLong());
      Yard yard = Yard.of(rig, harness, mischief, lying);
      List<Check> checks = Stand.checks(rig, harness);
      Yard sound = new Yard(rig, harness, net -> net, lying);
      boolean proof = moves(yard.worst(), sound, checks.stream().filter(Check::proves).toList());
      if (!proof && !moves(yard.worst(), sound, checks)) {
        continue;
      }
      Tally own = kinds.computeIfAbsent(mischief.kind(), k -> new Tally());
      Tally[] tallies = proof ? new Tally[] {own, total} : new Tally[] {closer};
      try {
        search(Predictions.of(rig, harness, checks), yard, whole, mischief, noise, tell, tallies);
      } catch (IllegalStateException unsolved) {
        leftOut++;
      }
    }
    kinds.forEach((kind, tally) -> row(kind.label, tally));
    row("all that the proof sees", total);
    row("seen closer only", closer);
    System.out.printf(Locale.ROOT, "left out, since ngspice does not solve them: %d%n", leftOut);
    reliability();
    healthy(rigs / 5, dice);
    JudgedPairs.print(rigs / 5, dice, tell);
  }

  /**
   * Whether the fault itself takes one of the checks out of its band. A rig that ngspice cannot
   * solve, such as two stiff sources on one another, does not count.
   *
   * @param sound the same rig, every part where it lies, without the fault
   */
  static boolean moves(Yard yard, Yard sound, List<Check> checks) {
    try {
      return checks.stream()
          .anyMatch(c -> outside(c, yard.truth(c)) && !outside(c, sound.truth(c)));
    } catch (IllegalStateException unsolved) {
      return false;
    }
  }

  private static boolean outside(Check check, double value) {
    double said = check.measure().words().isEmpty() ? value : Math.round(value);
    return said < check.band().low() || said > check.band().high();
  }

  private void search(
      Predictions predictions,
      Yard yard,
      Netlist whole,
      Mischief mischief,
      Random noise,
      boolean tell,
      Tally... tallies) {
    List<Diagnosis.Seen> seen = new ArrayList<>();
    Diagnosis now = Diagnosis.of(predictions, seen);
    double minutes = 0;
    // A walk from pin to pin is one check; how often the meter was read is told beside it.
    long figures = 0;
    int taken = 0;
    while (taken < MOST_CHECKS) {
      Optional<Diagnosis.Next> next = now.next();
      if (next.isEmpty() || !seen.isEmpty() && sure(now)) {
        break;
      }
      minutes += next.get().minutes();
      figures += next.get().checks().stream().filter(c -> c.measure().words().isEmpty()).count();
      yard.visit(noise);
      next.get().checks().forEach(c -> seen.add(new Diagnosis.Seen(c.id(), yard.read(c, noise))));
      taken++;
      now = Diagnosis.of(predictions, seen);
    }
    boolean good = now.fits() && names(now.groups().get(0), mischief, whole);
    boolean wrong = sure(now) && !good;
    count(now, good);
    for (Tally tally : tallies) {
      tally.all++;
      tally.right += good ? 1 : 0;
      tally.sureAndWrong += wrong ? 1 : 0;
      tally.unknown += now.fits() ? 0 : 1;
      tally.minutes += minutes;
      tally.figures += figures;
      tally.checks.add(taken);
      tally.places.add(places(now.groups().get(0)));
    }
    if (tell && !good) {
      System.out.printf(
          Locale.ROOT,
          "  %s%s%s -> %s%n",
          wrong ? "SURE AND WRONG " : "",
          tallies.length == 1 ? "(seen closer only) " : "",
          mischief.told()
              + seen.stream()
                  .map(x -> x.check().replaceAll("^(look[^.]*|hums|turns).*", "$1"))
                  .distinct()
                  .toList(),
          now.groups().stream()
                  .limit(3)
                  .map(
                      g ->
                          g.leading().words(UnitSystem.METRIC)
                              + " "
                              + Math.round(100 * g.present()))
                  .toList()
              + (now.fits() ? "" : " does not fit: " + now.groups().get(0).against()));
    }
  }

  static boolean sure(Diagnosis now) {
    return now.fits() && now.groups().get(0).sure();
  }

  private static boolean names(Diagnosis.Group group, Mischief mischief, Netlist whole) {
    return !group.leading().healthy()
        && group.hypotheses().stream()
            .map(Hypothesis::faults)
            .filter(faults -> faults.size() == 1)
            .anyMatch(faults -> touches(faults.get(0), mischief, whole));
  }

  /** One stretch of one conductor, from one branching to the next, is one place. */
  static boolean touches(Fault fault, Mischief mischief, Netlist whole) {
    if (mischief.nodes().isEmpty()) {
      return mischief.parts().stream()
          .map(whole::stretch)
          .allMatch(way -> way.contains(fault.part()) || way.contains(fault.other()));
    }
    return mischief.nodes().stream().anyMatch(node -> whole.along(node).contains(fault.part()))
        && (fault.kind() == Fault.Kind.SHORT
            || mischief.nodes().stream()
                .anyMatch(node -> whole.along(node).contains(fault.other())));
  }

  private static int places(Diagnosis.Group group) {
    return (int)
        group.hypotheses().stream()
            .map(Hypothesis::families)
            .filter(families -> families.size() == 1)
            .distinct()
            .count();
  }

  /** “Nothing found so far” is no answer. */
  private void count(Diagnosis now, boolean good) {
    Diagnosis.Group leading = now.groups().get(0);
    if (leading.leading().healthy() && !leading.earned()) {
      return;
    }
    double percent = 100 * leading.present();
    int step = 0;
    while (percent >= STEPS[step + 1]) {
      step++;
    }
    said[step]++;
    right[step] += good ? 1 : 0;
  }

  private static void row(String what, Tally tally) {
    if (tally.all == 0) {
      return;
    }
    List<Integer> checks = tally.checks.stream().sorted().toList();
    System.out.printf(
        Locale.ROOT,
        "%-24s %4d  right %5.1f %%  sure and wrong %5.1f %%  don't know %5.1f %%  median %d checks, %.1f figures, %.1f min, %d places%n",
        what,
        tally.all,
        100.0 * tally.right / tally.all,
        100.0 * tally.sureAndWrong / tally.all,
        100.0 * tally.unknown / tally.all,
        checks.get(checks.size() / 2),
        1.0 * tally.figures / tally.all,
        tally.minutes / tally.all,
        tally.places.stream().sorted().toList().get(tally.places.size() / 2));
  }

  private void reliability() {
    for (int i = 0; i + 1 < STEPS.length; i++) {
      if (said[i] > 0) {
        System.out.printf(
            Locale.ROOT,
            "said %3d to %3d %%: %4d answers, right %5.1f %%%n",
            STEPS[i],
            Math.min(100, STEPS[i + 1]),
            said[i],
            100.0 * right[i] / said[i]);
      }
    }
  }

  /** The sheet calls what lies outside its band by its name, and whoever sees that reads again. */
  private static List<Diagnosis.Seen> readTwice(Yard yard, Check check, Random noise) {
    List<Diagnosis.Seen> read = new ArrayList<>();
    double value = yard.read(check, noise);
    read.add(new Diagnosis.Seen(check.id(), value));
    if (outside(check, value)) {
      read.add(new Diagnosis.Seen(check.id(), yard.read(check, noise)));
    }
    return read;
  }

  private void healthy(int rigs, Random dice) {
    int atOnce = 0;
    int called = 0;
    int faulty = 0;
    for (int i = 0; i < rigs; i++) {
      Rig rig = Stand.anyRig(dice);
      Harness harness = Stand.harness(rig);
      List<Check> checks = Stand.checks(rig, harness);
      Yard yard = new Yard(rig, harness, net -> net, dice.nextLong());
      Random noise = new Random(dice.nextLong());
      Predictions predictions = Predictions.of(rig, harness, checks);
      List<Diagnosis.Seen> seen = new ArrayList<>();
      checks.stream()
          .filter(Check::proves)
          .forEach(check -> seen.addAll(readTwice(yard, check, noise)));
      Diagnosis now = Diagnosis.of(predictions, seen);
      atOnce += isSound(now) ? 1 : 0;
      for (int more = 0; more < MORE && !sure(now) && now.next().isPresent(); more++) {
        for (Check check : now.next().get().checks()) {
          seen.add(new Diagnosis.Seen(check.id(), yard.read(check, noise)));
        }
        now = Diagnosis.of(predictions, seen);
      }
      called += isSound(now) ? 1 : 0;
      faulty += sure(now) && !isSound(now) ? 1 : 0;
    }
    System.out.printf(
        Locale.ROOT,
        "healthy, proof read, what is outside read twice, %d rigs: called healthy %.1f %%, after at most %d more checks %.1f %%, called faulty %.1f %%%n",
        rigs,
        100.0 * atOnce / rigs,
        MORE,
        100.0 * called / rigs,
        100.0 * faulty / rigs);
  }

  private static boolean isSound(Diagnosis now) {
    return sure(now) && now.groups().get(0).leading().healthy();
  }
}
