package org.jexel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.openqa.selenium.Keys;
import org.openqa.selenium.support.ui.Select;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.web.servlet.MockMvc;

/**
 * Hidden faults found in the browser, with the simulated meter, by the finder's next check only.
 */
@AppTest
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class FinderWalkTest {
  private static final int PATIENCE = 10;

  @LocalServerPort private int port;
  @Autowired private MockMvc mvc;

  private Browser browser;

  @BeforeAll
  void open() {
    browser = new Browser(port);
    browser.signIn("electrician");
  }

  @BeforeEach
  void aLaptop() {
    browser.size(1280, 800);
  }

  @AfterAll
  void close() {
    browser.close();
  }

  private static String next(Browser browser) {
    return browser.has("#card-finder h3.group") ? browser.text("#card-finder h3.group") : "";
  }

  /** What is asked, and what is said of it, stand above the Next strip without scrolling. */
  private void readWithoutScrolling() {
    Object below =
        browser
            .driver()
            .executeScript(
                "const asked = document.querySelector('#reading-say')"
                    + " || document.querySelector('#card-finder .round :is(.word, .read)');"
                    + "return !asked ? 0 : asked.getBoundingClientRect().bottom + scrollY"
                    + " - document.querySelector('footer.next').getBoundingClientRect().top;");
    assertThat(((Number) below).doubleValue()).as(next(browser)).isLessThanOrEqualTo(0);
  }

  /** Takes what the finder asks for with the key m, and records it. */
  private void take() {
    readWithoutScrolling();
    String before = browser.at("input[name=requestKey]").getDomProperty("value");
    browser.at("body").sendKeys("m");
    browser.await(
        "the meter reads " + next(browser),
        () -> !browser.at("input[name=requestKey]").getDomProperty("value").equals(before));
    String read = browser.at("input[name=requestKey]").getDomProperty("value");
    browser.at("#card-finder .act.primary").sendKeys(Keys.ENTER);
    browser.await(
        "it is recorded",
        () -> !browser.at("input[name=requestKey]").getDomProperty("value").equals(read));
  }

  private boolean answered() {
    return browser.has("#card-finder .answer");
  }

  private int follow(String ref, String noticed) {
    browser.open("/jobs/" + ref + "/bench?card=finder");
    if (!noticed.isEmpty()) {
      new Select(browser.at("#start")).selectByVisibleText(noticed);
      browser.at("#start").submit();
      browser.await("it begins there", () -> browser.path().contains("start="));
      assertThat(new Select(browser.at("#start")).getFirstSelectedOption().getText())
          .isEqualTo(noticed);
    }
    int taken = 0;
    while (!answered() && taken < PATIENCE) {
      take();
      taken++;
    }
    return taken;
  }

  /** What was noticed, if anything; at the end the number of checks that solve each. */
  @ParameterizedTest(name = "{0}")
  @CsvSource({
    "Coffee trailer whose lamps glow wrongly, NONE, 1, '', 'Return lost: Rear lamp, left', 5",
    "Planetarium, ELECTRIC, 1, 'A wheel does not brake'," + "'Open: Magnet, axle 1 left', 6",
    "Pin half out, ELECTRIC, 2, 'A wheel drags or is hard to turn',"
        + "'Breakaway pin part-way out', 5",
    "Digger with its pin half out, ELECTRIC_HYDRAULIC, 3, 'A wheel drags or is hard to turn',"
        + "'Breakaway pin part-way out', 5",
    "Dead charge pin, ELECTRIC, 1, 'Nothing on one pin. Socket pin 4, charge',"
        + "'Fuse open: charge', 6",
    "Tail run chafed and its fuse blown, NONE, 1, 'A fuse is blown, or blows again',"
        + "'Chafed to the frame', 6",
    "Left indicator that comes and goes, NONE, 1, 'It comes and goes',"
        + "'Loose, makes and breaks: left pin', 4",
    "One side grabs, ELECTRIC, 1, 'The trailer pulls to one side when it brakes',"
        + "'Grease on the shoes: axle 1 left', 10",
    "Hums and does not hold, ELECTRIC, 2, 'A wheel hums and does not hold',"
        + "'Lever seized, never applies: axle 2 right', 8",
    "Digger that hardly brakes, ELECTRIC_HYDRAULIC, 2,"
        + "'The pump runs and the trailer hardly brakes', 'Air in the lines, or no fluid', 7",
    "Bulbs of 21/5 W, NONE, 1, '', 'Rear lamps of other watts than assumed', 8",
    "Converted with brown and green exchanged, NONE, 2, '', 'Exchanged at the box: tail and right', 5"
  })
  void aHiddenFaultIsSolvedByTheNextCheckOnly(
      String rig, String brakes, String axles, String noticed, String fault, int most)
      throws Exception {
    String ref = new Walker(mvc, "electrician").newJob(rig, brakes, axles);
    Yard.hide(browser, ref, fault);
    int taken = follow(ref, noticed);
    assertThat(answered()).as("after %d checks", taken).isTrue();
    assertThat(browser.text("#card-finder .answer")).contains(fault);
    assertThat(taken).isLessThanOrEqualTo(most);
    readWithoutScrolling();
    assertThat(browser.complaints()).isEmpty();
  }

  private String focused() {
    return browser.driver().switchTo().activeElement().getDomAttribute("id");
  }

  /** Enter goes to the next pin, the pad types where its turn is, and the last Enter records. */
  @Test
  void figuresOfOneWalkAreTypedFromPinToPin() throws Exception {
    String ref = new Walker(mvc, "electrician").newJob("From pin to pin", "NONE", "1");
    browser.size(1280, 800);
    browser.open("/jobs/" + ref + "/bench?card=finder&start=loaded");
    String first = "#card-loaded-tail-figure";
    browser.press("12.5", Keys.ENTER);
    browser.await("the next is focused", () -> focused().equals("card-clamp-tail-figure"));
    browser.await("it is judged", () -> !browser.text("#card-loaded-tail .say").isEmpty());
    browser.await("its turn", () -> browser.has("#card-clamp-tail.turn"));
    browser.size(390, 844);
    browser.open("/jobs/" + ref + "/bench?card=finder&start=loaded");
    assertThat(browser.at(first).getDomProperty("value")).isEqualTo("12.5");
    for (String key : List.of("2", ".", "6")) {
      browser.at("[data-pad='" + key + "']").sendKeys(Keys.ENTER);
    }
    browser.at("[data-pad-next]").sendKeys(Keys.ENTER);
    browser.await("judged", () -> !browser.text("#card-clamp-tail .say").isEmpty());
    browser.at("[data-pad='9']").sendKeys(Keys.ENTER);
    assertThat(browser.at("#card-clamp-tail-figure").getDomProperty("value")).isEqualTo("2.6");
    assertThat(browser.at("#card-loaded-left-figure").getDomProperty("value")).isEqualTo("9");
    assertThat(browser.driver().executeScript("return document.documentElement.scrollWidth"))
        .isEqualTo(390L);
    browser.at("#card-loaded-right-figure").sendKeys("12.4", Keys.ENTER);
    browser.await("recorded", () -> !browser.has(first));
    browser.size(1280, 800);
    browser.open("/jobs/" + ref + "/bench?card=loaded.left");
    assertThat(browser.text(".chain")).contains("9.00 V", "stands");
    assertThat(browser.complaints()).isEmpty();
  }

  /** With the lens off: two figures, then what is stamped, then the other lamp, by Enter alone. */
  @Test
  void aStampIsSaidAmongTheFiguresOfItsLamp() throws Exception {
    String ref = new Walker(mvc, "electrician").newJob("Lens off", "NONE", "1");
    browser.open("/jobs/" + ref + "/bench?card=finder&start=rear");
    browser.at("#card-lamp-lamp_tail_rear_left-figure").sendKeys("12.1", Keys.ENTER);
    browser.await("on", () -> focused().equals("card-lamp-lamp_left_rear_left-figure"));
    browser.press("12.2", Keys.ENTER);
    for (String part : List.of("tail_rear_left.8w", "left_rear_left.27w")) {
      String stamp = "stamp.lamp_" + part;
      browser.await("its " + stamp, () -> named().equals("word." + stamp));
      browser.press(Keys.SPACE);
      browser.press(Keys.ENTER);
    }
    browser.await("the other", () -> focused().equals("card-lamp-lamp_tail_rear_right-figure"));
    browser.at("button[data-next]").sendKeys(Keys.ENTER);
    browser.await("recorded", () -> !browser.has("#card-stamp-lamp_left_rear_left-27w"));
    browser.open("/jobs/" + ref + "/bench?card=stamp.lamp_tail_rear_left.8w");
    assertThat(browser.text(".chain")).contains("these watts", "stands");
    assertThat(browser.complaints()).isEmpty();
  }

  /**
   * A sound trailer whose rear bulbs are others than anybody entered: nothing is mended, their
   * stamp is entered, and what was said of the bulbs that were assumed says nothing of these.
   */
  @Test
  void otherBulbsThanWereAssumedAreEntered() throws Exception {
    String ref = new Walker(mvc, "electrician").newJob("Bulbs of its own", "NONE", "1");
    Yard.hide(browser, ref, "Rear lamps of other watts than assumed");
    browser.open("/jobs/" + ref + "/bench?card=finder&start=rear");
    int taken = 0;
    while (!browser.has("#enter-assumed") && taken < PATIENCE) {
      take();
      taken++;
    }
    assertThat(browser.text("#card-finder .answer"))
        .contains("Rear lamps of other watts than assumed", "No fault if they belong there");
    assertThat(browser.has("#mended")).isFalse();
    browser.at("#enter-assumed").sendKeys(Keys.ENTER);
    browser.await("the rig", () -> browser.path().contains("/rig"));
    browser.at("#f-rear-tail-watts-0").sendKeys("5");
    browser.at("#f-rear-stop-watts-0").sendKeys("21", Keys.ENTER);
    browser.await("saved", () -> browser.text("#card-connection").contains("plate"));
    browser.open("/jobs/" + ref + "/bench?card=stamp.lamp_tail_rear_left.5w");
    assertThat(browser.text("#card-stamp-lamp_tail_rear_left-5w")).contains("tail, 5 W");
    assertThat(browser.text("main")).as("said of 8 W").doesNotContain("other watts, simulated");
    assertThat(browser.complaints()).isEmpty();
  }

  private String named() {
    return browser.driver().switchTo().activeElement().getDomAttribute("name");
  }
}
