package org.jexel.core.harness;

import java.util.Comparator;
import java.util.List;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.quantity.Sum;
import org.jexel.core.quantity.Verdict;

/**
 * One circuit of the plan, as a line of the harness table.
 *
 * @param branch which conductors it has
 * @param function its pin
 * @param length all of its live conductor, m
 * @param sizes its wire sizes from the source on
 * @param amps design load, A
 * @param drop at its farthest load, out and back, V
 * @param limit the drop that is allowed, V
 * @param protection fuse or breaker that it calls for, A; 0 for a return
 * @param binding what set the size
 * @param buy sizes that would fit where none on the shelf does; else empty
 * @param rulings laws that it does not keep
 * @param sum how the drop was found
 */
public record Circuit(
    Branch branch,
    PinFunction function,
    double length,
    List<String> sizes,
    double amps,
    double drop,
    double limit,
    double protection,
    String binding,
    String buy,
    List<Ruling> rulings,
    Sum sum) {
  public Circuit {
    sizes = List.copyOf(sizes);
    rulings =
        rulings.stream()
            .sorted(Comparator.comparing(Ruling::verdict).reversed().thenComparing(Ruling::law))
            .toList();
  }

  /** What it is called. */
  public String name() {
    return branch.label();
  }

  /** Whether it keeps every law of ratings and its drop. */
  public Verdict verdict() {
    return rulings.isEmpty() ? Verdict.HOLDS : rulings.get(0).verdict();
  }

  /** The ruling that binds, in words; empty where it holds. */
  public String reason() {
    return rulings.isEmpty() ? "" : rulings.get(0).words();
  }
}
