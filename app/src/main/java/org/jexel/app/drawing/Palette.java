package org.jexel.app.drawing;

import org.jexel.core.connector.WireColour;
import org.jexel.core.quantity.Verdict;

/** Colours of drawings. Wire colours belong to wires alone. */
final class Palette {
  static final String INK = "#20272B";
  static final String PAPER = "#F5F2EA";
  static final String RULE = "#CFC8B8";
  static final String WORK = "#1D5C63";
  static final String ACCENT = "#C8591B";
  static final String QUIET = "#5E655F";
  static final String METAL = "#E4DFD2";
  static final String RED_LEAD = "#A3261E";
  static final String RED_LENS = "#A3261E";
  static final String AMBER_LENS = "#C98A12";
  static final String CLEAR_LENS = "#FFFFFF";

  static final String LABEL_FONT = "Barlow Condensed";

  private Palette() {}

  static String wire(WireColour colour) {
    return switch (colour) {
      case WHITE -> "#FFFFFF";
      case BROWN -> "#7A4A21";
      case YELLOW -> "#F2C200";
      case GREEN -> "#2F8F3E";
      case RED -> "#D0281F";
      case PURPLE -> "#7B3FA0";
      case BLUE -> "#2A62C8";
      case BLACK -> "#000000";
      case ORANGE -> "#E8780C";
      case GREY -> "#8C9196";
      case PINK -> "#E79BB5";
    };
  }

  static String verdict(Verdict verdict) {
    return switch (verdict) {
      case NOT_YET -> INK;
      case HOLDS -> "#2B6A3C";
      case WATCH -> "#8A5A00";
      case FAILS -> RED_LENS;
    };
  }
}
