package org.jexel.app.job;

import java.nio.charset.StandardCharsets;
import java.util.UUID;

/** The key by which a repeated post is known: its own for each form that was shown. */
public final class RequestKey {
  private static final int LONGEST = 40;

  private RequestKey() {}

  /**
   * The key as it is stored. One that is too long, or holds anything but plain letters, stands for
   * itself by its hash; an empty one is nobody's repetition.
   */
  public static String of(String posted) {
    if (posted.isBlank()) {
      return UUID.randomUUID().toString();
    }
    return posted.length() <= LONGEST && posted.matches("[\\x21-\\x7e]+")
        ? posted
        : UUID.nameUUIDFromBytes(posted.getBytes(StandardCharsets.UTF_8)).toString();
  }

  /** One request that records several things has a key of its own for each. */
  public static String of(String posted, String part) {
    return of(posted.isBlank() ? "" : posted + " " + part);
  }
}
