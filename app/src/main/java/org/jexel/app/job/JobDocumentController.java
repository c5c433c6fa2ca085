package org.jexel.app.job;

import java.io.IOException;
import java.io.InputStream;
import java.util.Map;
import org.jexel.app.exchange.Unreadable;
import org.jexel.app.security.Person;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;

/** A job as a file to keep, and a page that takes one in. */
@Controller
class JobDocumentController {
  private final JobDocuments documents;

  JobDocumentController(JobDocuments documents) {
    this.documents = documents;
  }

  /**
   * What became of a file.
   *
   * @param page of the job; empty where none was begun
   * @param why not; empty where one was
   */
  record Told(String page, String why) {}

  @GetMapping("/jobs/{ref}/job.json")
  ResponseEntity<byte[]> file(@PathVariable String ref, Person person) {
    return JobDocumentApi.answer(ref, documents.write(ref, person));
  }

  @GetMapping("/jobs/file")
  ModelAndView page(Person person) {
    return page(person, "");
  }

  private static ModelAndView page(Person person, String problem) {
    return new ModelAndView(
        "job-file", Map.of("person", person, "units", person.units(), "problem", problem));
  }

  /** The file by itself, with no form around it: so large as a job may be. */
  @PostMapping(value = "/jobs/file", consumes = MediaType.APPLICATION_JSON_VALUE)
  @ResponseBody
  Told whole(InputStream file, Person person) throws IOException {
    try {
      String ref = documents.bring(JobDocumentApi.read(file), person).ref();
      return new Told("/jobs/" + ref + "/handover", "");
    } catch (Unreadable cannot) {
      return new Told("", String.valueOf(cannot.getMessage()));
    }
  }

  @PostMapping(value = "/jobs/file", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  ModelAndView bring(@RequestParam MultipartFile file, Person person) throws IOException {
    try {
      if (file.isEmpty()) {
        throw new Unreadable("Choose the file first: it ends in .job.json.");
      }
      return new ModelAndView(
          "redirect:/jobs/" + documents.bring(file.getBytes(), person).ref() + "/handover");
    } catch (Unreadable cannot) {
      ModelAndView again = page(person, String.valueOf(cannot.getMessage()));
      again.setStatus(HttpStatus.BAD_REQUEST);
      return again;
    }
  }
}
