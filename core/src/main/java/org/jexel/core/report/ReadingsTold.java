package org.jexel.core.report;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jexel.core.check.Check;
import org.jexel.core.check.Round;
import org.jexel.core.job.BenchWork;
import org.jexel.core.job.JobRecord;
import org.jexel.core.job.Mended;
import org.jexel.core.job.Taken;
import org.jexel.core.job.Work;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Must;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;

/** What was read, as the rig is left; and what was found wrong before, with what became of it. */
final class ReadingsTold {
  private static final String SOUND = "as computed";
  private static final String MOSTLY = ", of some said all at once";

  private final JobRecord record;
  private final BenchWork bench;
  private final UnitSystem units;
  private final Function<Instant, String> when;

  ReadingsTold(Work work, UnitSystem units, Function<Instant, String> when) {
    this.record = work.record();
    this.bench = work.bench();
    this.units = units;
    this.when = when;
  }

  Section asLeft() {
    Section.Table table =
        new Section.Table("Readings, as left")
            .words("Check")
            .figures("Read", "Expected")
            .words("By", "When");
    List<Check> told = Stream.concat(bench.proof().stream(), bench.readBeyond().stream()).toList();
    for (Round round : Round.of(told)) {
      Optional<Taken> last =
          round.checks().stream()
              .flatMap(check -> Optional.ofNullable(bench.newest().get(check.id())).stream())
              .max(Comparator.comparing(Taken::id));
      table.judged(
          bench.verdict(round),
          true,
          round.title(),
          reading(round),
          round.words() ? SOUND : band(round.first()),
          last.map(Taken::who).orElse(""),
          last.map(Taken::at).map(when).orElse(""));
    }
    return table.section();
  }

  /** Readings that stand no longer and were not as a sound rig shows. */
  Section asFound() {
    Section.Table table =
        new Section.Table("Found wrong on the way")
            .words("Check")
            .figures("Read", "Expected")
            .words("By", "When", "Since then");
    for (Taken reading : record.readings()) {
      boolean stands = bench.newest().containsValue(reading);
      bench
          .check(reading.check())
          .filter(check -> !stands && judged(check, reading).isWorry())
          .ifPresent(
              check ->
                  table.judged(
                      judged(check, reading),
                      true,
                      title(check),
                      text(check, reading),
                      check.measure().words().isEmpty() ? band(check) : SOUND,
                      reading.who(),
                      when.apply(reading.at()),
                      since(reading)));
    }
    return table.section();
  }

  private Verdict judged(Check check, Taken reading) {
    return check.band().judge(bench.atFull(reading));
  }

  private static String title(Check check) {
    String round = new Round(List.of(check)).title();
    return round.equals(check.title()) ? round : round + ", " + check.title();
  }

  private String since(Taken reading) {
    return record.repairs().stream()
        .filter(repair -> repair.unsays(reading))
        .findFirst()
        .map(repair -> "mended: " + repair.words())
        .orElse("read again");
  }

  Section repairs() {
    Section.Table table = new Section.Table("Mended").words("What", "By", "When");
    for (Mended repair : record.repairs()) {
      table.row(repair.words(), repair.who(), when.apply(repair.at()));
    }
    return table.section();
  }

  private String band(Check check) {
    Measure measure = check.measure();
    return Phrase.of(
        "%s – %s",
        measure.number(check.band().low(), units), measure.text(check.band().high(), units));
  }

  private String reading(Round round) {
    List<Check> read =
        round.checks().stream().filter(c -> bench.newest().containsKey(c.id())).toList();
    if (read.isEmpty()) {
      return "not read";
    }
    return round.words() ? heardAndSeen(read) : text(read.get(0));
  }

  /** What did not look or sound as computed; a lamp that does needs no line. */
  private String heardAndSeen(List<Check> read) {
    String other =
        read.stream()
            .filter(check -> bench.verdict(check) == Verdict.FAILS)
            .map(check -> check.title() + ": " + text(check))
            .collect(Collectors.joining("; "));
    long atOnce = read.stream().filter(check -> newest(check).atOnce()).count();
    String one = atOnce == 0 ? "" : atOnce == read.size() ? ", said of all at once" : MOSTLY;
    boolean simulated = read.stream().anyMatch(check -> newest(check).simulated());
    String sound = SOUND + one + (simulated ? Taken.PRACTISED : "");
    return other.isEmpty() ? sound : other;
  }

  private Taken newest(Check check) {
    return Must.have(bench.newest(), check.id());
  }

  private String text(Check check) {
    return text(check, newest(check));
  }

  private String text(Check check, Taken taken) {
    return taken.told(check.measure(), units);
  }
}
