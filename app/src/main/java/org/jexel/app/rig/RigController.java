package org.jexel.app.rig;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jexel.app.entry.FieldView;
import org.jexel.app.entry.FieldViews;
import org.jexel.app.entry.RigCards;
import org.jexel.app.entry.RigRows;
import org.jexel.app.job.Draft;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.job.StationPages;
import org.jexel.app.security.Person;
import org.jexel.core.job.NextAct;
import org.jexel.core.job.Station;
import org.jexel.core.quantity.Measure;
import org.jexel.core.rig.Influence;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.LampRole;
import org.jexel.core.rig.LampTechnology;
import org.jexel.core.rig.LoadSheet;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.Side;
import org.jexel.core.rig.Wish;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Station 1: the rig. */
@Controller
class RigController {
  private static final List<RigCards> CARDS =
      List.of(
          RigCards.VEHICLE,
          RigCards.SUPPLY,
          RigCards.TRAILER,
          RigCards.AXLES,
          RigCards.CONNECTION,
          RigCards.SCALE);
  private static final List<String> LOAD_FIELDS =
      List.of("name", "mass", "volume", "density", "place");

  /** Figures that move the tongue share. */
  private static final RigField[] MOVE_THE_SHARE = {
    RigField.EMPTY_MASS, RigField.EMPTY_BALANCE, RigField.AXLE_CENTRE
  };

  private final JobFiles files;
  private final JobCard names;
  private final LampCards lamps;
  private final LoadCards loads;
  private final StationPages pages;
  private final RigRoom room;

  RigController(
      JobFiles files,
      JobCard names,
      LampCards lamps,
      LoadCards loads,
      StationPages pages,
      RigRoom room) {
    this.files = files;
    this.names = names;
    this.lamps = lamps;
    this.loads = loads;
    this.pages = pages;
    this.room = room;
  }

  /** A card of figures with its fields. */
  record FigureCard(String id, String title, List<FieldView> fields, long entered, boolean asks) {}

  @GetMapping("/jobs/{ref}/rig")
  ModelAndView rig(
      @PathVariable String ref, @RequestParam(defaultValue = "") String card, Person person) {
    JobFile file = files.open(ref, person);
    Map<String, Object> view = new LinkedHashMap<>();
    List<FigureCard> cards = new ArrayList<>();
    for (RigCards each : CARDS) {
      List<FieldView> fields = FieldViews.of(each, file);
      cards.add(
          new FigureCard(
              each.id(),
              each.title(),
              fields,
              fields.stream().filter(f -> !f.assumed()).count(),
              fields.stream().anyMatch(f -> f.problem() != null || f.theirs() != null)));
    }
    view.put("cards", cards);
    view.put("names", JobCard.Face.of(file));
    view.put("wishes", Wish.values());
    view.put("lamps", lamps.rows(file));
    view.put("lampStates", Lamp.State.values());
    view.put("lampTechnologies", LampTechnology.values());
    view.put("lampRoles", LampRole.values());
    view.put("sides", Side.values());
    view.put("lampTyped", file.typed().text(LampCards.ADDED, "place"));
    view.put("lampProblem", file.typed().text(LampCards.ADDED, "problem"));
    view.put("loadTyped", typedLoad(file));
    view.put(
        "loadProblems",
        file.typed().at(LoadCards.FORM, "name").map(Draft::seenId).orElse(0L) > 0
            ? loads.problems(file, typedLoad(file))
            : Map.of());
    view.put("loadLines", RigRows.of(file).loads());
    view.put("load", file.work().rig().load());
    view.put("ratings", file.work().rig().ratings());
    view.put("weighed", file.work().rig().isWeighed());
    view.put("gaps", file.work().rig().gaps());
    view.put("worthMeasuring", worthMeasuring(file));
    String open = card.isEmpty() ? openByDefault(file) : card;
    return pages.page(file, Station.RIG, open, view);
  }

  private String openByDefault(JobFile file) {
    NextAct next = file.work().progress().next();
    return next.station() == Station.RIG ? room.card(next.aim()) : "vehicle";
  }

  private static Map<String, String> typedLoad(JobFile file) {
    Map<String, String> typed = new LinkedHashMap<>();
    LOAD_FIELDS.forEach(field -> typed.put(field, file.typed().text(LoadCards.FORM, field)));
    return typed;
  }

  private static String worthMeasuring(JobFile file) {
    List<Influence> ranked =
        Influence.rank(file.rig(), rig -> LoadSheet.of(rig).tongueShare(), MOVE_THE_SHARE);
    if (ranked.isEmpty()) {
      return "";
    }
    Influence first = ranked.get(0);
    RigField field = first.key().field();
    return "%s is assumed (%s). Off by %s it would move the tongue share by %s."
        .formatted(
            field.label(),
            field.measure().text(first.figure().si(), file.units()),
            Measure.SHARE.text(field.spread(), file.units()),
            Measure.SHARE.text(first.shift(), file.units()));
  }

  @PostMapping("/jobs/{ref}/rig/job")
  String names(@PathVariable String ref, @RequestParam Map<String, String> typed, Person person) {
    files.change(ref, person, file -> names.take(file, typed));
    return "redirect:/jobs/{ref}/rig?card=job";
  }

  @PostMapping("/jobs/{ref}/rig/lamps")
  String lamps(@PathVariable String ref, @RequestParam Map<String, String> typed, Person person) {
    files.change(ref, person, file -> lamps.take(file, typed));
    return "redirect:/jobs/{ref}/rig?card=lamps";
  }

  @PostMapping("/jobs/{ref}/rig/lamps/add")
  String addLamp(
      @PathVariable String ref,
      @RequestParam String role,
      @RequestParam String side,
      @RequestParam String place,
      Person person) {
    files.change(ref, person, file -> lamps.add(file, role, side, place));
    return "redirect:/jobs/{ref}/rig?card=lamps";
  }

  @PostMapping("/jobs/{ref}/rig/load")
  String addLoad(
      @PathVariable String ref,
      @RequestParam String requestKey,
      @RequestParam Map<String, String> typed,
      Person person) {
    Map<String, String> fields = new LinkedHashMap<>();
    LOAD_FIELDS.forEach(field -> fields.put(field, typed.getOrDefault(field, "")));
    files.change(ref, person, file -> loads.add(file, fields, requestKey));
    return "redirect:/jobs/{ref}/rig?card=load";
  }

  @PostMapping("/jobs/{ref}/rig/load/{id}/remove")
  String removeLoad(@PathVariable String ref, @PathVariable long id, Person person) {
    files.change(ref, person, file -> loads.remove(file, id));
    return "redirect:/jobs/{ref}/rig?card=load";
  }
}
