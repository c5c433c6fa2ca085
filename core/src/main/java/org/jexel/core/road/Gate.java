package org.jexel.core.road;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.jexel.core.check.Check;
import org.jexel.core.quantity.Verdict;

/**
 * What must hold before a wheel turns: every check of the brakes has a reading, and none fails, nor
 * does anything that hand and eye found at a wheel; the breakaway; the load; and what somebody
 * looks at on the day: tyres, wheel nuts, place. What is to be watched may be gone past with a
 * written reason, on that day; what fails may not.
 *
 * @param lines each condition with how it stands
 */
public record Gate(List<Line> lines) {
  /** Looked at anew on each day. */
  private static final List<Said.What> LOOKED_AT =
      List.of(Said.What.TYRES, Said.What.NUTS, Said.What.PLACE);

  /** The line of the breakaway. */
  public static final String BREAKAWAY = "breakaway";

  /** The line of load and ratings. */
  public static final String LOAD = "load";

  public Gate {
    lines = List.copyOf(lines);
  }

  /**
   * One condition.
   *
   * @param id of its check, or its name
   * @param passed why somebody goes past it; empty where nobody did
   */
  public record Line(String id, String title, Verdict verdict, Optional<String> passed) {
    public boolean open() {
      return verdict == Verdict.HOLDS || asks() && passed.isPresent();
    }

    /** Whether a reason opens it. */
    public boolean asks() {
      return verdict == Verdict.WATCH;
    }
  }

  /**
   * @param checks the rig's check sheet
   * @param verdicts of the readings so far
   * @param breakaway how the trailer that comes off is stopped
   * @param load against every rating
   * @param said oldest first
   * @param day on which it is asked
   */
  public static Gate of(
      List<Check> checks,
      Function<Check, Verdict> verdicts,
      Verdict breakaway,
      Verdict load,
      List<Said> said,
      LocalDate day) {
    List<Said> today = said.stream().filter(s -> s.day().equals(day)).toList();
    List<Line> lines = new ArrayList<>();
    for (Check check : checks) {
      Verdict verdict = verdicts.apply(check);
      if (check.gatesTheRoad() || atAWheel(check) && verdict == Verdict.FAILS) {
        lines.add(line(check.id(), check.title(), verdict, today));
      }
    }
    lines.add(line(BREAKAWAY, "Breakaway", breakaway, today));
    lines.add(line(LOAD, "Load and ratings", load, today));
    for (Said.What what : LOOKED_AT) {
      Verdict seen =
          today.stream()
              .filter(s -> s.what() == what)
              .max(Comparator.comparing(Said::at))
              .map(Said::verdict)
              .orElse(Verdict.NOT_YET);
      lines.add(line(what.name(), what.label(), seen, today));
    }
    return new Gate(lines);
  }

  private static Line line(String id, String title, Verdict verdict, List<Said> today) {
    Optional<String> passed =
        today.stream()
            .filter(s -> s.what() == Said.What.PASSED && s.about().equals(id))
            .map(Said::words)
            .reduce((a, b) -> b);
    return new Line(id, title, verdict, passed);
  }

  private static boolean atAWheel(Check check) {
    return check.group() == Check.Group.WHEELS || check.group() == Check.Group.DRUM;
  }

  public boolean open() {
    return lines.stream().allMatch(Line::open);
  }

  /** The first line that neither a look nor a reason opens; empty where there is none. */
  public Optional<Line> barred() {
    return lines.stream().filter(line -> !line.open() && !line.asks() && !isLook(line)).findFirst();
  }

  private static boolean isLook(Line line) {
    return LOOKED_AT.stream().anyMatch(what -> what.name().equals(line.id()))
        && line.verdict() == Verdict.NOT_YET;
  }
}
