package org.jexel.app.handover;

import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import org.jexel.app.job.JobFile;
import org.jexel.core.check.Check;
import org.jexel.core.check.Round;
import org.jexel.core.job.BenchWork;
import org.jexel.core.job.Taken;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Must;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;

/**
 * A line of the report: a figure, or a walk round in one state.
 *
 * @param reading newest one that still stands, in words
 * @param expected what a sound rig shows
 * @param words whether words were said, not a figure read
 * @param who took its last reading; empty for nobody
 */
record CheckRow(
    String title, String reading, String expected, boolean words, String who, Verdict verdict) {
  private static final String SOUND = "as computed";
  private static final String PRACTISED = ", simulated meter";

  static CheckRow of(JobFile file, Round round) {
    BenchWork bench = file.work().bench();
    String who =
        round.checks().stream()
            .flatMap(check -> bench.last(check.id()).stream())
            .max(Comparator.comparing(Taken::id))
            .map(Taken::who)
            .orElse("");
    return new CheckRow(
        round.title(),
        reading(bench, round, file.units()),
        round.words() ? SOUND : band(round.first(), file.units()),
        round.words(),
        who,
        bench.verdict(round));
  }

  private static String band(Check check, UnitSystem units) {
    Measure measure = check.measure();
    return Phrase.of(
        "%s – %s",
        measure.number(check.band().low(), units), measure.text(check.band().high(), units));
  }

  private static String reading(BenchWork bench, Round round, UnitSystem units) {
    List<Check> read =
        round.checks().stream().filter(c -> bench.newest().containsKey(c.id())).toList();
    if (read.isEmpty()) {
      return "not read";
    }
    return round.words() ? heardAndSeen(bench, read, units) : text(bench, read.get(0), units);
  }

  /** What did not look or sound as computed; a lamp that does needs no line. */
  private static String heardAndSeen(BenchWork bench, List<Check> read, UnitSystem units) {
    String other =
        read.stream()
            .filter(check -> bench.verdict(check) == Verdict.FAILS)
            .map(check -> check.title() + ": " + text(bench, check, units))
            .collect(Collectors.joining("; "));
    boolean atOnce =
        read.stream().allMatch(check -> Must.have(bench.newest(), check.id()).atOnce());
    boolean simulated =
        read.stream().anyMatch(check -> Must.have(bench.newest(), check.id()).simulated());
    String sound = SOUND + (atOnce ? ", said of all at once" : "") + (simulated ? PRACTISED : "");
    return other.isEmpty() ? sound : other;
  }

  private static String text(BenchWork bench, Check check, UnitSystem units) {
    Taken taken = Must.have(bench.newest(), check.id());
    String words = taken.words(check.measure(), units);
    return taken.simulated() ? words + PRACTISED : words;
  }
}
