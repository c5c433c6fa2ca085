package org.jexel.app.handover;

import java.time.Clock;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import org.jexel.app.bench.RoundView;
import org.jexel.app.drawing.Shapes;
import org.jexel.app.drawing.Towline;
import org.jexel.app.exchange.Pdf;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.job.Station;
import org.jexel.app.job.StationPages;
import org.jexel.app.road.TestStop;
import org.jexel.app.security.Person;
import org.jexel.core.braking.Stop;
import org.jexel.core.check.Band;
import org.jexel.core.check.Round;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.servlet.ModelAndView;

/** Station 7: the report, as a page and as PDF. */
@Controller
class HandoverController {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.UK);

  private final JobFiles files;
  private final StationPages pages;
  private final Pdf pdf;
  private final Shapes shapes;
  private final Clock clock;

  HandoverController(JobFiles files, StationPages pages, Pdf pdf, Shapes shapes, Clock clock) {
    this.files = files;
    this.pages = pages;
    this.pdf = pdf;
    this.shapes = shapes;
    this.clock = clock;
  }

  /** A figure, or a walk round in one state, with its newest verdict, for the report. */
  record CheckRow(
      String title, String reading, String expected, boolean words, String who, Verdict verdict) {
    private static CheckRow of(JobFile file, RoundView round) {
      Band band = round.first().check().band();
      Measure measure = round.first().check().measure();
      String expected =
          round.round().words()
              ? "as computed"
              : measure.number(band.low(), file.units())
                  + " – "
                  + measure.text(band.high(), file.units());
      String read = round.read(file.units());
      return new CheckRow(
          round.round().title(),
          read.isEmpty() ? "not read" : round.round().words() ? words(round, file.units()) : read,
          expected,
          round.round().words(),
          round.chain().stream().findFirst().map(l -> l.reading().person().name()).orElse(""),
          round.verdict());
    }

    /** What did not look or sound as computed; a lamp that does needs no line. */
    private static String words(RoundView round, UnitSystem units) {
      List<String> other =
          round.checks().stream()
              .filter(view -> view.verdict() == Verdict.FAILS)
              .map(
                  v ->
                      v.check().title()
                          + ": "
                          + v.check().measure().text(v.newest().value(), units))
              .toList();
      return other.isEmpty() ? "as computed" : String.join("; ", other);
    }
  }

  /** A stop with what it tells. */
  record StopRow(TestStop stop, Stop told) {}

  @GetMapping("/jobs/{ref}/handover")
  ModelAndView handover(@PathVariable String ref, Person person) {
    JobFile file = files.open(ref, person);
    return pages.page(file, Station.HANDOVER, "report", report(file));
  }

  @GetMapping("/jobs/{ref}/report.pdf")
  ResponseEntity<byte[]> pdf(@PathVariable String ref, Person person) {
    JobFile file = files.open(ref, person);
    Map<String, Object> model = report(file);
    model.put("file", file);
    model.put("shapes", shapes);
    model.put("job", file.job());
    model.put("units", file.units());
    model.put("person", person);
    model.put("towline", Towline.draw(file, Station.HANDOVER, ""));
    return pdf.answer("report-pdf", model, ref + "-report.pdf");
  }

  private Map<String, Object> report(JobFile file) {
    Map<String, Object> model = new HashMap<>();
    model.put(
        "checkRows",
        Round.of(Stream.concat(file.proof().stream(), file.readBeyond().stream()).toList()).stream()
            .map(round -> CheckRow.of(file, RoundView.of(file, round)))
            .toList());
    model.put("stopRows", file.stops().stream().map(s -> new StopRow(s, s.analysed())).toList());
    model.put("setting", file.setting().orElse(null));
    model.put("ratings", file.ratings());
    model.put("gaps", file.gaps());
    model.put("load", file.load());
    model.put("today", DAY.format(clock.instant().atZone(file.job().workshop().zone())));
    model.put("cautions", cautions(file));
    return model;
  }

  private static List<String> cautions(JobFile file) {
    String law =
        "Local law and licensed practice decide what this rig needs; this report does not say that it is legal.";
    String ratings = "Never exceed a rating, and keep the tongue share inside its band.";
    if (!file.rig().hasElectricBrakes()) {
      return List.of(ratings, law);
    }
    return List.of(
        ratings,
        "Trailer brakes have no anti-lock: re-set the gain when load, surface, tyres, brakes or vehicle change.",
        "If the trailer sways, ease the manual lever on gently; never brake hard with the vehicle.",
        "Test the breakaway with the wheels chocked; the magnets get hot.",
        law);
  }
}
