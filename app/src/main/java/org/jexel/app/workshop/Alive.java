package org.jexel.app.workshop;

import java.sql.Connection;
import java.sql.SQLException;
import javax.sql.DataSource;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/**
 * Two questions of whoever watches over this server: does it run, and can it work? {@code ./run}
 * and a page that waits ask the second.
 */
@RestController
class Alive {
  private static final int PATIENCE_S = 2;

  private final DataSource database;
  private volatile boolean loaded;

  Alive(DataSource database) {
    this.database = database;
  }

  @EventListener(ApplicationReadyEvent.class)
  void loaded() {
    loaded = true;
  }

  /** Whether the process answers; asks nobody else. */
  @GetMapping("/alive")
  ResponseEntity<String> alive() {
    return answer(loaded, "alive", "loading");
  }

  /** Whether everything that a page needs is there: loaded, and the database answers now. */
  @GetMapping("/ready")
  ResponseEntity<String> ready() {
    return loaded
        ? answer(databaseAnswers(), "ready", "the database does not answer")
        : answer(false, "", "loading");
  }

  private boolean databaseAnswers() {
    try (Connection connection = database.getConnection()) {
      return connection.isValid(PATIENCE_S);
    } catch (SQLException away) {
      return false;
    }
  }

  private static ResponseEntity<String> answer(boolean good, String yes, String no) {
    return ResponseEntity.status(good ? HttpStatus.OK : HttpStatus.SERVICE_UNAVAILABLE)
        .header("Cache-Control", "no-store")
        .body(good ? yes : no);
  }
}
