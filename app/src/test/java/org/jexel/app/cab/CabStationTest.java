package org.jexel.app.cab;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.geom.Point2D;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.contentstream.PDFGraphicsStreamEngine;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.graphics.image.PDImage;
import org.jexel.app.AppTest;
import org.jexel.app.Walker;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/** The cards of the cab as a new user would work them. */
@AppTest
class CabStationTest {
  private static final double POINTS_PER_MM = 72 / 25.4;

  @Autowired private MockMvc mvc;
  private Walker electrician;

  @BeforeEach
  void someone() {
    electrician = new Walker(mvc, "electrician");
  }

  private String card(String ref, String card) throws Exception {
    return electrician.page("/jobs/" + ref + "/cab?card=" + card);
  }

  private void post(String ref, String card, Map<String, String> fields) throws Exception {
    Map<String, String> posted = new HashMap<>(fields);
    posted.put("seen", seen(ref, card));
    electrician.post("/jobs/" + ref + "/cab/" + card, posted);
  }

  private String seen(String ref, String card) throws Exception {
    return Walker.hidden(electrician.page("/jobs/" + ref + "/cab?card=" + card), "seen");
  }

  @Test
  void exchangedCavitiesOnTheAlpacaFloatAreNamedWithWhatToRelease() throws Exception {
    post(
        "J1003",
        "plug",
        Map.of(
            "vehicle", "1 stop\n2 earth\n3 supply\n4 brake",
            "harness", "1 stop\n2 brake\n3 supply\n4 earth"));
    assertThat(card("J1003", "plug"))
        .contains("Release 2 terminals: 2, 4.")
        .contains("From 2 into 4.")
        .contains("<svg xmlns");
    post("J1003", "plug", Map.of("vehicle", "1 stop\n1 earth", "harness", "1 stop"));
    assertThat(card("J1003", "plug"))
        .contains("Line 2: cavity 1 stands twice.")
        .contains("1 stop\n1 earth");
  }

  @Test
  void aControllerAtTwentyFiveDegreesIsRefusedWithTheReason() throws Exception {
    post("J1002", "mounting", Map.of("yaw", "25", "pitch", "3", "roll", "0"));
    assertThat(card("J1002", "mounting"))
        .contains("Turned 25° away from the direction of travel")
        .contains("more than the 10° that it allows")
        .contains("fails");
    post("J1002", "mounting", Map.of("yaw", "sideways"));
    assertThat(card("J1002", "mounting")).contains("Type degrees").contains("value=\"sideways\"");
  }

  @Test
  void aMonitoredVehicleSendsTheTapBehindTheIsolator() throws Exception {
    String ref = electrician.newJob("Monitored", "ELECTRIC", "1");
    electrician.post(
        "/jobs/" + ref + "/figures/supply",
        Map.of("LAMPS_MONITORED.0", "YES", "LAMPS_MONITORED.0.was", "NO"));
    post(ref, "signal", Map.of("wire1", "green", "up1", "off", "down1", "12.4 V"));
    assertThat(card(ref, "signal"))
        .contains("switched side: live with the pedal only")
        .contains("isolator's output");
    post(ref, "signal", Map.of("wire1", "green", "up1", "sparkly", "down1", "on"));
    assertThat(card(ref, "signal")).contains("Type volts, or on, off, dim.");
    post(ref, "signal", Map.of("wire1", "green", "up1", "0"));
    assertThat(card(ref, "signal")).contains("Read it with the pedal up and with the pedal down.");
  }

  @Test
  void thePanelIsWorkedOutInFractionsAndNonsenseIsToldBesideItsField() throws Exception {
    post(
        "J1004",
        "panel",
        Map.of("width", "7 3/8", "left", "3 11/16", "right", "3 5/8", "cables", "6 6 6"));
    assertThat(card("J1004", "panel"))
        .contains("3 11/16 in")
        .contains("93.7 mm")
        .contains("mark off by 0.8 mm")
        .contains("circle around it 12.9 mm");
    Map<String, String> cut =
        Map.of("width", "7 3/8", "cutWidth", "2 1/4", "cutHeight", "1 in", "cutTop", "3/4");
    Map<String, String> placed = new HashMap<>(cut);
    placed.put("cutLeft", "1 1/2");
    post("J1004", "panel", placed);
    assertThat(card("J1004", "panel"))
        .contains("lines at 38.1 mm and 95.3 mm from the left, 19.1 mm and 44.5 mm from the top")
        .contains("92.1 mm stay to the right edge");
    placed.put("cutLeft", "5 in");
    post("J1004", "panel", placed);
    assertThat(card("J1004", "panel")).contains("It ends 184.2 mm from the left");
    post("J1004", "panel", Map.of("width", "120"));
    assertThat(card("J1004", "panel"))
        .as("whoever looks at it in inches sees the same panel")
        .contains("value=\"120 mm\"")
        .contains("60.0 mm");
    post("J1004", "panel", Map.of("cables", "4, 4, 4"));
    assertThat(card("J1004", "panel")).contains("circle around it 8.6 mm");
    post("J1004", "panel", Map.of("cables", "6 4,5,6"));
    assertThat(card("J1004", "panel"))
        .contains(
            "“4,5,6” is not understood. Write the diameter of each cable, as in 6\u00a06\u00a04.5.")
        .contains("value=\"6 4,5,6\"");
    post("J1004", "panel", Map.of("width", "3/0"));
    assertThat(card("J1004", "panel")).contains("is no fraction").contains("value=\"3/0\"");
    Map<String, String> holes = new HashMap<>(Map.of("spindle", "3/8", "lampRight", "far right"));
    post("J1004", "panel", holes);
    assertThat(card("J1004", "panel"))
        .contains("is not understood")
        .contains("value=\"far right\"")
        .doesNotContain("template.pdf");
    holes.put("lampRight", "-3/4");
    post("J1004", "panel", holes);
    assertThat(card("J1004", "panel")).contains("template.pdf").doesNotContain("is not understood");
  }

  /** A controller that no library knows has colours all the same. */
  @Test
  void leadsAreTypedWhereNoModelBringsThem() throws Exception {
    String ref = electrician.newJob("Own leads", "ELECTRIC", "1");
    assertThat(card(ref, "supply")).contains("colour not known");
    post(ref, "supply", Map.of("leads", "supply BK\nearth white\nstop red\nbrake BU"));
    assertThat(card(ref, "supply")).doesNotContain("colour not known").contains("supply BK");
    post(ref, "supply", Map.of("leads", "supply plaid"));
    assertThat(card(ref, "supply")).contains("Line 1: “supply plaid” is not understood");
  }

  @Test
  void whatTheCardsFoundIsTheStationsState() throws Exception {
    String ref = electrician.newJob("Turned", "ELECTRIC", "1");
    electrician.post(
        "/jobs/" + ref + "/figures/controller",
        Map.of("CONTROLLER_KIND.0", "UNDER_DASH", "CONTROLLER_KIND.0.was", ""));
    post(ref, "mounting", Map.of("yaw", "25", "pitch", "0", "roll", "0"));
    assertThat(state(ref)).isEqualTo("fails");
    post(ref, "mounting", Map.of("yaw", "2", "pitch", "0", "roll", "0"));
    assertThat(state(ref)).isEqualTo("under way");
  }

  private String state(String ref) throws Exception {
    Matcher rail =
        Pattern.compile("Cab</span></span>\\s*<span class=\"st-state [a-z-]+\">([a-z ]+)</span>")
            .matcher(card(ref, "mounting"));
    assertThat(rail.find()).isTrue();
    return rail.group(1);
  }

  @Test
  void aBreakerAboveTheWiresCurrentIsRefusedBesideItsField() throws Exception {
    electrician.post(
        "/jobs/J1006/figures/controller",
        Map.of("BREAKER_FITTED.0", "60", "BREAKER_FITTED.0.was", ""));
    assertThat(card("J1006", "controller"))
        .contains("value=\"60\"")
        .contains("60 A is above the")
        .contains("that would burn first");
    electrician.post(
        "/jobs/J1006/figures/controller",
        Map.of("BREAKER_FITTED.0", "20", "BREAKER_FITTED.0.was", "60"));
    assertThat(card("J1006", "controller")).doesNotContain("is above the");
  }

  @Test
  void aModelOfTheLibraryGivesTheJobItsScaleLimitsLeadsAndPlug() throws Exception {
    String ref = electrician.newJob("Modelled", "ELECTRIC", "2");
    Matcher entry =
        Pattern.compile("<option value=\"(\\d+)\">Rowan, remote knob")
            .matcher(card(ref, "controller"));
    assertThat(entry.find()).isTrue();
    electrician.post("/jobs/" + ref + "/cab/model", Map.of("model", entry.group(1)));
    assertThat(card(ref, "controller")).contains("from the plate").contains("9 to 16 V");
    assertThat(card(ref, "mounting")).contains("placeholder=\"15\"").contains("placeholder=\"30\"");
    assertThat(card(ref, "supply")).contains("brake output").contains("RD");
    assertThat(card(ref, "plug")).contains("from the library").contains("1 stop\n2 earth");
    assertThat(
            electrician.post("/jobs/" + ref + "/cab/model", Map.of("model", "999999")).getStatus())
        .isEqualTo(404);
  }

  /** Other scripts take more room where they are stored: that is no reason to drop them. */
  @Test
  void longTextOfAnyScriptIsKeptAndWhatIsTooLongIsSaidAndStays() throws Exception {
    String ref = electrician.newJob("Long text", "ELECTRIC", "1");
    String wires = "1 стоп\n".repeat(150);
    post(ref, "plug", Map.of("vehicle", wires, "harness", wires));
    String page = electrician.page("/jobs/" + ref + "/cab?card=plug");
    assertThat(page.split("стоп", -1).length).isGreaterThan(290);
    assertThat(page).doesNotContain("a card takes");

    String longer = "ж".repeat(1300);
    post(ref, "plug", Map.of("vehicle", longer, "harness", ""));
    page = electrician.page("/jobs/" + ref + "/cab?card=plug");
    assertThat(page).contains("“vehicle” has 1300 letters; a card takes 1200", longer);
    assertThat(electrician.page("/jobs/" + ref + "/cab?card=signal")).doesNotContain(longer);
    post(ref, "plug", Map.of("vehicle", "1 stop", "harness", ""));
    assertThat(electrician.page("/jobs/" + ref + "/cab?card=plug")).doesNotContain("a card takes");
  }

  @Test
  void actsAtTheSameMomentFollowEachOther() throws Exception {
    String ref = electrician.newJob("At once", "ELECTRIC", "1");
    ExecutorService hands = Executors.newFixedThreadPool(4);
    List<Future<Integer>> answers = new ArrayList<>();
    for (int i = 0; i < 12; i++) {
      String yaw = String.valueOf(i);
      answers.add(
          hands.submit(
              () ->
                  new Walker(mvc, "electrician")
                      .post("/jobs/" + ref + "/cab/mounting", Map.of("yaw", yaw))
                      .getStatus()));
    }
    for (Future<Integer> answer : answers) {
      assertThat(answer.get()).isEqualTo(302);
    }
    hands.shutdown();
  }

  @Test
  void theTemplateIsTrueToATenthOfAMillimetre() throws Exception {
    post(
        "J1006",
        "panel",
        Map.of("spindle", "3/8", "lamp", "5 mm", "lampRight", "20 mm", "lampDown", "1/2"));
    byte[] bytes = electrician.answer("/jobs/J1006/cab/template.pdf").getContentAsByteArray();
    try (PDDocument pdf = Loader.loadPDF(bytes)) {
      assertThat(pdf.getNumberOfPages()).isEqualTo(1);
      Ruler ruler = new Ruler(pdf.getPage(0));
      ruler.processPage(pdf.getPage(0));
      assertThat(ruler.horizontals()).anySatisfy(mm -> near(mm, 100));
      assertThat(ruler.horizontals()).anySatisfy(mm -> near(mm, 101.6));
      // Cross-hairs reach 6 mm past each hole: 9.525 + 12 and 5 + 12 mm.
      assertThat(ruler.horizontals()).anySatisfy(mm -> near(mm, 21.525));
      assertThat(ruler.horizontals()).anySatisfy(mm -> near(mm, 17));
    }
    assertThat(electrician.answer("/jobs/J1006/cab/template.svg").getContentAsString())
        .contains("width=\"170.0mm\"")
        .contains("r=\"4.7625\"");
  }

  private static void near(double mm, double wanted) {
    assertThat(mm).isCloseTo(wanted, within(0.1));
  }

  @Test
  void theFirstPowerUpIsWalkedOnTheSimulatedController() throws Exception {
    post("J1003", "power", Map.of("stage", "2"));
    assertThat(card("J1003", "power"))
        .contains("Ease the lever half-way")
        .contains("aria-label=\"output 25 %\"");
    post("J1003", "power", Map.of("stage", "0"));
    assertThat(card("J1003", "power"))
        .contains("It sees nothing on the brake pin")
        .contains("Never press the manual control");
    post("J1003", "power", Map.of("stage", "77"));
    assertThat(card("J1003", "power")).doesNotContain("aria-label=\"output");
    assertThat(card("J1005", "power")).contains("No controller to power up");
  }

  @Test
  void theSupplyShowsItsRunsBreakersAndSplices() throws Exception {
    assertThat(card("J1001", "supply"))
        .contains("battery to controller")
        .contains("controller to the brake pin")
        .contains("the colour changes: measure");
    assertThat(electrician.answer("/jobs/J1001/cab/template.pdf").getStatus()).isEqualTo(400);
    assertThat(electrician.post("/jobs/J1001/cab/nonsense", Map.of()).getStatus()).isEqualTo(404);
  }

  /** Measures the straight lines of a page in millimetres on paper. */
  private static final class Ruler extends PDFGraphicsStreamEngine {
    private final List<Double> horizontals = new ArrayList<>();
    private Point2D from = new Point2D.Float();

    Ruler(PDPage page) {
      super(page);
    }

    List<Double> horizontals() {
      return horizontals;
    }

    @Override
    public void moveTo(float x, float y) {
      from = new Point2D.Float(x, y);
    }

    @Override
    public void lineTo(float x, float y) {
      if (Math.abs(y - from.getY()) < 0.01) {
        horizontals.add(Math.abs(x - from.getX()) / POINTS_PER_MM);
      }
      from = new Point2D.Float(x, y);
    }

    @Override
    public Point2D getCurrentPoint() {
      return from;
    }

    @Override
    public void appendRectangle(Point2D a, Point2D b, Point2D c, Point2D d) {}

    @Override
    public void drawImage(PDImage image) {}

    @Override
    public void clip(int windingRule) {}

    @Override
    public void curveTo(float a, float b, float c, float d, float e, float f) {}

    @Override
    public void closePath() {}

    @Override
    public void endPath() {}

    @Override
    public void strokePath() {}

    @Override
    public void fillPath(int windingRule) {}

    @Override
    public void fillAndStrokePath(int windingRule) {}

    @Override
    public void shadingFill(COSName shading) {}
  }
}
