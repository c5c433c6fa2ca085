package org.jexel.app.handover;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jexel.app.drawing.Shapes;
import org.jexel.app.entry.FirstEntries;
import org.jexel.app.exchange.Pdf;
import org.jexel.app.job.Cared;
import org.jexel.app.job.Drafts;
import org.jexel.app.job.Job;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.Looked;
import org.jexel.app.job.Photographed;
import org.jexel.app.job.RequestKey;
import org.jexel.app.job.Towline;
import org.jexel.app.security.Role;
import org.jexel.core.job.Station;
import org.jexel.core.report.Difference;
import org.jexel.core.report.Report;
import org.jexel.core.report.ReportWriter;
import org.jexel.core.report.Signing;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.web.server.ResponseStatusException;

/** Writes the report of a job, and keeps it as it was signed. */
@Service
public class Editions {
  static final String FORM = "sign";
  static final List<String> FIELDS = List.of(Signing.ROLE, Signing.REASON, Signing.SEEN);
  private static final DateTimeFormatter WHEN =
      DateTimeFormatter.ofPattern("d MMMM yyyy, HH:mm", Locale.UK);

  private final ReportEditionRepository editions;
  private final ReportSignatureRepository signatures;
  private final ReportPaperRepository papers;
  private final BeforeTowService beforeTow;
  private final FirstEntries first;
  private final Cared cared;
  private final Photographed photographed;
  private final Towline towline;
  private final Drafts drafts;
  private final Pdf pdf;
  private final Shapes shapes;
  private final Clock clock;

  Editions(
      ReportEditionRepository editions,
      ReportSignatureRepository signatures,
      ReportPaperRepository papers,
      BeforeTowService beforeTow,
      FirstEntries first,
      Cared cared,
      Photographed photographed,
      Towline towline,
      Drafts drafts,
      Pdf pdf,
      Shapes shapes,
      Clock clock) {
    this.editions = editions;
    this.signatures = signatures;
    this.papers = papers;
    this.beforeTow = beforeTow;
    this.first = first;
    this.cared = cared;
    this.photographed = photographed;
    this.towline = towline;
    this.drafts = drafts;
    this.pdf = pdf;
    this.shapes = shapes;
    this.clock = clock;
  }

  /** The report as everything stands now. */
  Frozen now(JobFile file) {
    Job job = file.job();
    List<String> head = new ArrayList<>();
    head.add(job.ref() + " · " + job.title() + " · for " + job.customer());
    head.add(job.tow().label() + " with " + job.trailer().label() + ", " + job.workshop().name());
    begun(job).ifPresent(head::add);
    Report report =
        ReportWriter.of(
            head,
            file.work(),
            new ReportWriter.Beside(
                beforeTow.newest(file),
                first.asFound(file),
                cared.plan(file),
                photographed.of(file)),
            file.units(),
            job.workshop().zone());
    String drawing = towline.draw(file, Station.HANDOVER, Looked.at(""));
    String wiring = towline.draw(file, Station.HARNESS, Looked.at(""));
    return new Frozen(file.units().name(), report, drawing, wiring);
  }

  /** Where a job was begun that came in a file; its entries from before that prove nothing here. */
  static Optional<String> begun(Job job) {
    return job.begun()
        .map(
            from ->
                "Begun as %s at %s, and taken in from a file on %s: what was recorded before that is what the file tells."
                    .formatted(
                        from.ref(),
                        from.workshop(),
                        WHEN.format(from.at().atZone(job.workshop().zone()))));
  }

  /** By what the report of now is known again when somebody signs it. */
  public String seen(JobFile file) {
    return now(file).hash();
  }

  /** Every edition, oldest first. */
  List<ReportEdition> all(JobFile file) {
    return editions.ofJob(file.job().id());
  }

  /** The edition of that number, or 404. */
  static ReportEdition of(List<ReportEdition> all, int number) {
    return all.stream()
        .filter(edition -> edition.number() == number)
        .findFirst()
        .orElseThrow(
            () -> new ResponseStatusException(HttpStatus.NOT_FOUND, "No edition of that number"));
  }

  /** The edition that came before; empty for the first. */
  static Optional<ReportEdition> before(List<ReportEdition> all, int number) {
    return last(all.stream().filter(edition -> edition.number() < number).toList());
  }

  /** Who signed an edition, in which role, when. */
  static List<String> names(JobFile file, ReportEdition edition) {
    return names(file, edition.signatures());
  }

  private static List<String> names(JobFile file, List<ReportSignature> signatures) {
    ZoneId zone = file.job().workshop().zone();
    return signatures.stream()
        .map(
            one ->
                String.join(", ", one.name(), one.role(), WHEN.format(one.signedAt().atZone(zone))))
        .toList();
  }

  /** What an edition says otherwise than the one before it; empty for the first. */
  static List<Difference> since(Optional<ReportEdition> before, Frozen now) {
    return before
        .flatMap(ReportEdition::frozen)
        .filter(old -> old.units().equals(now.units()))
        .map(old -> Difference.between(old.report(), now.report()))
        .orElse(List.of());
  }

  static Signing signing(JobFile file, Frozen now, Map<String, String> typed) {
    return new Signing(
        Signing.failing(file.work().progress().states()),
        file.person().role() == Role.OWNER,
        typed.getOrDefault(Signing.ROLE, "").strip(),
        typed.getOrDefault(Signing.REASON, "").strip(),
        typed.getOrDefault(Signing.SEEN, "").equals(now.hash()),
        file.leftOut().size());
  }

  /** Signs the report as it was read, or keeps what was typed. */
  public void sign(JobFile file, Map<String, String> typed, String requestKey) {
    String key = RequestKey.of(requestKey);
    Job job = file.job();
    if (job.isSigned() || signatures.existsByEditionJobIdAndRequestKey(job.id(), key)) {
      return;
    }
    Frozen now = now(file);
    Signing signing = signing(file, now, typed);
    List<ReportEdition> before = all(file);
    if (!signing.problems().isEmpty() || waits(file, before)) {
      keep(file, typed);
      return;
    }
    Frozen signed = signing.failing().isEmpty() ? now : now.leavingBecause(signing.reason());
    ReportEdition edition =
        editions.save(new ReportEdition(job, before.size() + 1, signed, instant()));
    put(file, edition, last(before), signing.role(), key);
  }

  /** Puts a second name under the newest edition. */
  void countersign(JobFile file, int number, Map<String, String> typed, String requestKey) {
    String key = RequestKey.of(requestKey);
    List<ReportEdition> all = all(file);
    String role = typed.getOrDefault(Signing.ROLE, "").strip();
    boolean mine = waits(file, all) && mayCountersign(file, all.get(all.size() - 1));
    if (!mine || all.size() != number) {
      return;
    }
    if (role.isEmpty() || role.length() > Signing.ROLE_LETTERS) {
      keep(file, typed);
      return;
    }
    put(file, all.get(number - 1), before(all, number), role, key);
  }

  /** Whether the newest edition still waits for its second name. */
  static boolean waits(JobFile file, List<ReportEdition> all) {
    return last(all)
        .filter(edition -> file.job().workshop().countersigned() && isOfNow(file, edition))
        .filter(edition -> edition.frozen().isPresent())
        .map(edition -> edition.signatures().size() == 1)
        .orElse(false);
  }

  /** Whether nothing of the job changed since an edition was made. */
  private static boolean isOfNow(JobFile file, ReportEdition edition) {
    return !file.job().updatedAt().isAfter(edition.madeAt());
  }

  /** Nobody signs twice. */
  static boolean mayCountersign(JobFile file, ReportEdition edition) {
    return edition.signatures().stream().noneMatch(one -> one.isOf(file.person()));
  }

  private static Optional<ReportEdition> last(List<ReportEdition> all) {
    return all.stream().skip(Math.max(0, all.size() - 1)).findFirst();
  }

  private void keep(JobFile file, Map<String, String> typed) {
    FIELDS.forEach(
        field ->
            drafts.keep(file.job(), file.person(), FORM, field, typed.getOrDefault(field, ""), 1));
  }

  private void put(
      JobFile file,
      ReportEdition edition,
      Optional<ReportEdition> before,
      String role,
      String key) {
    int place = edition.signatures().size() + 1;
    ReportSignature signature =
        signatures.save(new ReportSignature(edition, place, file.person(), role, instant(), key));
    List<ReportSignature> names = new ArrayList<>(edition.signatures());
    names.add(signature);
    papers.save(new ReportPaper(signature.id(), sheet(file, edition, before, names)));
    drafts.dropForm(file.job(), file.person(), FORM);
    if (place == 2 || !file.job().workshop().countersigned()) {
      file.job().sign(signature.signedAt());
    }
    file.changed(Station.HANDOVER);
  }

  /** What the database keeps of a moment. */
  private Instant instant() {
    return clock.instant().truncatedTo(ChronoUnit.MILLIS);
  }

  private byte[] sheet(
      JobFile file,
      ReportEdition edition,
      Optional<ReportEdition> before,
      List<ReportSignature> names) {
    Frozen frozen = edition.frozen().orElseThrow();
    Map<String, Object> model = model(file, frozen);
    model.put("number", edition.number());
    model.put("hash", edition.hash());
    model.put("signatures", names(file, names));
    model.put("before", before.map(ReportEdition::number).orElse(0));
    model.put("differences", since(before, frozen));
    return pdf.bytes("report-pdf", model);
  }

  /** The report as it stands, on a sheet that nobody signed. */
  byte[] draft(JobFile file) {
    Map<String, Object> model = model(file, now(file));
    model.put("number", 0);
    model.put("signatures", List.of());
    model.put("differences", List.of());
    model.put("today", WHEN.format(clock.instant().atZone(file.job().workshop().zone())));
    return pdf.bytes("report-pdf", model);
  }

  private Map<String, Object> model(JobFile file, Frozen frozen) {
    Map<String, Object> model = new HashMap<>();
    model.put("ref", file.job().ref());
    model.put("report", frozen.report());
    model.put("towline", frozen.drawing());
    model.put("wiring", frozen.wiring());
    model.put("shapes", shapes);
    model.put("pictures", pictures(file, frozen.report()));
    return model;
  }

  /** The pictures of a report as a sheet holds them, by their hashes. */
  private Map<String, String> pictures(JobFile file, Report report) {
    List<String> hashes = report.prints().stream().map(Report.Print::sha256).distinct().toList();
    Map<String, String> pictures = new HashMap<>();
    photographed
        .small(file, hashes)
        .forEach((sha256, jpeg) -> pictures.put(sha256, Pdf.picture(jpeg)));
    return pictures;
  }

  /** The sheet of an edition with as many names as it has, or with the first alone. */
  byte[] paper(ReportEdition edition, boolean first) {
    List<ReportSignature> names = edition.signatures();
    ReportSignature signature = names.get(first ? 0 : names.size() - 1);
    return papers.findById(signature.id()).orElseThrow().pdf();
  }

  /** What somebody typed and could not sign. */
  static Map<String, String> typed(JobFile file) {
    Map<String, String> typed = new LinkedHashMap<>();
    FIELDS.forEach(field -> typed.put(field, file.typed().text(FORM, field)));
    return typed;
  }
}
