package org.jexel.app.library;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jexel.app.drawing.CurveDrawing;
import org.jexel.app.exchange.ControllerFile;
import org.jexel.app.exchange.Unreadable;
import org.jexel.app.security.Person;
import org.jexel.core.cab.ControllerModel;
import org.jexel.core.quantity.CleanText;
import org.jexel.core.rig.ControllerKind;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;

/** The workshop's library of controller models. */
@Controller
class ControllersController {
  /** Bytes; past every length that the format itself allows, so that its own message says so. */
  private static final int LONGEST_FILE = 2_000_000;

  private static final List<ControllerKind> KINDS =
      List.of(ControllerKind.values()).stream().filter(k -> k != ControllerKind.NONE).toList();

  private final ControllerLibrary library;

  ControllersController(ControllerLibrary library) {
    this.library = library;
  }

  @GetMapping("/workshop/controllers")
  ModelAndView controllers(
      @RequestParam(defaultValue = "-1") long open,
      @RequestParam(defaultValue = "-1") int taken,
      Person person) {
    if (open < 0) {
      return page(person, -1, 0, null, taken < 0 ? "" : taken + " models taken.", "");
    }
    ControllerEntry entry = open == 0 ? null : library.entry(person, open);
    return page(
        person,
        open,
        entry == null ? 0 : entry.version(),
        entry == null || !entry.readable()
            ? ControllerForm.blank()
            : ControllerForm.of(entry.model()),
        "",
        "");
  }

  private ModelAndView page(
      Person person,
      long open,
      int version,
      @Nullable ControllerForm form,
      String said,
      String refused) {
    Map<String, Object> view = new LinkedHashMap<>();
    view.put("person", person);
    view.put("units", person.units());
    view.put("mayChange", person.role().mayChange());
    view.put("entries", library.all(person));
    view.put("kinds", KINDS);
    view.put("open", open);
    view.put("version", version);
    view.put("form", form);
    ControllerModel model = form == null ? null : form.model();
    boolean curved = model != null && model.curve().size() > 1;
    view.put("drawing", model != null && curved ? CurveDrawing.draw(model) : null);
    view.put("said", said);
    view.put("refused", refused);
    return new ModelAndView("controllers", view);
  }

  @PostMapping("/workshop/controllers")
  ModelAndView keep(
      @RequestParam long open,
      @RequestParam int version,
      @RequestParam Map<String, String> typed,
      Person person) {
    ControllerForm form = ControllerForm.read(typed);
    if (form.model() == null) {
      return page(person, open, version, form, "", "");
    }
    Optional<String> why;
    try {
      why = library.keep(person, open, version, form.model());
    } catch (DataIntegrityViolationException | OptimisticLockingFailureException together) {
      why = Optional.of("Somebody else changed this at the same moment. Open it anew.");
    }
    return why.isEmpty()
        ? new ModelAndView("redirect:/workshop/controllers")
        : page(
            person,
            open,
            version,
            new ControllerForm(typed, Map.of("label", why.get()), null),
            "",
            "");
  }

  @GetMapping("/workshop/controllers.json")
  ResponseEntity<String> file(Person person) {
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_JSON)
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"controllers.json\"")
        .header(HttpHeaders.LINK, "<" + ControllerFile.SCHEMA + ">; rel=\"describedby\"")
        .body(
            ControllerFile.write(
                library.all(person).stream()
                    .filter(ControllerEntry::readable)
                    .map(ControllerEntry::model)
                    .toList()));
  }

  @PostMapping("/workshop/controllers/file")
  ModelAndView take(@RequestParam(required = false) MultipartFile file, Person person)
      throws IOException {
    if (file == null || file.isEmpty()) {
      return page(person, -1, 0, null, "", "Choose a file first.");
    }
    try (InputStream in = file.getInputStream()) {
      String text = new String(in.readNBytes(LONGEST_FILE), StandardCharsets.UTF_8);
      int taken = library.take(person, CleanText.of(text).text());
      return new ModelAndView("redirect:/workshop/controllers?taken=" + taken);
    } catch (Unreadable e) {
      return page(person, -1, 0, null, "", e.getMessage() + " Nothing was taken.");
    }
  }
}
