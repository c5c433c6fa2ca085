package org.jexel.app.harness;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.security.Person;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** What can be done at the harness station. */
@Controller
class HarnessActs {
  private final JobFiles files;
  private final Steps steps;
  private final Colours colours;
  private final Stock stock;
  private final PlanMoves moves;
  private final OwnConnectors own;

  HarnessActs(
      JobFiles files,
      Steps steps,
      Colours colours,
      Stock stock,
      PlanMoves moves,
      OwnConnectors own) {
    this.files = files;
    this.steps = steps;
    this.colours = colours;
    this.stock = stock;
    this.moves = moves;
    this.own = own;
  }

  @PostMapping("/jobs/{ref}/harness/steps")
  String tick(
      @PathVariable String ref,
      @RequestParam String step,
      @RequestParam boolean done,
      Person person) {
    steps.tick(files.open(ref, person), step, done);
    return "redirect:/jobs/{ref}/harness?card=steps";
  }

  @PostMapping("/jobs/{ref}/harness/colours")
  String colours(@PathVariable String ref, @RequestParam Map<String, String> typed, Person person) {
    colours.take(files.open(ref, person), typed);
    return "redirect:/jobs/{ref}/harness?card=colours";
  }

  @PostMapping("/jobs/{ref}/harness/move")
  String move(
      @PathVariable String ref,
      @RequestParam String part,
      @RequestParam double x,
      @RequestParam double y,
      Person person) {
    moves.move(files.open(ref, person), part, x, y);
    return "redirect:/jobs/{ref}/harness?card=plan";
  }

  @PostMapping("/jobs/{ref}/harness/undo")
  String undo(@PathVariable String ref, Person person) {
    moves.undo(files.open(ref, person));
    return "redirect:/jobs/{ref}/harness?card=plan";
  }

  @PostMapping("/jobs/{ref}/harness/issue")
  String issue(
      @PathVariable String ref,
      @RequestParam boolean back,
      @RequestParam String requestKey,
      Person person) {
    JobFile file = files.open(ref, person);
    try {
      if (back) {
        stock.giveBack(file, requestKey);
      } else {
        stock.issue(file, requestKey);
      }
    } catch (OptimisticLockingFailureException together) {
      // Somebody else was at the same reel: the page shows the shelf as it is now.
      return "redirect:/jobs/{ref}/harness?card=lists&again=true";
    }
    return "redirect:/jobs/{ref}/harness?card=lists";
  }

  /** No pin list is longer; whatever follows is not even read. */
  private static String start(MultipartFile file) throws IOException {
    try (InputStream in = file.getInputStream()) {
      return new String(in.readNBytes(OwnConnectors.LONGEST), StandardCharsets.UTF_8);
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
    own.take(sent ? start(file) : pins, person);
    return "redirect:/jobs/{ref}/harness?card=faces";
  }
}
