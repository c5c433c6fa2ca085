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
 * The track of a GPX file as speed over time: each point's own speed where all have one, else the
 * way between neighbours on a sphere by the haversine formula. Entities and document types are not
 * read at all.
 */
final class TraceGpx {
  private static final double EARTH_M = 6_371_000;

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
    boolean told = points.stream().allMatch(point -> Double.isFinite(point.speed));
    double[] seconds = new double[points.size()];
    double[] speed = new double[points.size()];
    for (int i = 0; i < seconds.length; i++) {
      Point point = points.get(i);
      seconds[i] = point.seconds - points.get(0).seconds;
      Point before = points.get(Math.max(0, i - 1));
      Point after = points.get(Math.min(seconds.length - 1, i + 1));
      speed[i] =
          told
              ? point.speed
              : (way(before, point) + way(point, after)) / (after.seconds - before.seconds);
    }
    return Trace.ofSpeed(seconds, speed);
  }

  private static double way(Point from, Point to) {
    double north = Math.toRadians(to.lat - from.lat);
    double east = Math.toRadians(to.lon - from.lon);
    double h =
        Math.pow(Math.sin(north / 2), 2)
            + Math.cos(Math.toRadians(from.lat))
                * Math.cos(Math.toRadians(to.lat))
                * Math.pow(Math.sin(east / 2), 2);
    return 2 * EARTH_M * Math.asin(Math.min(1, Math.sqrt(h)));
  }
}
