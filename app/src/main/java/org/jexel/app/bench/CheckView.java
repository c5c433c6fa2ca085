package org.jexel.app.bench;

import java.util.List;
import org.jexel.app.job.Draft;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.NextCard;
import org.jexel.core.check.Check;
import org.jexel.core.check.PartOutput;
import org.jexel.core.job.Taken;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.Verdict;
import org.jspecify.annotations.Nullable;

/**
 * A check with its readings and what is being typed.
 *
 * @param check as computed
 * @param chain its readings, newest first
 * @param verdict of the newest reading against the present band
 * @param meaning of that verdict in words
 * @param typed what stands in the input
 * @param seen newest reading when the page was made
 * @param problem why the typed text is no reading; null if it is
 * @param judged verdict on the typed value before it is kept; null if nothing is typed
 * @param typedMeaning of that verdict, where it fails; empty otherwise
 * @param theirs another person's reading that came in meanwhile; null if none
 */
public record CheckView(
    Check check,
    List<Reading> chain,
    Verdict verdict,
    String meaning,
    String typed,
    long seen,
    @Nullable String problem,
    @Nullable Verdict judged,
    String typedMeaning,
    @Nullable String theirs) {

  static CheckView of(JobFile file, Check check) {
    List<Reading> chain =
        BenchRows.of(file).readings().stream()
            .filter(reading -> reading.checkId().equals(check.id()))
            .sorted((a, b) -> Long.compare(b.id(), a.id()))
            .toList();
    Reading newest = chain.isEmpty() ? null : chain.get(0);
    Verdict verdict = file.work().bench().verdict(check);
    long seen = newest == null ? 0 : newest.id();
    Draft draft = file.typed().at(BenchService.FORM, check.id()).orElse(null);
    String problem = null;
    Verdict judged = null;
    String typedMeaning = "";
    String theirs = null;
    boolean kept =
        draft != null
            && newest != null
            && draft.seenId() != seen
            && newest.person().id().equals(file.person().id())
            && newest.typed().equals(draft.typed());
    if (kept) {
      draft = null;
    }
    if (draft != null) {
      BenchService.Typed value = BenchService.read(file, check, draft.typed(), file.units());
      problem = value.problem();
      judged = problem == null ? check.band().judge(value.atFull()) : null;
      typedMeaning = judged == Verdict.FAILS ? check.meaning(judged, value.atFull()) : "";
      if (newest != null && draft.seenId() != seen) {
        theirs =
            "%s read %s while you had this open. Record yours as a newer one, or clear it."
                .formatted(newest.person().name(), newest.words(file.units()));
      }
    }
    return new CheckView(
        check,
        chain,
        verdict,
        newest == null ? "" : meaning(file, check, newest.taken()),
        draft == null ? "" : draft.typed(),
        seen,
        problem,
        judged,
        typedMeaning,
        theirs);
  }

  /** What the band says of a reading, and what the other side says of it. */
  private static String meaning(JobFile file, Check check, Taken taken) {
    double reading = file.work().bench().atFull(taken);
    String told = check.meaning(check.band().judge(reading), reading);
    String own =
        taken.pinVolts().isEmpty()
            ? told
            : Phrase.of(
                "At full output that is %s. %s", check.measure().text(reading, file.units()), told);
    return file.work().bench().sides(check).map(sides -> own + " " + sides.words()).orElse(own);
  }

  /** Read before a repair that changes it, and not since. */
  public boolean stale() {
    return newest() != null && verdict == Verdict.NOT_YET;
  }

  /**
   * The word that stands chosen: what was typed, and not what was read before. No form answers for
   * the eye, the ear and the hand, at a second look least of all.
   */
  public String word() {
    return typed;
  }

  /** Whether a figure is read, and no word said. */
  public boolean isFigure() {
    return check.measure().words().isEmpty();
  }

  /** Whether a reading of it stands. */
  public boolean isRead() {
    return newest() != null && !stale();
  }

  /** Whether it may be read at less than full output. */
  public boolean atAnyOutput() {
    return PartOutput.fits(check);
  }

  /** What stands in the field of the reading, and in that of the output. */
  public String[] fields() {
    return atAnyOutput() ? PartOutput.parts(typed) : new String[] {typed, ""};
  }

  public String anchor() {
    return NextCard.anchor(check.id());
  }

  public @Nullable Reading newest() {
    return chain.isEmpty() ? null : chain.get(0);
  }
}
