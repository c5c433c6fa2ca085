package org.jexel.app.handover;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jexel.app.exchange.Pdf;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.job.StationPages;
import org.jexel.app.security.Person;
import org.jexel.core.job.Station;
import org.jexel.core.report.Signing;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Station 7: the report as everything stands, who signed it, and each edition as it was signed. */
@Controller
class HandoverController {
  private final JobFiles files;
  private final StationPages pages;
  private final Editions editions;
  private final ReportOfNow report;
  private final ReportPapers papers;

  HandoverController(
      JobFiles files,
      StationPages pages,
      Editions editions,
      ReportOfNow report,
      ReportPapers papers) {
    this.report = report;
    this.papers = papers;
    this.files = files;
    this.pages = pages;
    this.editions = editions;
  }

  /**
   * An edition in the list of all.
   *
   * @param sound whether what is kept is what was signed
   */
  record EditionRow(int number, List<String> names, boolean sound) {}

  @GetMapping("/jobs/{ref}/handover")
  ModelAndView handover(@PathVariable String ref, Person person) {
    JobFile file = files.open(ref, person);
    Frozen now = report.of(file);
    List<ReportEdition> all = editions.all(file);
    Map<String, Object> view = new HashMap<>();
    view.put("report", now.report());
    view.put("seen", now.hash());
    view.put("editions", all.stream().map(edition -> row(file, edition)).toList());
    view.put("signed", file.job().isSigned());
    view.put("waits", Editions.waits(file, all));
    view.put("begun", ReportOfNow.begun(file.job()).orElse(null));
    sign(file, now, view);
    return pages.page(file, Station.HANDOVER, "report", view);
  }

  /** What the form under the report shows. */
  private static void sign(JobFile file, Frozen now, Map<String, Object> view) {
    Map<String, String> typed = Editions.typed(file);
    boolean tried = !typed.getOrDefault(Signing.SEEN, "").isEmpty();
    Signing signing = Editions.signing(file, now, typed);
    view.put("typed", typed);
    view.put("role", tried ? signing.role() : file.person().role().label());
    view.put("problems", tried ? signing.problems() : Map.<String, String>of());
    view.put("failing", signing.failing().stream().map(Station::label).toList());
    view.put("owner", signing.owner());
  }

  private static EditionRow row(JobFile file, ReportEdition edition) {
    return new EditionRow(edition.number(), Editions.names(file, edition), edition.sound());
  }

  @GetMapping("/jobs/{ref}/report.pdf")
  ResponseEntity<byte[]> draft(@PathVariable String ref, Person person) {
    return Pdf.answer(papers.draft(files.open(ref, person)), ref + "-report.pdf");
  }

  @PostMapping("/jobs/{ref}/report")
  String sign(
      @PathVariable String ref,
      @RequestParam Map<String, String> typed,
      @RequestParam String requestKey,
      Person person) {
    files.change(ref, person, file -> editions.sign(file, typed, requestKey));
    return "redirect:/jobs/{ref}/handover";
  }

  /** An edition as it was signed, what it changed, and what is otherwise now. */
  @GetMapping("/jobs/{ref}/report/{number}")
  ModelAndView edition(@PathVariable String ref, @PathVariable int number, Person person) {
    JobFile file = files.open(ref, person);
    List<ReportEdition> all = editions.all(file);
    ReportEdition edition = Editions.of(all, number);
    Frozen now = report.of(file);
    Map<String, Object> view = new HashMap<>();
    view.put("job", file.job());
    view.put("person", person);
    view.put("units", file.units());
    view.put("row", row(file, edition));
    view.put("hash", edition.hash());
    view.put("frozen", edition.frozen().orElse(null));
    view.put(
        "sameUnits", edition.frozen().map(old -> old.units().equals(now.units())).orElse(false));
    view.put(
        "before",
        edition.frozen().map(old -> old.since(Editions.before(all, number))).orElse(List.of()));
    view.put("since", now.leavingAs(edition).since(Optional.of(edition)));
    boolean second =
        number == all.size()
            && Editions.waits(file, all)
            && person.role().mayChange()
            && Editions.mayCountersign(file, edition);
    view.put("second", second);
    view.put("waits", number == all.size() && Editions.waits(file, all));
    sign(file, now, view);
    view.put("requestKey", UUID.randomUUID().toString());
    return new ModelAndView("edition", view);
  }

  /** The sheet as it was signed; with the first name alone where a second was put to it. */
  @GetMapping("/jobs/{ref}/report/{number}.pdf")
  ResponseEntity<byte[]> sheet(
      @PathVariable String ref,
      @PathVariable int number,
      @RequestParam(defaultValue = "false") boolean first,
      Person person) {
    JobFile file = files.open(ref, person);
    ReportEdition edition = Editions.of(editions.all(file), number);
    return Pdf.answer(papers.of(edition, first), ref + "-report-" + number + ".pdf");
  }

  @PostMapping("/jobs/{ref}/report/{number}")
  String countersign(
      @PathVariable String ref,
      @PathVariable int number,
      @RequestParam Map<String, String> typed,
      @RequestParam String requestKey,
      Person person) {
    files.change(ref, person, file -> editions.countersign(file, number, typed, requestKey));
    return "redirect:/jobs/{ref}/report/{number}";
  }
}
