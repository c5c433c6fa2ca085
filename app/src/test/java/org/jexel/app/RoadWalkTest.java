package org.jexel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.openqa.selenium.Keys;
import org.openqa.selenium.support.ui.Select;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.web.servlet.MockMvc;

/**
 * The Road in the browser, on rigs whose brakes were read before: what it leads to, and when not.
 */
@AppTest
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class RoadWalkTest {
  @Autowired private MockMvc mvc;
  @LocalServerPort private int port;

  private Browser browser;
  private Yard yard;
  private Walker electrician;

  @BeforeAll
  void open() {
    electrician = new Walker(mvc, "electrician");
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

  /** The simulated road fills the form in; what it says is recorded as it stands. */
  private void driveOnTheSimulatedRoad() {
    int before = stops();
    browser.at("button[formaction$='/road/simulated']").sendKeys(Keys.ENTER);
    browser.await("it is driven", () -> browser.has("input[name=outcome]:checked"));
    browser.at(".stopform .act.primary").sendKeys(Keys.ENTER);
    browser.await("it is recorded", () -> stops() == before + 1);
  }

  private int stops() {
    return browser
        .driver()
        .findElements(org.openqa.selenium.By.cssSelector("a[href*='corrects=']"))
        .size();
  }

  @Test
  void anAlpacaFloatIsSetFromNothingInSixStops() throws Exception {
    String ref = electrician.readyForTheRoad("Alpaca float", "2");
    browser.open("/jobs/" + ref + "/road?card=stop");
    for (int i = 0; i < 6 && !browser.has("#card-settle"); i++) {
      driveOnTheSimulatedRoad();
    }
    assertThat(browser.has("#card-settle")).as("within six stops").isTrue();
    browser.at("#card-settle button").sendKeys(Keys.ENTER);
    yard.card(6, "profiles");
    assertThat(browser.text("#card-profiles"))
        .as("a practised search is told from a driven one")
        .contains("Just below lock-up", "found on the simulated road");
  }

  @Test
  void aPlanetariumThatPullsToOneSideIsSentBackToTheBench() throws Exception {
    String ref = electrician.readyForTheRoad("Planetarium", "1");
    Yard.hide(browser, ref, "Open: Magnet, axle 1 left");
    browser.open("/jobs/" + ref + "/road?card=stop");
    for (int i = 0; i < 6 && !browser.text("#card-stop").contains("Stop and look."); i++) {
      driveOnTheSimulatedRoad();
    }
    assertThat(browser.text("#card-stop")).contains("Stop and look.");
    assertThat(browser.has("#card-settle")).isFalse();
    browser.at("#card-stop a[href*='/bench']").sendKeys(Keys.ENTER);
    browser.await("the bench", () -> browser.path().contains("/bench"));
  }

  @Test
  void aSettingIsStaleAfterAChangeOfTheLoad() throws Exception {
    String ref = electrician.readyForTheRoad("Mobile sauna", "2");
    browser.open("/jobs/" + ref + "/road?card=stop");
    for (int i = 0; i < 12 && !browser.has("#card-settle"); i++) {
      double gain = Double.parseDouble(browser.at("#gain").getDomProperty("value"));
      yard.stop(gain > 6 ? "LOCKED" : "FIRM", "");
    }
    browser.at("#card-settle button").sendKeys(Keys.ENTER);
    browser.await("the setting", () -> browser.text("#card-stop h2").startsWith("Settled on gain"));
    yard.card(1, "load");
    browser.at("#load-name").sendKeys("Stones");
    browser.at("#load-mass").sendKeys("700");
    browser.at("#load-place").sendKeys("3", Keys.ENTER);
    browser.await("it is loaded", () -> browser.text("#card-load").contains("Stones"));
    yard.card(6, "profiles");
    assertThat(browser.text("#card-profiles")).contains("another load", "None of these holds");
    assertThat(browser.has("#card-profiles .verdict.watch")).isTrue();
    assertThat(browser.has("#card-profiles .verdict.holds")).isFalse();
  }

  @Test
  void aStopIsMeasuredFromATrace() throws Exception {
    String ref = electrician.readyForTheRoad("Traced", "2");
    browser.open("/jobs/" + ref + "/road?card=trace");
    browser
        .at("#trace-file")
        .sendKeys(
            Path.of("src/main/resources/static/examples/acceleration.csv")
                .toAbsolutePath()
                .toString());
    browser.at("form.waits button").sendKeys(Keys.ENTER);
    browser.await("its stops", () -> browser.has("#card-trace table"));
    assertThat(browser.text("#card-trace")).contains("Gravity was taken out.", "m/s²");
    browser.at("#card-trace td form button").sendKeys(Keys.ENTER);
    browser.await("the form", () -> browser.has("#card-stop.open"));
    String told = browser.at("#deceleration").getDomProperty("value");
    assertThat(Double.parseDouble(told)).isBetween(2.0, 2.2);
    assertThat(browser.text("#card-stop")).contains("from trace");
    yard.stop("FIRM", "");
    assertThat(browser.text(".know")).contains("What the last stop tells", told + " m/s²");
    assertThat(browser.text(".do")).contains("trace");
    yard.card(6, "trace");
    assertThat(browser.text("#card-trace")).contains("a stop was measured from it");
  }

  @Test
  void aSettingIsMovedToAnotherVehicleAndItsAssistIsFelt() throws Exception {
    browser.open("/jobs/J1006/road?card=profiles");
    Select to = new Select(browser.at("#card-profiles select[name=to]"));
    to.selectByIndex(0);
    browser.at("#card-profiles select[name=to]").submit();
    browser.await("it is moved", () -> browser.text("#card-profiles").contains("at the connector"));
    assertThat(browser.text("#card-profiles")).contains("prove it by two stops", "Start-up assist");
  }
}
