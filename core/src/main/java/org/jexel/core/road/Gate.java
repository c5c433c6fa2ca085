package org.jexel.core.road;

import java.util.List;
import java.util.Map;
import org.jexel.core.check.Check;
import org.jexel.core.quantity.Verdict;

/**
 * What must hold before a wheel turns: every check of the brakes has a reading, and none fails.
 *
 * @param lines each condition with how it stands
 */
public record Gate(List<Line> lines) {

  /**
   * @param check the check that stands for the condition
   * @param verdict of its reading; not yet without one
   */
  public record Line(Check check, Verdict verdict) {
    public boolean open() {
      return verdict == Verdict.HOLDS || verdict == Verdict.WATCH;
    }
  }

  /**
   * @param checks the rig's check sheet
   * @param verdicts of the readings so far, by check id
   */
  public static Gate of(List<Check> checks, Map<String, Verdict> verdicts) {
    return new Gate(
        checks.stream()
            .filter(Check::gatesTheRoad)
            .map(check -> new Line(check, verdicts.getOrDefault(check.id(), Verdict.NOT_YET)))
            .toList());
  }

  public boolean open() {
    return lines.stream().allMatch(Line::open);
  }
}
