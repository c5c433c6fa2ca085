package org.jexel.app.exchange;

import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** By what something is known to be as it was: SHA-256, as hexadecimal digits. */
public final class Sha256 {
  private Sha256() {}

  public static String of(byte[] bytes) {
    return text(fresh().digest(bytes));
  }

  /** Takes what is too long to be held at once. */
  static MessageDigest fresh() {
    try {
      return MessageDigest.getInstance("SHA-256");
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }

  static String text(byte[] digest) {
    return HexFormat.of().formatHex(digest);
  }
}
