package org.jexel.app.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.jexel.app.drawing.TowlineTest.all;
import static org.jexel.app.drawing.TowlineTest.parse;

import java.util.List;
import java.util.Map;
import org.jexel.app.AppTest;
import org.jexel.core.cab.CavityMatch;
import org.jexel.core.connector.Connector;
import org.jexel.core.connector.ConnectorCatalog;
import org.jexel.core.connector.Face;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.Scope;
import org.jexel.core.harness.WireSize;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.Wish;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.w3c.dom.Document;
import org.w3c.dom.Element;

/** Drawings beside the Towline: well-formed, true, and with names for those who do not see them. */
@AppTest
class DrawingsTest {
  @Autowired private ConnectorCatalog catalog;

  @Test
  void numbersKeepOneDecimalAndTheirSign() {
    assertThat(Svg.n(12.04)).isEqualTo("12");
    assertThat(Svg.n(12.06)).isEqualTo("12.1");
    assertThat(Svg.n(-0.44)).isEqualTo("-0.4");
    assertThat(Svg.n(-3.25)).isIn("-3.2", "-3.3");
    assertThat(Svg.n(0)).isEqualTo("0");
  }

  @Test
  void everyFaceShowsEveryPinOnceWithItsJob() throws Exception {
    for (Connector connector : catalog.connectors()) {
      for (Face.View view : Face.View.values()) {
        Document drawing =
            parse(FaceDrawing.draw(connector, catalog.convention(connector.convention()), view));
        String words = drawing.getDocumentElement().getTextContent();
        connector
            .pins()
            .forEach(pin -> assertThat(words).as(view.label()).contains(pin.function().label()));
        assertThat(drawing.getDocumentElement().getAttribute("aria-label")).contains(view.label());
      }
    }
  }

  /** A lead's word stands over its own pin, on the side where that view has it. */
  @Test
  void aLeadsWordStandsAtItsPinInEveryView() throws Exception {
    for (Connector connector : catalog.connectors()) {
      PinFunction function = connector.pins().get(connector.pins().size() - 1).function();
      for (Face.View view : Face.View.values()) {
        Document drawing =
            parse(
                FaceDrawing.draw(
                    connector,
                    catalog.convention(connector.convention()),
                    view,
                    Map.of(function, FaceDrawing.Lead.RED)));
        List<Element> words = all(drawing, "text");
        Element red = words.stream().filter(t -> t.getTextContent().equals("red")).toList().get(0);
        Face.Contact contact =
            Face.of(connector, view).contacts().stream()
                .filter(c -> c.pin().function() == function)
                .findFirst()
                .orElseThrow();
        String[] box = drawing.getDocumentElement().getAttribute("viewBox").split(" ");
        double side = Double.parseDouble(red.getAttribute("x")) - Double.parseDouble(box[2]) / 2;
        // A middle contact may have its word on either side.
        assertThat(side * contact.x()).isGreaterThanOrEqualTo(0);
        assertThat(drawing.getDocumentElement().getTextContent())
            .doesNotContain(function.label(), "black");
      }
    }
  }

  @Test
  void aTemplateIsDrawnInMillimetres() throws Exception {
    Document drawing = parse(TemplateDrawing.draw(9.525, 5, 20, 12.7));
    Element root = drawing.getDocumentElement();
    assertThat(root.getAttribute("viewBox")).isEqualTo("0 0 170 150");
    assertThat(root.getAttribute("width")).isEqualTo("170.0mm");
    List<Element> circles = all(drawing, "circle");
    double dx =
        Double.parseDouble(circles.get(1).getAttribute("cx"))
            - Double.parseDouble(circles.get(0).getAttribute("cx"));
    assertThat(dx).isCloseTo(20, within(1e-3));
    assertThat(circles.get(0).getAttribute("r")).isEqualTo("4.7625");
    assertThat(all(parse(TemplateDrawing.draw(9.525, 0, 0, 0)), "circle")).hasSize(1);
  }

  @Test
  void crossingLinesLeadFromWhereATerminalIsToWhereItBelongs() throws Exception {
    Document drawing =
        parse(
            PlugDrawing.draw(
                CavityMatch.of(
                    CavityMatch.parse("1 stop\n2 earth\n3 brake"),
                    CavityMatch.parse("1 stop\n2 brake\n3 earth"))));
    long crossing =
        all(drawing, "line").stream()
            .filter(line -> !line.getAttribute("y1").equals(line.getAttribute("y2")))
            .count();
    assertThat(crossing).isEqualTo(2);
    assertThat(all(drawing, "line")).hasSize(3);
  }

  @Test
  void aBoxBeyondItsLimitIsDrawnInRed() {
    assertThat(MountingDrawing.draw(25, 0, 10, 15)).contains(Palette.RED_LENS);
    assertThat(MountingDrawing.draw(2, 3, 10, 15)).doesNotContain(Palette.RED_LENS);
    assertThat(MountingDrawing.draw(25, 0, 10, 15)).contains("rotate(25.0");
  }

  @Test
  void partsOfThePlanCarryTheirPlaceAndAName() throws Exception {
    Rig rig = rig();
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    List<PlanDrawing.Part> parts =
        List.of(
            new PlanDrawing.Part("box", "Junction box", 1.08, 0),
            new PlanDrawing.Part("rear-left", "Rear lamp, left", 4.12, 0.92));
    Document drawing =
        parse(PlanDrawing.draw(new Scope(rig, Wish.CONVERT, harness), parts, UnitSystem.METRIC));
    List<Element> movable =
        all(drawing, "g").stream().filter(g -> g.getAttribute("class").equals("movable")).toList();
    assertThat(movable).hasSize(2);
    assertThat(movable.get(1).getAttribute("aria-label"))
        .startsWith("Rear lamp, left, 4.12 m behind the ball");
    assertThat(movable.get(0).getAttribute("data-x")).isEqualTo("1.080");
    assertThat(all(drawing, "path").size()).isGreaterThan(2 * harness.circuits().size());
    assertThat(dashed(rig, harness, Wish.ANNUAL)).isZero();
    assertThat(dashed(rig, harness, Wish.NEW_BUILD)).isPositive();
  }

  /** Conductors that are drawn as still to be run. */
  private static long dashed(Rig rig, Harness harness, Wish wish) throws Exception {
    Scope scope = new Scope(rig, wish, harness);
    return all(parse(PlanDrawing.draw(scope, List.of(), UnitSystem.METRIC)), "path").stream()
        .filter(path -> path.getAttribute("stroke-dasharray").equals("9 4"))
        .count();
  }

  private Rig rig() {
    org.jexel.core.rig.RigSheet sheet =
        new org.jexel.core.rig.RigSheet(java.util.Map.of(), catalog);
    return new Rig(sheet, org.jexel.core.rig.LampOffer.of(sheet, false), List.of());
  }
}
