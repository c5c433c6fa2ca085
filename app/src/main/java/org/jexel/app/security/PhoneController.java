package org.jexel.app.security;

import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** What a phone asks that was out of reach. */
@RestController
class PhoneController {
  static final String WORKER = "/worker.js";

  /**
   * Whoever is signed in on it, and the token that a post needs, which changes with each sign-in.
   */
  record Who(String signIn, String token) {}

  @GetMapping("/me/who")
  Who who(Person person, CsrfToken token) {
    return new Who(person.signIn(), token.getToken());
  }

  /** The worker that answers for the server; at the root, since it may answer for what is below. */
  @GetMapping(WORKER)
  ResponseEntity<Resource> worker() {
    return ResponseEntity.ok()
        .contentType(MediaType.valueOf("text/javascript"))
        .cacheControl(CacheControl.noCache())
        .body(new ClassPathResource("static/js/worker.js"));
  }
}
