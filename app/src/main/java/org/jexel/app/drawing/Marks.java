package org.jexel.app.drawing;

import static org.jexel.app.drawing.Palette.INK;
import static org.jexel.app.drawing.Palette.WORK;
import static org.jexel.app.drawing.Svg.n;

import org.jexel.core.quantity.Verdict;

/** Verdict marks on the Towline, and points that lead to a card. */
public final class Marks {
  private static final double FOOT = 190;

  private final Svg svg;

  public Marks(Svg svg) {
    this.svg = svg;
  }

  /** Verdicts by shape and colour: disc, triangle, square, ring. */
  public void mark(double x, double y, Verdict verdict) {
    String colour = Palette.verdict(verdict);
    Object[] look = {"class", "mark", "fill", colour, "stroke", Palette.PAPER, "stroke-width", 2.0};
    switch (verdict) {
      case HOLDS -> svg.circle(x, y, 9, look);
      case WATCH -> svg.path("M%s %s l10 18 l-20 0 z".formatted(n(x), n(y - 11)), look);
      case FAILS -> svg.rect(x - 8.5, y - 8.5, 17, 17, look);
      case NOT_YET -> svg.circle(x, y, 7.5, Look.part(2.4));
      default -> throw new IllegalStateException(verdict.name());
    }
  }

  /** Two bars, on paper: nothing was read. */
  private void computed(double x, double y) {
    svg.circle(x, y, 10, "class", "mark", "fill", Palette.PAPER);
    String bars = "M%s %s h14 m-14 6.4 h14".formatted(n(x - 7), n(y - 3.2));
    svg.path(bars, "class", "work", "fill", "none", "stroke", WORK, "stroke-width", 3);
  }

  /** A marked point with two lines at the foot of the Towline, the whole of it a link. */
  public void point(
      double[] point, String href, String anchor, String label, String words, Verdict verdict) {
    point(point, point[0], href, anchor, label, words, verdict, true);
  }

  /**
   * @param foot where the lines stand, px
   * @param proved whether it was read or seen; else what would hold is marked as computed
   */
  public void point(
      double[] point,
      double foot,
      String href,
      String anchor,
      String label,
      String words,
      Verdict verdict,
      boolean proved) {
    boolean computed = !proved && verdict == Verdict.HOLDS;
    svg.open("a", "href", href, "class", "towpart", "aria-label", label + ", " + words);
    svg.path(
        "M%s %s L%s %s".formatted(n(point[0]), n(point[1]), n(foot), n(FOOT)),
        "class",
        "ink",
        "fill",
        "none",
        "stroke",
        INK,
        "stroke-width",
        0.9);
    if (computed) {
      computed(point[0], point[1]);
    } else {
      mark(point[0], point[1], verdict);
    }
    svg.label(foot, 211, label, anchor, 14, INK);
    svg.label(foot, 226, words, anchor, 14, computed ? WORK : Palette.verdict(verdict));
    svg.close();
  }
}
