package org.jexel.app.helper;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import org.jexel.app.exchange.QrCode;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.security.Person;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** The helper's phone, which nobody signs in on, and the card that opens and ends its page. */
@Controller
class HelperController {
  private static final String UNKNOWN =
      "No helper's page has this code now. Codes end with the work; ask for the new one.";

  private static final String SPENT = "Too many codes were tried from here. Wait a minute.";

  private final Helpers helpers;
  private final JobFiles files;

  HelperController(Helpers helpers, JobFiles files) {
    this.helpers = helpers;
    this.files = files;
  }

  @GetMapping("/h")
  Object ask(@RequestParam(defaultValue = "") String code, HttpServletRequest request) {
    if (code.isBlank()) {
      return page("helper-code", HttpStatus.OK, "");
    }
    Optional<HelperPage> found = helpers.find(code, request.getRemoteAddr());
    return found.isPresent() ? "redirect:/h/" + found.get().code() : none(request);
  }

  @GetMapping("/h/{code}")
  ModelAndView helper(@PathVariable String code, HttpServletRequest request) {
    Optional<HelperPage> page = helpers.find(code, request.getRemoteAddr());
    if (page.isEmpty()) {
      return none(request);
    }
    ModelAndView view = page("helper", HttpStatus.OK, "");
    view.addObject("hold", helpers.now(page.get()));
    view.addObject("code", page.get().code());
    view.addObject("title", page.get().job().title());
    return view;
  }

  private ModelAndView none(HttpServletRequest request) {
    return helpers.spent(request.getRemoteAddr())
        ? page("helper-code", HttpStatus.TOO_MANY_REQUESTS, SPENT)
        : page("helper-code", HttpStatus.NOT_FOUND, UNKNOWN);
  }

  private static ModelAndView page(String name, HttpStatus status, String problem) {
    ModelAndView view = new ModelAndView(name);
    view.setStatus(status);
    view.addObject("problem", problem);
    return view;
  }

  @GetMapping(path = "/h/{code}/events", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
  ResponseEntity<SseEmitter> events(@PathVariable String code, HttpServletRequest request) {
    // 204 tells an event source to stop asking.
    return helpers
        .find(code, request.getRemoteAddr())
        .map(
            page ->
                ResponseEntity.ok().header("X-Accel-Buffering", "no").body(helpers.follow(page)))
        .orElseGet(() -> ResponseEntity.noContent().build());
  }

  @GetMapping("/jobs/{ref}/helper.svg")
  ResponseEntity<String> code(@PathVariable String ref, Person person) {
    JobFile file = files.open(ref, person);
    return helpers
        .of(file)
        .map(
            page ->
                ResponseEntity.ok()
                    .contentType(MediaType.valueOf("image/svg+xml"))
                    .header("Cache-Control", "no-store")
                    .body(QrCode.svg(address(page.code()))))
        .orElseGet(() -> ResponseEntity.notFound().build());
  }

  private static String address(String code) {
    return ServletUriComponentsBuilder.fromCurrentContextPath().path("/h/" + code).toUriString();
  }

  @PostMapping("/jobs/{ref}/helper")
  String open(
      @PathVariable String ref, @RequestParam(defaultValue = "") String end, Person person) {
    JobFile file =
        files.act(
            ref,
            person,
            held -> {
              if (end.isBlank()) {
                helpers.open(held);
              } else {
                helpers.close(held);
              }
              return held;
            });
    helpers.hang(file);
    return "redirect:/jobs/{ref}/bench?card=helper";
  }

  @PostMapping("/jobs/{ref}/alone")
  String alone(
      @PathVariable String ref, @RequestParam(defaultValue = "") String alone, Person person) {
    files.change(ref, person, file -> files.alone(file, !alone.isBlank()));
    return "redirect:/jobs/{ref}/bench?card=helper";
  }
}
