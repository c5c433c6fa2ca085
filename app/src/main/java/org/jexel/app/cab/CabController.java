package org.jexel.app.cab;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jexel.app.device.ControllerLink;
import org.jexel.app.drawing.TemplateDrawing;
import org.jexel.app.entry.FieldViews;
import org.jexel.app.entry.RigCards;
import org.jexel.app.exchange.Pdf;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.job.StationPages;
import org.jexel.app.library.ControllerLibrary;
import org.jexel.app.security.Person;
import org.jexel.core.cab.Clearance;
import org.jexel.core.cab.ControllerModel;
import org.jexel.core.cab.Fitting;
import org.jexel.core.cab.SupplyPlan;
import org.jexel.core.job.Station;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.ControllerKind;
import org.jspecify.annotations.Nullable;
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

/** Station 3: the controller in the vehicle. */
@Controller
class CabController {
  private static final List<String> NOTED =
      List.of("supply", "signal", "plug", "mounting", "panel", "power");

  private final JobFiles files;
  private final CabNotes notes;
  private final CabModels models;
  private final ControllerLibrary library;
  private final StationPages pages;
  private final Pdf pdf;
  private final ControllerLink link;

  CabController(
      JobFiles files,
      CabNotes notes,
      CabModels models,
      ControllerLibrary library,
      StationPages pages,
      Pdf pdf,
      ControllerLink link) {
    this.files = files;
    this.notes = notes;
    this.models = models;
    this.library = library;
    this.pages = pages;
    this.pdf = pdf;
    this.link = link;
  }

  /**
   * A card of the station.
   *
   * @param verdict how its topic stands; null where nothing is judged
   * @param proved whether somebody found it so; else it is computed
   */
  record Card(String id, String title, String told, @Nullable Verdict verdict, boolean proved) {}

  @GetMapping("/jobs/{ref}/cab")
  ModelAndView cab(
      @PathVariable String ref, @RequestParam(defaultValue = "") String card, Person person) {
    JobFile file = files.open(ref, person);
    List<Card> cards = cards(file);
    String open = cards.stream().anyMatch(c -> c.id().equals(card)) ? card : "controller";
    Map<String, Object> view = new LinkedHashMap<>();
    view.put("cards", cards);
    view.put("facts", file.work().cab().feed().orElse(null));
    view.put("model", file.work().cab().model().orElse(null));
    view.put(
        "findings",
        file.work().cab().fitting().stream()
            .filter(f -> f.verdict() != Verdict.HOLDS && CabCards.of(f.topic()).equals(open))
            .toList());
    CabAsked asked = CabAsked.of(file, open);
    view.put("asked", asked);
    Map<String, String> typed = asked.fields();
    switch (open) {
      case "supply" -> {
        LeadsCard leads = LeadsCard.of(file.work().cab().model(), typed);
        view.put("leads", leads);
        view.put("supply", SupplyPlan.of(file.rig(), file.work().harness().plan(), leads.leads()));
      }
      case "signal" -> {
        view.put("signal", SignalCard.of(file.rig(), typed));
        view.put("takesSignal", kind(file).takesStopSignal());
      }
      case "plug" -> view.put("plug", CabFound.plug(file.work().cab().model(), typed));
      case "mounting" -> {
        view.put("mount", CabFound.mounting(file.work().cab().model(), typed));
        view.put("places", Clearance.of(kind(file)));
      }
      case "power" -> view.put("power", PowerCard.of(file, typed, link));
      case "panel" -> view.put("panel", PanelCard.of(typed, file.units()));
      default -> {
        view.put("library", library.all(person));
        view.put("fields", FieldViews.of(RigCards.CONTROLLER, file));
      }
    }
    return pages.page(file, Station.CAB, open, view);
  }

  private static ControllerKind kind(JobFile file) {
    return file.rig().controllerKind();
  }

  private static List<Card> cards(JobFile file) {
    Map<String, Verdict> stands = new HashMap<>();
    Set<String> proved = new HashSet<>();
    List<Fitting.Finding> findings = file.work().cab().fitting();
    for (Fitting.Topic topic : Fitting.Topic.values()) {
      String card = CabCards.of(topic);
      Fitting.stands(findings, topic).ifPresent(verdict -> stands.put(card, verdict));
      if (Fitting.proved(findings, topic)) {
        proved.add(card);
      }
    }
    List<Card> cards = new ArrayList<>();
    String model =
        file.work().cab().model().map(ControllerModel::label).orElse("kind, scale, breaker");
    for (String[] c :
        new String[][] {
          {"controller", "Controller and its scale", model},
          {"supply", "Supply and splices", "runs, breakers, colours"},
          {"signal", "Stop signal", "which wire to take"},
          {"plug", "Plug to plug", "two ends, cavity by cavity"},
          {"mounting", "Mounting", "turn, pitch, roll, what stays clear"},
          {"panel", "Panel work", "centre, drills, template"},
          {"power", "First power-up", "on a simulated controller"}
        }) {
      cards.add(new Card(c[0], c[1], c[2], stands.get(c[0]), proved.contains(c[0])));
    }
    return cards;
  }

  @PostMapping("/jobs/{ref}/cab/model")
  String model(@PathVariable String ref, @RequestParam long model, Person person) {
    files.change(ref, person, file -> models.take(file, model));
    return "redirect:/jobs/{ref}/cab?card=controller";
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
    Map<String, String> kept =
        card.equals("panel") ? PanelCard.withUnits(typed, person.units()) : typed;
    files.change(ref, person, file -> notes.take(file, card, kept));
    return "redirect:/jobs/{ref}/cab?card={card}";
  }

  private String drawing(String ref, Person person) {
    Map<String, String> typed = CabRows.typed(files.open(ref, person), "panel");
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
    return pdf.answer("template-pdf", model, ref + "-template.pdf");
  }
}
