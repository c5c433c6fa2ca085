package org.jexel.app.drawing;

import static org.jexel.app.drawing.Palette.INK;

import java.util.Locale;
import java.util.Map;
import org.jexel.core.connector.Connector;
import org.jexel.core.connector.Convention;
import org.jexel.core.connector.Face;
import org.jexel.core.connector.Pin;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.connector.WireColour;

/** A connector as the person holding it sees it. */
public final class FaceDrawing {
  private static final double SIZE = 300;
  private static final double ROUND = 120;

  /** Room for a word on either side of a round shell. */
  private static final double BESIDE = 75;

  /** A lead of the meter. */
  public enum Lead {
    RED,
    BLACK
  }

  private FaceDrawing() {}

  /** Every contact with what it is for and the colour of its wire. */
  public static String draw(Connector connector, Convention convention, Face.View view) {
    return draw(connector, convention, view, Map.of());
  }

  /**
   * The contacts by number and colour, with a meter's leads on some of them: these alone have
   * words.
   *
   * @param leads by the pin that they are on; without any, every contact has its words
   */
  public static String draw(
      Connector connector, Convention convention, Face.View view, Map<PinFunction, Lead> leads) {
    Face face = Face.of(connector, view);
    boolean inLine = face.inLine();
    double height = inLine ? 130 : SIZE;
    // Words of the leads stand beside a round shell and below a flat one.
    double width = SIZE + (inLine || leads.isEmpty() ? 0 : 2 * BESIDE);
    double centre = width / 2;
    Svg svg = new Svg(width, height, "img", "%s, %s".formatted(connector.label(), view.label()));
    double middle = height / 2;
    Object[] shell = Look.body(2.4);
    if (inLine) {
      svg.rect(6, middle - 36, SIZE - 12, 72, "rx", 10.0, "class", "body", "fill", Palette.METAL)
          .rect(
              6,
              middle - 36,
              SIZE - 12,
              72,
              "rx",
              10.0,
              "class",
              "ink",
              "fill",
              "none",
              "stroke",
              INK,
              "stroke-width",
              2.4);
    } else {
      svg.circle(centre, middle, ROUND + 22, shell);
      // The key is up on the socket's face and stays up: left and right change, not up and down.
      svg.rect(centre - 12, middle - ROUND - 26, 24, 12, Look.solid());
    }
    for (Face.Contact contact : face.contacts()) {
      double x = centre + contact.x() * (inLine ? SIZE / 2 - 14 : ROUND + 10);
      double y = middle + contact.y() * (ROUND + 10);
      double r = inLine ? 15 : leads.isEmpty() ? 20 : 25;
      contact(svg, contact.pin(), convention, x, y, r);
      Lead lead = leads.get(contact.pin().function());
      if (leads.isEmpty()) {
        String code =
            convention.colour(contact.pin().function()).map(c -> " " + c.code()).orElse("");
        svg.label(x, y + r + 15, contact.pin().function().label() + code, "middle", 15, INK);
      } else if (lead != null) {
        ring(svg, x, y, r + 6, lead);
        if (inLine) {
          below(svg, x, y, lead);
        } else {
          beside(svg, x, y, centre, lead);
        }
      }
    }
    return svg.finish();
  }

  private static String colour(Lead lead) {
    return lead == Lead.RED ? Palette.RED_LEAD : INK;
  }

  private static void ring(Svg svg, double x, double y, double r, Lead lead) {
    Object[] gap = {"class", "gap", "fill", "none", "stroke", Palette.PAPER, "stroke-width", 8.0};
    svg.circle(x, y, r - 3, gap);
    Object[] ring = {"class", "ring", "fill", "none", "stroke", colour(lead), "stroke-width", 6.0};
    svg.circle(x, y, r + 2, ring);
  }

  /** A word below a flat shell, so that the lead is known without its colour. */
  private static void below(Svg svg, double x, double y, Lead lead) {
    svg.label(x, y + 60, word(lead), "middle", 30, colour(lead));
  }

  /** The same beside a round shell, on the pin's own side. */
  private static void beside(Svg svg, double x, double y, double centre, Lead lead) {
    double way = x < centre ? -1 : 1;
    double at = centre + way * (ROUND + 30);
    Object[] line = {"class", "ink", "stroke", colour(lead), "stroke-width", 3.0};
    svg.line(x + way * 35, y, at, y, line);
    svg.label(at + way * 5, y + 10, word(lead), way > 0 ? "start" : "end", 30, colour(lead));
  }

  private static String word(Lead lead) {
    return lead.name().toLowerCase(Locale.ROOT);
  }

  private static void contact(
      Svg svg, Pin pin, Convention convention, double x, double y, double r) {
    WireColour colour = convention.colour(pin.function()).orElse(null);
    svg.circle(
        x,
        y,
        r,
        "class",
        "core",
        "fill",
        colour == null ? Palette.PAPER : Palette.wire(colour),
        "stroke",
        INK,
        "stroke-width",
        2.2);
    boolean dark =
        colour == WireColour.BLACK
            || colour == WireColour.BLUE
            || colour == WireColour.BROWN
            || colour == WireColour.PURPLE
            || colour == WireColour.RED
            || colour == WireColour.GREEN;
    double size = Math.max(15, r * 0.84);
    svg.text(
        x,
        y + size * 0.36,
        String.valueOf(pin.number()),
        "class",
        "pin",
        "text-anchor",
        "middle",
        "font-size",
        size,
        "font-weight",
        600,
        "fill",
        dark ? Palette.CLEAR_LENS : INK);
  }
}
