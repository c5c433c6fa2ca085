package org.jexel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.jexel.app.exchange.Shot;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** A phone where the server is not reached: what is worked on there, and what becomes of it. */
class AwayIT {
  private static final String CARD = "/jobs/J1003/road/card";
  private static final String CARE = "/jobs/J1003/care/TREAD";
  private static final String LIST = "/jobs/J1003/before";
  private RunScript script;

  @BeforeEach
  void prepare() throws Exception {
    script = new RunScript();
  }

  @AfterEach
  void clear() throws Exception {
    script.close();
  }

  private static void network(Browser browser, boolean on) {
    browser.driver().executeCdpCommand("Network.enable", Map.of());
    browser
        .driver()
        .executeCdpCommand(
            "Network.emulateNetworkConditions",
            Map.of("offline", !on, "latency", 0, "downloadThroughput", -1, "uploadThroughput", -1));
  }

  private static void drive(Browser browser, String outcome, int wait) {
    browser.at("#outcome-" + outcome).sendKeys(Keys.SPACE);
    browser.at("#card-now button").sendKeys(Keys.ENTER);
    waits(browser, wait);
  }

  private static void waits(Browser browser, int many) {
    browser.await(
        many + " wait",
        () -> browser.text("#queue").startsWith(many + (many == 1 ? " waits" : " wait")));
  }

  private long count(String table) {
    try {
      return script.asked("select count(*) from " + table);
    } catch (SQLException e) {
      throw new IllegalStateException(e);
    }
  }

  private void signInAgain(Browser browser, String name) {
    browser.driver().manage().deleteAllCookies();
    browser.signIn(name);
  }

  /** The card is followed with no network and no server; all of it is there once afterwards. */
  @Test
  void whatIsDrivenOutOfReachIsThereOnceAfterwards() throws Exception {
    Process first = script.up();
    try (Browser browser = new Browser(script.port())) {
      browser.signIn("electrician");
      browser.open("/jobs/J1003/road");
      new Yard(browser).lookRound();
      browser.size(390, 844);
      browser.open(CARD);
      browser.await("kept", () -> browser.text("#kept").startsWith("Kept on this phone"));
      String begin = browser.text("#card-now h2");
      browser.open(LIST);
      browser.await("kept", () -> browser.text("#kept").startsWith("Kept on this phone"));
      browser.open(CARE);
      browser.await("the care form", () -> browser.has("#place-1"));
      browser.open("/jobs/J1003/bench?card=supply.battery");
      browser.await("the bench", () -> browser.has("#reading"));
      long before = count("test_stop");
      long photographs = count("photograph");

      network(browser, false);
      assertThat(script.run("stop").waitFor(60, TimeUnit.SECONDS)).isTrue();
      assertThat(first.waitFor(30, TimeUnit.SECONDS)).isTrue();

      browser.at("#reading").sendKeys("12.63", Keys.ENTER);
      waits(browser, 1);
      assertThat(browser.at("#reading").getDomProperty("value")).isEmpty();
      Path picture = Files.write(browser.folder().resolve("s.jpg"), Shot.jpeg(6, 2400, 1800));
      browser.at(".camera [name=photo]").sendKeys(picture.toString());
      waits(browser, 2);
      browser.open(CARD);
      assertThat(browser.text("#as-seen")).contains("as it was last seen");
      assertThat(browser.text("#card-now h2")).isEqualTo(begin);
      drive(browser, "locked", 3);
      String second = browser.text("#card-now h2");
      assertThat(second).isNotEqualTo(begin).startsWith("Row ");
      drive(browser, "locked", 4);
      browser.open(CARD);
      waits(browser, 4);
      assertThat(browser.text("#card-now h2"))
          .as("it goes on where it was")
          .isNotEqualTo(second)
          .startsWith("Row ");
      drive(browser, "firm", 5);
      browser.open(LIST);
      browser.at("#TYRES-FAILS").sendKeys(Keys.SPACE);
      browser.at("#wrong").sendKeys("cut in the left one", Keys.ENTER);
      waits(browser, 6);
      browser.open(CARE);
      browser.at("#place-1").sendKeys("6.2 mm", Keys.ENTER);
      waits(browser, 7);
      browser.open("/jobs/J1003/rig");
      assertThat(browser.text("h1")).isEqualTo("The server is not reached from here");
      browser.await("what is kept", () -> browser.text("#pages").contains("J1003, road card"));
      waits(browser, 7);

      network(browser, true);
      script.up();
      script.change("delete from SPRING_SESSION");
      browser.await("a sign-in", () -> browser.text("#queue").contains("Sign in, and it is sent"));
      signInAgain(browser, "owner");
      browser.await(
          "its own person", () -> browser.text("#queue").contains("waits for electrician"));
      assertThat(count("test_stop")).isEqualTo(before);
      signInAgain(browser, "electrician");
      browser.await(
          "an answer to each",
          () -> count("test_stop") == before + 3 || browser.text("#queue").contains("not taken"));
      assertThat(String.valueOf(browser.at("#queue").getDomProperty("textContent")))
          .as("all is sent")
          .doesNotContain("Not taken");
      // The last one; the bar itself is away while a page is read anew.
      browser.await("the care", () -> count("care_found where abs(si - 0.0062) < 1e-9") == 1);
      browser.await("nothing waits", () -> !browser.at("#queue").isDisplayed());
      String last = "from test_stop where id > (select max(id) - 3 from test_stop)";
      assertThat(script.asked("select count(*) " + last + " and driven_at < made_at"))
          .isEqualTo(3L);
      assertThat(
              script.asked(
                  "select count(*) from (select driven_at, lag(driven_at) over (order by id) earlier "
                      + last
                      + ") s where driven_at > earlier"))
          .as("in order")
          .isEqualTo(2L);
      assertThat(script.asked("select count(*) from reading where typed = '12.63'")).isEqualTo(1L);
      assertThat(count("photograph")).isEqualTo(photographs + 1);
      assertThat(count("before_tow where wrong = 'cut in the left one'")).isEqualTo(1L);
      browser.open(CARD);
      assertThat(browser.text(".report")).contains("after 6 stops");
      assertThat(browser.has("#as-seen")).isFalse();
    }
  }
}
