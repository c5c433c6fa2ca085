package org.jexel.app.bench;

import static java.nio.charset.StandardCharsets.UTF_8;

import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import org.jexel.app.device.SimulatedMeterPort;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.security.Person;
import org.jexel.core.check.Check;
import org.jexel.core.network.Fault;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.util.UriUtils;

/** Takes the meter's reading into the open check, and says what the simulated one measures on. */
@Controller
class MeterController {
  private final JobFiles files;
  private final BenchService bench;
  private final SimulatedMeterPort simulated;
  private final Random dice = new Random();

  MeterController(JobFiles files, BenchService bench, SimulatedMeterPort simulated) {
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
      Person person) {
    List<String> ids = Arrays.asList(checks.split(","));
    JobFile file =
        files.act(
            ref,
            person,
            held -> {
              ids.stream()
                  .flatMap(id -> held.check(id).stream())
                  .forEach(c -> bench.meter(held, c));
              return held;
            });
    String round = file.check(ids.get(0)).map(Check::round).orElse("");
    return back.equals("finder")
        ? BenchController.card("finder") + "&start=" + UriUtils.encode(round, UTF_8)
        : BenchController.card(round);
  }

  /** Shows how the rows of a logging meter's file fit; asked to, records those that do. */
  @PostMapping("/jobs/{ref}/bench/log")
  ModelAndView log(
      @PathVariable String ref,
      @RequestParam(required = false) MultipartFile file,
      @RequestParam(defaultValue = "") String csv,
      @RequestParam(defaultValue = "") String requestKey,
      Person person)
      throws IOException {
    JobFile job = files.open(ref, person);
    boolean posted = file != null && !file.isEmpty();
    String text = posted ? new String(file.getBytes(), UTF_8) : csv;
    LogRows rows = LogRows.of(job, text);
    if (!posted && !requestKey.isBlank()) {
      int kept =
          files.act(ref, person, held -> bench.record(held, LogRows.of(held, text), requestKey));
      return new ModelAndView(
          "redirect:/jobs/" + job.job().ref() + "/bench?card=meter&kept=" + kept);
    }
    ModelAndView view = new ModelAndView("log");
    view.addObject("job", job.job());
    view.addObject("person", person);
    view.addObject("units", job.units());
    view.addObject("log", rows);
    view.addObject("csv", text);
    view.addObject("requestKey", UUID.randomUUID().toString());
    return view;
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
