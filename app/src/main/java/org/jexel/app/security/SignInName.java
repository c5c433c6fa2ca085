package org.jexel.app.security;

import java.text.Normalizer;

/** Names that people sign in with, written in one way. */
final class SignInName {
  static final int LONGEST = 80;

  private SignInName() {}

  /**
   * A name as it is stored and looked up: composed letters, no blanks around it. Capitals and
   * accents are the database's matter: it holds that two names are one where they differ in these
   * alone.
   */
  static String of(String typed) {
    return Normalizer.normalize(typed, Normalizer.Form.NFKC).strip();
  }
}
