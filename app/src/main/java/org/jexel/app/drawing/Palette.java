package org.jexel.app.drawing;

import org.jexel.core.connector.WireColour;
import org.jexel.core.quantity.Verdict;

/** Colours of drawings. Wire colours belong to wires alone. */
public final class Palette {
  public static final String INK = "#20272B";
  public static final String PAPER = "#F5F2EA";
  public static final String RULE = "#CFC8B8";
  public static final String WORK = "#1D5C63";
  public static final String ACCENT = "#C8591B";
  public static final String QUIET = "#5E655F";
  public static final String METAL = "#E4DFD2";
  public static final String RED_LEAD = "#A3261E";
  public static final String RED_LENS = "#A3261E";
  public static final String AMBER_LENS = "#C98A12";
  public static final String CLEAR_LENS = "#FFFFFF";

  public static final String LABEL_FONT = "Barlow Condensed";

  private Palette() {}

  public static String wire(WireColour colour) {
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

  public static String verdict(Verdict verdict) {
    return switch (verdict) {
      case NOT_YET -> INK;
      case HOLDS -> "#2B6A3C";
      case WATCH -> "#8A5A00";
      case FAILS -> RED_LENS;
    };
  }
}
