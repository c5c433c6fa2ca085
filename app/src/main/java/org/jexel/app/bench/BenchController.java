package org.jexel.app.bench;

import static java.nio.charset.StandardCharsets.UTF_8;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jexel.app.device.SimulatedMeterPort;
import org.jexel.app.helper.HelperPage;
import org.jexel.app.helper.Helpers;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.job.Looked;
import org.jexel.app.job.StationPages;
import org.jexel.app.security.Person;
import org.jexel.core.check.Check;
import org.jexel.core.check.PartOutput;
import org.jexel.core.job.Station;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import org.springframework.web.util.UriUtils;

/** Station 4: the check sheet. */
@Controller
class BenchController {
  private static final String FINDER = BenchRoom.FINDER;

  /** The cards above the sheet; their bodies stand in templates of the same names. */
  private static final List<Tool> TOOLS =
      List.of(
          new Tool(FINDER, "Fault finder", "what explains the readings, and what to read next"),
          new Tool("helper", "Helper in the cab", "a second phone, or working alone"),
          new Tool("tester", "Plug tester", "which of its lamps should light"),
          new Tool("meter", "Simulated meter", "for trying out and for practice"));

  private final LastTime lastTime;
  private final JobFiles files;
  private final BenchService bench;
  private final StationPages pages;
  private final Repairs repairs;
  private final SimulatedMeterPort meter;
  private final Helpers helpers;

  BenchController(
      JobFiles files,
      BenchService bench,
      StationPages pages,
      Repairs repairs,
      SimulatedMeterPort meter,
      Helpers helpers,
      LastTime lastTime) {
    this.lastTime = lastTime;
    this.helpers = helpers;
    this.repairs = repairs;
    this.meter = meter;
    this.files = files;
    this.bench = bench;
    this.pages = pages;
  }

  @GetMapping("/jobs/{ref}/bench")
  ModelAndView bench(
      @PathVariable String ref,
      @RequestParam(defaultValue = "") String card,
      @RequestParam(defaultValue = "") String start,
      @RequestParam(defaultValue = "") List<String> state,
      @RequestParam(defaultValue = "false") boolean plugged,
      Person person) {
    JobFile file = files.open(ref, person);
    Map<String, Object> view = new HashMap<>();
    boolean tool = TOOLS.stream().anyMatch(t -> t.id().equals(card));
    SheetView sheet = SheetView.of(file, card);
    RoundView current = sheet.current();
    switch (card) {
      case FINDER -> {
        FinderView finder = FinderView.of(file, start);
        view.put("finder", finder);
        current = finder.round() == null ? current : finder.round();
        finder.mend(file.units()).ifPresent(act -> view.put("next", act));
      }
      case "helper" -> view.put("helper", helperCard(file));
      case "tester" -> view.put("tester", TesterCard.of(file, state, plugged, meter));
      case "meter" -> view.put("meter", MeterCard.of(file, meter));
      default -> {}
    }
    Check check = current.now().check();
    view.put("tools", TOOLS);
    view.put("sheet", sheet);
    view.put("unknown", card.isEmpty() || tool || sheet.has(card) ? "" : card);
    view.put("current", current);
    view.put("face", BenchFace.of(file, check).orElse(null));
    view.put("lastTime", lastTime.of(file, check).orElse(null));
    view.put("previous", sheet.along(-1));
    view.put("following", sheet.along(1));
    if (file.person().role().mayChange()) {
      helpers.show(file, check);
    }
    view.put("drawn", new Looked(check.id(), card.equals(FINDER), null));
    return pages.page(file, Station.BENCH, tool ? card : current.id(), view);
  }

  /** A card above the sheet. */
  record Tool(String id, String title, String told) {}

  /**
   * @param page that is open; null if none is
   * @param address of this application, for a phone
   */
  record HelperCard(@Nullable HelperPage page, String address) {}

  private HelperCard helperCard(JobFile file) {
    String address = ServletUriComponentsBuilder.fromCurrentContextPath().path("/h").toUriString();
    return new HelperCard(helpers.of(file).orElse(null), address);
  }

  @PostMapping("/jobs/{ref}/bench/{id}")
  String record(
      @PathVariable String ref,
      @PathVariable String id,
      @RequestParam(defaultValue = "") String reading,
      @RequestParam(defaultValue = "") String output,
      @RequestParam(defaultValue = "0") long seen,
      @RequestParam String requestKey,
      @RequestParam(defaultValue = "") String back,
      Person person) {
    String typed = PartOutput.typed(reading, output);
    boolean kept =
        files.act(
            ref,
            person,
            file -> (Boolean) bench.record(file, check(file, id), typed, seen, requestKey));
    return card(kept && back.equals(FINDER) ? FINDER : id);
  }

  @PostMapping("/jobs/{ref}/bench/mended")
  String mended(@PathVariable String ref, @RequestParam String fault, Person person) {
    files.change(ref, person, file -> repairs.mend(file, fault));
    return card(FINDER);
  }

  /** One word for each lamp or wheel of a round, or one figure for each circuit. */
  @PostMapping("/jobs/{ref}/bench/round")
  String round(@PathVariable String ref, @RequestParam Map<String, String> typed, Person person) {
    return files.act(ref, person, file -> record(file, typed));
  }

  /** Words and figures that were changed and not recorded yet. */
  @PostMapping("/jobs/{ref}/bench/round/draft")
  String roundDraft(
      @PathVariable String ref, @RequestParam Map<String, String> typed, Person person) {
    return files.act(ref, person, file -> draft(file, typed));
  }

  private String record(JobFile file, Map<String, String> typed) {
    List<Said> words = Said.all(file, typed);
    boolean kept = true;
    for (Said said : words) {
      kept &=
          said.atOnce()
              ? bench.recordAtOnce(file, said.check(), said.word(), said.seen(), said.key())
              : bench.record(file, said.check(), said.word(), said.seen(), said.key());
    }
    String back = typed.getOrDefault("back", "");
    if (kept && !words.isEmpty() && back.equals(FINDER)) {
      return card(FINDER);
    }
    return back(back, round(typed, words)) + (words.isEmpty() ? "&nothing=yes" : "");
  }

  private static String round(Map<String, String> typed, List<Said> said) {
    return typed.getOrDefault("round", said.isEmpty() ? "" : said.get(0).check().round());
  }

  /** To what was being taken: on the finder's card, or in its place on the sheet. */
  static String back(String card, String round) {
    return card.equals(FINDER)
        ? card(FINDER) + "&start=" + UriUtils.encode(round, UTF_8)
        : card(round);
  }

  private String draft(JobFile file, Map<String, String> typed) {
    List<Said> words = Said.of(file, typed);
    words.stream()
        .filter(said -> !said.word().equals(CheckView.of(file, said.check()).word()))
        .forEach(said -> bench.draft(file, said.check(), said.word(), said.seen(), said.key()));
    return back(typed.getOrDefault("back", ""), round(typed, words));
  }

  /** A card by its name, whose plus signs and dots may stand in an address as they are not. */
  static String card(String card) {
    return "redirect:/jobs/{ref}/bench?card=" + UriUtils.encode(card, UTF_8);
  }

  @PostMapping("/jobs/{ref}/bench/{id}/draft")
  String draft(
      @PathVariable String ref,
      @PathVariable String id,
      @RequestParam(defaultValue = "") String reading,
      @RequestParam(defaultValue = "") String output,
      @RequestParam(defaultValue = "0") long seen,
      @RequestParam(defaultValue = "") String requestKey,
      Person person) {
    String typed = PartOutput.typed(reading, output);
    files.change(ref, person, file -> bench.draft(file, check(file, id), typed, seen, requestKey));
    return card(id);
  }

  static Check check(JobFile file, String id) {
    return file.work()
        .bench()
        .check(id)
        .orElseThrow(
            () ->
                new ResponseStatusException(
                    HttpStatus.NOT_FOUND, "This rig has no check called " + id));
  }
}
