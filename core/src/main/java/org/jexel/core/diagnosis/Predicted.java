package org.jexel.core.diagnosis;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import org.jexel.core.check.Check;

/** What every hypothesis says that every check would read: all that a search knows of a rig. */
final class Predicted {
  private final List<Check> checks;
  private final List<Row> singles;
  private final Function<Hypothesis, Optional<Row>> pairs;
  private final BiFunction<Row, Row, Optional<Row>> halfWay;
  private final Shared shared;
  private final Map<String, Integer> places = new HashMap<>();

  /**
   * @param checks in the order in which a row holds them
   * @param singles the healthy rig first, then every single fault
   * @param pairs solves two faults together; empty where no rig can stand so
   */
  Predicted(List<Check> checks, List<Row> singles, Function<Hypothesis, Optional<Row>> pairs) {
    this(checks, singles, pairs, (one, two) -> Optional.empty(), new Shared(checks));
  }

  /**
   * @param halfWay solves one fault half way between two of its severities; empty where no rig can
   *     stand so
   * @param shared what the figures of these checks have in common
   */
  Predicted(
      List<Check> checks,
      List<Row> singles,
      Function<Hypothesis, Optional<Row>> pairs,
      BiFunction<Row, Row, Optional<Row>> halfWay,
      Shared shared) {
    this.shared = shared;
    this.checks = List.copyOf(checks);
    this.singles = List.copyOf(singles);
    this.pairs = pairs;
    this.halfWay = halfWay;
    for (int i = 0; i < checks.size(); i++) {
      places.put(checks.get(i).id(), i);
    }
  }

  List<Check> checks() {
    return checks;
  }

  List<Row> singles() {
    return singles;
  }

  Shared shared() {
    return shared;
  }

  Row healthy() {
    return singles.get(0);
  }

  Optional<Row> pair(Hypothesis both) {
    return pairs.apply(both);
  }

  Optional<Row> halfWay(Row one, Row two) {
    return halfWay.apply(one, two);
  }

  /** The same with other single faults. */
  Predicted with(List<Row> others) {
    return new Predicted(checks, others, pairs, halfWay, shared);
  }

  /** Place of a check among the others; −1 for one that this rig does not have. */
  int place(String check) {
    return places.getOrDefault(check, -1);
  }
}
