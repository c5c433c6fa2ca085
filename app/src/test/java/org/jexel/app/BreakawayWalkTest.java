package org.jexel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What a breakaway can have, found in the browser; what is read is read by the simulated meter. */
@AppTest
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class BreakawayWalkTest {
  private static final String[] BRAKED = {
    "axles=2", "brakes=Electric", "towConnector=7-way blade", "trailerConnector=7-way blade"
  };

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
    assertThat(browser.complaints()).isEmpty();
  }

  @AfterAll
  void close() {
    browser.close();
  }

  private String kit(String which) {
    String ref = yard.start("FLATBED", "ANNUAL", BRAKED);
    yard.card(5, "kit");
    yard.choose("BREAKAWAY_KIT", which);
    return ref;
  }

  private String state() {
    return browser.text(".rail [aria-current]");
  }

  @Test
  void anOldBatteryFailsInJanuaryAndOneThatIsIndoorsIsNotTowed() {
    kit("Own box and battery");
    yard.figure("BREAKAWAY_CAPACITY", "14 Ah");
    yard.figure("BREAKAWAY_MADE", "1122");
    assertThat(yard.page()).contains("From 14 Mar 2022", "it holds for less than 15 min");
    yard.figure("BREAKAWAY_COLD", "-15 °C");
    assertThat(yard.page()).contains("midwinter, -15 °C").contains("at -15 °C");
    assertThat(state()).contains("fails");

    yard.type("#f-breakaway-made-0", "2199-01", "not plausible here");
    yard.type("#f-breakaway-made-0", "2098-01", "That day is still to come.");
    assertThat(browser.at("#f-breakaway-made-0").getDomProperty("value")).isEqualTo("2098-01");
    yard.figure("BREAKAWAY_MADE", "2022-03-14");

    yard.choose("BATTERY_INDOORS", "Yes");
    assertThat(yard.page()).contains("Not to be towed.");
    assertThat(state()).contains("fails");
  }

  @Test
  void aHouseBatteryWithoutItsDiodeIsReadAcrossIt() {
    String ref = kit("House battery");
    yard.card(5, "wiring");
    assertThat(yard.page())
        .contains(
            "house", "flow out of it into a vehicle whose starter turns", "left on for a night");
    Yard.hide(browser, ref, "Isolating diode missing");
    yard.open("bench?card=charge.diode");
    meter();
    assertThat(yard.page()).contains("the diode is missing or bridged");
  }

  /** Reads the open check or round by the meter and records it. */
  private void meter() {
    String before = browser.at("input[name=requestKey]").getDomProperty("value");
    browser.at("body").sendKeys("m");
    browser.await(
        "the meter reads",
        () -> !browser.at("input[name=requestKey]").getDomProperty("value").equals(before));
    String read = browser.at("input[name=requestKey]").getDomProperty("value");
    yard.press(".card-row.open .act.primary");
    browser.await(
        "it is recorded",
        () -> !browser.at("input[name=requestKey]").getDomProperty("value").equals(read));
  }

  @Test
  void aWheelThatDoesNotHoldAndAClampThatCountsIt() {
    String ref = kit("Own box and battery");
    yard.card(1, "axles");
    yard.figure("MAGNET_OHMS", "3.2 ohm");
    Yard.hide(browser, ref, "Open: Magnet, axle 2 right");
    yard.open("bench?card=breakaway.amps");
    meter();
    yard.open("bench?card=held");
    meter();
    yard.open("breakaway?card=pull");
    assertThat(yard.page()).contains("3 of 4 brakes draw their current");
    assertThat(state()).contains("fails");
  }

  private void coupling(String left, String chain, String cable) {
    yard.card(5, "cable");
    String[][] tape = {
      {"FIXING_X", "15 cm"}, {"FIXING_Y", left}, {"FIXING_Z", "-10 cm"},
      {"BREAKAWAY_X", "40 cm"}, {"BREAKAWAY_Y", "0"}, {"SWITCH_Z", "5 cm"},
      {"GREATEST_TURN", "90"}, {"CHAIN_LENGTH", chain}, {"CHAIN_EYE_X", "15 cm"},
      {"CHAIN_EYE_Y", "12 cm"}, {"CHAIN_EYE_Z", "-10 cm"}, {"CHAIN_END_X", "25 cm"},
      {"CHAIN_END_Y", "6 cm"}, {"CHAIN_END_Z", "-10 cm"}, {"CABLE_LENGTH", cable}
    };
    for (String[] figure : tape) {
      yard.figure(figure[0], figure[1]);
    }
    yard.choose("CABLE_FIXING", "An eye of its own on the vehicle");
  }

  /** Too short by half a hand in a turn: the eye towards the middle, and it never pulls. */
  @Test
  void aCableThatIsTooTightIsMendedByMovingItsEye() {
    kit("Own box and battery");
    coupling("30 cm", "120 cm", "75 cm");
    assertThat(yard.page()).contains("too short: turned by");
    yard.figure("FIXING_Y", "5 cm");
    browser.await(
        "it fits", () -> yard.page().contains("It fits") && !yard.page().contains("Reckoned with"));
    yard.type("#f-cable-length-0", "50 cm");
    yard.press("#f-fixing-y-0");
    browser.await("it is refused", () -> yard.page().contains("Shorter than straight"));
  }

  /** No cable fits between turns and chains: the move that Jexel names is made, and one does. */
  @Test
  void whereTheChainsHoldFirstTheNamedMoveOpensTheWindow() {
    kit("Own box and battery");
    coupling("30 cm", "80 cm", "90 cm");
    Matcher move =
        Pattern.compile("Moving the fixing point towards the middle by (\\d+) mm")
            .matcher(yard.page());
    assertThat(move.find()).isTrue();
    yard.figure("FIXING_Y", 300 - Integer.parseInt(move.group(1)) + " mm");
    browser.await("a window", () -> !yard.page().contains("No cable fits"));
    assertThat(yard.page()).contains("too long");
  }

  @Test
  void aKitsOwnBlackAndBlueAreSetAgainstTheCords() {
    kit("Own box and battery");
    yard.card(5, "wiring");
    yard.choose("LEAD_PLUS", "black");
    yard.choose("LEAD_SWITCH_IN", "black");
    yard.choose("LEAD_SWITCH_OUT", "blue");
    assertThat(yard.page())
        .contains(
            "The kit’s black is its battery plus, to the switch; in the cord black is charge.")
        .doesNotContain("The kit’s blue");
    yard.card(2, "colours");
    assertThat(yard.page()).contains("The kit’s black is its battery plus");
  }

  @Test
  void aGooseneckHangsOnTheBedAndAFifthWheelHasNoChains() {
    yard.start("GOOSENECK", "ANNUAL", BRAKED);
    yard.card(5, "cable");
    assertThat(browser.text("#f-coupling-0")).contains("Ball in the bed, gooseneck");
    assertThat(browser.text("#page")).contains("the chains are taut", "an eye in the bed");
    yard.choose("COUPLING", "Fifth wheel in the bed");
    assertThat(browser.text("#page"))
        .contains("usually none", "the pin is out, the brakes come on")
        .doesNotContain("the chains are taut");
  }
}
