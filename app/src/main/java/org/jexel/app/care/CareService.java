package org.jexel.app.care;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jexel.app.job.Afterwards;
import org.jexel.app.job.Cared;
import org.jexel.app.job.Drafts;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.RequestKey;
import org.jexel.app.job.RigPart;
import org.jexel.app.job.RigPartRepository;
import org.jexel.app.job.Waited;
import org.jexel.app.workshop.Words;
import org.jexel.core.care.CareBook;
import org.jexel.core.care.CareDone;
import org.jexel.core.care.CareDue;
import org.jexel.core.care.CareInterval;
import org.jexel.core.care.CarePart;
import org.jexel.core.care.CarePlan;
import org.jexel.core.quantity.UnitSystem;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes what a trailer was cared for, and says what is due again. */
@Service
public class CareService implements Afterwards, Cared {
  private final CareActRepository acts;
  private final CareIntervals intervals;
  private final RigPartRepository parts;
  private final Drafts drafts;
  private final Clock clock;

  CareService(
      CareActRepository acts,
      CareIntervals intervals,
      RigPartRepository parts,
      Drafts drafts,
      Clock clock) {
    this.parts = parts;
    this.acts = acts;
    this.intervals = intervals;
    this.drafts = drafts;
    this.clock = clock;
  }

  /**
   * What was done for a trailer.
   *
   * @param book that no later row corrects
   * @param unread how many rows say nothing to this version
   */
  record Kept(CareBook book, int unread) {
    /** The same, as if one had not been. */
    CareBook without(@Nullable Long id) {
      return new CareBook(
          book.done().stream().filter(one -> !Objects.equals(one.id(), id)).toList());
    }

    /** The row of a part that is to be corrected; empty where none is, or it does not stand. */
    Optional<CareDone> chosen(CarePart part, @Nullable Long id) {
      return book.of(part).stream().filter(one -> Objects.equals(one.id(), id)).findFirst();
    }
  }

  Kept kept(JobFile file) {
    ZoneId zone = file.job().workshop().zone();
    List<CareAct> all = acts.ofTrailer(file.job().trailer().life());
    Set<Long> corrected = all.stream().map(CareAct::correctsId).collect(Collectors.toSet());
    List<CareAct> stand = all.stream().filter(act -> !corrected.contains(act.id())).toList();
    List<CareAct> known = stand.stream().filter(act -> Words.known(() -> act.done(zone))).toList();
    return new Kept(
        new CareBook(known.stream().map(act -> act.done(zone)).toList()),
        stand.size() - known.size());
  }

  @Override
  @Transactional(readOnly = true)
  public CarePlan plan(JobFile file) {
    return plan(file, kept(file).book());
  }

  CarePlan plan(JobFile file, CareBook book) {
    Map<CarePart, CareInterval> own = intervals.of(file.job().workshop());
    return file.work().care().plan(book, part -> own.getOrDefault(part, part.usual()));
  }

  /**
   * @param corrects the row that is corrected; null for a new one
   */
  static String form(CarePart part, @Nullable Long corrects) {
    return "care-" + part.name() + (corrects == null ? "" : "-" + corrects);
  }

  CareForm read(
      JobFile file,
      CarePlan.Line line,
      Kept kept,
      Map<String, String> typed,
      @Nullable Long corrects) {
    return read(file, line, kept, typed, file.units(), clock.instant(), corrects);
  }

  /** A form as understood; a correction keeps the moment of what it corrects, on the same day. */
  private static CareForm read(
      JobFile file,
      CarePlan.Line line,
      Kept kept,
      Map<String, String> typed,
      UnitSystem units,
      Instant at,
      @Nullable Long corrects) {
    CareForm form =
        CareForm.read(line, kept.without(corrects), typed, units, at, file.job().workshop().zone());
    return kept.chosen(line.part(), corrects).map(form::inPlaceOf).orElse(form);
  }

  /** Keeps what was typed so far. */
  void draft(
      JobFile file, CarePart part, Map<String, String> typed, @Nullable Long corrects, long seen) {
    String form = form(part, corrects);
    typed.forEach((field, text) -> drafts.keep(file.job(), file.person(), form, field, text, seen));
  }

  /**
   * Keeps what was done, or what was typed where it cannot stand so.
   *
   * @param corrects the row that this one corrects; null for a new one
   * @return whether it stands
   */
  public boolean record(
      JobFile file,
      CarePart part,
      Map<String, String> typed,
      @Nullable Long corrects,
      String requestKey) {
    String key = RequestKey.of(requestKey);
    if (acts.existsByTrailerIdAndRequestKey(file.job().trailer().life(), key)) {
      return true;
    }
    Kept kept = kept(file);
    Optional<CarePlan.Line> line = plan(file, kept.book()).line(part);
    boolean stands = corrects == null || kept.chosen(part, corrects).isPresent();
    Optional<CareForm.Understood> understood =
        line.flatMap(asked -> read(file, asked, kept, typed, corrects).understood());
    if (understood.isEmpty() || !stands) {
      draft(file, part, typed, corrects, 1);
      return false;
    }
    save(file, part, understood.get(), corrects, key);
    drafts.dropForm(file.job(), file.person(), form(part, corrects));
    return true;
  }

  private void save(
      JobFile file,
      CarePart part,
      CareForm.Understood understood,
      @Nullable Long corrects,
      String key) {
    RigPart trailer = parts.getReferenceById(file.job().trailer().life());
    acts.saveAndFlush(
        new CareAct(trailer, part, understood, corrects, file.person(), clock.instant(), key));
    due(file);
  }

  /**
   * Keeps what was done and waited on a phone.
   *
   * @param units in which it was typed
   * @param at when it was typed
   */
  Waited.Told waited(
      JobFile file,
      CarePart part,
      Map<String, String> typed,
      UnitSystem units,
      Instant at,
      @Nullable Long corrects,
      String requestKey) {
    String key = RequestKey.of(requestKey);
    if (acts.existsByTrailerIdAndRequestKey(file.job().trailer().life(), key)) {
      return Waited.Told.TAKEN;
    }
    Kept kept = kept(file);
    Optional<CarePlan.Line> line = plan(file, kept.book()).line(part);
    if (line.isEmpty()) {
      return Waited.Told.not("This trailer has no such part any more.");
    }
    if (corrects != null && kept.chosen(part, corrects).isEmpty()) {
      return Waited.Told.not("The record that it corrects was corrected already.");
    }
    CareForm form = read(file, line.get(), kept, typed, units, at, corrects);
    if (form.understood().isEmpty()) {
      return Waited.Told.not(String.join(" ", form.problems().values()));
    }
    save(file, part, form.understood().get(), corrects, key);
    return Waited.Told.TAKEN;
  }

  /**
   * What is due hangs on the rig and its breakaway battery, and on the book, which says it itself.
   */
  @Override
  public boolean hangsOn(JobFile before, JobFile after) {
    return !after.rig().equals(before.rig())
        || !after.work().breakaway().due().equals(before.work().breakaway().due());
  }

  /** Says anew what is due first, after an act that may have changed the rig. */
  @Override
  public void stood(JobFile file) {
    if (file.job().trailer().careDue() != null) {
      due(file);
    }
  }

  /** Works out anew what is due first; within an act. */
  void due(JobFile file) {
    CarePlan plan = plan(file, kept(file).book());
    Instant now = clock.instant();
    LocalDate today = LocalDate.ofInstant(now, file.job().workshop().zone());
    Optional<CarePlan.Line> next = plan.next();
    RigPart trailer = file.job().trailer();
    parts
        .findFirstByFirstIdOrderByIdDesc(trailer.life())
        .orElse(trailer)
        .care(
            next.map(line -> day(line, today)).orElse(null),
            next.map(CarePlan.Line::part).orElse(null));
  }

  /** What is past due by its distance is so from the day on which that was read. */
  static LocalDate day(CarePlan.Line line, LocalDate today) {
    LocalDate first = line.due().flatMap(CareDue::first).orElse(today);
    return line.over() && first.isAfter(today) ? today : first;
  }
}
