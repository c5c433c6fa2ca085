package org.jexel.core.road;

import java.util.List;
import java.util.function.Function;
import org.jexel.core.check.Check;
import org.jexel.core.quantity.Verdict;

/**
 * What must hold before a wheel turns: every check of the brakes has a reading, and none fails; nor
 * does anything that hand and eye found at a wheel.
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
   * @param verdicts of the readings so far
   */
  public static Gate of(List<Check> checks, Function<Check, Verdict> verdicts) {
    return new Gate(
        checks.stream()
            .filter(check -> check.gatesTheRoad() || atAWheel(check))
            .map(check -> new Line(check, verdicts.apply(check)))
            .filter(line -> line.check().gatesTheRoad() || line.verdict() == Verdict.FAILS)
            .toList());
  }

  private static boolean atAWheel(Check check) {
    return check.group() == Check.Group.WHEELS || check.group() == Check.Group.DRUM;
  }

  public boolean open() {
    return lines.stream().allMatch(Line::open);
  }
}
