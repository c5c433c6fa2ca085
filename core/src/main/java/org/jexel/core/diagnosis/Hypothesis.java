package org.jexel.core.diagnosis;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.jexel.core.harness.Harness;
import org.jexel.core.network.Fault;
import org.jexel.core.network.FaultCatalog;
import org.jexel.core.rig.Rig;

/**
 * What may be the matter: no fault, one, or several together.
 *
 * @param faults edits of the whole rig; empty for the healthy one
 * @param label in words
 * @param weight prior, not yet normalised
 */
public record Hypothesis(List<Fault> faults, String label, double weight) {
  /** So many rigs in a hundred that are looked at have no fault. */
  private static final double HEALTHY = 0.25;

  public static final String NO_FAULT = "No fault";

  public Hypothesis {
    faults = List.copyOf(faults);
  }

  /** The healthy rig first, then every single fault that can occur on it. */
  public static List<Hypothesis> of(Rig rig, Harness harness) {
    List<Hypothesis> all = new ArrayList<>();
    List<FaultCatalog.Named> faults = FaultCatalog.of(rig, harness);
    double sum = faults.stream().mapToDouble(FaultCatalog.Named::weight).sum();
    all.add(new Hypothesis(List.of(), NO_FAULT, HEALTHY * sum / (1 - HEALTHY)));
    for (FaultCatalog.Named named : faults) {
      all.add(new Hypothesis(List.of(named.fault()), named.family(), named.weight()));
    }
    return all;
  }

  /** Both at once; two faults are as much rarer than one as one is than none. */
  public Hypothesis and(Hypothesis other, double share) {
    List<Fault> both = new ArrayList<>(faults);
    both.addAll(other.faults);
    return new Hypothesis(both, label + ", and " + other.label, weight * other.weight * share);
  }

  /** Labels of the single faults in it. */
  public List<String> parts() {
    return Arrays.asList(label.split(", and "));
  }

  public boolean healthy() {
    return faults.isEmpty();
  }

  /** A fault that can be slight or bad: its readings are known less sharply. */
  boolean graded() {
    return faults.stream()
        .anyMatch(
            fault ->
                switch (fault.kind()) {
                  case OHMS, DRAWS, SHORT, BRIDGE, FLAT, PULLED, SIGNAL -> true;
                  default -> false;
                });
  }
}
