package org.jexel.app.care;

import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jexel.app.job.Job;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.security.Person;
import org.jexel.core.care.CareDue;
import org.jexel.core.care.CarePlan;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Calendars of what is due, for programs that sign in nowhere. */
@Controller
class CalendarController {
  private static final MediaType CALENDAR =
      new MediaType("text", "calendar", StandardCharsets.UTF_8);

  private final JobFiles files;
  private final CareService service;
  private final CareDueRepository due;
  private final CalendarLinks links;
  private final Clock clock;

  CalendarController(
      JobFiles files,
      CareService service,
      CareDueRepository due,
      CalendarLinks links,
      Clock clock) {
    this.files = files;
    this.service = service;
    this.due = due;
    this.links = links;
    this.clock = clock;
  }

  @PostMapping("/jobs/{ref}/calendar")
  String ofTrailer(
      @PathVariable String ref, @RequestParam(defaultValue = "") String end, Person person) {
    files.change(ref, person, file -> change(person, file.job(), !end.isBlank()));
    return "redirect:/jobs/{ref}/care";
  }

  @PostMapping("/workshop/calendar")
  String ofWorkshop(@RequestParam(defaultValue = "") String end, Person person) {
    change(person, null, !end.isBlank());
    return "redirect:/workshop/care";
  }

  private void change(Person person, @Nullable Job job, boolean end) {
    if (end) {
      links.end(person, job);
    } else {
      links.make(person, job);
    }
  }

  @GetMapping("/c/{token}.ics")
  ResponseEntity<byte[]> read(@PathVariable String token, HttpServletRequest request) {
    Optional<CalendarLink> found = links.find(token, request.getRemoteAddr());
    if (found.isEmpty()) {
      boolean spent = links.spent(request.getRemoteAddr());
      return ResponseEntity.status(spent ? HttpStatus.TOO_MANY_REQUESTS : HttpStatus.NOT_FOUND)
          .build();
    }
    CalendarLink link = found.get();
    Instant now = clock.instant();
    LocalDate today = LocalDate.ofInstant(now, link.person().workshop().zone());
    String text =
        link.job().isPresent()
            ? trailer(files.open(link.job().get().ref(), link.person()), today, now)
            : workshop(link.person(), today, now);
    return ResponseEntity.ok()
        .contentType(CALENDAR)
        .header("X-Robots-Tag", "noindex, nofollow, noarchive")
        .body(text.getBytes(StandardCharsets.UTF_8));
  }

  private String trailer(JobFile file, LocalDate today, Instant now) {
    String trailer = file.job().trailer().label();
    List<CareCalendar.Entry> entries =
        service.plan(file, service.kept(file).book()).lines().stream()
            .filter(line -> line.due().isPresent())
            .map(line -> entry(file, line, line.due().get(), today))
            .toList();
    return CareCalendar.text(trailer + ", care", entries, today, now);
  }

  private static CareCalendar.Entry entry(
      JobFile file, CarePlan.Line line, CareDue due, LocalDate today) {
    return new CareCalendar.Entry(
        "care-" + file.job().trailer().id() + "-" + line.part().name() + "@jexel",
        CareService.day(line, today),
        line.part().label() + ": " + file.job().trailer().label(),
        "Due " + due.words(file.units()) + ". " + line.how().how());
  }

  /** What is due first of each trailer. */
  private String workshop(Person person, LocalDate today, Instant now) {
    List<CareCalendar.Entry> entries =
        due.all(person.workshop().id()).stream()
            .map(
                one ->
                    new CareCalendar.Entry(
                        "care-" + one.trailer().id() + "@jexel",
                        one.day(),
                        "Care of " + one.trailer().label() + one.trailer().careWords(),
                        one.ref() + ", " + one.customer()))
            .toList();
    return CareCalendar.text(person.workshop().name() + ", care", entries, today, now);
  }
}
