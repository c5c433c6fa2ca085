package org.jexel.app.cab;

import java.util.HashMap;
import java.util.Map;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.job.Station;
import org.jexel.app.job.StationPages;
import org.jexel.app.rig.FigureCards;
import org.jexel.app.rig.RigCards;
import org.jexel.app.security.Person;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.servlet.ModelAndView;

/** Station 3: the controller in the vehicle. */
@Controller
class CabController {
  private final JobFiles files;
  private final FigureCards figures;
  private final StationPages pages;

  CabController(JobFiles files, FigureCards figures, StationPages pages) {
    this.files = files;
    this.figures = figures;
    this.pages = pages;
  }

  @GetMapping("/jobs/{ref}/cab")
  ModelAndView cab(@PathVariable String ref, Person person) {
    JobFile file = files.open(ref, person);
    Map<String, Object> view = new HashMap<>();
    view.put("fields", figures.fields(RigCards.CONTROLLER, file));
    view.put("facts", file.controllerFeed().orElse(null));
    return pages.page(file, Station.CAB, "controller", view);
  }
}
