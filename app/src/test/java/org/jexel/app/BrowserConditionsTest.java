package org.jexel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.Objects;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.openqa.selenium.Keys;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.MockMvc;

/** What a yard does to a browser: a slow line, and a phone with a sensor of its own. */
@AppTest
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class BrowserConditionsTest {
  @LocalServerPort private int port;
  @Autowired private MockMvc mvc;
  @Autowired private JdbcTemplate sql;

  private Browser browser;

  @BeforeAll
  void open() {
    browser = new Browser(port);
  }

  @BeforeEach
  void afresh() {
    browser.fresh();
  }

  @AfterAll
  void close() {
    browser.close();
  }

  private Object run(String script) {
    return browser.driver().executeScript(script);
  }

  private String value(String css) {
    return browser.at(css).getDomProperty("value");
  }

  private void slowLine() {
    browser.driver().executeCdpCommand("Network.enable", Map.of());
    browser
        .driver()
        .executeCdpCommand(
            "Network.emulateNetworkConditions",
            Map.of(
                "offline", false,
                "latency", 2500,
                "downloadThroughput", -1,
                "uploadThroughput", -1));
  }

  /** One draft is on its way, one waits, one is just typed: the press comes before all of them. */
  @Test
  void aPressRightAfterTheLastWordIsNotLostOnASlowLine() throws Exception {
    String ref = new Walker(mvc, "electrician").newJob("Pressed at once", "ELECTRIC", "2");
    browser.signIn("electrician");
    browser.open("/jobs/" + ref + "/bench?card=hums");
    slowLine();
    run(
        "const words = document.querySelectorAll('.card-row.open .word [value=hums]');"
            + "words[0].click();"
            + "setTimeout(() => words[1].click(), 800);"
            + "setTimeout(() => {"
            + "  words[2].click(); words[3].click();"
            + "  document.querySelector('.card-row.open .round .act.primary').click();"
            + "}, 1500);");
    browser.await(
        "all four stand",
        () ->
            Objects.equals(
                4L,
                sql.queryForObject(
                    "select count(*) from reading r join job j on j.id = r.job_id"
                        + " where j.ref = ? and r.check_id like 'hums.%'",
                    Long.class, ref)));
  }

  /** The answer to the first field comes long after the second was typed. */
  @Test
  void aLateAnswerNeverWipesWhatWasTypedMeanwhile() {
    browser.signIn("owner");
    browser.open("/jobs/J1003/road");
    run(
        "window.sent = 0; window.settled = 0;"
            + "document.addEventListener('htmx:beforeSend', () => { window.sent++; });"
            + "document.addEventListener('htmx:afterSettle', () => { window.settled++; });");
    slowLine();
    browser.at("#distance").clear();
    browser.at("#distance").sendKeys("24,5", Keys.TAB);
    // What is typed within the delay of the trigger leaves with the first request.
    browser.await("it is on its way", () -> (Long) run("return window.sent") > 0);
    browser.at("#note").sendKeys("pulls to the left", Keys.TAB);
    browser.await("the first answer", () -> (Long) run("return window.settled") > 0);
    assertThat(value("#note")).isEqualTo("pulls to the left");
    assertThat(value("#distance")).isEqualTo("24,5");
    browser.await("the second answer", () -> !browser.has(".htmx-request"));
    browser.driver().navigate().refresh();
    browser.await("the page", () -> browser.has("#note"));
    assertThat(value("#note")).isEqualTo("pulls to the left");
    assertThat(value("#distance")).isEqualTo("24,5");
  }

  @Test
  void aPhoneLaidOnTheControllerReadsItsOwnAngles() {
    browser.size(390, 844);
    browser
        .driver()
        .executeCdpCommand("Emulation.setTouchEmulationEnabled", Map.of("enabled", true));
    browser
        .driver()
        .executeCdpCommand(
            "DeviceOrientation.setDeviceOrientationOverride",
            Map.of("alpha", 0, "beta", 12.34, "gamma", -3.21));
    browser.signIn("electrician");
    browser.open("/jobs/J1004/cab?card=mounting");
    browser.await("the button", () -> browser.at("#level-here").isDisplayed());
    browser.at("#level-here").sendKeys(Keys.ENTER);
    browser.await(
        "the drawing follows",
        () -> browser.at(".towline").getDomProperty("textContent").contains("pitched 12°"));
    assertThat(value("#mount-roll")).isEqualTo("-3.2");
    browser.driver().navigate().refresh();
    assertThat(value("#mount-pitch")).isEqualTo("12.3");
  }
}
