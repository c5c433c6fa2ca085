package org.jexel.app.road;

import java.time.Clock;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.jexel.app.exchange.Csv;
import org.jexel.app.exchange.Pdf;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.security.Person;
import org.jexel.core.quantity.Measure;
import org.jexel.core.road.Observed;
import org.jexel.core.road.Outcome;
import org.jexel.core.road.RoadCard;
import org.jexel.core.road.TestStop;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.servlet.ModelAndView;

/** The search on paper, for where the server is not reached. */
@Controller
class RoadPapers {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMMM yyyy, HH:mm", Locale.UK);

  private final JobFiles files;
  private final Pdf pdf;
  private final Clock clock;

  RoadPapers(JobFiles files, Pdf pdf, Clock clock) {
    this.files = files;
    this.pdf = pdf;
    this.clock = clock;
  }

  @GetMapping("/jobs/{ref}/road/card")
  ModelAndView page(@PathVariable String ref, Person person) {
    return new ModelAndView("road-card", card(files.open(ref, person)));
  }

  @GetMapping("/jobs/{ref}/road.pdf")
  ResponseEntity<byte[]> paper(@PathVariable String ref, Person person) {
    return pdf.answer("road-card-pdf", card(files.open(ref, person)), ref + "-road.pdf");
  }

  private Map<String, Object> card(JobFile file) {
    Map<String, Object> model = new HashMap<>();
    model.put("job", file.job());
    model.put("units", file.units());
    model.put("person", file.person());
    model.put("today", DAY.format(clock.instant().atZone(file.job().workshop().zone())));
    model.put("driven", file.work().road().course().size());
    model.put("mayChange", file.person().role().mayChange());
    model.put("requestKey", UUID.randomUUID().toString());
    model.put("surfaceName", file.work().road().courseSurface().name());
    model.put("speed", Measure.SPEED.number(StopCard.USUAL_SPEED, file.units()));
    model.put("outcomes", Outcome.values());
    model.put("pulls", Observed.Pull.values());
    model.put("problems", Map.of());
    model.put("braked", file.rig().hasElectricBrakes());
    model.put("gate", file.work().road().gate());
    model.put("surface", file.work().road().courseSurface().label());
    model.put("trailer", Measure.MASS.text(file.work().rig().load().mass(), file.units()));
    if (file.rig().hasElectricBrakes()) {
      RoadCard card = file.work().road().card();
      double first = card.rows().get(0).advice().gain();
      model.put("card", card);
      model.put("firstGain", Double.isNaN(first) ? "" : Measure.GAIN.number(first, file.units()));
    }
    return model;
  }

  /** Every test stop that stands, in SI, in the order in which they were driven. */
  @GetMapping("/jobs/{ref}/stops.csv")
  ResponseEntity<byte[]> stops(@PathVariable String ref, Person person) {
    return Csv.answer(
        ref + "-stops",
        List.of(
            "id",
            "gain",
            "way",
            "speed_mps",
            "surface",
            "outcome",
            "distance_m",
            "time_s",
            "deceleration_mps2",
            "vehicle_kg",
            "trailer_kg",
            "seen",
            "cold",
            "practised",
            "note",
            "who",
            "at"),
        RoadRows.of(files.open(ref, person)).stops().stream().map(RoadPapers::row).toList());
  }

  private static List<Object> row(StopLine line) {
    TestStop stop = line.stop();
    return List.of(
        line.id(),
        stop.gain(),
        stop.way().name(),
        stop.speed(),
        stop.surface().name(),
        stop.outcome().name(),
        given(stop.distance()),
        given(stop.seconds()),
        given(stop.deceleration()),
        stop.vehicleMass(),
        stop.trailerMass(),
        stop.observed().words(),
        stop.cold(),
        stop.practised(),
        stop.note(),
        line.person().name(),
        stop.at().toString());
  }

  private static Object given(@Nullable Double figure) {
    return figure == null ? "" : figure;
  }
}
