package org.jexel.app.photograph;

import java.io.IOException;
import java.time.Clock;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jexel.app.exchange.Darkroom;
import org.jexel.app.exchange.Unreadable;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.job.RequestKey;
import org.jexel.app.job.Waited;
import org.jexel.app.security.Person;
import org.jexel.core.job.Photo;
import org.jexel.core.report.PhotosTold;
import org.jexel.core.report.ReportWriter;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;

/** Photographs as they are taken in, and the page on which they get their captions. */
@Controller
class PhotographController {
  private final JobFiles files;
  private final Photographs photographs;
  private final Darkroom darkroom;
  private final Waited waited;
  private final Clock clock;

  PhotographController(
      JobFiles files, Photographs photographs, Darkroom darkroom, Waited waited, Clock clock) {
    this.clock = clock;
    this.files = files;
    this.photographs = photographs;
    this.darkroom = darkroom;
    this.waited = waited;
  }

  /**
   * A photograph on its page.
   *
   * @param of what it is
   * @param taken by whom and when
   * @param text in its field: its caption, or what somebody typed and nobody kept
   */
  record Shown(Photo photo, String of, String taken, String text) {}

  /** All of a job and of its trailer's care, or those of one subject. */
  @GetMapping("/jobs/{ref}/photographs")
  ModelAndView album(
      @PathVariable String ref,
      @RequestParam(defaultValue = "") String about,
      @RequestParam(defaultValue = "") String subject,
      Person person) {
    return page(files.open(ref, person), Of.named(about, subject), "", Map.of());
  }

  /**
   * @param typed captions that nobody kept, by the photograph's number
   */
  private ModelAndView page(
      JobFile file, @Nullable Of of, String problem, Map<Long, String> typed) {
    Map<String, Object> view = new LinkedHashMap<>();
    view.put("job", file.job());
    view.put("person", file.person());
    view.put("units", file.units());
    view.put("mayChange", file.person().role().mayChange());
    view.put("of", of);
    view.put(
        "back",
        of == null ? "/jobs/" + file.job().ref() + "/handover" : of.taken(file.job().ref()));
    view.put("prints", prints(file, of, typed));
    view.put("problem", problem);
    view.put("requestKey", UUID.randomUUID().toString());
    return new ModelAndView("photographs", view);
  }

  private List<Shown> prints(JobFile file, @Nullable Of of, Map<Long, String> typed) {
    ZoneId zone = file.job().workshop().zone();
    PhotosTold words = new PhotosTold(file.work(), at -> ReportWriter.moment(at, zone));
    return photographs.of(file).stream()
        .filter(photo -> of == null || of.holds(photo))
        .map(
            photo ->
                new Shown(
                    photo,
                    words.of(photo),
                    words.taken(photo),
                    typed.getOrDefault(photo.id(), photo.caption())))
        .toList();
  }

  /** One that waited on a phone for so many ms, be it that its turn had not come. */
  @PostMapping(value = "/jobs/{ref}/photographs", params = "ago")
  @ResponseBody
  Waited.Told sent(
      @PathVariable String ref,
      @RequestParam String about,
      @RequestParam(defaultValue = "") String subject,
      @RequestParam MultipartFile photo,
      @RequestParam String requestKey,
      @RequestParam long ago,
      Person person)
      throws IOException {
    Of of = Of.posted(about, subject);
    try {
      Darkroom.Picture developed = darkroom.develop(photo.getInputStream());
      return waited.take(
          ref,
          person,
          ago,
          (file, at) -> {
            photographs.keep(file, of, "", developed, at, requestKey);
            return Waited.Told.TAKEN;
          });
    } catch (Unreadable | Photographs.Full not) {
      return Waited.Told.not(String.valueOf(not.getMessage()));
    }
  }

  /** From a form that no script sends: as many as were chosen, all or none. */
  @PostMapping("/jobs/{ref}/photographs")
  ModelAndView posted(
      @PathVariable String ref,
      @RequestParam String about,
      @RequestParam(defaultValue = "") String subject,
      @RequestParam List<MultipartFile> photo,
      @RequestParam String requestKey,
      Person person)
      throws IOException {
    Of of = Of.posted(about, subject);
    try {
      Map<String, Darkroom.Picture> developed = new LinkedHashMap<>();
      for (MultipartFile chosen : photo) {
        Darkroom.Picture picture = darkroom.develop(chosen.getInputStream());
        developed.put(RequestKey.of(requestKey, picture.sha256()), picture);
      }
      files.change(
          ref,
          person,
          file ->
              developed.forEach(
                  (key, one) -> photographs.keep(file, of, "", one, clock.instant(), key)));
    } catch (Unreadable | Photographs.Full not) {
      ModelAndView again =
          page(files.open(ref, person), of, String.valueOf(not.getMessage()), Map.of());
      again.setStatus(HttpStatus.UNPROCESSABLE_ENTITY);
      return again;
    }
    return new ModelAndView("redirect:" + of.album(ref));
  }

  @PostMapping("/jobs/{ref}/photographs/{id}")
  ModelAndView caption(
      @PathVariable String ref,
      @PathVariable long id,
      @RequestParam(defaultValue = "") String caption,
      @RequestParam(defaultValue = "false") boolean away,
      @RequestParam String about,
      @RequestParam(defaultValue = "") String subject,
      @RequestParam String requestKey,
      Person person) {
    Of of = Of.posted(about, subject);
    String text = caption.strip();
    String problem =
        files.act(ref, person, file -> photographs.correct(file, id, text, !away, requestKey));
    if (problem.isEmpty()) {
      return new ModelAndView("redirect:" + of.album(ref));
    }
    ModelAndView again = page(files.open(ref, person), of, problem, Map.of(id, text));
    again.setStatus(HttpStatus.UNPROCESSABLE_ENTITY);
    return again;
  }
}
