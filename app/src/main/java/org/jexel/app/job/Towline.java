package org.jexel.app.job;

import static org.jexel.app.drawing.Palette.INK;

import java.util.List;
import org.jexel.app.drawing.Canvas;
import org.jexel.app.drawing.Palette;
import org.jexel.app.drawing.PlanScale;
import org.jexel.app.drawing.Svg;
import org.jexel.core.job.Station;
import org.springframework.stereotype.Component;

/**
 * The Towline: this rig in plan and to scale, with the layer of one station painted on it. Its
 * parts lead to the cards where they are told.
 */
@Component
public class Towline {
  /** Cards of every station that tell of the tow vehicle. */
  private static final List<String> VEHICLE =
      List.of("vehicle", "supply", "controller", "signal", "plug", "mounting", "panel", "power");

  private static final List<String> TRAILER =
      List.of("trailer", "axles", "connection", "lamps", "load", "scale");

  private final Rooms rooms;

  Towline(Rooms rooms) {
    this.rooms = rooms;
  }

  /**
   * @param looked at; the part of the open card is marked
   */
  public String draw(JobFile file, Station station, Looked looked) {
    String tow = file.job().tow().label();
    String trailer = file.job().trailer().label();
    Canvas canvas =
        Canvas.of(file.rig(), "%s and %s in plan, nose to the left".formatted(tow, trailer));
    PlanScale at = canvas.at();
    Svg svg = canvas.svg();
    svg.line(
        0,
        at.middle(),
        PlanScale.WIDTH,
        at.middle(),
        "class",
        "axis",
        "stroke",
        Palette.RULE,
        "stroke-width",
        1.0,
        "stroke-dasharray",
        "14 4 3 4");
    String rig = "/jobs/" + file.job().ref() + "/rig?card=";
    link(svg, rig + "vehicle", "Tow vehicle", VEHICLE.contains(looked.card()));
    canvas.vehicle().draw();
    svg.close();
    link(svg, rig + "trailer", "Trailer", TRAILER.contains(looked.card()));
    canvas.trailer().draw();
    svg.close();
    name(svg, at.x(-0.2), tow, "end");
    name(svg, at.x(0.2), trailer, "start");
    rooms.of(station).paint(file, looked, canvas);
    return svg.finish();
  }

  private static void name(Svg svg, double x, String words, String anchor) {
    svg.text(
        x,
        17,
        words,
        "class",
        "name",
        "text-anchor",
        anchor,
        "font-size",
        14.0,
        "font-family",
        Palette.LABEL_FONT,
        "font-weight",
        600,
        "fill",
        INK);
  }

  private static void link(Svg svg, String href, String label, boolean marked) {
    svg.open(
        "a", "href", href, "aria-label", label, "class", marked ? "towpart marked" : "towpart");
  }
}
