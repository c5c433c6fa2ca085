package org.jexel.app.breakaway;

import static org.jexel.app.drawing.Palette.INK;

import java.util.Optional;
import org.jexel.app.drawing.Look;
import org.jexel.app.drawing.Looms;
import org.jexel.app.drawing.Palette;
import org.jexel.app.drawing.Svg;
import org.jexel.core.connector.WireColour;
import org.jexel.core.harness.KitLead;
import org.jexel.core.harness.KitWiring;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.rig.BreakawayKit;

/**
 * The kit as a circuit: what lands at the trailer's box on the left, the battery on the right.
 * Leads in the colour that was seen, dashed while nobody looked.
 */
final class KitDrawing {
  private static final double WIDTH = 640;
  private static final double HEIGHT = 262;
  private static final double STUDS = 150;
  private static final double BATTERY = 540;
  private static final double CHARGE = 52;
  private static final double BRAKE = 128;
  private static final double EARTH = 204;
  private static final double SWITCH = 322;
  private static final double HALF_SWITCH = 34;
  private static final double JOINT = 450;
  private static final double FUSE = 236;
  private static final double DIODE = 330;
  private static final String UNSEEN = "6 5";

  private final KitWiring kit;
  private final Svg svg = new Svg(WIDTH, HEIGHT, "img", "The kit’s circuit, lead by lead");

  private KitDrawing(KitWiring kit) {
    this.kit = kit;
  }

  static String draw(KitWiring kit) {
    KitDrawing drawing = new KitDrawing(kit);
    drawing.charge();
    drawing.brakes();
    drawing.earth();
    drawing.battery();
    return drawing.svg.finish();
  }

  private Optional<KitWiring.Lead> lead(KitLead which) {
    return kit.leads().stream().filter(lead -> lead.lead() == which).findFirst();
  }

  private void charge() {
    lead(KitLead.CHARGE)
        .ifPresent(
            lead -> {
              strand(lead, STUDS, FUSE - 22, CHARGE);
              line(FUSE + 22, CHARGE, DIODE - 12, CHARGE);
              line(DIODE + 12, CHARGE, BATTERY, CHARGE);
              svg.rect(FUSE - 22, CHARGE - 9, 44, 18.0, Look.box(1.6));
              svg.label(FUSE, CHARGE - 16, "fuse", "middle", 14, INK);
              svg.path(
                  Phrase.of(
                      "M%.0f %.0f L%.0f %.0f L%.0f %.0f Z",
                      DIODE - 12, CHARGE - 11, DIODE - 12, CHARGE + 11, DIODE + 12, CHARGE),
                  Look.part(1.6));
              line(DIODE + 12, CHARGE - 12, DIODE + 12, CHARGE + 12);
              svg.label(DIODE, CHARGE - 18, "diode: never back", "middle", 14, INK);
              stud(lead, CHARGE);
            });
  }

  private void brakes() {
    lead(KitLead.SWITCH_OUT)
        .ifPresent(
            lead -> {
              strand(lead, STUDS, SWITCH - HALF_SWITCH, BRAKE);
              stud(lead, BRAKE);
            });
    lead(KitLead.SWITCH_IN).ifPresent(lead -> strand(lead, SWITCH + HALF_SWITCH, JOINT, BRAKE));
    lead(KitLead.PLUS).ifPresent(lead -> strand(lead, JOINT, BATTERY, BRAKE));
    svg.circle(JOINT, BRAKE, 5.0, "class", "ink", "fill", INK);
    svg.rect(SWITCH - HALF_SWITCH, BRAKE - 17, 2 * HALF_SWITCH, 34.0, Look.box(1.8));
    svg.label(SWITCH, BRAKE + 5, "switch", "middle", 15, INK);
    svg.line(SWITCH, BRAKE + 17, SWITCH, BRAKE + 40, Look.work(2.6));
    svg.circle(SWITCH, BRAKE + 46, 6.0, Look.work(2.2));
    svg.label(SWITCH + 12, BRAKE + 50, "pin, cable to the vehicle", "start", 14, INK);
  }

  private void earth() {
    lead(KitLead.MINUS)
        .ifPresent(
            lead -> {
              strand(lead, STUDS, BATTERY, EARTH);
              stud(lead, EARTH);
            });
  }

  private void battery() {
    svg.rect(BATTERY, 22, 84, 214.0, Look.box(2));
    String name = kit.kit() == BreakawayKit.HOUSE_BATTERY ? "house" : "own";
    svg.label(BATTERY + 42, 132, name, "middle", 16, INK);
    svg.label(BATTERY + 42, 150, "battery", "middle", 16, INK);
    svg.label(BATTERY + 12, CHARGE + 6, "+", "start", 18, INK);
    svg.label(BATTERY + 12, EARTH + 6, "−", "start", 18, INK);
  }

  private void stud(KitWiring.Lead lead, double y) {
    svg.circle(STUDS, y, 9.0, Look.part(2));
    svg.label(STUDS - 18, y + 5, lead.end(), "end", 15, INK);
  }

  private void strand(KitWiring.Lead lead, double from, double to, double y) {
    String d = Phrase.of("M%.0f %.0f L%.0f %.0f", from, y, to, y);
    if (lead.colour().isEmpty()) {
      svg.path(
          d,
          "class",
          "ink",
          "fill",
          "none",
          "stroke",
          INK,
          "stroke-width",
          2.0,
          "stroke-dasharray",
          UNSEEN);
      return;
    }
    WireColour colour = lead.colour().get();
    Looms.strand(svg, d, Palette.wire(colour), "none");
    svg.label((from + to) / 2, y - 9, colour.code(), "middle", 14, INK);
  }

  private void line(double x1, double y1, double x2, double y2) {
    svg.line(x1, y1, x2, y2, Look.ink(2));
  }
}
