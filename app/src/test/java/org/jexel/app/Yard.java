package org.jexel.app;

import java.util.List;
import java.util.Locale;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.support.ui.Select;

/**
 * Whoever stands in the yard with a browser: does what a page offers and what Next asks for, by
 * keys alone, and counts each act: a page that is opened, a field that is filled, a press.
 */
final class Yard {
  private static final List<String> SOUND =
      List.of("hums", "turns freely", "stands", "wakes", "these watts");

  private final Browser browser;
  private int acts;

  Yard(Browser browser) {
    this.browser = browser;
  }

  int acts() {
    return acts;
  }

  /** From the board to a job. Each entry is {@code name=value}, as the form has it. */
  String start(String kind, String wish, String... entries) {
    browser.open("/");
    acts = 0;
    press("#new-job");
    browser.await("the form", () -> browser.path().equals("/jobs/new"));
    radio("kind", kind);
    radio("wish", wish);
    for (String entry : entries) {
      String[] pair = entry.split("=");
      if (browser.has("input[type=radio][name=" + pair[0] + "]")) {
        radio(pair[0], pair[1]);
      } else if (browser.has("select#" + pair[0])) {
        pick("#" + pair[0], pair[1]);
      } else {
        type("#" + pair[0], pair[1]);
      }
    }
    press("button.act[type=submit]");
    browser.await("the job's first act", () -> browser.path().matches("/jobs/J\\d+/.*"));
    return browser.path().split("/")[2];
  }

  private void radio(String name, String value) {
    acts++;
    browser.at("input[name=%s][value='%s']".formatted(name, value)).sendKeys(Keys.SPACE);
  }

  /** A page of the job by its address, as from a bookmark or a code. */
  void open(String page) {
    acts++;
    browser.open(browser.path().replaceFirst("(/jobs/J\\d+/).*", "$1" + page));
  }

  void press(String css) {
    acts++;
    browser.at(css).sendKeys(Keys.ENTER);
  }

  void pick(String css, String option) {
    acts++;
    new Select(browser.at(css)).selectByVisibleText(option);
  }

  void type(String css, String text) {
    acts++;
    browser.at(css).clear();
    browser.at(css).sendKeys(text);
  }

  /** Types as above, leaves the field, and waits for what the page says then. */
  void type(String css, String text, String says) {
    type(css, text);
    browser.at(css).sendKeys(Keys.TAB);
    browser.await(says, () -> page().contains(says));
  }

  /** Opens a card of a station by its heading, the station by its key. */
  void card(int station, String card) {
    if (!browser.has(".rail a[data-key='" + station + "'][aria-current]")) {
      browser.press(Keys.ESCAPE);
      keys("g" + station);
      browser.await(
          "station " + station,
          () -> browser.has(".rail a[data-key='" + station + "'][aria-current]"));
    }
    if (!browser.has("#card-" + card + ".open")) {
      press("#card-" + card + " > h2 > a");
      browser.await(card + " is open", () -> browser.has("#card-" + card + ".open"));
    }
  }

  private void keys(String typed) {
    acts++;
    browser.at("body").sendKeys(typed);
  }

  /** Types into a figure of the open card and waits until it is taken. */
  void figure(String code, String typed) {
    type("#" + field(code), typed);
    browser.at("#" + field(code)).sendKeys(Keys.TAB);
    taken(code);
  }

  /** Chooses in a figure of the open card and waits until it is taken. */
  void choose(String code, String option) {
    pick("#" + field(code), option);
    browser.at("#" + field(code)).sendKeys(Keys.TAB);
    taken(code);
  }

  private static String field(String code) {
    return "f-" + code.toLowerCase().replace('_', '-') + "-0";
  }

  private void taken(String code) {
    browser.await(
        code + " is taken",
        () ->
            browser
                .at("[name='" + code + ".0.seen']")
                .getDomAttribute("value")
                .matches("[1-9]\\d*"));
  }

  /** What stands on the page, the Next strip included. */
  String page() {
    return browser.text("#page");
  }

  String next() {
    return browser.text("#next-act");
  }

  String where() {
    return browser.text(".next-where");
  }

  /** Goes where Next leads. */
  void go() {
    String leads = browser.at("#next-act").getDomAttribute("href").replaceAll("#.*", "");
    browser.press(Keys.ESCAPE);
    keys("n");
    browser.await(leads, () -> browser.path().replaceAll("#.*", "").equals(leads));
  }

  /** Ticks the step that is due, each part of it where it has several. */
  void tick() {
    String act = next();
    if (browser.has(".step.current .items")) {
      while (browser.has(".step.current .item[aria-pressed=false]") && next().equals(act)) {
        int open = count(".step.current .item[aria-pressed=false]");
        press(".step.current .item[aria-pressed=false]");
        browser.await(
            "it is ticked",
            () -> !next().equals(act) || count(".step.current .item[aria-pressed=false]") < open);
      }
    } else {
      press(".step.current .tick");
    }
    browser.await("the next act", () -> !next().equals(act));
  }

  private int count(String css) {
    return browser.driver().findElements(By.cssSelector(css)).size();
  }

  /** Reads the open check as a sound rig shows it: by the simulated meter, or word by word. */
  void read() {
    String act = next();
    if (!browser.has(".card-row.open .round")) {
      String expected = browser.text(".card-row.open .expect b");
      acts++;
      browser.at("#reading").sendKeys(expected, Keys.ENTER);
    } else if (browser.has(".card-row.open button[name=atOnce]")) {
      press(".card-row.open button[name=atOnce]");
    } else {
      sound();
      press(".card-row.open .round .act.primary");
    }
    browser.await("it stands", () -> !next().equals(act));
  }

  /** Brakes, wheels and the controller begin empty: each is said; what is read in turn is read. */
  void sound() {
    onTheCard(".word, .words").forEach(this::sound);
    onTheCard(".read:has([data-figure])").forEach(this::figure);
  }

  private List<WebElement> onTheCard(String css) {
    return browser.driver().findElements(By.cssSelector(".card-row.open :is(%s)".formatted(css)));
  }

  /** The middle of what is expected. */
  private void figure(WebElement read) {
    String[] band = read.findElement(By.cssSelector("small .num")).getText().split("[^0-9.]+");
    double middle = (Double.parseDouble(band[0]) + Double.parseDouble(band[1])) / 2;
    acts++;
    read.findElement(By.cssSelector("input[data-figure]"))
        .sendKeys(String.format(Locale.ROOT, "%.2f", middle));
  }

  private void sound(WebElement word) {
    for (WebElement label : word.findElements(By.tagName("label"))) {
      WebElement radio = label.findElement(By.tagName("input"));
      if (SOUND.contains(label.getText().strip()) && !radio.isSelected()) {
        acts++;
        // A key that falls into a swap is pressed again, as a hand would.
        browser.await(
            "it is said",
            () -> {
              if (!radio.isSelected()) {
                radio.sendKeys(Keys.SPACE);
              }
              return radio.isSelected();
            });
      }
    }
  }

  /** Hides a fault on the rig’s simulated meter, of a middling severity. */
  static void hide(Browser browser, String ref, String fault) {
    browser.open("/jobs/" + ref + "/bench?card=meter");
    List<String> severities =
        new Select(browser.at("#hidden-fault"))
            .getOptions().stream()
                .map(WebElement::getText)
                .filter(text -> text.startsWith(fault))
                .toList();
    new Select(browser.at("#hidden-fault"))
        .selectByVisibleText(severities.get(severities.size() / 2));
    browser.at("#hidden-fault").submit();
    String says = fault.startsWith("nothing") ? "sound rig." : "A fault is hidden";
    browser.await("it is set", () -> browser.text("#card-meter .worth").contains(says));
  }

  /**
   * Tyres, nuts and place are sound, the linings warm, and what is to be watched has its reason.
   */
  void lookRound() {
    card(6, "gate");
    for (String what : List.of("TYRES", "NUTS", "PLACE")) {
      browser.at("#" + what + "-HOLDS").sendKeys(Keys.SPACE);
    }
    browser
        .driver()
        .findElements(By.cssSelector("input[name^='why.']"))
        .forEach(why -> why.sendKeys("known to the owner"));
    browser.at("#gate-warmed").sendKeys("20");
    browser.at(".gateform button").sendKeys(Keys.ENTER);
    browser.await("the gate", () -> browser.text("#card-gate h2").contains("is open"));
    card(6, "stop");
  }

  /** One test stop at the gain that is advised. */
  void stop(String outcome, String metres) {
    acts += 2;
    int before = count("a[href*='corrects=']");
    browser.at("#outcome-" + outcome.toLowerCase()).sendKeys(Keys.SPACE);
    browser.at("#distance").sendKeys(metres, Keys.ENTER);
    browser.await("the stop is recorded", () -> count("a[href*='corrects=']") > before);
  }

  /** Follows Next through steps and checks until it asks for something else. */
  void workOn() {
    for (int i = 0; i < 80 && List.of("Harness", "Bench").contains(where()); i++) {
      String station = where();
      go();
      if (station.equals("Bench")) {
        read();
      } else {
        tick();
        while (where().equals("Harness") && browser.path().contains("/harness")) {
          tick();
        }
      }
    }
  }
}
