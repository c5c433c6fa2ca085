package org.jexel.app.workshop;

import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Says that everything is loaded; {@code ./run} waits for it. */
@RestController
class Alive {
  private volatile boolean ready;

  @EventListener(ApplicationReadyEvent.class)
  void ready() {
    ready = true;
  }

  @GetMapping("/alive")
  ResponseEntity<String> alive() {
    return ready ? ResponseEntity.ok("ready") : ResponseEntity.status(503).body("loading");
  }
}
