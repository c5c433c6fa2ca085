package org.jexel.app.bench;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.jexel.app.device.SimulatedMeterPort;
import org.jexel.app.exchange.KeptFile;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.security.Person;
import org.jexel.core.check.Check;
import org.jexel.core.network.Fault;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;

/** Takes the meter's reading into the open check, and says what the simulated one measures on. */
@Controller
class MeterController {
  private final JobFiles files;
  private final BenchService bench;
  private final MeterLogs logs;
  private final SimulatedMeterPort simulated;
  private final Random dice = new Random();

  MeterController(
      JobFiles files, BenchService bench, MeterLogs logs, SimulatedMeterPort simulated) {
    this.logs = logs;
    this.files = files;
    this.bench = bench;
    this.simulated = simulated;
  }

  /** The reading stands in the field; Enter records it. */
  @PostMapping("/jobs/{ref}/bench/meter")
  String meter(
      @PathVariable String ref,
      @RequestParam String checks,
      @RequestParam(defaultValue = "") String back,
      @RequestParam(defaultValue = "") String round,
      Person person) {
    List<String> ids = Arrays.asList(checks.split(","));
    JobFile file =
        files.act(
            ref,
            person,
            held -> {
              ids.stream()
                  .flatMap(id -> held.work().bench().check(id).stream())
                  .forEach(c -> bench.meter(held, c));
              return held;
            });
    String taken =
        round.isEmpty()
            ? file.work().bench().check(ids.get(0)).map(Check::round).orElse("")
            : round;
    return BenchController.back(back, taken);
  }

  /** Keeps a logging meter's file, and goes on to show how its rows fit. */
  @PostMapping("/jobs/{ref}/bench/log")
  String log(
      @PathVariable String ref, @RequestParam(required = false) MultipartFile file, Person person) {
    if (file == null || file.isEmpty()) {
      return "redirect:/jobs/{ref}/bench?card=meter&nofile";
    }
    long id = files.act(ref, person, job -> logs.keep(job, file).id());
    return "redirect:/jobs/{ref}/bench/log/" + id;
  }

  @GetMapping("/jobs/{ref}/bench/log/{id}")
  ModelAndView preview(@PathVariable String ref, @PathVariable long id, Person person) {
    JobFile job = files.open(ref, person);
    KeptFile log = logs.of(job, id);
    ModelAndView view = new ModelAndView("log");
    view.addObject("job", job.job());
    view.addObject("person", person);
    view.addObject("units", job.units());
    view.addObject("mayChange", person.role().mayChange());
    view.addObject("log", log);
    view.addObject("rows", logs.rows(job, log));
    return view;
  }

  /** Rows read so far, for the page that waits. */
  @GetMapping("/jobs/{ref}/bench/log/{id}/progress")
  @ResponseBody
  Map<String, Long> progress(@PathVariable String ref, @PathVariable long id, Person person) {
    return Map.of("rows", logs.progress(logs.of(files.open(ref, person), id)));
  }

  @PostMapping("/jobs/{ref}/bench/log/{id}")
  String record(@PathVariable String ref, @PathVariable long id, Person person) {
    int kept =
        files.act(
            ref,
            person,
            job -> {
              KeptFile log = logs.of(job, id);
              int recorded = bench.record(job, () -> logs.rows(job, log), log);
              logs.recorded(log);
              return recorded;
            });
    return "redirect:/jobs/{ref}/bench?card=meter&kept=" + kept;
  }

  @PostMapping("/jobs/{ref}/bench/meter/hide")
  String hide(@PathVariable String ref, @RequestParam String fault, Person person) {
    files.change(
        ref,
        person,
        file -> {
          List<Fault> faults = MeterCard.of(file, simulated).chosen(fault, dice);
          simulated.hide(file.job().id(), faults, person.id());
        });
    return "redirect:/jobs/{ref}/bench?card=meter";
  }
}
