package org.jexel.app.bench;

import java.time.Clock;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jexel.app.drawing.Shapes;
import org.jexel.app.exchange.Csv;
import org.jexel.app.exchange.Pdf;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.security.Person;
import org.jexel.core.connector.Face;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The check sheet on paper: what to expect at each check, and room for what is read. */
@Controller
class BenchPapers {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.UK);

  private final JobFiles files;
  private final Pdf pdf;
  private final Shapes shapes;
  private final Clock clock;

  BenchPapers(JobFiles files, Pdf pdf, Shapes shapes, Clock clock) {
    this.files = files;
    this.pdf = pdf;
    this.shapes = shapes;
    this.clock = clock;
  }

  /**
   * @param closer whether the checks that look closer are on it as well
   */
  @GetMapping("/jobs/{ref}/bench/sheet")
  ModelAndView page(
      @PathVariable String ref,
      @RequestParam(defaultValue = "false") boolean closer,
      Person person) {
    return new ModelAndView("check-sheet", sheet(files.open(ref, person), closer));
  }

  @GetMapping("/jobs/{ref}/bench.pdf")
  ResponseEntity<byte[]> paper(
      @PathVariable String ref,
      @RequestParam(defaultValue = "false") boolean closer,
      Person person) {
    Map<String, Object> model = sheet(files.open(ref, person), closer);
    return pdf.answer("check-sheet-pdf", model, ref + "-checks.pdf");
  }

  private Map<String, Object> sheet(JobFile file, boolean closer) {
    Map<String, Object> model = new HashMap<>();
    model.put("job", file.job());
    model.put("units", file.units());
    model.put("person", file.person());
    model.put("shapes", shapes);
    model.put("closer", closer);
    model.put("today", DAY.format(clock.instant().atZone(file.job().workshop().zone())));
    model.put(
        "sections",
        SheetView.of(file, "").sections().stream()
            .filter(section -> closer || section.group().proves())
            .toList());
    model.put(
        "faces",
        List.of(
            BenchFace.of(file, Face.View.SOCKET_FACE), BenchFace.of(file, Face.View.PLUG_FACE)));
    return model;
  }

  /** Every reading, corrected ones too, in SI, with the band that it was held against. */
  @GetMapping("/jobs/{ref}/readings.csv")
  ResponseEntity<byte[]> readings(@PathVariable String ref, Person person) {
    return Csv.answer(
        ref + "-readings",
        List.of(
            "id",
            "check",
            "title",
            "measure",
            "value_si",
            "typed",
            "expected_si",
            "low_si",
            "high_si",
            "verdict",
            "source",
            "corrects",
            "who",
            "at"),
        BenchRows.of(files.open(ref, person)).readings().stream().map(BenchPapers::row).toList());
  }

  private static List<Object> row(Reading reading) {
    Long corrects = reading.correctsId();
    return List.of(
        reading.id(),
        reading.checkId(),
        reading.title(),
        reading.measure().name(),
        reading.value(),
        reading.typed(),
        reading.band().expected(),
        reading.band().low(),
        reading.band().high(),
        reading.verdict().label(),
        reading.source().name(),
        corrects == null ? "" : corrects,
        reading.person().name(),
        reading.takenAt().toString());
  }
}
