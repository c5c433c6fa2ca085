package org.jexel.core.bench;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.function.Predicate;
import org.jexel.core.check.Check;
import org.jexel.core.check.Round;
import org.jexel.core.diagnosis.Diagnosis;
import org.jexel.core.diagnosis.Predictions;
import org.jexel.core.harness.Harness;
import org.jexel.core.network.Fault;
import org.jexel.core.network.FaultCatalog;
import org.jexel.core.network.KnownFault;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.Rig;

/**
 * How well the finder finds, on random rigs with hidden faults: ./bench finder [rigs] [seed].
 *
 * <p>A fault counts as found when it, or a fault that no check of the rig can tell from it, leads.
 */
public final class FinderBenchmark {
  private static final int MOST_CHECKS = 8;
  private static final int MOST_FOR_TWO = 12;

  /** Rigs on which the fixed order of the sheet is walked as well. */
  private static final int COMPARED = 100;

  private FinderBenchmark() {}

  /**
   * One search: how it ended.
   *
   * @param leads checks after which what is hidden stood at the top and stayed there; as many as
   *     were taken where it never did
   * @param checks taken until the finder was sure or nothing would have told more
   */
  private record Search(boolean found, int leads, int checks, double minutes, Diagnosis last) {}

  public static void main(String[] args) {
    int rigs = args.length > 0 ? Integer.parseInt(args[0]) : 1000;
    long seed = args.length > 1 ? Long.parseLong(args[1]) : 1;
    boolean tell = args.length > 2;
    one(rigs, new Random(seed), tell);
    healthy(rigs / 5, new Random(seed + 1));
    two(rigs / 5, new Random(seed + 2), tell);
  }

  private static void one(int rigs, Random dice, boolean tell) {
    int found = 0;
    List<Integer> counts = new ArrayList<>();
    List<Integer> leads = new ArrayList<>();
    double minutes = 0;
    double fixed = 0;
    double asked = 0;
    for (int i = 0; i < rigs; i++) {
      Rig rig = Stand.randomRig(dice);
      Harness harness = Stand.harness(rig);
      KnownFault hidden = drawn(rig, harness, dice);
      Stand stand = new Stand(rig, harness, List.of(hidden.fault()), dice);
      Predictions predictions = Predictions.of(rig, harness, Stand.checks(rig, harness));
      Search search =
          search(predictions, stand, now -> names(now, List.of(hidden), 1), MOST_CHECKS, true);
      found += search.found() ? 1 : 0;
      counts.add(search.checks());
      leads.add(search.leads());
      minutes += search.minutes();
      if (i < COMPARED) {
        asked += search.minutes();
        fixed += inOrder(predictions, stand, hidden);
      }
      if (tell && !search.found()) {
        missed(List.of(hidden.fault()), search);
      }
    }
    System.out.printf(
        Locale.ROOT,
        "one fault, %d rigs: leads within %d checks in %.1f %%, after a median of %d, sure after %d; minutes %.1f a rig, fixed order %.1f (%.2f of it)%n",
        rigs,
        MOST_CHECKS,
        100.0 * found / rigs,
        median(leads),
        median(counts),
        minutes / rigs,
        fixed / Math.min(rigs, COMPARED),
        asked / fixed);
  }

  private static int median(List<Integer> counts) {
    return counts.stream().sorted().toList().get(counts.size() / 2);
  }

  private static void missed(List<Fault> hidden, Search search) {
    System.out.println(
        "  missed: "
            + hidden
            + " -> "
            + search.last().groups().stream()
                .limit(4)
                .map(
                    g ->
                        g.leading().words(UnitSystem.METRIC)
                            + " "
                            + Math.round(100 * g.probability()))
                .toList()
            + (search.last().fits() ? "" : " (does not fit)")
            + " after "
            + search.checks());
  }

  /** A fault of this rig, drawn by its weight. */
  private static KnownFault drawn(Rig rig, Harness harness, Random dice) {
    List<KnownFault> all = FaultCatalog.of(rig, harness);
    double sum = all.stream().mapToDouble(KnownFault::weight).sum();
    double at = dice.nextDouble() * sum;
    for (KnownFault named : all) {
      at -= named.weight();
      if (at <= 0) {
        return named;
      }
    }
    return all.get(0);
  }

  private static void healthy(int rigs, Random dice) {
    int right = 0;
    List<Integer> counts = new ArrayList<>();
    for (int i = 0; i < rigs; i++) {
      Rig rig = Stand.randomRig(dice);
      Harness harness = Stand.harness(rig);
      Predictions predictions = Predictions.of(rig, harness, Stand.checks(rig, harness));
      Stand stand = new Stand(rig, harness, List.of(), dice);
      Search search = search(predictions, stand, FinderBenchmark::healthy, MOST_CHECKS, true);
      right += search.found() ? 1 : 0;
      counts.add(search.checks());
    }
    System.out.printf(
        Locale.ROOT,
        "no fault, %d rigs: called healthy in %.1f %%, median %d checks%n",
        rigs,
        100.0 * right / rigs,
        median(counts));
  }

  private static void two(int rigs, Random dice, boolean tell) {
    int found = 0;
    List<Integer> counts = new ArrayList<>();
    for (int i = 0; i < rigs; i++) {
      Rig rig = Stand.randomRig(dice);
      Harness harness = Stand.harness(rig);
      KnownFault one = drawn(rig, harness, dice);
      KnownFault two = drawn(rig, harness, dice);
      while (two.fault().part().equals(one.fault().part()) || touch(one.fault(), two.fault())) {
        two = drawn(rig, harness, dice);
      }
      Predictions predictions = Predictions.of(rig, harness, Stand.checks(rig, harness));
      Stand stand = new Stand(rig, harness, List.of(one.fault(), two.fault()), dice);
      List<KnownFault> both = List.of(one, two);
      Search search = search(predictions, stand, now -> names(now, both, 3), MOST_FOR_TWO, false);
      found += search.found() ? 1 : 0;
      if (tell && !search.found()) {
        missed(List.of(one.fault(), two.fault()), search);
      }
      counts.add(search.checks());
    }
    System.out.printf(
        Locale.ROOT,
        "two faults, %d rigs: both in the top three groups within %d checks in %.1f %%, median %d checks%n",
        rigs,
        MOST_FOR_TWO,
        100.0 * found / rigs,
        median(counts));
  }

  private static boolean touch(Fault one, Fault two) {
    List<String> parts =
        new ArrayList<>(Arrays.asList(part(one), one.other(), part(two), two.other()));
    parts.removeIf(String::isEmpty);
    return parts.stream().distinct().count() < parts.size();
  }

  /** A wrong stop signal is a fault of the controller's input. */
  private static String part(Fault fault) {
    return fault.kind() == Fault.Kind.SIGNAL ? RigNetwork.CONTROLLER : fault.part();
  }

  private static Search search(
      Predictions predictions,
      Stand stand,
      Predicate<Diagnosis> right,
      int most,
      boolean untilSure) {
    List<Diagnosis.Seen> seen = new ArrayList<>();
    double minutes = 0;
    int taken = 0;
    int leads = 0;
    Diagnosis now = Diagnosis.of(predictions, seen);
    while (taken < most) {
      Optional<Diagnosis.Next> next = now.next();
      boolean sure = untilSure && !seen.isEmpty() && sure(now);
      if (next.isEmpty() || sure) {
        break;
      }
      minutes += next.get().minutes();
      for (Check check : next.get().checks()) {
        seen.add(new Diagnosis.Seen(check.id(), stand.read(check)));
      }
      taken++;
      leads = right.test(now) ? leads : taken;
      now = Diagnosis.of(predictions, seen);
    }
    boolean found = right.test(now);
    return new Search(found, found ? leads : taken, taken, minutes, now);
  }

  /**
   * Whether every hidden fault leads one of the first groups, in whatever severity, or stands there
   * just as it is among those that no check can tell from what leads.
   */
  private static boolean names(Diagnosis now, List<KnownFault> hidden, int top) {
    List<Diagnosis.Group> first = now.groups().stream().limit(top).toList();
    return hidden.stream()
        .allMatch(
            fault ->
                first.stream()
                    .anyMatch(
                        group ->
                            group.leading().families().contains(fault.family())
                                || group.hypotheses().stream()
                                    .anyMatch(
                                        h ->
                                            h.faults().size() <= hidden.size()
                                                && h.faults().contains(fault.fault()))));
  }

  /** As the page says it. */
  private static boolean sure(Diagnosis now) {
    return now.fits() && now.groups().get(0).sure();
  }

  private static boolean healthy(Diagnosis now) {
    return now.groups().get(0).leading().healthy();
  }

  /**
   * Minutes until the fault leads when the checks are taken in the order of the sheet: those that
   * prove the rig first, then whatever looks closer.
   */
  private static double inOrder(Predictions predictions, Stand stand, KnownFault hidden) {
    List<Diagnosis.Seen> seen = new ArrayList<>();
    double minutes = 0;
    String place = "";
    List<Check> order = new ArrayList<>(predictions.checks());
    order.sort(Comparator.comparing(check -> !check.proves()));
    for (Round round : Round.of(order)) {
      minutes += round.minutes() + (round.first().place().equals(place) ? 0 : 0.5);
      place = round.first().place();
      round.checks().forEach(check -> seen.add(new Diagnosis.Seen(check.id(), stand.read(check))));
      Diagnosis now = Diagnosis.of(predictions, seen);
      if (sure(now) && names(now, List.of(hidden), 1)) {
        return minutes;
      }
    }
    return minutes;
  }
}
