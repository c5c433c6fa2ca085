package org.jexel.app.drawing;

import static org.jexel.app.drawing.Palette.INK;

import org.jexel.core.connector.Connector;
import org.jexel.core.connector.Convention;
import org.jexel.core.connector.Face;
import org.jexel.core.connector.WireColour;

/** A connector as the person holding it sees it. */
public final class FaceDrawing {
  private static final double SIZE = 300;
  private static final double ROUND = 120;

  private FaceDrawing() {}

  public static String draw(Connector connector, Convention convention, Face.View view) {
    Face face = Face.of(connector, view);
    boolean inLine = face.inLine();
    double height = inLine ? 130 : SIZE;
    Svg svg = new Svg(SIZE, height, "img", "%s, %s".formatted(connector.label(), view.label()));
    double middle = height / 2;
    Object[] shell = {"class", "body", "fill", Palette.METAL, "stroke", INK, "stroke-width", 2.4};
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
      svg.circle(SIZE / 2, middle, ROUND + 22, shell);
      // The key is up on the socket's face and stays up: left and right change, not up and down.
      svg.rect(SIZE / 2 - 12, middle - ROUND - 26, 24, 12, "class", "solid", "fill", INK);
    }
    for (Face.Contact contact : face.contacts()) {
      double x = SIZE / 2 + contact.x() * (inLine ? SIZE / 2 - 14 : ROUND + 10);
      double y = middle + contact.y() * (ROUND + 10);
      contact(svg, contact, convention, x, y, inLine);
    }
    return svg.finish();
  }

  private static void contact(
      Svg svg, Face.Contact contact, Convention convention, double x, double y, boolean inLine) {
    WireColour colour = convention.colour(contact.pin().function()).orElse(null);
    double r = inLine ? 15 : 20;
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
    String number = String.valueOf(contact.pin().number());
    svg.text(
        x,
        y + 5.5,
        number,
        "class",
        "pin",
        "text-anchor",
        "middle",
        "font-size",
        15.0,
        "font-weight",
        600,
        "fill",
        dark ? "#FFFFFF" : INK);
    String code = colour == null ? "" : " " + colour.code();
    svg.label(x, y + r + 15, contact.pin().function().label() + code, "middle", 15, INK);
  }
}
