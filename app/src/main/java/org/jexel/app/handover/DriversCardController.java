package org.jexel.app.handover;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jexel.app.exchange.Pdf;
import org.jexel.app.exchange.QrCode;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.security.Person;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** The driver's card: for whoever works on the job, on paper, and behind a code for the driver. */
@Controller
class DriversCardController {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.UK);

  private final JobFiles files;
  private final DriversLinks links;
  private final Pdf pdf;
  private final Clock clock;

  DriversCardController(JobFiles files, DriversLinks links, Pdf pdf, Clock clock) {
    this.files = files;
    this.links = links;
    this.pdf = pdf;
    this.clock = clock;
  }

  @GetMapping("/jobs/{ref}/driver")
  ModelAndView page(@PathVariable String ref, Person person) {
    JobFile file = files.open(ref, person);
    Map<String, Object> model = card(file);
    model.put("person", person);
    model.put("mayChange", person.role().mayChange());
    return new ModelAndView("driver", model);
  }

  @GetMapping("/jobs/{ref}/driver.pdf")
  ResponseEntity<byte[]> paper(@PathVariable String ref, Person person) {
    return pdf.answer("driver-pdf", card(files.open(ref, person)), ref + "-driver.pdf");
  }

  @PostMapping("/jobs/{ref}/driver")
  String open(
      @PathVariable String ref, @RequestParam(defaultValue = "") String end, Person person) {
    files.change(
        ref,
        person,
        file -> {
          if (end.isBlank()) {
            links.open(file);
          } else {
            links.revoke(file);
          }
        });
    return "redirect:/jobs/{ref}/driver";
  }

  /** As a driver reads it, who signs in nowhere. */
  @GetMapping("/d/{token}")
  ModelAndView read(
      @PathVariable String token, HttpServletRequest request, HttpServletResponse response) {
    response.setHeader("X-Robots-Tag", "noindex, nofollow, noarchive");
    Optional<DriversLink> found = links.find(token, request.getRemoteAddr());
    if (found.isEmpty()) {
      ModelAndView none = new ModelAndView("driver-none");
      none.setStatus(
          links.spent(request.getRemoteAddr())
              ? HttpStatus.TOO_MANY_REQUESTS
              : HttpStatus.NOT_FOUND);
      return none;
    }
    DriversLink link = found.get();
    Map<String, Object> model = card(files.open(link.job().ref(), link.person()));
    return new ModelAndView("driver-read", model);
  }

  private Map<String, Object> card(JobFile file) {
    Map<String, Object> model = new HashMap<>();
    model.put("job", file.job());
    model.put("units", file.units());
    model.put("card", file.work().driversCard());
    model.put("list", file.work().care().list());
    model.put("today", DAY.format(clock.instant().atZone(file.job().workshop().zone())));
    Optional<DriversLink> link = links.of(file);
    model.put("link", link.orElse(null));
    String address = link.map(open -> address(open.token())).orElse("");
    model.put("address", address);
    model.put("code", address.isEmpty() ? "" : QrCode.svg(address));
    return model;
  }

  private static String address(String token) {
    return ServletUriComponentsBuilder.fromCurrentContextPath().path("/d/" + token).toUriString();
  }
}
