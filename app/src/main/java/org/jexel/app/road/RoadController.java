package org.jexel.app.road;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jexel.app.drawing.CurveDrawing;
import org.jexel.app.job.Draft;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.job.Looked;
import org.jexel.app.job.StationPages;
import org.jexel.app.library.ControllerEntry;
import org.jexel.app.library.ControllerLibrary;
import org.jexel.app.security.Person;
import org.jexel.core.braking.Control;
import org.jexel.core.braking.Stop;
import org.jexel.core.braking.Surface;
import org.jexel.core.cab.ControllerModel;
import org.jexel.core.care.WheelNuts;
import org.jexel.core.job.Station;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.road.GainAdvice;
import org.jexel.core.road.Gate;
import org.jexel.core.road.Observed;
import org.jexel.core.road.Outcome;
import org.jexel.core.road.TestStop;
import org.jexel.core.road.UnbrakedStop;
import org.jexel.core.road.VoltsByGain;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Station 6: test stops and the gain. */
@Controller
class RoadController {
  /** The card of a stop that is tried in the computer. */
  private static final String TRIAL = "trial";

  private static final List<String> FIELDS =
      List.of(
          "gain",
          "way",
          "speed",
          "surface",
          "outcome",
          "distance",
          "seconds",
          "note",
          "how",
          "pull",
          "feel",
          "place");

  /** Fields that are folded until somebody asks for them. */
  private static final List<String> MORE = List.of("how", "place");

  /** The card of what must hold before a wheel turns. */
  private static final String GATE = "gate";

  private static final List<String> VOLT_FIELDS = List.of("gain", "volts");

  /** The card of volts by gain. */
  private static final String VOLTS = "volts";

  /** The card of every settled gain. */
  private static final String PROFILES = "profiles";

  /** The usual speed of a test stop, 40 km/h. */
  private static final double USUAL_SPEED = 40 / 3.6;

  private final JobFiles files;
  private final RoadService road;
  private final GateService gate;
  private final VoltsService volts;
  private final ControllerLibrary library;
  private final StationPages pages;

  RoadController(
      JobFiles files,
      RoadService road,
      GateService gate,
      VoltsService volts,
      ControllerLibrary library,
      StationPages pages) {
    this.files = files;
    this.road = road;
    this.gate = gate;
    this.volts = volts;
    this.library = library;
    this.pages = pages;
  }

  /**
   * A stop with what it tells.
   *
   * @param told null when neither distance nor time was taken
   */
  record StopRow(long id, String who, TestStop stop, @Nullable Stop told) {
    private static StopRow of(StopLine line) {
      TestStop stop = line.stop();
      return new StopRow(line.id(), line.person().name(), stop, stop.analysed().orElse(null));
    }
  }

  @GetMapping("/jobs/{ref}/road")
  ModelAndView road(
      @PathVariable String ref,
      @RequestParam(defaultValue = "") String card,
      @RequestParam(required = false) Long corrects,
      @RequestParam(required = false) Long to,
      @RequestParam Map<String, String> query,
      Person person) {
    JobFile file = files.open(ref, person);
    Map<String, Object> view = new HashMap<>();
    boolean tried = card.equals(TRIAL) && file.rig().hasElectricBrakes();
    if (tried) {
      trial(file, query, view);
    }
    Map<String, String> typed = typed(file);
    boolean asked = file.typed().at(RoadService.FORM, "gain").map(Draft::seenId).orElse(0L) > 0;
    view.put("typed", typed);
    view.put("problems", asked ? road.read(file, typed).problems() : Map.<String, String>of());
    view.put("braked", file.rig().hasElectricBrakes());
    view.put("advice", file.work().road().advice());
    view.put(
        "belief",
        BeliefDrawing.draw(
            file.work().road().advice(),
            file.work().road().course().stream()
                .flatMap(stop -> stop.gainStop().stream())
                .toList()));
    view.put("scale", file.work().road().scale());
    view.put("setting", file.work().road().settled().orElse(null));
    view.put("newest", file.work().road().newest().orElse(null));
    view.put("profiles", file.work().road().profiles());
    view.put("warm", file.work().road().warmUp());
    view.put("look", file.work().road().look().orElse(null));
    view.put("even", file.work().road().even());
    view.put("hows", Observed.How.values());
    view.put("pulls", Observed.Pull.values());
    view.put("feels", Observed.Feel.values());
    view.put("wheels", wheels(file));
    gate(file, view);
    view.put("surface", file.work().road().surface().orElse(null));
    view.put("heading", heading(file));
    view.put("stops", RoadRows.of(file).stops().stream().map(StopRow::of).toList());
    view.put("surfaces", Surface.values());
    view.put("outcomes", Outcome.values());
    view.put("ways", TestStop.Way.values());
    view.put("corrects", corrects);
    view.put("trailerMass", file.work().rig().load().mass());
    view.put("unbraked", UnbrakedStop.of(file.rig(), file.work().rig().load()));
    view.put("nuts", WheelNuts.of(file.rig()));
    boolean closed = !file.work().road().gate().open();
    if (card.equals(VOLTS)) {
      volts(file, view);
    }
    if (card.equals(PROFILES)) {
      view.put("moving", Moving.of(file, library, to));
    }
    view.put("holds", Verdict.HOLDS);
    view.put("watch", Verdict.WATCH);
    view.put(
        "wheelsTyped",
        MORE.stream().anyMatch(f -> !typed.getOrDefault(f, "").isEmpty())
            || wheels(file).keySet().stream().anyMatch(w -> !typed.getOrDefault(w, "").isEmpty()));
    String open = tried ? TRIAL : card.isEmpty() ? (closed ? GATE : "stop") : card;
    view.put("folded", List.of(TRIAL, GATE, PROFILES, VOLTS).contains(open));
    return pages.page(file, Station.ROAD, open, view);
  }

  /**
   * A reading of volts by gain.
   *
   * @param off the line, V; NaN while there is none
   */
  record VoltsRow(long id, double gain, double volts, double off, boolean odd, String who) {}

  private void volts(JobFile file, Map<String, Object> view) {
    Map<String, String> typed = new LinkedHashMap<>();
    for (String field : VOLT_FIELDS) {
      typed.put(field, file.typed().text(VoltsService.FORM, field));
    }
    boolean asked = typed.values().stream().anyMatch(text -> !text.isEmpty());
    view.put("voltsTyped", typed);
    view.put("voltsProblems", asked ? volts.problems(file, typed) : Map.<String, String>of());
    Optional<VoltsByGain> line = file.work().road().volts();
    List<VoltsLine> rows = RoadRows.of(file).volts();
    List<VoltsRow> told = new ArrayList<>();
    for (int i = 0; i < rows.size(); i++) {
      int at = i;
      VoltsByGain.Reading read = rows.get(i).reading();
      told.add(
          new VoltsRow(
              rows.get(i).id(),
              read.gain(),
              read.volts(),
              line.map(l -> l.residuals().get(at)).orElse(Double.NaN),
              line.map(l -> l.odd(at)).orElse(false),
              rows.get(i).person().name()));
    }
    view.put("voltRows", told);
    view.put("line", line.orElse(null));
    view.put("entry", volts.entry(file).map(ControllerEntry::label).orElse(null));
    List<ControllerModel.Point> curve =
        file.work().road().curve().stream()
            .map(r -> new ControllerModel.Point(r.gain(), r.volts()))
            .toList();
    List<ControllerModel.Point> odd =
        told.stream()
            .filter(VoltsRow::odd)
            .map(row -> new ControllerModel.Point(row.gain(), row.volts()))
            .toList();
    view.put(
        "curve",
        curve.size() < 2
            ? null
            : CurveDrawing.draw(
                curve, odd, file.work().road().scale().greatest(), "as it is known"));
  }

  private void gate(JobFile file, Map<String, Object> view) {
    Map<String, String> typed = new LinkedHashMap<>();
    Gate shut = file.work().road().gate();
    for (String field : gateFields(shut)) {
      typed.put(field, file.typed().text(GateService.FORM, field));
    }
    view.put("gate", shut);
    view.put("gateTyped", typed);
    view.put(
        "gateProblems",
        typed.values().stream().allMatch(String::isEmpty)
            ? Map.<String, String>of()
            : gate.problems(file, typed));
  }

  private static List<String> gateFields(Gate gate) {
    List<String> fields = new ArrayList<>(List.of(GateService.WARMED, GateService.LOOKED));
    for (Gate.Line line : gate.lines()) {
      fields.add(line.id());
      fields.add(GateService.why(line));
    }
    return fields;
  }

  /** A field for each braked wheel, with its name. */
  private static Map<String, String> wheels(JobFile file) {
    Map<String, String> wheels = new LinkedHashMap<>();
    for (int axle : file.rig().brakedAxles()) {
      for (boolean left : new boolean[] {true, false}) {
        wheels.put(
            RoadService.wheel(axle, left), new Observed.Wheel(axle, left, Outcome.NOTHING).label());
      }
    }
    return wheels;
  }

  private static void trial(JobFile file, Map<String, String> asked, Map<String, Object> view) {
    TrialForm form = TrialForm.of(file, asked);
    view.put("trial", form);
    view.put("laws", Control.Law.values());
    TrialForm.Outcome outcome = form.outcome();
    if (outcome != null) {
      view.put("told", outcome);
      view.put("drawing", TrialDrawing.draw(outcome, file.units()));
      view.put("drawn", Looked.at(TRIAL, outcome));
    }
  }

  private static String heading(JobFile file) {
    GainAdvice advice = file.work().road().advice();
    return file.work()
        .road()
        .settled()
        .map(
            setting ->
                "Settled on gain %s, on %s with %s"
                    .formatted(
                        Measure.GAIN.number(setting.gain(), file.units()),
                        Phrase.within(setting.surface().label()),
                        Measure.MASS.text(setting.trailerMass(), file.units())))
        .orElseGet(
            () ->
                advice.act().label()
                    + (Double.isNaN(advice.gain())
                        ? ""
                        : " gain " + Measure.GAIN.number(advice.gain(), file.units())));
  }

  private static Map<String, String> typed(JobFile file) {
    Map<String, String> typed = new LinkedHashMap<>();
    FIELDS.forEach(field -> typed.put(field, file.typed().text(RoadService.FORM, field)));
    wheels(file)
        .keySet()
        .forEach(field -> typed.put(field, file.typed().text(RoadService.FORM, field)));
    double advised = file.work().road().advice().gain();
    if (typed.getOrDefault("gain", "").isEmpty() && !Double.isNaN(advised)) {
      typed.put("gain", Measure.GAIN.number(advised, UnitSystem.METRIC));
    }
    if (typed.getOrDefault("speed", "").isEmpty()) {
      typed.put("speed", Measure.SPEED.number(USUAL_SPEED, file.units()));
    }
    if (typed.getOrDefault("surface", "").isEmpty()) {
      List<TestStop> stops = file.record().stops();
      typed.put(
          "surface",
          (stops.isEmpty() ? Surface.DRY_ASPHALT : stops.get(stops.size() - 1).surface()).name());
    }
    if (typed.getOrDefault("way", "").isEmpty()) {
      typed.put("way", TestStop.Way.LEVER.name());
    }
    return typed;
  }

  @PostMapping("/jobs/{ref}/road/stops")
  String record(
      @PathVariable String ref,
      @RequestParam Map<String, String> posted,
      @RequestParam(required = false) Long corrects,
      @RequestParam String requestKey,
      Person person) {
    files.change(
        ref, person, file -> road.record(file, fields(file, posted), corrects, requestKey));
    return "redirect:/jobs/{ref}/road?card=stop";
  }

  @PostMapping("/jobs/{ref}/road/draft")
  String draft(@PathVariable String ref, @RequestParam Map<String, String> posted, Person person) {
    String key = posted.getOrDefault("requestKey", "");
    files.change(ref, person, file -> road.draft(file, fields(file, posted), key));
    return "redirect:/jobs/{ref}/road?card=stop";
  }

  @PostMapping("/jobs/{ref}/road/volts")
  String volts(
      @PathVariable String ref,
      @RequestParam Map<String, String> posted,
      @RequestParam(required = false) Long corrects,
      @RequestParam String requestKey,
      Person person) {
    Map<String, String> typed = new LinkedHashMap<>();
    VOLT_FIELDS.forEach(field -> typed.put(field, posted.getOrDefault(field, "")));
    files.change(ref, person, file -> volts.record(file, typed, corrects, requestKey));
    return "redirect:/jobs/{ref}/road?card=" + VOLTS;
  }

  @PostMapping("/jobs/{ref}/road/curve")
  String keepCurve(@PathVariable String ref, Person person) {
    files.change(ref, person, volts::keep);
    return "redirect:/jobs/{ref}/road?card=" + VOLTS;
  }

  @PostMapping("/jobs/{ref}/road/simulated")
  String simulate(
      @PathVariable String ref, @RequestParam Map<String, String> posted, Person person) {
    String key = posted.getOrDefault("requestKey", "");
    files.change(ref, person, file -> road.simulate(file, fields(file, posted), key));
    return "redirect:/jobs/{ref}/road?card=stop";
  }

  @PostMapping("/jobs/{ref}/road/gate")
  String say(
      @PathVariable String ref,
      @RequestParam Map<String, String> posted,
      @RequestParam String requestKey,
      Person person) {
    files.change(
        ref,
        person,
        file -> {
          Map<String, String> typed = new LinkedHashMap<>();
          for (String field : gateFields(file.work().road().gate())) {
            typed.put(field, posted.getOrDefault(field, ""));
          }
          gate.say(file, typed, requestKey);
        });
    return "redirect:/jobs/{ref}/road?card=" + GATE;
  }

  @PostMapping("/jobs/{ref}/road/settle-even")
  String settleEven(@PathVariable String ref, @RequestParam String requestKey, Person person) {
    files.change(ref, person, file -> road.settleEven(file, requestKey));
    return "redirect:/jobs/{ref}/road?card=" + PROFILES;
  }

  @PostMapping("/jobs/{ref}/road/settle")
  String settle(@PathVariable String ref, @RequestParam String requestKey, Person person) {
    files.change(ref, person, file -> road.settle(file, requestKey));
    return "redirect:/jobs/{ref}/road?card=settle";
  }

  private static Map<String, String> fields(JobFile file, Map<String, String> posted) {
    Map<String, String> fields = new LinkedHashMap<>();
    FIELDS.forEach(field -> fields.put(field, posted.getOrDefault(field, "")));
    wheels(file).keySet().forEach(field -> fields.put(field, posted.getOrDefault(field, "")));
    return fields;
  }
}
