package org.jexel.app.breakaway;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jexel.app.entry.FieldViews;
import org.jexel.app.entry.RigCards;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.job.StationPages;
import org.jexel.app.security.Person;
import org.jexel.core.breakaway.BreakawayLoad;
import org.jexel.core.check.Round;
import org.jexel.core.job.Station;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.BreakawayKit;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Station 5: the breakaway. */
@Controller
class BreakawayController {
  /** The card of cable and chains. */
  static final String CABLE = RigCards.CABLE.id();

  private final JobFiles files;
  private final StationPages pages;

  BreakawayController(JobFiles files, StationPages pages) {
    this.files = files;
    this.pages = pages;
  }

  @GetMapping("/jobs/{ref}/breakaway")
  ModelAndView breakaway(
      @PathVariable String ref,
      @RequestParam(defaultValue = "kit") String card,
      @RequestParam(defaultValue = "45") double turn,
      Person person) {
    JobFile file = files.open(ref, person);
    Map<String, Object> view = new HashMap<>();
    String open = card.equals(CABLE) ? CABLE : "kit";
    BreakawayLoad facts = file.work().breakaway().load();
    view.put("facts", facts);
    view.put("holding", facts.holding().orElse(null));
    view.put("kit", file.rig().sheet().choice(RigField.BREAKAWAY_KIT, BreakawayKit.class));
    view.put("seen", !file.rig().sheet().choice(RigField.BREAKAWAY_KIT).assumed());
    view.put("capacity", file.rig().sheet().figure(RigField.BREAKAWAY_CAPACITY));
    view.put("ageWords", ageWords(file, facts));
    Map<Round, Verdict> proof = new LinkedHashMap<>();
    for (Round round : file.work().breakaway().proof()) {
      proof.put(round, file.work().bench().verdict(round));
    }
    view.put("proof", proof);
    view.put("cable", file.work().breakaway().cable());
    if (open.equals(CABLE)) {
      double degrees = Double.isFinite(turn) ? Math.max(-120, Math.min(120, turn)) : 0;
      view.put("turn", Math.round(degrees));
      view.put("fields", FieldViews.of(RigCards.CABLE, file));
      view.put(
          "drawing",
          CableDrawing.draw(
              file.work().breakaway().cable(), Math.toRadians(degrees), file.units()));
    }
    return pages.page(file, Station.BREAKAWAY, open, view);
  }

  private static String ageWords(JobFile file, BreakawayLoad facts) {
    RigSheet sheet = file.rig().sheet();
    String cold = Measure.TEMPERATURE.text(sheet.si(RigField.BREAKAWAY_COLD), file.units());
    return facts.ageKnown()
        ? "%s old, at %s."
            .formatted(Measure.YEARS.text(sheet.si(RigField.BREAKAWAY_AGE), file.units()), cold)
        : "Its age is not known, so it is reckoned as new, at %s: an old one holds less."
            .formatted(cold);
  }
}
