package org.jexel.app.security;

import java.security.SecureRandom;
import java.util.HexFormat;

/**
 * The part of an address that nobody guesses: 160 bits, as figures and small letters, so that it is
 * typed by hand without a mistake.
 */
public final class Token {
  private static final int BYTES = 20;
  private static final SecureRandom DICE = new SecureRandom();

  private Token() {}

  public static String next() {
    byte[] token = new byte[BYTES];
    DICE.nextBytes(token);
    return HexFormat.of().formatHex(token);
  }
}
