package org.jexel.core.cab;

import org.jexel.core.quantity.Fraction;
import org.jexel.core.quantity.Verdict;
import org.jspecify.annotations.Nullable;

/**
 * The middle of a panel from its width, checked from both edges.
 *
 * @param width of the panel
 * @param centre from either edge: half the width, exactly
 * @param off how far a mark lies from the middle, towards the right edge; null before it is
 *     measured
 * @param gap what the two measured edges and the width disagree by; null before both are measured
 * @param verdict holds within 1/32 in, watch within 1/16, else fails; not yet without a mark
 */
public record PanelCentre(
    Fraction width,
    Fraction centre,
    @Nullable Fraction off,
    @Nullable Fraction gap,
    Verdict verdict) {
  private static final Fraction FINE = new Fraction(1, 32);
  private static final Fraction COARSE = new Fraction(1, 16);

  /**
   * @param left from the left edge to the mark; null if not measured
   * @param right from the right edge to the mark; null if not measured
   */
  public static PanelCentre of(Fraction width, @Nullable Fraction left, @Nullable Fraction right) {
    if (width.compareTo(Fraction.of(0)) <= 0) {
      throw new IllegalArgumentException("A panel is wider than nothing.");
    }
    Fraction centre = width.half();
    if (left == null || right == null) {
      return new PanelCentre(width, centre, null, null, Verdict.NOT_YET);
    }
    Fraction gap = left.plus(right).minus(width);
    Fraction off = left.minus(right).half();
    Verdict marked = within(off);
    return new PanelCentre(width, centre, off, gap, marked.and(within(gap)));
  }

  private static Verdict within(Fraction value) {
    Fraction size = value.compareTo(Fraction.of(0)) < 0 ? Fraction.of(0).minus(value) : value;
    return size.compareTo(FINE) <= 0
        ? Verdict.HOLDS
        : size.compareTo(COARSE) <= 0 ? Verdict.WATCH : Verdict.FAILS;
  }
}
