package org.jexel.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.results.Rule;
import com.deque.html.axecore.selenium.AxeBuilder;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jexel.app.exchange.Shot;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.Actions;
import org.springframework.boot.test.web.server.LocalServerPort;

/** The interface as a person uses it: real pages, real database, real browser, no mouse. */
@AppTest
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class BrowserTest {
  @LocalServerPort private int port;

  private Browser browser;
  private Yard yard;

  @BeforeAll
  void open() {
    browser = Browser.watching(port);
    yard = new Yard(browser);
  }

  @BeforeEach
  void afresh() {
    browser.fresh();
  }

  @AfterAll
  void close() {
    browser.close();
  }

  @Test
  void partsOfThePlanAreMovedByPointerAndByKeysAndTakenBack() {
    browser.signIn("electrician");
    browser.open("/jobs/J1002/harness?card=plan");
    String before = browser.text(".drops");
    String at = browser.at("#part-box").getDomAttribute("data-x");
    browser.at("#part-box").sendKeys(Keys.ARROW_LEFT);
    browser.await("the box at its new place", () -> moved("box", at, -0.05));
    assertThat(browser.driver().switchTo().activeElement().getDomAttribute("id"))
        .isEqualTo("part-box");
    new Actions(browser.driver()).dragAndDropBy(browser.at("#part-rear-left"), -120, 0).perform();
    browser.await("shorter runs", () -> !browser.text(".drops").equals(before));
    browser.press("z");
    browser.await("the lamp back", () -> moved("box", at, -0.05) && undoStands());
    browser.press("z");
    browser.await("everything back", () -> browser.text(".drops").equals(before));
  }

  private boolean undoStands() {
    return browser.at("#undo").isEnabled();
  }

  private boolean moved(String part, String from, double by) {
    double now = Double.parseDouble(browser.at("#part-" + part).getDomAttribute("data-x"));
    return Math.abs(now - Double.parseDouble(from) - by) < 0.006;
  }

  @Test
  void oneJobFromTheSignInToThePdfWithoutAMouse() throws Exception {
    browser.signIn("electrician");
    browser.at("#new-job").sendKeys(Keys.ENTER);
    browser.at("input[name=kind][value=FLATBED]").sendKeys(Keys.SPACE);
    browser.at("#trailer").sendKeys("Hay wagon");
    browser.at("#tow").sendKeys("Yellow pick-up");
    browser.at("#customer").sendKeys("Lower Farm");
    browser.at("input[name=wish][value=NEW_CONTROLLER]").sendKeys(Keys.SPACE);
    browser.at("input[name=axles][value='1']").sendKeys(Keys.SPACE);
    browser.at("#brakes").sendKeys("Electric");
    browser.at("#towConnector").sendKeys("7-way blade");
    browser.at("#trailerConnector").sendKeys("7-way blade");
    browser.at("#controller").sendKeys("Under-dash");
    browser.at("#controller").sendKeys(Keys.ENTER);
    browser.at("button.act[type=submit]").sendKeys(Keys.ENTER);
    browser.await("the first act", () -> browser.path().contains("/rig?card=supply"));
    String job = browser.path().split("/")[2];

    yard.card(1, "vehicle");
    yard.figure("KERB_MASS", "2100");
    yard.figure("TOW_RATING", "2800");
    yard.card(1, "supply");
    yard.figure("FEED_RUN", "6");
    yard.card(1, "trailer");
    yard.figure("EMPTY_MASS", "520");
    yard.figure("TRAILER_PERMITTED_MASS", "1500");
    yard.figure("OVERALL_LENGTH", "4.4");
    yard.figure("DRAWBAR_LENGTH", "1.3");
    yard.card(1, "axles");
    yard.figure("AXLE_RATING", "1600");
    yard.card(5, "kit");
    yard.choose("BREAKAWAY_KIT", "Own box and battery");
    yard.figure("BREAKAWAY_CAPACITY", "12 Ah");
    yard.card(5, "cable");
    yard.figure("CABLE_LENGTH", "70 cm");

    knownBeforeFitting();
    browser.press(Keys.ESCAPE);
    browser.at("body").sendKeys("n");
    browser.await("the steps", () -> browser.path().contains("/harness"));
    for (int i = 0; i < 12 && !browser.text(".next-where").equals("Bench"); i++) {
      String act = browser.text("#next-act");
      browser.at(".step.current .tick").sendKeys(Keys.ENTER);
      browser.await("the next step", () -> !browser.text("#next-act").equals(act));
    }
    browser.press("n");
    browser.await("the bench", () -> browser.path().contains("/bench"));
    for (int i = 0; i < 40 && browser.path().contains("/bench"); i++) {
      read();
      String from = browser.path();
      browser.press("n");
      browser.await("the next act", () -> !browser.path().equals(from));
    }

    browser.await("the covers", () -> browser.path().contains("/harness"));
    browser.at(".step.current .tick").sendKeys(Keys.ENTER);
    browser.await("the cab", () -> browser.text(".next-where").equals("Cab"));
    mounting();
    browser.await("the road", () -> browser.text(".next-where").equals("Road"));
    browser.press(Keys.ESCAPE);
    browser.at("body").sendKeys("n");
    browser.await("the road", () -> browser.path().contains("/road"));
    assertThat(browser.text("#card-gate h2")).contains("The gate is shut");
    yard.lookRound();
    for (int i = 0; i < 12 && !browser.has("#card-settle"); i++) {
      double gain = Double.parseDouble(browser.at("#gain").getDomProperty("value"));
      yard.stop(gain > 6 ? "LOCKED" : "FIRM", "");
    }
    browser.at("#card-settle button").sendKeys(Keys.ENTER);
    browser.await("the setting", () -> browser.text("#card-stop h2").contains(", on dry asphalt"));
    String settled = browser.text("#card-stop h2").replaceAll("Settled on gain (\\S+),.*", "$1");
    assertThat(Double.parseDouble(settled)).isBetween(5.0, 6.0);

    browser.at("body").sendKeys("g7");
    browser.await("the report", () -> browser.path().contains("/handover"));
    assertThat(browser.text(".report"))
        .contains("gain " + settled + " on dry asphalt", "Hay wagon");
    byte[] pdf = fetch(browser.at("#pdf").getDomAttribute("href"));
    assertThat(new String(pdf, 0, 5, java.nio.charset.StandardCharsets.US_ASCII))
        .isEqualTo("%PDF-");

    assertThat(browser.path()).contains(job);
    assertThat(browser.strangers()).isEmpty();
    assertThat(browser.complaints()).isEmpty();
  }

  /** Whoever stands before a dark lamp wants to look, not to fill in forms. */
  @Test
  void aFaultJobReachesItsFirstReadingInSevenActs() {
    browser.signIn("electrician");
    List<Runnable> acts =
        List.of(
            () -> browser.at("#new-job").sendKeys(Keys.ENTER),
            () -> browser.at("input[name=kind][value=STALL]").sendKeys(Keys.SPACE),
            () -> browser.at("input[name=wish][value=REPAIR]").sendKeys(Keys.SPACE),
            () -> browser.at("button.act[type=submit]").sendKeys(Keys.ENTER),
            () -> browser.at("#start").sendKeys("Lamps glow wrongly"),
            () -> browser.at("#start").submit(),
            () -> {
              browser.await("the round", () -> browser.path().contains("start=look"));
              browser.at("#card-finder button[name=atOnce]").sendKeys(Keys.ENTER);
            });
    acts.forEach(Runnable::run);
    browser.await("it is recorded", () -> !browser.text("#next-act").contains("first look"));
    String job = browser.path().split("/")[2];
    browser.open("/jobs/" + job + "/bench?card=look.left");
    assertThat(browser.text(".chain")).contains("stands");
    assertThat(acts).hasSizeLessThanOrEqualTo(7);
  }

  /** Model and stop signal: what the next act asks for while the battery is still on. */
  private void knownBeforeFitting() {
    browser.press(Keys.ESCAPE);
    browser.at("body").sendKeys("n");
    browser.await("the controller", () -> browser.has("#cab-model"));
    browser.at("#cab-model").sendKeys("Larch");
    browser.at("#cab-model").sendKeys(Keys.ENTER);
    browser.await("its scale", () -> browser.text("#next-act").contains("stop signal"));
    browser.press(Keys.ESCAPE);
    browser.at("body").sendKeys("n");
    browser.await("the stop signal", () -> browser.has("#signal-up-1"));
    browser.at("#signal-up-1").sendKeys("0");
    browser.at("#signal-down-1").sendKeys("12,4", Keys.ENTER);
    browser.await("the wire", () -> browser.text(".next-where").equals("Harness"));
  }

  /** Angles and clear places, one by one. */
  private void mounting() {
    browser.press(Keys.ESCAPE);
    browser.at("body").sendKeys("n");
    browser.await("the mounting", () -> browser.has("#mount-yaw"));
    browser.at("#mount-yaw").sendKeys("3", Keys.ENTER);
    browser.await("the angles", () -> browser.text("#next-act").contains("7 of 7 places"));
    String[] places = {"AIRBAG", "PEDALS", "COLUMN", "HEAT", "KNEES", "STIFF", "REACH"};
    for (int i = 1; i <= places.length; i++) {
      String left = (places.length - i) + " of 7";
      browser.at("#clear-" + places[i - 1]).sendKeys(Keys.SPACE);
      boolean last = i == places.length;
      browser.await(
          "a clear place", () -> last ? !onTheCab() : browser.text("#next-act").contains(left));
    }
  }

  private boolean onTheCab() {
    return browser.text(".next-where").equals("Cab");
  }

  /** Reads the open check at its expected value, typed with a decimal comma, or walks its round. */
  private void read() {
    String check = browser.at(".card-row.open").getDomAttribute("id");
    if (browser.has(".card-row.open .round")) {
      if (browser.has(".card-row.open button[name=atOnce]")) {
        browser.at(".card-row.open button[name=atOnce]").sendKeys(Keys.ENTER);
      } else {
        yard.sound();
        browser.at(".card-row.open .round .act.primary").sendKeys(Keys.ENTER);
      }
    } else {
      String expected = browser.text(".card-row.open .expect b");
      browser.at("#reading").sendKeys(expected.replace('.', ','), Keys.ENTER);
    }
    browser.await(
        check + " stands",
        () ->
            browser.has("#" + check + " .chain")
                && browser.text("#" + check + " .chain").contains("stands"));
    assertThat(browser.text("#" + check + " h3")).contains("holds");
  }

  private byte[] fetch(String href) throws Exception {
    StringBuilder cookies = new StringBuilder();
    browser
        .driver()
        .manage()
        .getCookies()
        .forEach(c -> cookies.append(c.getName()).append('=').append(c.getValue()).append("; "));
    HttpResponse<byte[]> answer =
        HttpClient.newHttpClient()
            .send(
                HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + href))
                    .header("Cookie", cookies.toString())
                    .build(),
                HttpResponse.BodyHandlers.ofByteArray());
    assertThat(answer.statusCode()).isEqualTo(200);
    return answer.body();
  }

  @Test
  void theMainViewsAreAccessibleOnALaptopAndOnAPhone() {
    browser.open("/sign-in");
    audit("/sign-in", false);
    browser.signIn("electrician");
    List<String> views =
        List.of(
            "/",
            "/jobs/new",
            "/jobs/J1003/rig?card=vehicle",
            "/jobs/J1001/rig?card=lamps",
            "/jobs/J1001/rig?card=load",
            "/jobs/J1001/harness?card=steps",
            "/jobs/J1003/harness?card=choices",
            "/jobs/J1003/harness?card=plan",
            "/jobs/J1003/harness?card=circuits",
            "/jobs/J1001/harness?card=colours",
            "/jobs/J1001/harness?card=box",
            "/jobs/J1001/harness?card=faces",
            "/jobs/J1001/harness?card=lists",
            "/jobs/J1005/harness?card=whatif&state=tail,left&fault=3",
            "/jobs/J1001/harness/sheet",
            "/jobs/J1003/cab",
            "/jobs/J1001/cab?card=supply",
            "/jobs/J1003/cab?card=signal",
            "/jobs/J1003/cab?card=plug",
            "/jobs/J1003/cab?card=mounting",
            "/jobs/J1003/cab?card=panel",
            "/jobs/J1003/cab?card=power",
            "/jobs/J1002/bench",
            "/jobs/J1003/bench?card=look.tail",
            "/jobs/J1001/bench?card=continuity.lamp_tail_rear_left",
            "/jobs/J1004/bench/sheet",
            "/jobs/J1005/bench?card=finder",
            "/jobs/J1003/before",
            "/jobs/J1006/driver",
            "/jobs/J1006/care/MAGNETS",
            "/jobs/J1006/life",
            "/jobs/J1001/photographs",
            "/jobs/file",
            "/workshop/care",
            "/jobs/J1005/bench?card=tester&state=tail&plugged=true",
            "/jobs/J1005/bench?card=meter",
            "/jobs/J1005/bench?card=helper",
            "/jobs/J1002/breakaway",
            "/jobs/J1003/road",
            "/jobs/J1006/handover");
    // The Towline is the same on every card of a station: it is looked at once on each.
    Set<String> stations = new HashSet<>();
    for (String view : views) {
      browser.open(view);
      boolean again = !stations.add(view.replaceFirst("/jobs/J\\d+", "").replaceFirst("\\?.*", ""));
      audit(view, again);
    }
    browser.size(390, 844);
    for (String view :
        List.of(
            "/",
            "/jobs/J1004/bench",
            "/jobs/J1003/bench?card=look.tail",
            "/jobs/J1005/bench?card=finder",
            "/jobs/J1003/road",
            "/jobs/J1003/breakaway?card=kit",
            "/jobs/J1003/breakaway?card=wiring",
            "/jobs/J1003/breakaway?card=pull",
            "/jobs/J1006/care/TREAD",
            "/jobs/J1006/life",
            "/jobs/J1005/photographs?about=FINDING",
            "/workshop/breakaway",
            "/jobs/J1002/breakaway")) {
      browser.open(view);
      audit(view + " on a phone", false);
    }
    browser.signIn("owner");
    for (int width : new int[] {390, 1280}) {
      browser.size(width, 844);
      for (String view : List.of("/people", "/me")) {
        browser.open(view);
        audit(view + " at " + width, false);
      }
    }
    assertThat(browser.strangers()).isEmpty();
    assertThat(browser.complaints()).isEmpty();
    // The page that waits goes away as soon as it hears that the server is ready.
    browser.refuse("*/ready");
    browser.open("/static/away.html");
    audit("away", false);
  }

  /**
   * No preload: its copy of style sheets that import others would be an inline style, which the
   * pages forbid.
   */
  private static final String AXE =
      """
      {"preload": false, "runOnly": {"type": "tag",
       "values": ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"]}}
      """;

  /** Wide tables scroll in themselves, never the page. */
  @Test
  void noPageIsWiderThanAPhone() {
    browser.signIn("owner");
    List<String> pages = new ArrayList<>(List.of("/jobs/new", "/people", "/me"));
    pages.addAll(Walker.whole("J1001"));
    pages.removeIf(page -> page.matches(".*\\.(pdf|svg|csv)") || page.startsWith("/api"));
    pages.add("/jobs/J1005/harness?card=whatif&state=tail,left&fault=3");
    pages.add("/jobs/J1003/bench?card=brake.amps");
    pages.add("/jobs/J1003/bench?card=drum.magnet_axle1_left");
    pages.add("/jobs/J1006/handover");
    for (String card : List.of("kit", "wiring", "cable", "pull")) {
      pages.add("/jobs/J1003/breakaway?card=" + card);
    }
    List<String> wide = new ArrayList<>();
    for (String page : pages) {
      browser.open(page);
      for (int width : new int[] {390, 320}) {
        browser.size(width, 844);
        if (width() > width) {
          wide.add(page + " at " + width + ": " + width());
        }
      }
    }
    assertThat(pages).hasSizeGreaterThan(30);
    assertThat(wide).isEmpty();
  }

  @Test
  void whoMayOnlyLookIsOfferedNothingToChange() {
    browser.signIn("viewer");
    List<String> pages = Walker.whole("J1003");
    pages.removeIf(page -> page.matches(".*\\.(pdf|svg|csv)") || page.startsWith("/api"));
    pages.addAll(List.of("/jobs/J1003/rig?card=job", "/jobs/J1005/bench?card=finder"));
    for (String page : pages) {
      browser.open(page);
      assertThat(
              browser
                  .driver()
                  .findElements(
                      By.cssSelector("main form[method=post] :enabled, main .act:disabled"))
                  .stream()
                  .filter(WebElement::isDisplayed)
                  .map(WebElement::getText))
          .as(page)
          .isEmpty();
    }
    browser.open("/jobs/new");
    assertThat(browser.at("main").getText()).contains("may look, not change");
  }

  private long width() {
    return (long) browser.driver().executeScript("return document.documentElement.scrollWidth");
  }

  private void audit(String view, boolean withoutTowline) {
    AxeBuilder axe = new AxeBuilder().setLegacyMode(true);
    axe.setOptions(AXE);
    List<Rule> violations =
        (withoutTowline ? axe.exclude(List.of(".towline")) : axe)
            .analyze(browser.driver())
            .getViolations();
    assertThat(
            violations.stream()
                .map(
                    v ->
                        v.getId()
                            + ": "
                            + v.getNodes().stream().limit(3).map(n -> n.getHtml()).toList()))
        .as(view)
        .isEmpty();
  }

  @Test
  void aFigureTypedMovesTheTowlineAtOnceAndTheNextFieldKeepsItsTyping() {
    browser.signIn("electrician");
    browser.open("/jobs/J1001/rig?card=trailer");
    String before = browser.at(".towline svg").getDomProperty("innerHTML");
    browser
        .driver()
        .executeScript(
            "document.addEventListener('htmx:afterSettle', () => { document.body.dataset.settled = 1; })");
    browser.at("#f-overall-width-0").sendKeys("2.3", Keys.TAB);
    String following = focused();
    browser.await(
        "the drawing follows",
        () -> !browser.at(".towline svg").getDomProperty("innerHTML").equals(before));
    browser.await("the answer has settled", () -> browser.has("body[data-settled]"));
    assertThat(focused()).as("the hand has gone on").isEqualTo(following).startsWith("f-");
    assertThat(browser.text("#f-overall-width-0-say")).contains("measured, Tamo Berin");
    assertThat(browser.path()).startsWith("/jobs/J1001/rig");
  }

  @Test
  void nonsenseStaysTypedThroughAReloadAndASignOut() {
    browser.signIn("electrician");
    browser.open("/jobs/J1001/rig?card=vehicle");
    browser.at("#f-wheelbase-0").sendKeys("rather long", Keys.TAB);
    browser.await(
        "the message", () -> browser.text("#f-wheelbase-0-say").contains("Not understood"));
    browser.driver().navigate().refresh();
    assertThat(browser.at("#f-wheelbase-0").getDomProperty("value")).isEqualTo("rather long");
    browser.driver().manage().deleteAllCookies();
    browser.signIn("electrician");
    browser.open("/jobs/J1001/rig?card=vehicle");
    assertThat(browser.at("#f-wheelbase-0").getDomProperty("value")).isEqualTo("rather long");
    browser.at("#f-wheelbase-0").clear();
    browser.at("#f-wheelbase-0").sendKeys(Keys.TAB);
    browser.await("it is cleared", () -> browser.text("#f-wheelbase-0-say").contains("assumed"));
  }

  @Test
  void keysLeadEverywhere() {
    browser.signIn("viewer");
    browser.open("/jobs/J1003/rig");
    Map<String, String> stations =
        Map.of(
            "2",
            "/harness",
            "3",
            "/cab",
            "4",
            "/bench",
            "5",
            "/breakaway",
            "6",
            "/road",
            "7",
            "/handover",
            "1",
            "/rig");
    stations.forEach(
        (key, path) -> {
          browser.at("body").sendKeys("g" + key);
          browser.await(path, () -> browser.path().contains(path));
        });
    browser.open("/jobs/J1003/rig");
    browser.at("body").sendKeys("j");
    browser.at("body");
    browser.press("j");
    assertThat(browser.driver().switchTo().activeElement().getDomAttribute("href"))
        .contains("card=");
    browser.press("s");
    assertThat(browser.driver().findElements(By.cssSelector("details.sum[open]"))).isNotEmpty();
    browser.press("?");
    assertThat(browser.at("#keys").getDomAttribute("open")).isNotNull();
    browser.press(Keys.ESCAPE);
    browser.at("body").sendKeys("/");
    assertThat(browser.driver().switchTo().activeElement().getDomAttribute("id")).isEqualTo("q");
    browser.signIn("electrician");
    browser.open("/jobs/J1004/rig");
    browser.at("body").sendKeys("n");
    browser.await("the reading", () -> "reading".equals(focused()));
    browser.press(Keys.ESCAPE);
    browser.at("body").sendKeys("6");
    assertThat(focused()).as("a digit alone leaves no reading").isEqualTo("reading");
    assertThat(browser.at("#reading").getDomProperty("value")).isEqualTo("6");
    browser.at("#reading").clear();
    browser.press(Keys.ESCAPE);
    for (int turn = 0; turn < 2; turn++) {
      String at = browser.path();
      String units = browser.text("#units-form button");
      browser.at("body").sendKeys("u");
      browser.await("other units", () -> !browser.text("#units-form button").equals(units));
      assertThat(browser.path()).isEqualTo(at);
    }
  }

  private String focused() {
    return browser.driver().switchTo().activeElement().getDomAttribute("id");
  }

  @Test
  void onAPhoneOneCheckFillsTheScreenAndThePadTypes() {
    browser.size(390, 844);
    browser.signIn("electrician");
    browser.open("/jobs/J1004/bench");
    assertThat(
            browser.driver().findElements(By.cssSelector(".check")).stream()
                .filter(WebElement::isDisplayed))
        .hasSize(1);
    for (String key : List.of("1", "2", ".", "5", "5")) {
      browser.at("[data-pad='" + key + "']").sendKeys(Keys.ENTER);
    }
    browser.at("[data-pad='⌫']").sendKeys(Keys.ENTER);
    assertThat(browser.at("#reading").getDomProperty("value")).isEqualTo("12.5");
    for (WebElement target :
        browser
            .driver()
            .findElements(
                By.cssSelector(".pad button, .reading .act, .steps a, #next-act, .rail a"))) {
      assertThat(target.getSize().getHeight()).as(target.getText()).isGreaterThanOrEqualTo(44);
    }
    assertThat(width()).isLessThanOrEqualTo(390);
  }

  /** Two at once, one while the server is out of reach; the reading in the field stays typed. */
  @Test
  void photographsAreSentByThemselvesWhileSomebodyTypes() throws Exception {
    browser.signIn("electrician");
    browser.open("/jobs/J1002/bench?card=socket.tail");
    browser.at("#reading").sendKeys("11.");
    int before = prints();
    String one = photographed("one", 1);
    String two = photographed("two", 8);
    browser.at(".camera [name=photo]").sendKeys(one + "\n" + two);
    browser.await("both", () -> prints() == before + 2);
    browser.refuse("*/photographs");
    browser.at(".camera [name=photo]").sendKeys(photographed("three", 3));
    browser.await("one waits", () -> browser.text("#queue").contains("1 waits on this phone"));
    browser.open("/jobs/J1002/bench?card=supply.battery");
    browser.await("it waits still", () -> browser.text("#queue").contains("1 waits"));
    browser.open("/jobs/J1002/bench?card=socket.tail");
    browser.at("#reading").sendKeys("9");
    browser.refuse();
    browser.await("all three", () -> prints() == before + 3);
    assertThat(browser.at("#reading").getDomProperty("value")).endsWith("9");
    assertThat(browser.at("#queue").isDisplayed()).isFalse();
  }

  private String photographed(String name, int orientation) throws Exception {
    Path file = browser.folder().resolve(name + ".jpg");
    int width = 900 + name.length();
    return Files.write(file, Shot.jpeg(orientation, width, 700)).toString();
  }

  /** Pictures that are there to be seen. */
  private int prints() {
    return ((Number)
            browser
                .driver()
                .executeScript(
                    "return [...document.querySelectorAll('.prints img')]"
                        + ".filter(i => i.complete && i.naturalWidth > 0).length"))
        .intValue();
  }

  @Test
  void aJobFileIsTakenInAndOneThatWasChangedIsRefusedWithItsReason() throws Exception {
    browser.signIn("electrician");
    String told =
        (String)
            browser
                .driver()
                .executeAsyncScript(
                    "fetch('/jobs/J1003/job.json').then(a => a.text()).then(arguments[0])");
    browser.open("/jobs/file");
    browser.at("#job-file").sendKeys(file(told.replaceFirst("alpaca", "camel")));
    browser.at("#job-file").submit();
    browser.await("why not", () -> browser.text(".progress-said").contains("its hash is another"));
    browser.at("#job-file").sendKeys(file(told));
    browser.at("#job-file").submit();
    browser.await("the copy", () -> browser.path().endsWith("/handover"));
    assertThat(browser.text("main")).contains("Begun as J1003");
  }

  private String file(String told) throws Exception {
    return Files.writeString(browser.folder().resolve("job.json"), told).toString();
  }

  @Test
  void withoutScriptsTheFormsStillPost() {
    browser.signIn("electrician");
    browser
        .driver()
        .executeCdpCommand("Emulation.setScriptExecutionDisabled", Map.of("value", true));
    browser.open("/jobs/J1001/rig?card=vehicle");
    browser.at("#f-tow-width-0").sendKeys("1.95", Keys.ENTER);
    browser.await("it is taken", () -> browser.text("#f-tow-width-0-say").contains("measured"));
  }
}
