package org.jexel.app.security;

import java.io.Serial;
import java.time.Duration;
import org.springframework.security.core.AuthenticationException;

/** A try to sign in that came too soon after others; the password was not looked at. */
class TooManyTries extends AuthenticationException {
  @Serial private static final long serialVersionUID = 1L;

  private final long seconds;

  TooManyTries(Duration wait) {
    super("too many tries");
    this.seconds = wait.plusMillis(999).toSeconds();
  }

  long seconds() {
    return seconds;
  }
}
