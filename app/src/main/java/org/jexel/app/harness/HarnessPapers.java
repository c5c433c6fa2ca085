package org.jexel.app.harness;

import java.time.Clock;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jexel.app.drawing.PlanDrawing;
import org.jexel.app.drawing.Shapes;
import org.jexel.app.exchange.Csv;
import org.jexel.app.exchange.Pdf;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.security.Person;
import org.jexel.core.connector.WireColour;
import org.jexel.core.harness.CutList;
import org.jexel.core.harness.Loom;
import org.jexel.core.harness.Materials;
import org.jexel.core.harness.Segment;
import org.jexel.core.harness.Step;
import org.jexel.core.harness.StudPlan;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.servlet.ModelAndView;

/** The harness on paper: the sheet as page and PDF, the drawing as SVG, the lists as CSV. */
@Controller
class HarnessPapers {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.UK);

  private final JobFiles files;
  private final Stock stock;
  private final Pdf pdf;
  private final Shapes shapes;
  private final Clock clock;

  HarnessPapers(JobFiles files, Stock stock, Pdf pdf, Shapes shapes, Clock clock) {
    this.files = files;
    this.stock = stock;
    this.pdf = pdf;
    this.shapes = shapes;
    this.clock = clock;
  }

  private Map<String, Object> sheet(JobFile file) {
    Map<String, Object> model = new HashMap<>();
    model.put("file", file);
    model.put("job", file.job());
    model.put("units", file.units());
    model.put("person", file.person());
    model.put("shapes", shapes);
    model.put("today", DAY.format(clock.instant().atZone(file.job().workshop().zone())));
    model.put("connector", file.rig().connector());
    model.put("plan", drawing(file));
    model.put("rows", HarnessPages.rows(file));
    model.put("walk", file.work().harness().crosswalk());
    model.put("kit", file.work().harness().kit());
    model.put("segments", Segment.values());
    model.put("studs", StudPlan.of(file.rig(), file.work().harness().plan()).studs());
    model.put("faces", HarnessPages.faces(file.rig().connector(), file.rig().convention()));
    model.put("holes", Loom.of(file.rig(), file.work().harness().plan()).holes());
    model.put("list", stock.cutList(file));
    model.put("materials", Materials.of(file.work().harness().scope(), file.units()));
    model.put("problems", file.work().harness().plan().problems());
    return model;
  }

  private static String drawing(JobFile file) {
    return PlanDrawing.draw(file.work().harness().scope(), PlanMoves.parts(file), file.units());
  }

  @GetMapping("/jobs/{ref}/harness/sheet")
  ModelAndView page(@PathVariable String ref, Person person) {
    return new ModelAndView("harness-sheet", sheet(files.open(ref, person)));
  }

  @GetMapping("/jobs/{ref}/harness.pdf")
  ResponseEntity<byte[]> paper(@PathVariable String ref, Person person) {
    Map<String, Object> model = sheet(files.open(ref, person));
    return pdf.answer("harness-pdf", model, ref + "-harness.pdf");
  }

  @GetMapping("/jobs/{ref}/harness.svg")
  ResponseEntity<String> svg(@PathVariable String ref, Person person) {
    return ResponseEntity.ok()
        .contentType(MediaType.valueOf("image/svg+xml"))
        .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"" + ref + "-harness.svg\"")
        .body(drawing(files.open(ref, person)));
  }

  @GetMapping("/jobs/{ref}/harness/cut-list.csv")
  ResponseEntity<byte[]> cutList(@PathVariable String ref, Person person) {
    CutList list = stock.cutList(files.open(ref, person));
    return Csv.answer(
        ref + "-cut-list",
        List.of("circuit", "from", "to", "size", "colour", "length_m"),
        list.pieces().stream()
            .map(
                piece ->
                    List.<Object>of(
                        piece.span().circuit(),
                        piece.span().from(),
                        piece.span().to(),
                        piece.span().size().label(),
                        piece.colour().map(WireColour::label).orElse(""),
                        String.format(Locale.ROOT, "%.2f", piece.length())))
            .toList());
  }

  @GetMapping("/jobs/{ref}/harness/materials.csv")
  ResponseEntity<byte[]> materials(@PathVariable String ref, Person person) {
    Materials materials =
        Materials.of(files.open(ref, person).work().harness().scope(), person.units());
    return Csv.answer(
        ref + "-materials",
        List.of("count", "what", "for"),
        materials.items().stream()
            .map(item -> List.<Object>of(item.count(), item.what(), item.why()))
            .toList());
  }

  /** Every step of the work, or each part of one, with who ticked it and when. */
  @GetMapping("/jobs/{ref}/steps.csv")
  ResponseEntity<byte[]> steps(@PathVariable String ref, Person person) {
    JobFile file = files.open(ref, person);
    List<List<Object>> rows = new ArrayList<>();
    Map<String, StepTick> ticked = new LinkedHashMap<>();
    HarnessRows.ticks(file).forEach(tick -> ticked.put(tick.step(), tick));
    for (Step step : file.work().harness().steps()) {
      for (String id : step.ticks()) {
        String part =
            step.items().stream()
                .filter(item -> item.id().equals(id))
                .map(Step.Item::words)
                .findFirst()
                .orElse("");
        rows.add(row(List.of(id, step.phase().label(), step.title(), part), ticked.remove(id)));
      }
    }
    ticked.forEach(
        (id, tick) -> rows.add(row(List.of(id, "", "not asked for any more", ""), tick)));
    return Csv.answer(
        ref + "-steps", List.of("step", "phase", "title", "part", "done", "who", "at"), rows);
  }

  private static List<Object> row(List<String> step, @Nullable StepTick tick) {
    List<Object> row = new ArrayList<>(step);
    row.addAll(
        tick == null
            ? List.of("", "", "")
            : List.of("done", tick.person().name(), tick.tickedAt().toString()));
    return row;
  }
}
