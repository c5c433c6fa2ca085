package org.jexel.app.handover;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jexel.app.job.Drafts;
import org.jexel.app.job.Job;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.RequestKey;
import org.jexel.app.security.Role;
import org.jexel.core.job.Station;
import org.jexel.core.report.Signing;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.web.server.ResponseStatusException;

/** Keeps the report of a job as it was signed. */
@Service
public class Editions {
  static final String FORM = "sign";
  static final List<String> FIELDS = List.of(Signing.ROLE, Signing.REASON, Signing.SEEN);

  private final ReportEditionRepository editions;
  private final ReportSignatureRepository signatures;
  private final ReportPapers papers;
  private final ReportOfNow report;
  private final Drafts drafts;
  private final Clock clock;

  Editions(
      ReportEditionRepository editions,
      ReportSignatureRepository signatures,
      ReportPapers papers,
      ReportOfNow report,
      Drafts drafts,
      Clock clock) {
    this.editions = editions;
    this.signatures = signatures;
    this.papers = papers;
    this.report = report;
    this.drafts = drafts;
    this.clock = clock;
  }

  /** By what the report of now is known again when somebody signs it. */
  public String seen(JobFile file) {
    return report.of(file).hash();
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
    ZoneId zone = file.job().workshop().zone();
    return edition.signatures().stream().map(one -> one.words(zone)).toList();
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
    Frozen now = report.of(file);
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
    papers.keep(file, edition, before, names);
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

  /** What somebody typed and could not sign. */
  static Map<String, String> typed(JobFile file) {
    Map<String, String> typed = new LinkedHashMap<>();
    FIELDS.forEach(field -> typed.put(field, file.typed().text(FORM, field)));
    return typed;
  }
}
