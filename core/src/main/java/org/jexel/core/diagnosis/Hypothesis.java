package org.jexel.core.diagnosis;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.jexel.core.harness.Harness;
import org.jexel.core.network.Fault;
import org.jexel.core.network.FaultCatalog;
import org.jexel.core.network.FaultFamily;
import org.jexel.core.network.KnownFault;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.Rig;

/**
 * What may be the matter: no fault, one, or several together.
 *
 * @param known the faults; empty for the healthy rig
 * @param weight prior, not yet normalised
 */
public record Hypothesis(List<KnownFault> known, double weight) {
  /** So many rigs in a hundred whose wiring is looked at have no fault in it. */
  private static final double HEALTHY = 0.25;

  /** Half of ln 2: each severity has twice the ohms or so of the one before. */
  private static final double HALF_WAY = 0.35;

  /** Half of ln 3, of what is corroded. */
  private static final double HALF_WAY_OF_OHMS = 0.55;

  private static final double ALONE = 0.8;

  private static final String NO_FAULT = "No fault";

  public Hypothesis {
    known = List.copyOf(known);
  }

  /** The healthy rig first, then every single fault that can occur on it. */
  public static List<Hypothesis> of(Rig rig, Harness harness) {
    List<Hypothesis> all = new ArrayList<>();
    List<KnownFault> faults = FaultCatalog.of(rig, harness);
    double sum =
        faults.stream()
            .filter(fault -> fault.fault().condition().isEmpty())
            .mapToDouble(KnownFault::weight)
            .sum();
    all.add(new Hypothesis(List.of(), HEALTHY * sum / (1 - HEALTHY)));
    for (KnownFault fault : faults) {
      all.add(new Hypothesis(List.of(fault), fault.weight()));
    }
    return all;
  }

  /** Both at once; two faults are as much rarer than one as one is than none. */
  Hypothesis and(Hypothesis other, double share) {
    List<KnownFault> both = new ArrayList<>(known);
    both.addAll(other.known);
    return new Hypothesis(both, weight * other.weight * share);
  }

  /** The same one fault half way to another severity of it. */
  Hypothesis halfWay(Hypothesis other) {
    KnownFault middle = known.get(0).halfWay(other.known.get(0));
    return new Hypothesis(List.of(middle), middle.weight());
  }

  /** The same, met so many times as often. */
  Hypothesis times(double factor) {
    return new Hypothesis(known, weight * factor);
  }

  /** Whether it is one fault, and the other is the same, slighter or worse. */
  boolean isSameFault(Hypothesis other) {
    if (known.size() != 1 || !families().equals(other.families())) {
      return false;
    }
    Fault one = known.get(0).fault();
    Fault two = other.known.get(0).fault();
    return one.kind() == two.kind()
        && one.part().equals(two.part())
        && one.other().equals(two.other());
  }

  /** Edits of the whole rig. */
  public List<Fault> faults() {
    return known.stream().map(KnownFault::fault).toList();
  }

  /** What it is, however bad: two hypotheses of the same families differ in severity alone. */
  public List<FaultFamily> families() {
    return known.stream().map(KnownFault::family).toList();
  }

  /** For people. */
  public String words(UnitSystem units) {
    return healthy()
        ? NO_FAULT
        : families().stream()
            .map(family -> family.words(units))
            .collect(Collectors.joining(", and "));
  }

  /** The same on every page of one rig, for a form to post. */
  public String key() {
    return families().stream().map(FaultFamily::key).collect(Collectors.joining("+"));
  }

  /** Whether the same parts are broken, or make and break: found and mended at one place alike. */
  boolean breaksWith(Hypothesis other) {
    return parts().equals(other.parts()) && isBreak() && other.isBreak();
  }

  /** What is opened to mend it. */
  List<String> opened() {
    return known.stream().map(KnownFault::opened).toList();
  }

  private List<String> parts() {
    return known.stream().map(fault -> fault.fault().part()).toList();
  }

  private boolean isBreak() {
    return known.stream()
        .map(fault -> fault.fault().kind())
        .allMatch(kind -> kind == Fault.Kind.OPEN || kind == Fault.Kind.LOOSE);
  }

  /** Whether it is a wheel alone, and nothing electric. */
  boolean isMechanical() {
    return !healthy() && faults().stream().allMatch(fault -> fault.condition().isPresent());
  }

  public boolean healthy() {
    return known.isEmpty();
  }

  /**
   * Logarithm of the factor by which a fault may be slighter or worse than it stands here, where
   * its neighbours do not tell: half the way to the next severity, or all of its range where it
   * stands in one; 0 for one that is whole.
   */
  double graded() {
    double most = 0;
    for (KnownFault fault : known) {
      most =
          Math.max(
              most,
              switch (fault.fault().kind()) {
                case OHMS -> HALF_WAY_OF_OHMS;
                case DRAWS, MAGNETS, REAR_LAMPS, SHORT, FLAT, LOW, PULLED, ON_BALL -> HALF_WAY;
                case BRIDGE, SIGNAL -> ALONE;
                default -> 0;
              });
    }
    return most;
  }
}
