package org.jexel.app.drawing;

import static org.jexel.app.drawing.Palette.INK;
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

  /** A marked point with two lines at the foot of the Towline, the whole of it a link. */
  public void point(
      double[] point, String href, String anchor, String label, String words, Verdict verdict) {
    point(point, point[0], href, anchor, label, words, verdict);
  }

  /**
   * @param foot where the lines stand, px
   */
  public void point(
      double[] point,
      double foot,
      String href,
      String anchor,
      String label,
      String words,
      Verdict verdict) {
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
    mark(point[0], point[1], verdict);
    svg.label(foot, 211, label, anchor, 14, INK);
    svg.label(foot, 226, words, anchor, 14, Palette.verdict(verdict));
    svg.close();
  }
}
