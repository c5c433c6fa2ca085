package org.jexel.core.report;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jexel.core.check.Check;
import org.jexel.core.job.BenchWork;
import org.jexel.core.job.Taken;
import org.jexel.core.job.Work;
import org.jexel.core.quantity.CalendarDay;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.FieldWords;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;
import org.jexel.core.rig.Subject;
import org.jexel.core.road.Profile;
import org.jexel.core.road.Setting;

/**
 * One trailer over its jobs: what was read, set and entered in each, side by side. A reading is
 * told as it was taken, and judged by what its own job knows of the rig.
 */
public final class Life {
  private static final String NOTHING = "–";

  private final List<Chapter> chapters;
  private final UnitSystem units;
  private final ZoneId zone;

  private Life(List<Chapter> chapters, UnitSystem units, ZoneId zone) {
    this.chapters = chapters;
    this.units = units;
    this.zone = zone;
  }

  /**
   * A job of a trailer.
   *
   * @param name by which people know it
   */
  public record Chapter(String name, Work work) {}

  /**
   * @param chapters oldest first, at least one
   */
  public static List<Section> of(List<Chapter> chapters, UnitSystem units, ZoneId zone) {
    Life life = new Life(List.copyOf(chapters), units, zone);
    return Stream.of(life.settings(), life.readings(), life.entries())
        .filter(section -> !section.rows().isEmpty())
        .toList();
  }

  /** Every gain that was settled, newest first, each once, though it was handed on. */
  private Section settings() {
    Section.Table table =
        new Section.Table("Settled gains")
            .figures("Gain", "Trailer", "Vehicle")
            .words("On", "When", "By", "Job", "Now");
    Set<Instant> told = new HashSet<>();
    List<List<String>> rows = new ArrayList<>();
    for (Chapter chapter : chapters) {
      for (Profile profile : chapter.work().road().gains().all()) {
        if (told.add(profile.setting().at())) {
          rows.add(0, row(chapter, profile));
        }
      }
    }
    rows.forEach(row -> table.row(row.toArray(String[]::new)));
    return table.section();
  }

  private List<String> row(Chapter chapter, Profile profile) {
    Setting setting = profile.setting();
    return List.of(
        Measure.GAIN.number(setting.gain(), units),
        Measure.MASS.text(setting.trailerMass(), units),
        Measure.MASS.text(setting.vehicleMass(), units),
        setting.surface().label(),
        CalendarDay.text(LocalDate.ofInstant(setting.at(), zone)),
        setting.who(),
        chapter.name(),
        now(setting));
  }

  /** How a setting stands by the newest job, which knows what became of rig and vehicle. */
  private String now(Setting setting) {
    return newest().work().road().gains().all().stream()
        .filter(profile -> profile.setting().equals(setting))
        .findFirst()
        .map(profile -> profile.holds() ? "holds" : String.join(", ", profile.stale()))
        .orElse("not handed on");
  }

  private Chapter newest() {
    return chapters.get(chapters.size() - 1);
  }

  /** Figures that were read in at least one job, in the order of the newest sheet. */
  private Section readings() {
    Map<String, Check> checks = new LinkedHashMap<>();
    for (int i = chapters.size() - 1; i >= 0; i--) {
      chapters.get(i).work().bench().checks().stream()
          .filter(check -> check.measure().words().isEmpty())
          .forEach(check -> checks.putIfAbsent(check.id(), check));
    }
    Section.Table table = new Section.Table("Readings, job by job").words("Check").figures(names());
    for (Check check : checks.values()) {
      List<String> cells = chapters.stream().map(chapter -> reading(chapter, check.id())).toList();
      if (cells.stream().anyMatch(cell -> !cell.equals(NOTHING))) {
        table.row(with(check.title(), cells));
      }
    }
    return table.section();
  }

  private String reading(Chapter chapter, String id) {
    BenchWork bench = chapter.work().bench();
    Optional<Taken> last = bench.last(id);
    Optional<Check> check = bench.check(id);
    if (last.isEmpty() || check.isEmpty()) {
      return NOTHING;
    }
    String read = last.get().told(check.get().measure(), units);
    if (!bench.newest().containsKey(id)) {
      return read + ", before a repair";
    }
    Verdict verdict = bench.verdict(check.get());
    return verdict.isWorry() ? read + ", " + verdict.label() : read;
  }

  /** What was entered of the trailer, where it is not the same in every job. */
  private Section entries() {
    Section.Table table =
        new Section.Table("Entered otherwise over the years").words("Figure").words(names());
    for (FieldKey key : keys()) {
      List<String> cells = chapters.stream().map(chapter -> entry(chapter, key)).toList();
      if (cells.stream().distinct().count() > 1) {
        title(key).ifPresent(title -> table.row(with(title, cells)));
      }
    }
    return table.section();
  }

  private Optional<String> title(FieldKey key) {
    return chapters.stream()
        .map(chapter -> FieldWords.of(chapter.work().record().rig().sheet(), key, units))
        .flatMap(Optional::stream)
        .map(FieldWords::title)
        .findFirst();
  }

  private String entry(Chapter chapter, FieldKey key) {
    RigSheet sheet = chapter.work().record().rig().sheet();
    return sheet.entered(key)
        ? FieldWords.of(sheet, key, units).map(FieldWords::text).orElse(NOTHING)
        : NOTHING;
  }

  private List<FieldKey> keys() {
    int axles =
        chapters.stream().mapToInt(c -> c.work().record().rig().axleCount()).max().orElse(1);
    return Stream.of(RigField.values())
        .filter(field -> field.subject() == Subject.TRAILER)
        .flatMap(
            field ->
                field.perAxle()
                    ? IntStream.range(0, axles).mapToObj(i -> new FieldKey(field, i))
                    : Stream.of(FieldKey.of(field)))
        .toList();
  }

  private String[] names() {
    return chapters.stream().map(Chapter::name).toArray(String[]::new);
  }

  private static String[] with(String first, List<String> cells) {
    return Stream.concat(Stream.of(first), cells.stream()).toArray(String[]::new);
  }
}
