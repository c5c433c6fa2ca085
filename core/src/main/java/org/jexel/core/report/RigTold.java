package org.jexel.core.report;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jexel.core.job.RigWork;
import org.jexel.core.job.Work;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.Provenance;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.BreakawayKit;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.FieldWords;
import org.jexel.core.rig.Gap;
import org.jexel.core.rig.GapList;
import org.jexel.core.rig.RatingCheck;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.Subject;

/** What the rig is, weighs and lacks, and what of it nobody measured. */
final class RigTold {
  private final Rig rig;
  private final RigWork work;
  private final UnitSystem units;

  RigTold(Work work, UnitSystem units) {
    this.rig = work.record().rig();
    this.work = work.rig();
    this.units = units;
  }

  Section entered() {
    Section.Table table = new Section.Table("Rig").words("Figure", "Is", "Known");
    for (FieldKey key : keys().toList()) {
      if (rig.sheet().entered(key)) {
        FieldWords.of(rig.sheet(), key, units)
            .ifPresent(
                field -> table.row(title(key, field), field.text(), field.provenance().label()));
      }
    }
    return table.section();
  }

  /** What is otherwise than it was found, and what was missing then and is not now. */
  Section asFound(Rig found) {
    Section.Table table =
        new Section.Table("As found, and as left").words("Figure", "As found", "As left");
    Set<String> open = work.gaps().stream().map(Gap::title).collect(Collectors.toSet());
    GapList.of(found).stream()
        .filter(gap -> !open.contains(gap.title()))
        .forEach(
            gap ->
                table.say(
                    "A finding when it came, and none now: " + Phrase.within(gap.title()) + "."));
    for (FieldKey key : keys().filter(key -> found.sheet().entered(key)).toList()) {
      Optional<FieldWords> before = FieldWords.of(found.sheet(), key, units);
      Optional<FieldWords> now = FieldWords.of(rig.sheet(), key, units);
      if (before.isPresent() && now.isPresent() && !before.get().text().equals(now.get().text())) {
        table.row(title(key, now.get()), before.get().text(), now.get().text());
      }
    }
    return table.section();
  }

  Section assumed() {
    Section.Table table =
        new Section.Table("Assumed, never measured").words("Figure", "Taken as", "Why");
    for (FieldKey key : keys().filter(this::counts).toList()) {
      FieldWords.of(rig.sheet(), key, units)
          .filter(field -> field.provenance() == Provenance.ASSUMED)
          .ifPresent(field -> table.row(title(key, field), field.text(), field.reason()));
    }
    return table.section();
  }

  /** Vehicle and trailer have figures of one name. */
  private static String title(FieldKey key, FieldWords field) {
    return key.field().subject().label() + ": " + Phrase.within(field.title());
  }

  /** Whether a figure says anything of this rig. */
  private boolean counts(FieldKey key) {
    boolean controller = key.field().subject() == Subject.CONTROLLER;
    return switch (key.field()) {
      case BREAKAWAY_CAPACITY, BREAKAWAY_CHEMISTRY, BATTERY_INDOORS, KIT_WORK ->
          rig.sheet().choice(RigField.BREAKAWAY_KIT, BreakawayKit.class) != BreakawayKit.NONE;
      case MAGNET_OHMS -> rig.hasMagnets();
      default -> !controller || rig.hasElectricBrakes();
    };
  }

  private Stream<FieldKey> keys() {
    return Stream.of(RigField.values())
        .flatMap(
            field ->
                field.perAxle()
                    ? IntStream.range(0, rig.axleCount()).mapToObj(i -> new FieldKey(field, i))
                    : Stream.of(FieldKey.of(field)));
  }

  Section ratings() {
    Section.Table table =
        new Section.Table("Load and ratings").words("Rating").figures("Is", "May be").words("So");
    table.say(work.isWeighed() ? "As weighed." : "As reckoned from the load list, not weighed.");
    for (RatingCheck rating : work.ratings()) {
      table.judged(
          rating.verdict(),
          work.isWeighed(),
          rating.title(),
          rating.measure().text(rating.actual(), units),
          rating.measure().text(rating.limit(), units) + (rating.assumed() ? ", assumed" : ""),
          rating.words());
    }
    return table.section();
  }

  Section findings() {
    List<Gap> gaps = work.gaps();
    Section.Table table = new Section.Table("Findings").words("Missing", "Why it matters", "Work");
    if (gaps.isEmpty()) {
      table.say("Nothing was missing for this job.");
    }
    gaps.forEach(gap -> table.judged(gap.verdict(), true, gap.title(), gap.reason(), gap.work()));
    return table.section();
  }
}
