package org.jexel.app.drawing;

import static org.jexel.app.drawing.Palette.INK;

import org.jexel.app.job.JobFile;
import org.jexel.app.job.Station;
import org.jexel.core.rig.Rig;

/**
 * The Towline: this rig in plan and to scale, with the layer of one station painted on it. Its
 * parts lead to the cards where they are told.
 */
public final class Towline {
  private Towline() {}

  /**
   * @param card the open card; its part is marked
   */
  public static String draw(JobFile file, Station station, String card) {
    Rig rig = file.rig();
    PlanScale at = PlanScale.of(rig);
    Svg svg =
        new Svg(
            PlanScale.WIDTH,
            PlanScale.HEIGHT,
            "group",
            "%s and %s in plan, nose to the left"
                .formatted(file.job().tow().label(), file.job().trailer().label()));
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
    RigDrawing drawing = new RigDrawing(rig, at, svg);
    String job = "/jobs/" + file.job().ref();
    link(
        svg,
        job + "/rig?card=vehicle",
        "Tow vehicle",
        marked(
            card,
            "vehicle",
            "supply",
            "controller",
            "signal",
            "plug",
            "mounting",
            "panel",
            "power"));
    drawing.vehicle();
    svg.close();
    link(
        svg,
        job + "/rig?card=trailer",
        "Trailer",
        marked(card, "trailer", "axles", "connection", "lamps", "load", "scale"));
    drawing.trailer();
    svg.close();
    svg.text(
        at.x(-0.2),
        17,
        file.job().tow().label(),
        "class",
        "name",
        "text-anchor",
        "end",
        "font-size",
        14.0,
        "font-family",
        Palette.LABEL_FONT,
        "font-weight",
        600,
        "fill",
        INK);
    svg.text(
        at.x(0.2),
        17,
        file.job().trailer().label(),
        "class",
        "name",
        "font-size",
        14.0,
        "font-family",
        Palette.LABEL_FONT,
        "font-weight",
        600,
        "fill",
        INK);
    new TowlineLayers(file, at, svg, drawing).paint(station, card);
    return svg.finish();
  }

  private static void link(Svg svg, String href, String label, boolean marked) {
    svg.open(
        "a", "href", href, "aria-label", label, "class", marked ? "towpart marked" : "towpart");
  }

  private static boolean marked(String card, String... cards) {
    return java.util.List.of(cards).contains(card);
  }
}
