package org.jexel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.openqa.selenium.By;
import org.springframework.boot.test.web.server.LocalServerPort;

/**
 * Somebody who thinks in inches and pounds, with a browser that asks for German, on a machine that
 * is set to German: the whole build runs so.
 */
@AppTest
class InchesTest {
  /** 1,5: a figure as German writes it. */
  private static final Pattern COMMA = Pattern.compile("\\d,\\d");

  /** A metric length or mass, unless the same stands beside it in feet, inches or pounds. */
  private static final Pattern METRIC = Pattern.compile("\\d (m|mm|cm|kg|km)\\b(?! \\(|/|\\))");

  @LocalServerPort private int port;

  private Browser browser;

  @BeforeEach
  void inInches() {
    browser = new Browser(port);
    browser.driver().executeCdpCommand("Network.enable", Map.of());
    browser
        .driver()
        .executeCdpCommand(
            "Network.setExtraHTTPHeaders",
            Map.of("headers", Map.of("Accept-Language", "de-DE,de;q=0.9")));
    browser.signIn("viewer");
    toggle("Metric");
  }

  @AfterEach
  void inMetresAgain() {
    browser.open("/");
    toggle("US");
    browser.close();
  }

  private void toggle(String from) {
    browser.await("the units", () -> browser.text("#units-form button").startsWith(from));
    browser.at("#units-form button").click();
    browser.await("the other units", () -> !browser.text("#units-form button").startsWith(from));
  }

  @Test
  void theMachineIsSetToAnotherLanguage() {
    assertThat(Locale.getDefault().getLanguage()).isEqualTo("de");
  }

  @ParameterizedTest
  @ValueSource(strings = "J1003")
  void noPageHasAMetreOrAComma(String ref) {
    Set<String> pages = new LinkedHashSet<>();
    for (String station :
        List.of("rig", "harness", "cab", "bench", "breakaway", "road", "handover")) {
      browser.open("/jobs/" + ref + "/" + station);
      pages.add(browser.driver().getCurrentUrl());
      browser.driver().findElements(By.cssSelector("main h2 a[href*='card=']")).stream()
          .map(link -> link.getDomProperty("href"))
          .forEach(pages::add);
    }
    assertThat(pages).hasSizeGreaterThan(30);
    List<String> strangers = new ArrayList<>();
    for (String page : pages) {
      browser.driver().get(page);
      browser.await("the page", () -> browser.has("main"));
      browser
          .driver()
          .executeScript("document.querySelectorAll('details').forEach(d => { d.open = true; })");
      browser
          .text("body")
          .lines()
          .filter(line -> METRIC.matcher(line).find() || COMMA.matcher(line).find())
          .forEach(line -> strangers.add(page + ": " + line));
    }
    assertThat(strangers).isEmpty();
  }
}
