package org.jexel.core.connector;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** Colour of a conductor's insulation, with the letter code of IEC 60757 that labels its ends. */
public enum WireColour {
  WHITE("white", "WH"),
  BROWN("brown", "BN"),
  YELLOW("yellow", "YE"),
  GREEN("green", "GN"),
  RED("red", "RD"),
  PURPLE("purple", "VT"),
  BLUE("blue", "BU"),
  BLACK("black", "BK"),
  ORANGE("orange", "OG"),
  GREY("grey", "GY"),
  PINK("pink", "PK");

  private final String label;
  private final String code;

  WireColour(String label, String code) {
    this.label = label;
    this.code = code;
  }

  public String label() {
    return label;
  }

  public String code() {
    return code;
  }

  /** The colour of this name or code; empty for any other word. */
  public static Optional<WireColour> of(String word) {
    String plain = word.strip().toLowerCase(Locale.ROOT);
    String own =
        switch (plain) {
          case "gray" -> "grey";
          case "violet" -> "purple";
          default -> plain;
        };
    return Arrays.stream(values())
        .filter(colour -> colour.label.equals(own) || colour.code.equalsIgnoreCase(own))
        .findFirst();
  }
}
