package org.jexel.app.cab;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jexel.app.device.ControllerLink;
import org.jexel.app.drawing.TemplateDrawing;
import org.jexel.app.exchange.Pdf;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.job.Station;
import org.jexel.app.job.StationPages;
import org.jexel.app.rig.FigureCards;
import org.jexel.app.rig.RigCards;
import org.jexel.app.security.Person;
import org.jexel.core.cab.SupplyPlan;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.ModelAndView;
import org.thymeleaf.TemplateEngine;
import org.thymeleaf.context.Context;

/** Station 3: the controller in the vehicle. */
@Controller
class CabController {
  private static final List<String> NOTED = List.of("signal", "plug", "mounting", "panel", "power");

  private final JobFiles files;
  private final FigureCards figures;
  private final CabNotes notes;
  private final StationPages pages;
  private final TemplateEngine templates;
  private final Pdf pdf;
  private final ControllerLink link;

  CabController(
      JobFiles files,
      FigureCards figures,
      CabNotes notes,
      StationPages pages,
      TemplateEngine templates,
      Pdf pdf,
      ControllerLink link) {
    this.files = files;
    this.figures = figures;
    this.notes = notes;
    this.pages = pages;
    this.templates = templates;
    this.pdf = pdf;
    this.link = link;
  }

  /** A card of the station. */
  record Card(String id, String title, String told) {}

  @GetMapping("/jobs/{ref}/cab")
  ModelAndView cab(
      @PathVariable String ref, @RequestParam(defaultValue = "") String card, Person person) {
    JobFile file = files.open(ref, person);
    List<Card> cards = cards(file);
    String open = cards.stream().anyMatch(c -> c.id().equals(card)) ? card : "controller";
    Map<String, Object> view = new LinkedHashMap<>();
    view.put("cards", cards);
    view.put("facts", file.controllerFeed().orElse(null));
    Map<String, String> typed = NOTED.contains(open) ? notes.typed(file, open) : Map.of();
    switch (open) {
      case "supply" -> view.put("supply", SupplyPlan.of(file.rig(), file.harness()));
      case "signal" -> view.put("signal", SignalCard.of(file, typed));
      case "plug" -> view.put("plug", PlugCard.of(typed));
      case "mounting" -> view.put("mount", MountingCard.of(typed));
      case "power" -> view.put("power", PowerCard.of(file, typed, link));
      case "panel" -> {
        view.put("panel", PanelCard.of(typed));
        view.put("template", typed.getOrDefault("spindle", "").isBlank() ? null : ref);
      }
      default -> view.put("fields", figures.fields(RigCards.CONTROLLER, file));
    }
    return pages.page(file, Station.CAB, open, view);
  }

  private static List<Card> cards(JobFile file) {
    List<Card> cards = new ArrayList<>();
    cards.add(new Card("controller", "Controller and its scale", "kind, marks, loss"));
    cards.add(new Card("supply", "Supply and splices", "runs, breakers, colours"));
    cards.add(new Card("signal", "Stop signal", "which wire to take"));
    cards.add(new Card("plug", "Plug to plug", "two ends, cavity by cavity"));
    cards.add(new Card("mounting", "Mounting", "turn, pitch, roll"));
    cards.add(new Card("panel", "Panel work", "centre, drills, template"));
    cards.add(new Card("power", "First power-up", "on a simulated controller"));
    return cards;
  }

  @PostMapping("/jobs/{ref}/cab/{card}")
  String note(
      @PathVariable String ref,
      @PathVariable String card,
      @RequestParam Map<String, String> typed,
      Person person) {
    if (!NOTED.contains(card)) {
      throw new ResponseStatusException(HttpStatus.NOT_FOUND, "There is no card " + card);
    }
    notes.take(files.open(ref, person), card, typed);
    return "redirect:/jobs/{ref}/cab?card={card}";
  }

  private String drawing(String ref, Person person) {
    Map<String, String> typed = notes.typed(files.open(ref, person), "panel");
    try {
      Template t = Template.of(typed);
      return TemplateDrawing.draw(
          1000 * t.spindle(), 1000 * t.lamp(), 1000 * t.right(), 1000 * t.down());
    } catch (IllegalArgumentException e) {
      throw new ResponseStatusException(HttpStatus.BAD_REQUEST, e.getMessage(), e);
    }
  }

  @GetMapping("/jobs/{ref}/cab/template.svg")
  ResponseEntity<String> svg(@PathVariable String ref, Person person) {
    return ResponseEntity.ok()
        .contentType(MediaType.valueOf("image/svg+xml"))
        .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"" + ref + "-template.svg\"")
        .body(drawing(ref, person));
  }

  @GetMapping("/jobs/{ref}/cab/template.pdf")
  ResponseEntity<byte[]> paper(@PathVariable String ref, Person person) {
    Map<String, Object> model = Map.of("drawing", drawing(ref, person), "ref", ref);
    String page = templates.process("template-pdf", new Context(Locale.UK, model));
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_PDF)
        .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"" + ref + "-template.pdf\"")
        .body(pdf.render(page));
  }
}
