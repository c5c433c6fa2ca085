package org.jexel.app.photograph;

import java.time.Duration;
import java.util.List;
import org.jexel.app.security.Person;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.server.ResponseStatusException;

/** Pictures by their hashes: what stands under one never changes, so a browser asks once. */
@Controller
class PictureController {
  private final PictureRepository pictures;

  PictureController(PictureRepository pictures) {
    this.pictures = pictures;
  }

  @GetMapping("/jobs/{ref}/pictures/{sha256}.jpg")
  ResponseEntity<byte[]> large(
      @PathVariable String ref, @PathVariable String sha256, Person person) {
    return answer(pictures.large(person.workshop().id(), ref, sha256));
  }

  @GetMapping("/jobs/{ref}/pictures/{sha256}-small.jpg")
  ResponseEntity<byte[]> small(
      @PathVariable String ref, @PathVariable String sha256, Person person) {
    return answer(pictures.small(person.workshop().id(), ref, sha256));
  }

  private static ResponseEntity<byte[]> answer(List<byte[]> found) {
    return found.stream()
        .findFirst()
        .map(
            jpeg ->
                ResponseEntity.ok()
                    .contentType(MediaType.IMAGE_JPEG)
                    .cacheControl(
                        CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable())
                    .body(jpeg))
        .orElseThrow(
            () -> new ResponseStatusException(HttpStatus.NOT_FOUND, "No picture of that hash"));
  }
}
