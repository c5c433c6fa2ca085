package org.jexel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;

/** What people meet while the database is away, and afterwards. */
class DatabaseAwayIT {
  private static RunScript script;
  private static Http electrician;

  @BeforeAll
  static void running() throws Exception {
    script = new RunScript();
    script.up();
    electrician = new Http(script.port());
    electrician.signIn("electrician", "electrician-valley");
  }

  @AfterAll
  static void stopped() throws Exception {
    script.close();
  }

  private static Duration since(long start) {
    return Duration.ofNanos(System.nanoTime() - start);
  }

  private static HttpResponse<String> soon(String path, Duration within) throws Exception {
    long start = System.nanoTime();
    HttpResponse<String> answer = electrician.get(path);
    assertThat(since(start)).as(path).isLessThan(within);
    return answer;
  }

  /** Stopped, and so that it takes connections and never answers: both look dead to a person. */
  @Test
  void everyAnswerComesWithinFourSecondsAndWorkGoesOnAfterwards() throws Exception {
    String page = electrician.get("/jobs/J1001/bench?card=supply.battery").body();
    script.killDatabase();
    whileAway(page);
    script.startDatabase();
    script.awaitDatabase();
    recovers(System.nanoTime(), Duration.ofSeconds(5));

    ProcessHandle database = script.pid("db");
    signal("STOP", database);
    try {
      whileAway(page);
    } finally {
      signal("CONT", database);
    }
    recovers(System.nanoTime(), Duration.ofSeconds(5));
    assertThat(electrician.get("/jobs/J1001/bench?card=supply.battery").body())
        .as("nothing was posted")
        .doesNotContain("12.31 V");
  }

  private static void signal(String name, ProcessHandle process) throws Exception {
    int code = new ProcessBuilder("kill", "-" + name, "" + process.pid()).start().waitFor();
    assertThat(code).isZero();
  }

  private static void whileAway(String page) throws Exception {
    Duration four = Duration.ofSeconds(4);
    for (String path : List.of("/jobs/J1001/bench", "/", "/jobs/J1001/report.pdf", "/people")) {
      HttpResponse<String> answer = soon(path, four);
      assertThat(answer.statusCode()).as(path).isEqualTo(503);
      assertThat(answer.body())
          .contains("The database does not answer", "on disk and safe", "opens by itself");
    }
    assertThat(soon("/alive", Duration.ofSeconds(1)).statusCode()).isEqualTo(200);
    assertThat(soon("/ready", four).statusCode()).isEqualTo(503);
    assertThat(soon("/static/css/jexel.css", Duration.ofSeconds(1)).statusCode()).isEqualTo(200);
    assertThat(soon("/webjars/htmx.org/dist/htmx.min.js", Duration.ofSeconds(1)).statusCode())
        .isEqualTo(200);
    long start = System.nanoTime();
    HttpResponse<String> posted =
        electrician.post(
            "/jobs/J1001/bench/supply.battery",
            Map.of(
                "reading", "12.31",
                "seen", "0",
                "requestKey", "",
                "_csrf", Walker.hidden(page, "_csrf")));
    assertThat(since(start)).isLessThan(four);
    assertThat(posted.statusCode()).isEqualTo(503);
    assertThat(posted.body()).contains("data-posted");
    Http stranger = new Http(script.port());
    assertThat(stranger.get("/sign-in").statusCode()).isIn(200, 503);
  }

  private static void recovers(long start, Duration within) throws Exception {
    while (electrician.get("/").statusCode() != 200) {
      assertThat(since(start)).as("recovery").isLessThan(within);
      Thread.sleep(100);
    }
    assertThat(since(start)).as("recovery").isLessThan(within);
    assertThat(electrician.get("/ready").statusCode()).isEqualTo(200);
  }

  private static void focus(Browser browser) {
    browser.driver().executeScript("arguments[0].focus()", browser.at("#reading"));
  }

  @Test
  void whatIsTypedWhileTheDatabaseIsAwayIsRecordedOnceWhenItIsBack() throws Exception {
    try (Browser browser = new Browser(script.port())) {
      browser.signIn("electrician");
      browser.open("/jobs/J1001/bench?card=supply.battery");
      focus(browser);
      script.killDatabase();
      browser.press("12.57", Keys.ENTER);
      browser.await("it waits", () -> browser.text("#queue").startsWith("1 waits on this phone"));
      assertThat(browser.text("#said")).isEqualTo("Kept on this phone.");
      script.startDatabase();
      browser.await("the reading stands", () -> browser.has(".chain td.num"));
      assertThat(
              browser.driver().findElements(By.cssSelector(".chain tr")).stream()
                  .filter(row -> row.getText().contains("12.57")))
          .hasSize(1);
      assertThat(browser.at("#reading").getDomProperty("value")).isEmpty();

      browser.open("/jobs/J1001/bench?card=socket.tail");
      focus(browser);
      script.killDatabase();
      browser.press("12.4", Keys.TAB);
      browser.await("not kept yet", () -> browser.text("#said").contains("still here"));
      browser.open("/jobs/J1001/bench?card=socket.tail");
      assertThat(browser.text("h1")).contains("The database does not answer");
      script.startDatabase();
      browser.await("the page opens by itself", () -> browser.has("#reading"));
      assertThat(browser.at("#reading").getDomProperty("value")).isEqualTo("12.4");
    }
  }
}
