package org.jexel.app.drawing;

import static org.jexel.app.drawing.Palette.INK;

/**
 * Looks that drawings share: a class for the screen, and the same as presentation attributes for
 * paper. Widths in px.
 */
public final class Look {
  private Look() {}

  /** A line of the rig itself. */
  public static Object[] ink(double width) {
    return new Object[] {"class", "ink", "stroke", INK, "stroke-width", width};
  }

  /** A line of the work that is done on it. */
  public static Object[] work(double width) {
    return new Object[] {
      "class", "work", "fill", "none", "stroke", Palette.WORK, "stroke-width", width
    };
  }

  /** A device of any outline. */
  public static Object[] part(double width) {
    return new Object[] {
      "class", "part", "fill", Palette.PAPER, "stroke", INK, "stroke-width", width
    };
  }

  /** A device in a box with blunt corners. */
  public static Object[] box(double width) {
    return new Object[] {
      "rx", 1.5, "class", "part", "fill", Palette.PAPER, "stroke", INK, "stroke-width", width
    };
  }

  /** Sheet metal. */
  public static Object[] body(double width) {
    return new Object[] {
      "class", "body", "fill", Palette.METAL, "stroke", INK, "stroke-width", width
    };
  }

  /** What is black through and through. */
  public static Object[] solid() {
    return new Object[] {"class", "solid", "fill", INK};
  }
}
