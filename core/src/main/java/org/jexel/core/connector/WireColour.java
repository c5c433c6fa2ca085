package org.jexel.core.connector;

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
}
