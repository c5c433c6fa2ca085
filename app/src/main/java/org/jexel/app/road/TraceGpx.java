package org.jexel.app.road;

import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.trace.Trace;
import org.jspecify.annotations.Nullable;

/**
 * The track of a GPX file: each point's own speed where all have one, else its places over time.
 * Entities and document types are not read at all.
 */
final class TraceGpx {
  private record Point(double lat, double lon, double seconds, double speed) {}

  private TraceGpx() {}

  static Trace read(InputStream in, int most) {
    XMLInputFactory readers = XMLInputFactory.newDefaultFactory();
    readers.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    readers.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    try {
      return speed(points(readers.createXMLStreamReader(in), most));
    } catch (XMLStreamException broken) {
      throw new IllegalArgumentException("This is no readable GPX.", broken);
    }
  }

  private static List<Point> points(XMLStreamReader xml, int most) throws XMLStreamException {
    List<Point> points = new ArrayList<>();
    while (xml.hasNext()) {
      int event = xml.next();
      if (event == XMLStreamConstants.DTD || event == XMLStreamConstants.ENTITY_REFERENCE) {
        throw new IllegalArgumentException("A GPX with a document type or entities is not read.");
      }
      if (event == XMLStreamConstants.START_ELEMENT && xml.getLocalName().equals("trkpt")) {
        Point point = point(xml);
        if (point != null && !(!points.isEmpty() && later(points) >= point.seconds)) {
          points.add(point);
        }
        if (points.size() > most) {
          throw new IllegalArgumentException(Phrase.of("More than %d points.", most));
        }
      }
    }
    return points;
  }

  private static double later(List<Point> points) {
    return points.get(points.size() - 1).seconds;
  }

  private static @Nullable Point point(XMLStreamReader xml) throws XMLStreamException {
    double lat = figure(xml.getAttributeValue(null, "lat"));
    double lon = figure(xml.getAttributeValue(null, "lon"));
    double seconds = Double.NaN;
    double speed = Double.NaN;
    while (xml.hasNext()) {
      int event = xml.next();
      if (event == XMLStreamConstants.END_ELEMENT && xml.getLocalName().equals("trkpt")) {
        break;
      }
      if (event == XMLStreamConstants.START_ELEMENT) {
        switch (xml.getLocalName()) {
          case "time" -> {
            Double at = TraceReader.moment(xml.getElementText().strip());
            seconds = at == null ? Double.NaN : at;
          }
          case "speed" -> speed = figure(xml.getElementText());
          default -> {}
        }
      }
    }
    return Double.isFinite(lat + lon + seconds) ? new Point(lat, lon, seconds, speed) : null;
  }

  private static double figure(@Nullable String text) {
    try {
      return text == null ? Double.NaN : Double.parseDouble(text.strip());
    } catch (NumberFormatException no) {
      return Double.NaN;
    }
  }

  private static Trace speed(List<Point> points) {
    if (points.isEmpty()) {
      throw new IllegalArgumentException("There is no track point with a time in it.");
    }
    double first = points.get(0).seconds;
    double[] seconds = points.stream().mapToDouble(point -> point.seconds - first).toArray();
    return points.stream().allMatch(point -> Double.isFinite(point.speed))
        ? Trace.ofSpeed(seconds, points.stream().mapToDouble(Point::speed).toArray())
        : Trace.ofPlaces(
            seconds,
            points.stream().mapToDouble(point -> Math.toRadians(point.lat)).toArray(),
            points.stream().mapToDouble(point -> Math.toRadians(point.lon)).toArray());
  }
}
