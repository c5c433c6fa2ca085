package org.jexel.app.harness;

import java.util.Map;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.job.Station;
import org.jexel.app.job.StationPages;
import org.jexel.app.security.Person;
import org.jexel.core.connector.Convention;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Circuit;
import org.jexel.core.rig.RigField;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Station 2: the harness. */
@Controller
class HarnessController {
  private final JobFiles files;
  private final StationPages pages;

  HarnessController(JobFiles files, StationPages pages) {
    this.files = files;
    this.pages = pages;
  }

  /** A circuit with the colour of its conductor. */
  record Row(Circuit circuit, String colour, String code) {}

  @GetMapping("/jobs/{ref}/harness")
  ModelAndView harness(
      @PathVariable String ref, @RequestParam(defaultValue = "") String card, Person person) {
    JobFile file = files.open(ref, person);
    Convention convention = file.rig().convention();
    return pages.page(
        file,
        Station.HARNESS,
        card,
        Map.of(
            "rows",
            file.harness().circuits().stream()
                .map(
                    c ->
                        new Row(
                            c,
                            colour(convention, c.function()),
                            convention.colour(c.function()).map(w -> w.code()).orElse("–")))
                .toList(),
            "convention",
            convention,
            "towConvention",
            file.rig().towConvention(),
            "connector",
            file.rig().connector(),
            "slack",
            file.rig().sheet().si(RigField.CORD_SLACK)));
  }

  private static String colour(Convention convention, PinFunction function) {
    return convention.colour(function).map(c -> c.label()).orElse("own choice");
  }
}
