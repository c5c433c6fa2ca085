package org.jexel.app.breakaway;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.jexel.app.entry.FieldViews;
import org.jexel.app.entry.RigCards;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.job.Looked;
import org.jexel.app.job.StationPages;
import org.jexel.app.security.Person;
import org.jexel.core.braking.StopRun;
import org.jexel.core.breakaway.Point;
import org.jexel.core.breakaway.WhatItHolds;
import org.jexel.core.check.Round;
import org.jexel.core.harness.KitWiring;
import org.jexel.core.job.BreakawayWork;
import org.jexel.core.job.Station;
import org.jexel.core.quantity.Verdict;
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
  static final String CABLE = "cable";

  /** The card of the kit's leads. */
  static final String WIRING = "wiring";

  /** The card of the proof by the pin. */
  static final String PULL = "pull";

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
    BreakawayWork work = file.work().breakaway();
    Map<String, Object> view = new HashMap<>();
    KitWiring wiring = file.work().harness().kit();
    Map<Round, Verdict> proof = new LinkedHashMap<>();
    work.pull().rounds().forEach(round -> proof.put(round, work.pull().verdict(round)));
    String open =
        card.equals(CABLE)
                || card.equals(PULL) && !proof.isEmpty()
                || card.equals(WIRING) && !wiring.leads().isEmpty()
            ? card
            : RigCards.KIT.id();
    view.put("wiring", wiring);
    view.put("facts", work.load());
    view.put("holding", work.load().holding().orElse(null));
    view.put("proof", proof);
    view.put("pulled", Verdict.ofAll(proof.values()));
    view.put("cable", work.cable());
    switch (open) {
      case CABLE -> cable(file, turn, view);
      case PULL -> pull(file, view);
      case WIRING -> wiring(file, view);
      default -> kit(file, view);
    }
    view.put("rule", KitWords.rule(file));
    return pages.page(file, Station.BREAKAWAY, open, view);
  }

  private static void cable(JobFile file, double turn, Map<String, Object> view) {
    double degrees = Double.isFinite(turn) ? Math.max(-120, Math.min(120, turn)) : 0;
    RigSheet sheet = file.rig().sheet();
    Optional<Point> jack =
        sheet.enteredOf(RigField.JACK_X, RigField.JACK_Y) == 2
            ? Optional.of(new Point(-sheet.si(RigField.JACK_X), sheet.si(RigField.JACK_Y), 0))
            : Optional.empty();
    view.put("turn", Math.round(degrees));
    view.put("drawn", Looked.at(CABLE, new Point.Turn(Math.toRadians(degrees), 0)));
    view.put("fields", FieldViews.of(RigCards.CABLE, file));
    view.put(
        "drawing",
        CableDrawing.draw(
            file.work().breakaway().cable(), jack, Math.toRadians(degrees), file.units()));
  }

  private static void wiring(JobFile file, Map<String, Object> view) {
    view.put("fields", FieldViews.of(RigCards.LEADS, file));
    view.put("circuit", KitDrawing.draw(file.work().harness().kit()));
    view.put("shared", KitWords.shared(file));
  }

  private static void pull(JobFile file, Map<String, Object> view) {
    BreakawayWork work = file.work().breakaway();
    view.put("owed", work.pull().owed().orElse(null));
    view.put("working", work.pull().working().orElse(null));
    view.put("sag", work.pull().sag().orElse(null));
    view.put("due", work.due());
  }

  private static void kit(JobFile file, Map<String, Object> view) {
    BreakawayWork work = file.work().breakaway();
    view.put("seen", !file.rig().sheet().choice(RigField.BREAKAWAY_KIT).assumed());
    view.put("indoors", work.isIndoors());
    view.put("asked", KitWords.asked(file).orElse(null));
    view.put("capacity", file.rig().sheet().figure(RigField.BREAKAWAY_CAPACITY));
    view.put("fields", FieldViews.of(RigCards.KIT, file));
    if (work.load().holding().isPresent()) {
      view.put("lines", KitWords.of(file));
      view.put("year", YearDrawing.draw(work.load(), file.units()));
    }
    view.put("held", work.held().orElse(null));
    work.held()
        .ifPresent(
            held ->
                view.put(
                    "stops", WhatItHolds.SPEEDS.stream().map(v -> SelfStop.of(held, v)).toList()));
  }

  /**
   * How it stops itself from a speed.
   *
   * @param speed m/s
   */
  record SelfStop(double speed, StopRun likely, StopRun weak) {
    private static SelfStop of(WhatItHolds held, double speed) {
      return new SelfStop(
          speed, WhatItHolds.from(held.likely(), speed), WhatItHolds.from(held.weak(), speed));
    }
  }
}
