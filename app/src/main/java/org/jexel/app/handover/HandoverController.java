package org.jexel.app.handover;

import java.time.Clock;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import org.jexel.app.drawing.Shapes;
import org.jexel.app.exchange.Pdf;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.job.Looked;
import org.jexel.app.job.StationPages;
import org.jexel.app.job.Towline;
import org.jexel.app.security.Person;
import org.jexel.core.braking.Stop;
import org.jexel.core.check.Round;
import org.jexel.core.job.Station;
import org.jexel.core.road.TestStop;
import org.jspecify.annotations.Nullable;
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
  private final Towline towline;
  private final BeforeTowService beforeTow;
  private final Clock clock;

  HandoverController(
      JobFiles files,
      StationPages pages,
      Pdf pdf,
      Shapes shapes,
      Towline towline,
      BeforeTowService beforeTow,
      Clock clock) {
    this.beforeTow = beforeTow;
    this.files = files;
    this.pages = pages;
    this.pdf = pdf;
    this.shapes = shapes;
    this.towline = towline;
    this.clock = clock;
  }

  /** A stop with what it tells. */
  record StopRow(TestStop stop, @Nullable Stop told) {}

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
    model.put("towline", towline.draw(file, Station.HANDOVER, Looked.at("")));
    return pdf.answer("report-pdf", model, ref + "-report.pdf");
  }

  private Map<String, Object> report(JobFile file) {
    Map<String, Object> model = new HashMap<>();
    model.put(
        "checkRows",
        Round.of(
                Stream.concat(
                        file.work().bench().proof().stream(),
                        file.work().bench().readBeyond().stream())
                    .toList())
            .stream()
            .map(round -> CheckRow.of(file, round))
            .toList());
    model.put(
        "stopRows",
        file.record().stops().stream()
            .map(s -> new StopRow(s, s.analysed(file.work().road().drag()).orElse(null)))
            .toList());
    model.put("profiles", file.work().road().gains().told());
    model.put("breakaway", file.work().breakaway().told());
    model.put("ratings", file.work().rig().ratings());
    model.put("weighed", file.work().rig().isWeighed());
    model.put("gaps", file.work().rig().gaps());
    model.put("load", file.work().rig().load());
    model.put("short", file.work().inShort(beforeTow.newest(file)));
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
