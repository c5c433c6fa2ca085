package org.jexel.core.judge;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Predicate;
import org.jexel.core.bench.Stand;
import org.jexel.core.check.Check;
import org.jexel.core.diagnosis.Diagnosis;
import org.jexel.core.diagnosis.Hypothesis;
import org.jexel.core.diagnosis.Predictions;
import org.jexel.core.network.Fault;
import org.jexel.core.quantity.UnitSystem;

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

  private static final int[] STEPS = {0, 30, 50, 70, 80, 90, 95, 99, 101};

  private final int[] said = new int[STEPS.length];
  private final int[] right = new int[STEPS.length];
  private final AtomicInteger leftOut = new AtomicInteger();
  private final Random dice;
  private final boolean tell;

  private JudgedFinder(Random dice, boolean tell) {
    this.dice = dice;
    this.tell = tell;
  }

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

    void add(Ended ended) {
      all++;
      right += ended.good ? 1 : 0;
      sureAndWrong += ended.sure && !ended.good ? 1 : 0;
      unknown += ended.fits ? 0 : 1;
      minutes += ended.minutes;
      figures += ended.figures;
      checks.add(ended.taken);
      places.add(ended.places);
    }
  }

  /**
   * How one search ended.
   *
   * @param proof whether the proof sees the fault; else only what looks closer does
   * @param said percent of the answer; negative where none was given
   */
  private record Ended(
      Mischief.Kind kind,
      boolean proof,
      boolean good,
      boolean sure,
      boolean fits,
      double minutes,
      long figures,
      int taken,
      int places,
      double said,
      String told) {}

  public static void main(String[] args) {
    int rigs = args.length > 0 ? Integer.parseInt(args[0]) : 200;
    long seed = args.length > 1 ? Long.parseLong(args[1]) : 1;
    new JudgedFinder(new Random(seed), args.length > 2).run(rigs);
  }

  private void run(int rigs) {
    Map<Mischief.Kind, Tally> kinds = new EnumMap<>(Mischief.Kind.class);
    Tally total = new Tally();
    Tally closer = new Tally();
    Cores.<Optional<Ended>>judge(
        () -> {
          Case drawn = Case.draw(dice);
          return () -> search(drawn);
        },
        ended -> {
          ended.ifPresent(
              e -> {
                if (e.proof) {
                  kinds.computeIfAbsent(e.kind, k -> new Tally()).add(e);
                }
                (e.proof ? total : closer).add(e);
                count(e);
                if (tell && !e.good) {
                  System.out.println(e.told);
                }
              });
          return total.all < rigs;
        });
    kinds.forEach((kind, tally) -> row(kind.label, tally));
    row("all that the proof sees", total);
    row("seen closer only", closer);
    System.out.printf(
        Locale.ROOT, "left out, since ngspice does not solve them: %d%n", leftOut.get());
    reliability();
    JudgedProof.healthy(rigs / 5, dice);
    JudgedProof.faulty(rigs / 5, dice);
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

  static boolean outside(Check check, double value) {
    double said = check.measure().words().isEmpty() ? value : Math.round(value);
    return said < check.band().low() || said > check.band().high();
  }

  /** Empty where the fault shows nowhere, or cannot be solved. */
  private Optional<Ended> search(Case rig) {
    List<Check> checks = Stand.checks(rig.rig(), rig.harness());
    Yard yard = rig.yard();
    boolean proof = rig.shows(yard, checks.stream().filter(Check::proves).toList());
    if (!proof && !rig.shows(yard, checks)) {
      return Optional.empty();
    }
    try {
      return Optional.of(
          search(rig, yard, Predictions.of(rig.rig(), rig.harness(), checks), proof));
    } catch (IllegalStateException unsolved) {
      leftOut.incrementAndGet();
      return Optional.empty();
    }
  }

  private static Ended search(Case rig, Yard yard, Predictions predictions, boolean proof) {
    Random noise = new Random(rig.noise());
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
    Diagnosis.Group leading = now.groups().get(0);
    boolean good =
        now.fits() && names(leading, rig.mischief(), Yard.whole(rig.rig(), rig.harness()));
    // “Nothing found so far” is no answer.
    boolean answer = !leading.leading().healthy() || leading.earned();
    return new Ended(
        rig.mischief().kind(),
        proof,
        good,
        sure(now),
        now.fits(),
        minutes,
        figures,
        taken,
        places(leading),
        answer ? 100 * leading.present() : -1,
        told(rig.mischief(), proof, sure(now), seen, now));
  }

  private static String told(
      Mischief mischief, boolean proof, boolean sure, List<Diagnosis.Seen> seen, Diagnosis now) {
    return "  "
        + (sure ? "SURE AND WRONG " : "")
        + (proof ? "" : "(seen closer only) ")
        + mischief.told()
        + seen.stream()
            .map(x -> x.check().replaceAll("^(look[^.]*|hums|turns).*", "$1"))
            .distinct()
            .toList()
        + " -> "
        + now.groups().stream()
            .limit(3)
            .map(g -> g.leading().words(UnitSystem.METRIC) + " " + Math.round(100 * g.present()))
            .toList()
        + (now.fits() ? "" : " does not fit: " + now.groups().get(0).against());
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

  private void count(Ended ended) {
    if (ended.said < 0) {
      return;
    }
    int step = 0;
    while (ended.said >= STEPS[step + 1]) {
      step++;
    }
    said[step]++;
    right[step] += ended.good ? 1 : 0;
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

  /** In a hundred. */
  static <T> double share(List<T> all, Predicate<T> which) {
    return 100.0 * all.stream().filter(which).count() / all.size();
  }
}
