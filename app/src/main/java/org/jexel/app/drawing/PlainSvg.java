package org.jexel.app.drawing;

import java.io.StringReader;
import java.util.Set;
import java.util.regex.Pattern;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/**
 * Tells a drawing of this program from what a file may call one: a page sets it as it is, so it
 * holds shapes and words, and nothing that a browser would run, fetch or post.
 */
public final class PlainSvg {
  private static final Set<String> ELEMENTS =
      Set.of(
          "svg",
          "g",
          "a",
          "title",
          "desc",
          "line",
          "path",
          "rect",
          "circle",
          "ellipse",
          "polygon",
          "polyline",
          "text",
          "tspan");

  private static final Set<Integer> EVENTS =
      Set.of(
          XMLStreamConstants.START_DOCUMENT,
          XMLStreamConstants.START_ELEMENT,
          XMLStreamConstants.CHARACTERS,
          XMLStreamConstants.END_ELEMENT,
          XMLStreamConstants.END_DOCUMENT);

  private static final Pattern OWN_PAGE = Pattern.compile("/jobs/\\w+/[^:\\\\]*");
  private static final Pattern LINK = Pattern.compile("</?a\\b[^>]*>");

  private PlainSvg() {}

  public static boolean is(String text) {
    XMLInputFactory readers = XMLInputFactory.newDefaultFactory();
    readers.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    readers.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    try {
      XMLStreamReader xml = readers.createXMLStreamReader(new StringReader(text));
      boolean plain = true;
      while (plain && xml.hasNext()) {
        int event = xml.next();
        plain = EVENTS.contains(event) && (event != XMLStreamConstants.START_ELEMENT || plain(xml));
      }
      return plain;
    } catch (XMLStreamException broken) {
      return false;
    }
  }

  private static boolean plain(XMLStreamReader xml) {
    if (!ELEMENTS.contains(xml.getLocalName()) || !Svg.NAMESPACE.equals(xml.getNamespaceURI())) {
      return false;
    }
    for (int i = 0; i < xml.getAttributeCount(); i++) {
      String name = xml.getAttributeLocalName(i);
      String value = xml.getAttributeValue(i);
      boolean runs = name.startsWith("on") || name.equals("style") || value.contains("url(");
      boolean leads = name.equals("href") && !OWN_PAGE.matcher(value).matches();
      if (runs || leads || xml.getAttributeNamespace(i) != null) {
        return false;
      }
    }
    return true;
  }

  /** The same picture, of which no part leads anywhere. */
  public static String withoutLinks(String drawing) {
    return LINK.matcher(drawing).replaceAll("");
  }
}
