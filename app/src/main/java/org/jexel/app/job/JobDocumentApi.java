package org.jexel.app.job;

import io.swagger.v3.oas.annotations.Operation;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import org.jexel.app.exchange.JobDocument;
import org.jexel.app.exchange.Unreadable;
import org.jexel.app.security.Person;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.server.ResponseStatusException;

/** Whole jobs for programs: as one file, and from one. */
@RestController
class JobDocumentApi {
  static final int LONGEST = 128 << 20;

  private final JobDocuments documents;

  JobDocumentApi(JobDocuments documents) {
    this.documents = documents;
  }

  /**
   * @param ref of the job in this workshop
   * @param anew false if this very file had come before
   */
  record Taken(String ref, boolean anew) {}

  @Operation(
      summary =
          "The whole job as one file of the open format jexel-job: everything recorded, by whom and"
              + " when; the same job gives the same bytes")
  @GetMapping(value = "/api/jobs/{ref}/job.json", produces = MediaType.APPLICATION_JSON_VALUE)
  ResponseEntity<byte[]> file(@PathVariable String ref, Person person) {
    return answer(ref, documents.write(ref, person));
  }

  @Operation(
      summary =
          "Begins a job from a file of the open format jexel-job, whole or not at all; the same file"
              + " again gives the job that it began before")
  @PostMapping(value = "/api/jobs", consumes = MediaType.APPLICATION_JSON_VALUE)
  ResponseEntity<Taken> bring(InputStream file, Person person) throws IOException, Unreadable {
    JobDocuments.Brought brought = documents.bring(read(file), person);
    return ResponseEntity.status(brought.anew() ? HttpStatus.CREATED : HttpStatus.OK)
        .location(URI.create("/api/jobs/" + brought.ref() + "/job.json"))
        .body(new Taken(brought.ref(), brought.anew()));
  }

  @ExceptionHandler(Unreadable.class)
  ResponseEntity<SumApi.Refusal> refused(Unreadable e) {
    return SumApi.refusal(String.valueOf(e.getMessage()));
  }

  @ExceptionHandler(ResponseStatusException.class)
  ResponseEntity<SumApi.Refusal> refused(ResponseStatusException e) {
    return ResponseEntity.status(e.getStatusCode())
        .body(new SumApi.Refusal(String.valueOf(e.getReason())));
  }

  /** What is longer than any job is not read to its end. */
  static byte[] read(InputStream file) throws IOException {
    byte[] bytes = file.readNBytes(LONGEST + 1);
    if (bytes.length > LONGEST) {
      throw new ResponseStatusException(
          HttpStatus.PAYLOAD_TOO_LARGE, "A job file has at most 128 MB.");
    }
    return bytes;
  }

  static ResponseEntity<byte[]> answer(String ref, byte[] file) {
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_JSON)
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + ref + ".job.json\"")
        .header(HttpHeaders.LINK, "<" + JobDocument.SCHEMA + ">; rel=\"describedby\"")
        .body(file);
  }
}
