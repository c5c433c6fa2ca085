package org.jexel.app.road;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jexel.app.job.Draft;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.job.Looked;
import org.jexel.app.job.StationPages;
import org.jexel.app.library.ControllerLibrary;
import org.jexel.app.security.Person;
import org.jexel.core.braking.Control;
import org.jexel.core.braking.Drag;
import org.jexel.core.braking.Stop;
import org.jexel.core.braking.Surface;
import org.jexel.core.care.WheelNuts;
import org.jexel.core.job.Station;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.road.Assist;
import org.jexel.core.road.GainAdvice;
import org.jexel.core.road.Observed;
import org.jexel.core.road.Outcome;
import org.jexel.core.road.Said;
import org.jexel.core.road.TestStop;
import org.jexel.core.road.UnbrakedStop;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Station 6: test stops and the gain, as they are shown. */
@Controller
class RoadController {
  /** The card of a stop that is tried in the computer. */
  private static final String TRIAL = "trial";

  /** The card of what must hold before a wheel turns. */
  static final String GATE = "gate";

  /** The card of volts by gain. */
  static final String VOLTS = "volts";

  /** The card of recorded drives. */
  static final String TRACE = "trace";

  /** The card of every settled gain. */
  static final String PROFILES = "profiles";

  private final JobFiles files;
  private final GateService gate;
  private final VoltsService volts;
  private final Traces traces;
  private final ControllerLibrary library;
  private final StationPages pages;

  RoadController(
      JobFiles files,
      GateService gate,
      VoltsService volts,
      Traces traces,
      ControllerLibrary library,
      StationPages pages) {
    this.files = files;
    this.gate = gate;
    this.volts = volts;
    this.traces = traces;
    this.library = library;
    this.pages = pages;
  }

  /**
   * A stop with what it tells.
   *
   * @param told null when nothing was measured
   * @param cut of the trace that it was measured from; null for none
   */
  record StopRow(long id, String who, TestStop stop, @Nullable Stop told, @Nullable TraceCut cut) {
    private static StopRow of(StopLine line, Drag drag) {
      TestStop stop = line.stop();
      return new StopRow(
          line.id(),
          line.person().name(),
          stop,
          stop.analysed(drag).orElse(null),
          line.cut().orElse(null));
    }

    /** What was taken of it: the figure that counts. */
    public String measured(UnitSystem units) {
      if (stop.deceleration() != null) {
        return Measure.DECELERATION.text(stop.deceleration(), units);
      } else if (stop.distance() != null) {
        return Measure.DISTANCE.text(stop.distance(), units);
      }
      return stop.seconds() == null ? "–" : Measure.SECONDS.text(stop.seconds(), units);
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
    Map<String, String> typed = StopCard.typed(file);
    boolean asked = file.typed().at(RoadService.FORM, "gain").map(Draft::seenId).orElse(0L) > 0;
    view.put("typed", typed);
    view.put("problems", asked ? StopForm.problems(file, typed) : Map.<String, String>of());
    view.put("braked", file.rig().hasElectricBrakes());
    view.put("advice", file.work().road().advice());
    view.put(
        "belief",
        BeliefDrawing.draw(
            file.work().road().advice(),
            file.work().road().course().stream()
                .flatMap(stop -> stop.gainStop(file.work().road().drag()).stream())
                .toList()));
    view.put("scale", file.work().road().scale());
    view.put("setting", file.work().road().gains().here().orElse(null));
    view.put("newest", file.work().road().gains().newest().orElse(null));
    view.put("profiles", file.work().road().gains().all());
    view.put("warm", file.work().road().warmUp());
    view.put("look", file.work().road().look().orElse(null));
    view.put("even", file.work().road().even());
    view.put("hows", Observed.How.values());
    view.put("pulls", Observed.Pull.values());
    view.put("feels", Observed.Feel.values());
    view.put("wheels", StopCard.wheels(file));
    GateCard.show(file, gate, view);
    view.put("drag", file.work().road().drag());
    view.put("coast", file.work().road().coastDown().orElse(null));
    view.put("surface", file.work().road().surface().orElse(null));
    view.put("heading", heading(file));
    view.put(
        "stops",
        RoadRows.of(file).stops().stream()
            .map(line -> StopRow.of(line, file.work().road().drag()))
            .toList());
    view.put("surfaces", Surface.values());
    view.put("outcomes", Outcome.values());
    view.put("ways", TestStop.Way.values());
    view.put("corrects", corrects);
    view.put("found", file.work().road().calibration().orElse(null));
    view.put("trailerMass", file.work().rig().load().mass());
    view.put("unbraked", UnbrakedStop.of(file.rig(), file.work().rig().load()));
    view.put("nuts", WheelNuts.of(file.rig()));
    boolean closed = !file.work().road().gate().open();
    if (card.equals(VOLTS)) {
      VoltsCard.show(file, volts, view);
    }
    if (card.equals(TRACE)) {
      TraceCard.show(file, traces, query, view);
    }
    view.put("cut", TraceCut.of(typed.getOrDefault("trace", "")).orElse(null));
    if (card.equals(PROFILES)) {
      view.put("moving", Moving.of(file, library, to));
      view.put("assist", file.work().road().assist().orElse(null));
      view.put(
          "assistLevels",
          file.work().road().assist().stream()
              .flatMap(assist -> assist.levels().stream())
              .map(level -> List.of(level, level))
              .toList());
      view.put("assistFeels", Assist.Feel.values());
      view.put("assistSaid", assistSaid(file));
    }
    view.put("holds", Verdict.HOLDS);
    view.put("watch", Verdict.WATCH);
    view.put("wheelsTyped", StopCard.more(file, typed));
    String open = tried ? TRIAL : card.isEmpty() ? (closed ? GATE : "stop") : card;
    view.put("folded", List.of(TRIAL, GATE, PROFILES, VOLTS, TRACE).contains(open));
    return pages.page(file, Station.ROAD, open, view);
  }

  private static List<String> assistSaid(JobFile file) {
    return file.record().said().stream()
        .filter(said -> said.what() == Said.What.ASSIST)
        .flatMap(
            said ->
                Assist.felt(said.about(), said.words()).stream()
                    .map(
                        felt ->
                            "%s: %s, %s"
                                .formatted(
                                    felt.level(), Phrase.within(felt.feel().label()), said.who())))
        .toList();
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
        .gains()
        .here()
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
}
