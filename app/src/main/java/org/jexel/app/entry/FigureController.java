package org.jexel.app.entry;

import java.util.Map;
import org.jexel.app.job.JobFiles;
import org.jexel.app.security.Person;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Takes the figures of any card, and leads back to the station that shows it. */
@Controller
class FigureController {
  private final JobFiles files;
  private final FigureCards figures;

  FigureController(JobFiles files, FigureCards figures) {
    this.files = files;
    this.figures = figures;
  }

  @PostMapping("/jobs/{ref}/figures/{card}")
  String take(
      @PathVariable String ref,
      @PathVariable String card,
      @RequestParam Map<String, String> typed,
      Person person) {
    RigCards which = RigCards.of(card);
    files.change(ref, person, file -> figures.take(which, file, typed));
    return "redirect:/jobs/{ref}/" + which.station().path() + "?card=" + which.id();
  }
}
