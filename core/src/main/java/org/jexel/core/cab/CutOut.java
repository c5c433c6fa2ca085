package org.jexel.core.cab;

import org.jexel.core.quantity.Fraction;
import org.jexel.core.quantity.UnitSystem;
import org.jspecify.annotations.Nullable;

/**
 * A rectangular cut-out set out from two edges of a panel, exactly. Its four lines, and as a
 * cross-check what is left to the far edges.
 *
 * @param left line, from the left edge
 * @param right line, from the left edge: left + width
 * @param top line, from the top edge
 * @param bottom line, from the top edge: top + height
 * @param leftOver from the right line to the panel's right edge; null where the panel's width is
 *     not known
 * @param corners drill for the corners: a saw turns in a hole, and a round corner does not tear
 */
public record CutOut(
    Fraction left,
    Fraction right,
    Fraction top,
    Fraction bottom,
    @Nullable Fraction leftOver,
    Drills.Drill corners) {
  /** Web that a panel needs between a cut-out and its edge. */
  private static final Fraction WEB_IN = new Fraction(3, 8);

  /** Radius of a corner that does not tear, m. */
  private static final double CORNER_M = 0.003;

  /**
   * @param panel width of the panel; null where it is not known
   * @param fromLeft from the left edge to the cut-out
   * @param fromTop from the top edge to the cut-out
   * @param units of the person who is told what is wrong
   * @throws IllegalArgumentException if it does not lie in the panel, with what is too much
   */
  public static CutOut of(
      @Nullable Fraction panel,
      Fraction width,
      Fraction height,
      Fraction fromLeft,
      Fraction fromTop,
      UnitSystem units) {
    Fraction none = Fraction.of(0);
    if (width.compareTo(none) <= 0 || height.compareTo(none) <= 0) {
      throw new IllegalArgumentException("A cut-out is wider and higher than nothing.");
    }
    if (fromLeft.compareTo(WEB_IN) < 0 || fromTop.compareTo(WEB_IN) < 0) {
      throw new IllegalArgumentException(
          "Leave at least " + WEB_IN.text(units) + " between it and an edge.");
    }
    Fraction right = fromLeft.plus(width);
    Fraction over = panel == null ? null : panel.minus(right);
    if (panel != null && over != null && over.compareTo(WEB_IN) < 0) {
      throw new IllegalArgumentException(
          "It ends %s from the left, and the panel is %s wide: leave at least %s."
              .formatted(right.text(units), panel.text(units), WEB_IN.text(units)));
    }
    return new CutOut(
        fromLeft, right, fromTop, fromTop.plus(height), over, Drills.nearest(2 * CORNER_M).get(0));
  }
}
