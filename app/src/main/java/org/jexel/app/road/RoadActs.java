package org.jexel.app.road;

import java.util.LinkedHashMap;
import java.util.Map;
import org.jexel.app.job.JobFiles;
import org.jexel.app.job.Waited;
import org.jexel.app.security.Person;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** What is recorded at station 6. */
@Controller
class RoadActs {
  private final JobFiles files;
  private final RoadService road;
  private final Settling settling;
  private final GateService gate;
  private final VoltsService volts;
  private final Waited waited;

  RoadActs(
      JobFiles files,
      RoadService road,
      Settling settling,
      GateService gate,
      VoltsService volts,
      Waited waited) {
    this.waited = waited;
    this.files = files;
    this.road = road;
    this.settling = settling;
    this.gate = gate;
    this.volts = volts;
  }

  @PostMapping("/jobs/{ref}/road/stops")
  String record(
      @PathVariable String ref,
      @RequestParam Map<String, String> posted,
      @RequestParam(required = false) Long corrects,
      @RequestParam String requestKey,
      Person person) {
    files.change(
        ref,
        person,
        file -> road.record(file, StopCard.fields(file, posted), corrects, requestKey));
    return "redirect:/jobs/{ref}/road?card=stop";
  }

  /** One that waited on a phone for so many ms. */
  @PostMapping(value = "/jobs/{ref}/road/stops", params = "ago")
  @ResponseBody
  Waited.Told sent(
      @PathVariable String ref,
      @RequestParam Map<String, String> posted,
      @RequestParam(required = false) Long corrects,
      @RequestParam String requestKey,
      @RequestParam(defaultValue = "") String units,
      @RequestParam long ago,
      Person person) {
    return waited.take(
        ref,
        person,
        ago,
        (file, at) ->
            road.waited(
                file,
                StopCard.fields(file, posted),
                Waited.units(file, units),
                at,
                corrects,
                requestKey));
  }

  @PostMapping("/jobs/{ref}/road/draft")
  String draft(@PathVariable String ref, @RequestParam Map<String, String> posted, Person person) {
    String key = posted.getOrDefault("requestKey", "");
    files.change(ref, person, file -> road.draft(file, StopCard.fields(file, posted), key));
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
    VoltsCard.FIELDS.forEach(field -> typed.put(field, posted.getOrDefault(field, "")));
    files.change(ref, person, file -> volts.record(file, typed, corrects, requestKey));
    return "redirect:/jobs/{ref}/road?card=" + RoadController.VOLTS;
  }

  @PostMapping("/jobs/{ref}/road/curve")
  String keepCurve(@PathVariable String ref, Person person) {
    files.change(ref, person, volts::keep);
    return "redirect:/jobs/{ref}/road?card=" + RoadController.VOLTS;
  }

  @PostMapping("/jobs/{ref}/road/simulated")
  String simulate(
      @PathVariable String ref, @RequestParam Map<String, String> posted, Person person) {
    String key = posted.getOrDefault("requestKey", "");
    files.change(ref, person, file -> road.simulate(file, StopCard.fields(file, posted), key));
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
          for (String field : GateCard.fields(file.work().road().gate())) {
            typed.put(field, posted.getOrDefault(field, ""));
          }
          gate.say(file, typed, requestKey);
        });
    return "redirect:/jobs/{ref}/road?card=" + RoadController.GATE;
  }

  @PostMapping("/jobs/{ref}/road/assist")
  String assist(
      @PathVariable String ref,
      @RequestParam(defaultValue = "") String level,
      @RequestParam(defaultValue = "") String feel,
      @RequestParam String requestKey,
      Person person) {
    files.change(ref, person, file -> gate.felt(file, level, feel, requestKey));
    return "redirect:/jobs/{ref}/road?card=" + RoadController.PROFILES;
  }

  @PostMapping("/jobs/{ref}/road/settle-even")
  String settleEven(@PathVariable String ref, @RequestParam String requestKey, Person person) {
    files.change(ref, person, file -> settling.even(file, requestKey));
    return "redirect:/jobs/{ref}/road?card=" + RoadController.PROFILES;
  }

  @PostMapping("/jobs/{ref}/road/settle")
  String settle(@PathVariable String ref, @RequestParam String requestKey, Person person) {
    files.change(ref, person, file -> settling.belowLock(file, requestKey));
    return "redirect:/jobs/{ref}/road?card=settle";
  }
}
