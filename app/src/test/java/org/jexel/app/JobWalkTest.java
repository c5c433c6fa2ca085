package org.jexel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.springframework.boot.test.web.server.LocalServerPort;

/**
 * Kinds of job walked in the browser from the board, as {@code docs/walks.md} tells them: what
 * Jexel says where each turns, and in how many acts.
 */
@AppTest
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class JobWalkTest {
  private static final String SEVEN_WAYS = "towConnector=7-way blade, trailerConnector=7-way blade";
  private static final String FOUR_WAYS = "towConnector=4-way flat, trailerConnector=4-way flat";
  private static final String TWO_AXLES = "axles=2, brakes=Electric, ";
  private static final String UNDER_DASH = ", controller=Under-dash; proportional";

  @LocalServerPort private int port;

  private Browser browser;
  private Yard yard;

  @BeforeAll
  void open() {
    browser = new Browser(port);
    browser.signIn("electrician");
    yard = new Yard(browser);
  }

  @AfterEach
  void nothingIsComplainedOf() {
    browser.size(1280, 800);
    assertThat(browser.complaints()).isEmpty();
  }

  @AfterAll
  void close() {
    browser.close();
  }

  private void start(String kind, String wish, String entries) {
    yard.start(
        kind,
        wish,
        Stream.of(entries.split(", ")).map(e -> e.replace(";", ",")).toArray(String[]::new));
  }

  /** Held against the document that people read: kind and acts stand in one row of its table. */
  private void tookTheActsThatAreTold(int kind) throws Exception {
    String document = Files.readString(Path.of("..", "docs", "walks.md"));
    Matcher row =
        Pattern.compile("(?m)^\\| %d \\|[^|]*\\| (\\d+) \\|".formatted(kind)).matcher(document);
    assertThat(row.find()).as("acts of walk %d in docs/walks.md", kind).isTrue();
    assertThat(yard.acts()).as("acts of walk %d", kind).isEqualTo(Integer.parseInt(row.group(1)));
  }

  private void ownBreakaway(String capacity) {
    yard.card(5, "kit");
    yard.choose("BREAKAWAY_KIT", "Own box and battery");
    yard.figure("BREAKAWAY_CAPACITY", capacity);
    yard.card(5, "cable");
    yard.figure("CABLE_LENGTH", "700 mm");
  }

  /** Tape and eye on a coupling: everything that the cable's window hangs on. */
  private void coupling(String fixingLeft, String chain) {
    yard.card(5, "cable");
    yard.figure("FIXING_X", "15 cm");
    yard.figure("FIXING_Y", fixingLeft);
    yard.figure("FIXING_Z", "-10 cm");
    yard.figure("BREAKAWAY_X", "40 cm");
    yard.figure("BREAKAWAY_Y", "0");
    yard.figure("SWITCH_Z", "5 cm");
    yard.figure("GREATEST_TURN", "90");
    yard.figure("CHAIN_LENGTH", chain);
    yard.figure("CHAIN_EYE_X", "15 cm");
    yard.figure("CHAIN_EYE_Y", "12 cm");
    yard.figure("CHAIN_EYE_Z", "-10 cm");
    yard.figure("CHAIN_END_X", "25 cm");
    yard.figure("CHAIN_END_Y", "6 cm");
    yard.figure("CHAIN_END_Z", "-10 cm");
  }

  private void scale() {
    yard.figure("GAIN_GREATEST", "10");
    yard.figure("GAIN_STEP", "0.5");
  }

  private void plates() {
    yard.card(1, "vehicle");
    yard.figure("KERB_MASS", "2100");
    yard.figure("TOW_RATING", "2800");
    yard.card(1, "trailer");
    yard.figure("EMPTY_MASS", "620");
    yard.figure("TRAILER_PERMITTED_MASS", "2000");
    yard.card(1, "axles");
    yard.figure("AXLE_RATING", "1300");
  }

  /** And the setting is asked for anew once the load is another. */
  @Test
  void aBuiltInControllerIsSetAndItsSettingStaysWithItsLoad() throws Exception {
    start("FLATBED", "NEW_CONTROLLER", TWO_AXLES + SEVEN_WAYS + ", controller=Built in");
    scale();
    assertThat(yard.next()).contains("Choose the brake type in the vehicle's menu");
    yard.workOn();
    ownBreakaway("12 Ah");
    plates();
    assertThat(yard.where()).isEqualTo("Road");
    yard.go();
    yard.lookRound();
    yard.stop("FIRM", "29.5");
    yard.stop("LOCKED", "22");
    yard.stop("LIGHT", "26");
    while (!browser.has("#card-settle")) {
      yard.stop("VERGE", "25");
    }
    yard.press("#card-settle button");
    browser.await("the setting", () -> yard.page().contains("Settled on gain"));
    tookTheActsThatAreTold(1);
    yard.card(1, "load");
    yard.type("#load-name", "Sand");
    yard.type("#load-mass", "900");
    yard.type("#load-place", "3.2");
    yard.press("#card-load .act[type=submit]");
    browser.await("the sand", () -> yard.page().contains("1 item"));
    yard.card(6, "stop");
    assertThat(yard.page()).contains("A gain was settled, and holds no longer.", "another load");
    tookTheActsThatAreTold(17);
  }

  @Test
  void aWirelessUnitBehindAFourWayGetsAFeedOfItsOwn() throws Exception {
    start(
        "FLATBED",
        "NEW_CONTROLLER",
        "axles=1, brakes=Electric, towConnector=4-way flat, trailerConnector=7-way blade,"
            + " controller=On the trailer or socket; wireless");
    assertThat(yard.page())
        .contains("A wireless unit between the halves", "charge, reverse")
        .doesNotContain("Socket on the vehicle 7-way");
    yard.figure("FEED_RUN", "5.5");
    yard.go();
    scale();
    while (!yard.next().contains("Run the supply")) {
      yard.go();
      yard.tick();
    }
    yard.go();
    assertThat(yard.page()).contains("from the battery to the unit, breaker of");
    tookTheActsThatAreTold(2);
  }

  @Test
  void aMonitoredVehicleIsTappedBehindItsModule() throws Exception {
    start("FLATBED", "NEW_CONTROLLER", TWO_AXLES + SEVEN_WAYS + UNDER_DASH);
    yard.choose("LAMPS_MONITORED", "Yes");
    assertThat(yard.page()).contains("Monitored lamps", "carries test pulses");
    yard.card(3, "signal");
    yard.type("#signal-wire-1", "green");
    yard.type("#signal-up-1", "0.9");
    yard.type("#signal-down-1", "12.4", "isolator's output");
    tookTheActsThatAreTold(3);
  }

  @Test
  void aFourWayBecomesASevenWayStepByStep() throws Exception {
    start("FLATBED", "CONVERT", TWO_AXLES + FOUR_WAYS + UNDER_DASH);
    yard.figure("FEED_RUN", "6");
    yard.go();
    yard.figure("OVERALL_LENGTH", "5");
    yard.figure("DRAWBAR_LENGTH", "1.3");
    yard.go();
    assertThat(yard.page())
        .contains("Try the old socket lead by lead", "Join the lamp leads of the old socket")
        .contains("The vehicle's battery off", "Mount breakaway switch, battery and diode");
    while (yard.where().equals("Harness")) {
      yard.tick();
    }
    assertThat(yard.next()).contains("Battery, engine off");
    tookTheActsThatAreTold(4);
  }

  @Test
  void aPluggedInControllerOpensNoBatteryAndABulkLoadIsHeldToEveryRating() throws Exception {
    start("FLATBED", "NEW_CONTROLLER", TWO_AXLES + SEVEN_WAYS + UNDER_DASH);
    yard.choose("TOW_PREP", "7-way and a plug for a controller");
    yard.card(2, "steps");
    assertThat(yard.page()).contains("Hold both plug ends").doesNotContain("battery off");
    yard.card(1, "load");
    yard.type("#load-name", "Wet gravel");
    yard.type("#load-volume", "1.6");
    yard.type("#load-density", "2000");
    yard.type("#load-place", "3.4");
    yard.press("#card-load .act[type=submit]");
    browser.await("it is on", () -> yard.page().contains("3200"));
    assertThat(yard.next()).contains("Read the plate");
    tookTheActsThatAreTold(5);
  }

  @Test
  void anAluminiumFrameIsNoReturn() throws Exception {
    start("SKELETON", "NEW_BUILD", "axles=1, brakes=No brakes, towConnector=4-way flat");
    yard.card(1, "trailer");
    yard.choose("BODY_MATERIAL", "Aluminium");
    yard.choose("FRAME_MATERIAL", "Aluminium");
    assertThat(yard.page()).contains("Run an earth conductor to each such lamp.");
    tookTheActsThatAreTold(6);
  }

  @Test
  void exchangedCavitiesOfARemoteKnobAreNamed() throws Exception {
    start(
        "FLATBED",
        "NEW_CONTROLLER",
        TWO_AXLES + SEVEN_WAYS + ", controller=Remote knob; hidden module");
    yard.card(3, "plug");
    yard.type("#plug-vehicle", "1 stop\n2 supply\n3 earth\n4 brake output");
    yard.type("#plug-harness", "1 stop\n2 brake output\n3 earth\n4 supply", "Release 2 terminals");
    assertThat(yard.page()).contains("2, 4.", "From 2 into 4.");
    tookTheActsThatAreTold(7);
  }

  @Test
  void theYearlyCheckOfAnUnbrakedStallIsReadToItsEnd() throws Exception {
    start("STALL", "ANNUAL", "axles=1, brakes=No brakes, " + FOUR_WAYS);
    assertThat(yard.next()).contains("Battery, engine off");
    yard.workOn();
    assertThat(yard.next()).contains("Sign the report");
    yard.go();
    yard.press("#signing form button");
    browser.await("the signature", () -> yard.next().contains("Print the report and hand over"));
    assertThat(browser.text("#signing")).contains("Signed as edition 1", "Tamo Berin, Electrician");
    tookTheActsThatAreTold(8);
  }

  @Test
  void aBreakerThatTheWireDoesNotStandIsRefusedAtTheSupply() throws Exception {
    start("FLATBED", "NEW_CONTROLLER", TWO_AXLES + SEVEN_WAYS + UNDER_DASH);
    yard.figure("FEED_RUN", "6");
    yard.card(3, "controller");
    assertThat(yard.page()).contains("Breaker by braked axles", "Breaker by load");
    yard.type("#f-breaker-fitted-0", "60", "that would burn first");
    yard.type("#f-breaker-fitted-0", "20");
    yard.card(3, "supply");
    assertThat(yard.page()).contains("battery to controller 2.40 m 10 AWG 20 A");
    tookTheActsThatAreTold(9);
  }

  @Test
  void anOldBodysColoursThatClashAreNamed() throws Exception {
    start("BOX", "REPAIR", "axles=1, brakes=No brakes, " + FOUR_WAYS);
    yard.card(2, "colours");
    yard.pick("#colour-TRAILER-LEFT", "brown");
    browser.await("the clash", () -> yard.page().contains("brown is tail"));
    tookTheActsThatAreTold(10);
  }

  @Test
  void aNewCordIsLandedAndItsUnusedCoresAreTiedBack() throws Exception {
    start("FLATBED", "REPLACE_CORD", TWO_AXLES + SEVEN_WAYS + UNDER_DASH);
    assertThat(yard.next()).contains("drawbar");
    yard.figure("DRAWBAR_LENGTH", "1.3");
    yard.card(5, "kit");
    yard.choose("BREAKAWAY_KIT", "Own box and battery");
    yard.card(1, "connection");
    yard.choose("JUNCTION_BOX", "Yes");
    yard.go();
    assertThat(yard.page()).contains("unused core", "The breakaway battery off");
    while (yard.where().equals("Harness")) {
      yard.tick();
    }
    assertThat(yard.next()).contains("Battery, engine off");
    tookTheActsThatAreTold(11);
  }

  @Test
  void oneBrakedAxleOfTwoIsCheckedAloneAndItsKitIsFitted() throws Exception {
    start("FLATBED", "CONVERT", TWO_AXLES + "braked=The first only, " + FOUR_WAYS + UNDER_DASH);
    yard.open("bench?card=turns");
    assertThat(browser.text(".do")).contains("Magnet, axle 1 left").doesNotContain("axle 2");
    yard.card(2, "steps");
    assertThat(yard.page()).contains("Mount breakaway switch, battery and diode");
    tookTheActsThatAreTold(14);
  }

  @Test
  void aBreakawayKitIsFittedAlone() throws Exception {
    start("FLATBED", "ADD_BREAKAWAY", "axles=1, brakes=Electric, " + SEVEN_WAYS + UNDER_DASH);
    assertThat(yard.next()).contains("drawbar");
    yard.figure("DRAWBAR_LENGTH", "1.3");
    yard.go();
    assertThat(yard.page())
        .contains("Mount breakaway switch, battery and diode", "The vehicle's battery off");
    while (yard.where().equals("Harness")) {
      yard.tick();
    }
    assertThat(yard.next()).contains("Battery, engine off");
    tookTheActsThatAreTold(15);
  }

  @Test
  void aCableThatDragsTheWheelsInATurnIsNamedTooShort() throws Exception {
    start("FLATBED", "REPAIR", TWO_AXLES + SEVEN_WAYS + UNDER_DASH);
    coupling("10 cm", "1 m");
    yard.figure("CABLE_LENGTH", "60 cm");
    assertThat(yard.page()).contains("too short: turned by", "it pulls the pin");
    tookTheActsThatAreTold(12);
  }

  @Test
  void whereTheChainsHoldFirstTheMoveThatHelpsIsNamed() throws Exception {
    start("FLATBED", "REPAIR", TWO_AXLES + SEVEN_WAYS + UNDER_DASH);
    coupling("30 cm", "80 cm");
    assertThat(yard.page())
        .contains("No cable fits", "Moving the fixing point towards the middle by");
    tookTheActsThatAreTold(20);
  }

  /** A clamp at 10.2 A where four brakes would draw 13 A: the volts beside it tell which. */
  @Test
  void aKitIsProvedByClampAndOneWheelTurnsOn() throws Exception {
    start("FLATBED", "ANNUAL", TWO_AXLES + SEVEN_WAYS + UNDER_DASH);
    ownBreakaway("7 Ah");
    yard.open("bench?card=breakaway.amps");
    assertThat(yard.page()).contains("Each of the 4 brakes draws its share");
    yard.type("#reading", "10,2", "fails");
    yard.press(".card-row.open .act.primary");
    browser.await("its verdict", () -> yard.page().contains("a brake is off the circuit"));
    yard.open("breakaway?card=pull");
    assertThat(yard.page())
        .contains("Breakaway current, pin pulled", "3 of 4 brakes draw their current");
    assertThat(browser.text(".rail [aria-current]")).contains("fails");
    tookTheActsThatAreTold(16);
  }

  @Test
  void aKnobIsCentredInItsPanelByFractions() throws Exception {
    start(
        "FLATBED",
        "NEW_CONTROLLER",
        TWO_AXLES + SEVEN_WAYS + ", controller=Remote knob; hidden module");
    yard.card(3, "panel");
    yard.type("#panel-width", "7 3/8 in", "3 11/16 in");
    yard.type("#panel-spindle", "3/8 in", "Template 1:1 as PDF");
    tookTheActsThatAreTold(18);
  }

  /** What each figure would be on a trailer that was well kept. */
  private static final Map<String, String> KEPT_WELL =
      Map.of(
          "Tyres, age", "2325",
          "Tyres, cold pressure", "4,45",
          "Tyres, tread", "6",
          "Brake shoes", "4,2",
          "Brake drums", "254.6",
          "Wheel nuts", "100");

  private static final List<String> SOUND =
      List.of(
          "sound",
          "shows in front",
          "firm and quiet",
          "a few notches",
          "flat and free",
          "in order");

  @Test
  void theSaunasYearlyCareIsWalkedOnAPhone() {
    browser.size(390, 844);
    browser.open("/jobs/J1006/care");
    List<String> walked = new ArrayList<>();
    while (browser.text("#care-plan").contains("was due") && walked.size() < 30) {
      String part = browser.text(".do h1");
      walked.add(part);
      for (WebElement field : browser.driver().findElements(By.cssSelector("[id^='place-']"))) {
        if (SOUND.contains(String.valueOf(field.getDomAttribute("value")))) {
          field.sendKeys(Keys.SPACE);
        } else if ("text".equals(field.getDomProperty("type"))) {
          assertThat(KEPT_WELL).containsKey(part);
          field.sendKeys(KEPT_WELL.get(part));
        }
      }
      browser.at("#care-form .act").sendKeys(Keys.ENTER);
      browser.await("another part", () -> !browser.text(".do h1").equals(part));
      assertThat(browser.driver().switchTo().activeElement().getTagName()).isEqualTo("h1");
    }
    assertThat(walked).as("nuts last, since wheels were off").hasSize(13).endsWith("Wheel nuts");
    assertThat(browser.path()).isEqualTo("/jobs/J1006/care");
    browser.open("/jobs/J1006/care/NUTS");
    assertThat(browser.text(".do")).contains("once more after the first way", "100 N·m");
    browser.open("/");
    assertThat(browser.text("main")).doesNotContain("Care was due");
  }
}
