package org.jexel.app.drawing;

import java.io.StringWriter;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import org.jexel.core.quantity.CleanText;

/**
 * Writes an SVG drawing. Looks are presentation attributes, so that paper and PDF show them too.
 */
public final class Svg {
  public static final String NAMESPACE = "http://www.w3.org/2000/svg";

  /** Looking the factory up takes longer than drawing. */
  private static final XMLOutputFactory WRITERS = XMLOutputFactory.newDefaultFactory();

  private final StringWriter text = new StringWriter();
  private final XMLStreamWriter xml;

  /**
   * @param role "img" for a picture, "group" for one with parts that can be picked
   */
  public Svg(double width, double height, String role, String label) {
    try {
      xml = WRITERS.createXMLStreamWriter(text);
      xml.writeStartElement("svg");
      xml.writeDefaultNamespace(NAMESPACE);
      attribute("viewBox", "0 0 " + n(width) + " " + n(height));
      attribute("role", role);
      attribute("aria-label", label);
    } catch (XMLStreamException e) {
      throw new IllegalStateException(e);
    }
  }

  public Svg open(String element, Object... attributes) {
    try {
      xml.writeStartElement(element);
      attributes(attributes);
      return this;
    } catch (XMLStreamException e) {
      throw new IllegalStateException(e);
    }
  }

  /** More attributes of the element that was opened last. */
  public Svg with(Object... attributes) {
    attributes(attributes);
    return this;
  }

  public Svg close() {
    try {
      xml.writeEndElement();
      return this;
    } catch (XMLStreamException e) {
      throw new IllegalStateException(e);
    }
  }

  /** What figures that contradict each other leave no room for is drawn without any. */
  public Svg rect(double x, double y, double width, double height, Object... more) {
    return open("rect", "x", x, "y", y, "width", Math.max(0, width), "height", Math.max(0, height))
        .more(more);
  }

  public Svg circle(double x, double y, double r, Object... more) {
    return open("circle", "cx", x, "cy", y, "r", r).more(more);
  }

  public Svg line(double x1, double y1, double x2, double y2, Object... more) {
    return open("line", "x1", x1, "y1", y1, "x2", x2, "y2", y2).more(more);
  }

  public Svg path(String d, Object... more) {
    return open("path", "d", d).more(more);
  }

  public Svg text(double x, double y, String words, Object... more) {
    try {
      open("text", "x", x, "y", y);
      attributes(more);
      xml.writeCharacters(CleanText.of(words).text());
      return close();
    } catch (XMLStreamException e) {
      throw new IllegalStateException(e);
    }
  }

  /** Words in the label type, at a size in px. */
  public Svg label(double x, double y, String words, String anchor, double size, String fill) {
    return text(
        x,
        y,
        words,
        "class",
        fill.equals(Palette.INK) ? "note" : "note coloured",
        "text-anchor",
        anchor,
        "font-size",
        size,
        "font-family",
        Palette.LABEL_FONT,
        "font-weight",
        600,
        "fill",
        fill);
  }

  private Svg more(Object... attributes) {
    attributes(attributes);
    return close();
  }

  private void attributes(Object... pairs) {
    for (int i = 0; i < pairs.length; i += 2) {
      Object value = pairs[i + 1];
      attribute((String) pairs[i], value instanceof Double d ? n(d) : String.valueOf(value));
    }
  }

  private void attribute(String name, String value) {
    try {
      xml.writeAttribute(name, CleanText.of(value).text());
    } catch (XMLStreamException e) {
      throw new IllegalStateException(e);
    }
  }

  /** A number as SVG wants it, to a tenth of a pixel. */
  public static String n(double value) {
    long tenths = Math.round(value * 10);
    long whole = tenths / 10;
    long rest = Math.abs(tenths % 10);
    String sign = tenths < 0 && whole == 0 ? "-" : "";
    return rest == 0 ? String.valueOf(whole) : sign + whole + "." + rest;
  }

  public String finish() {
    try {
      xml.writeEndElement();
      xml.flush();
      return text.toString();
    } catch (XMLStreamException e) {
      throw new IllegalStateException(e);
    }
  }
}
