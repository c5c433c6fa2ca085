package org.jexel.app.bench;

import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.NextCard;
import org.jexel.core.check.Check;
import org.jexel.core.check.Round;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;

/**
 * What is taken in one go, with its readings: one figure, or a word for each lamp or wheel.
 *
 * @param checks of the round, at least one
 * @param verdict of the whole
 */
public record RoundView(Round round, List<CheckView> checks, Verdict verdict) {
  public static RoundView of(JobFile file, Round round) {
    return new RoundView(
        round,
        round.checks().stream().map(check -> CheckView.of(file, check)).toList(),
        file.work().bench().verdict(round));
  }

  public String id() {
    return round.id();
  }

  public String anchor() {
    return NextCard.anchor(id());
  }

  public CheckView first() {
    return checks.get(0);
  }

  /** What is taken now: the first that nothing was typed or chosen for. */
  public CheckView now() {
    return checks.stream().filter(view -> view.word().isEmpty()).findFirst().orElse(first());
  }

  /** The rounds of a walk, or this one alone. */
  public List<RoundView> parts() {
    return round.parts().stream()
        .map(
            part ->
                new RoundView(
                    part,
                    checks.stream().filter(view -> part.checks().contains(view.check())).toList(),
                    verdict))
        .toList();
  }

  /** Whether a word was chosen for one, and nothing recorded yet. */
  private boolean begun() {
    return checks.stream().anyMatch(view -> !view.word().isEmpty());
  }

  /** What was read: the figure, or how many words; empty while nothing was. */
  public String read(UnitSystem units) {
    List<CheckView> read = checks.stream().filter(CheckView::isRead).toList();
    if (read.isEmpty()) {
      return "";
    }
    return round.isOneFigure()
        ? Objects.requireNonNull(first().newest()).words(units)
        : Phrase.of("%d of %d", read.size(), checks.size());
  }

  /**
   * Of lamps, which are many and seen at one glance, one act can say that all are as expected, but
   * not of what was odd and is looked at again.
   */
  public boolean atOnce() {
    return isSaidAtOnce(round.first()) && !isRead();
  }

  /** Lamps, as they are and while a hand moves what may be loose; of brakes each is said. */
  static boolean isSaidAtOnce(Check check) {
    return switch (check.measure()) {
      case GLOW, KIND, MOVING -> check.function() != PinFunction.BRAKE;
      default -> false;
    };
  }

  /** What that one act says. */
  public String atOnceWords() {
    boolean moved = round.first().measure() == Measure.MOVING;
    return (begun() ? "All the others " : "All ")
        + (moved ? "that I see stay steady" : "as a sound rig shows");
  }

  /** Whether a reading of each stands. */
  public boolean isRead() {
    return checks.stream().allMatch(CheckView::isRead);
  }

  /** Why each of its checks is taken, told once. */
  public List<String> whys() {
    return checks.stream().map(view -> view.check().why()).distinct().toList();
  }

  /** Ids for the meter, between commas. */
  public String ids() {
    return String.join(",", checks.stream().map(view -> view.check().id()).toList());
  }

  /** Every reading of its checks, newest first. */
  public List<Line> chain() {
    return checks.stream()
        .flatMap(view -> view.chain().stream().map(reading -> new Line(view, reading)))
        .sorted(Comparator.comparing((Line line) -> line.reading().id()).reversed())
        .toList();
  }

  /**
   * One reading in the record.
   *
   * @param view of its check
   */
  public record Line(CheckView view, Reading reading) {
    /** Whether it counts, and if not, why not. */
    public String standing() {
      boolean newest = reading.equals(view.newest());
      return !newest ? "corrected" : view.stale() ? "before a repair" : "stands";
    }
  }
}
