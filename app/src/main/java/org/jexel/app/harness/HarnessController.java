package org.jexel.app.harness;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.jexel.app.job.JobFiles;
import org.jexel.app.security.Person;
import org.jexel.core.quantity.CleanText;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;

/** Station 2: the harness. */
@Controller
class HarnessController {
  private final JobFiles files;
  private final HarnessPages pages;
  private final Steps steps;
  private final Colours colours;
  private final Stock stock;
  private final PlanMoves moves;
  private final OwnConnectors own;

  HarnessController(
      JobFiles files,
      HarnessPages pages,
      Steps steps,
      Colours colours,
      Stock stock,
      PlanMoves moves,
      OwnConnectors own) {
    this.files = files;
    this.pages = pages;
    this.steps = steps;
    this.colours = colours;
    this.stock = stock;
    this.moves = moves;
    this.own = own;
  }

  @GetMapping("/jobs/{ref}/harness")
  ModelAndView harness(
      @PathVariable String ref,
      @RequestParam(defaultValue = "") String card,
      @RequestParam(defaultValue = "false") boolean again,
      @RequestParam(defaultValue = "") List<String> state,
      @RequestParam(defaultValue = "") String fault,
      Person person) {
    return pages.page(files.open(ref, person), new HarnessPages.Asked(card, again, state, fault));
  }

  @PostMapping("/jobs/{ref}/harness/steps")
  String tick(
      @PathVariable String ref,
      @RequestParam String step,
      @RequestParam boolean done,
      Person person) {
    files.change(ref, person, file -> steps.tick(file, step, done));
    return "redirect:/jobs/{ref}/harness?card=steps";
  }

  @PostMapping("/jobs/{ref}/harness/colours")
  String colours(@PathVariable String ref, @RequestParam Map<String, String> typed, Person person) {
    files.change(ref, person, file -> colours.take(file, typed));
    return "redirect:/jobs/{ref}/harness?card=colours";
  }

  @PostMapping("/jobs/{ref}/harness/move")
  Object move(
      @PathVariable String ref,
      @RequestParam String part,
      @RequestParam double x,
      @RequestParam double y,
      @RequestHeader(name = "HX-Request", defaultValue = "false") boolean swaps,
      Person person) {
    files.change(ref, person, file -> moves.move(file, part, x, y));
    return plan(ref, swaps, person);
  }

  @PostMapping("/jobs/{ref}/harness/undo")
  Object undo(
      @PathVariable String ref,
      @RequestHeader(name = "HX-Request", defaultValue = "false") boolean swaps,
      Person person) {
    files.change(ref, person, moves::undo);
    return plan(ref, swaps, person);
  }

  /** The figures follow the hand: a page that swaps itself is answered without a second request. */
  private Object plan(String ref, boolean swaps, Person person) {
    return swaps
        ? pages.page(files.open(ref, person), HarnessPages.Asked.card("plan"))
        : "redirect:/jobs/{ref}/harness?card=plan";
  }

  @PostMapping("/jobs/{ref}/harness/issue")
  String issue(
      @PathVariable String ref,
      @RequestParam boolean back,
      @RequestParam String requestKey,
      Person person) {
    try {
      files.change(
          ref,
          person,
          file -> {
            if (back) {
              stock.giveBack(file, requestKey);
            } else {
              stock.issue(file, requestKey);
            }
          });
    } catch (OptimisticLockingFailureException together) {
      // Somebody else was at the same reel: the page shows the shelf as it is now.
      return "redirect:/jobs/{ref}/harness?card=lists&again=true";
    }
    return "redirect:/jobs/{ref}/harness?card=lists";
  }

  /** What is far too long is read so far only that its own message says so. */
  private static String start(MultipartFile file) throws IOException {
    try (InputStream in = file.getInputStream()) {
      return new String(in.readNBytes(8 * OwnConnectors.LONGEST), StandardCharsets.UTF_8);
    }
  }

  @PostMapping("/jobs/{ref}/harness/connector")
  String connector(
      @PathVariable String ref,
      @RequestParam(defaultValue = "") String pins,
      @RequestParam(required = false) MultipartFile file,
      Person person)
      throws IOException {
    files.open(ref, person);
    boolean sent = file != null && !file.isEmpty();
    own.take(sent ? CleanText.of(start(file)).text() : pins, person);
    return "redirect:/jobs/{ref}/harness?card=faces";
  }
}
