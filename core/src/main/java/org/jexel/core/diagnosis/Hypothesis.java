package org.jexel.core.diagnosis;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
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
  /** So many rigs in a hundred that are looked at have no fault. */
  private static final double HEALTHY = 0.25;

  private static final String NO_FAULT = "No fault";

  public Hypothesis {
    known = List.copyOf(known);
  }

  /** The healthy rig first, then every single fault that can occur on it. */
  public static List<Hypothesis> of(Rig rig, Harness harness) {
    List<Hypothesis> all = new ArrayList<>();
    List<KnownFault> faults = FaultCatalog.of(rig, harness);
    double sum = faults.stream().mapToDouble(KnownFault::weight).sum();
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

  public boolean healthy() {
    return known.isEmpty();
  }

  /** A fault that can be slight or bad: its readings are known less sharply. */
  boolean graded() {
    return known.stream()
        .anyMatch(
            fault ->
                switch (fault.fault().kind()) {
                  case OHMS, DRAWS, SHORT, BRIDGE, FLAT, LOW, PULLED, SIGNAL -> true;
                  default -> false;
                });
  }

  /** What a battery is down to, where that alone is the matter, V. */
  OptionalDouble flatVolts() {
    boolean battery =
        known.size() == 1
            && (known.get(0).fault().kind() == Fault.Kind.FLAT
                || known.get(0).fault().kind() == Fault.Kind.LOW);
    return battery ? OptionalDouble.of(known.get(0).fault().amount()) : OptionalDouble.empty();
  }
}
