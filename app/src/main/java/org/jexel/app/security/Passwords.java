package org.jexel.app.security;

import java.security.SecureRandom;
import org.jspecify.annotations.Nullable;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/** What a password is here, and first ones that nobody guesses. */
@Component
class Passwords {
  private static final int SHORTEST = 10;

  /** bcrypt looks at 72 bytes and no more. */
  private static final int MOST_BYTES = 72;

  /** No letters or digits that are taken for each other. */
  private static final String LETTERS = "abcdefghjkmnpqrstuvwxyz23456789";

  private static final int FIRST_LENGTH = 16;

  private final SecureRandom dice = new SecureRandom();
  private final PasswordEncoder encoder;

  Passwords(PasswordEncoder encoder) {
    this.encoder = encoder;
  }

  /** Why this cannot be a password, or null. */
  static @Nullable String problem(String password) {
    if (password.length() < SHORTEST) {
      return "A password has 10 characters or more.";
    }
    if (password.getBytes(java.nio.charset.StandardCharsets.UTF_8).length > MOST_BYTES) {
      return "A password has at most 72 plain letters; others count for two to four.";
    }
    return null;
  }

  /** A first password, to be told once: about 79 bits. */
  String first() {
    return random(FIRST_LENGTH);
  }

  /** A token of the programming interface: about 198 bits. */
  String token() {
    return random(40);
  }

  private String random(int length) {
    StringBuilder text = new StringBuilder();
    for (int i = 0; i < length; i++) {
      text.append(LETTERS.charAt(dice.nextInt(LETTERS.length())));
    }
    return text.toString();
  }

  String hash(String password) {
    return encoder.encode(password);
  }

  boolean right(Person person, String password) {
    return encoder.matches(password, person.passwordHash());
  }
}
