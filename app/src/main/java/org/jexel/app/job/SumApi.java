package org.jexel.app.job;

import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.annotation.ExceptionHandler;

/** Sums for programs, without a job: what is asked is looked at, and refused in one way. */
public abstract class SumApi {
  protected static <T> T given(@Nullable T value, String name) {
    if (value == null) {
      throw new IllegalArgumentException(name + ": it is missing");
    }
    return value;
  }

  protected static double within(String name, double value, double least, double most) {
    if (!(value >= least && value <= most)) {
      throw new IllegalArgumentException(
          "%s: %s is not plausible; from %s to %s".formatted(name, value, least, most));
    }
    return value;
  }

  /** What was asked for and cannot be, told to a program. */
  record Refusal(String error) {}

  @ExceptionHandler(IllegalArgumentException.class)
  ResponseEntity<Refusal> refused(IllegalArgumentException e) {
    return refusal(String.valueOf(e.getMessage()));
  }

  @ExceptionHandler(HttpMessageNotReadableException.class)
  ResponseEntity<Refusal> unread(HttpMessageNotReadableException e) {
    return refusal("This is no JSON of the expected shape.");
  }

  static ResponseEntity<Refusal> refusal(String why) {
    return ResponseEntity.badRequest()
        .contentType(MediaType.APPLICATION_JSON)
        .body(new Refusal(why));
  }
}
