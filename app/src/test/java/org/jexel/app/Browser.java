package org.jexel.app;

import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.logging.Level;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.openqa.selenium.By;
import org.openqa.selenium.Dimension;
import org.openqa.selenium.Keys;
import org.openqa.selenium.OutputType;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.WindowType;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.openqa.selenium.logging.LogEntry;
import org.openqa.selenium.logging.LogType;
import org.openqa.selenium.logging.LoggingPreferences;
import org.openqa.selenium.support.ui.WebDriverWait;

/** Headless Chromium on one running Jexel, worked by keys alone. */
public final class Browser implements AutoCloseable {
  private static final Pattern REQUESTED =
      Pattern.compile("\"url\":\"((?:https?|wss?)://[^\"]+)\"");

  /** Long: a busy machine is slow at times, and what never comes true is rare. */
  private static final Duration PATIENCE = Duration.ofSeconds(60);

  private static final Duration BETWEEN_LOOKS = Duration.ofMillis(50);

  private final ChromeDriver driver;
  private final String base;
  private final Path profile;

  public Browser(int port) {
    this(port, Level.OFF);
  }

  private Browser(int port, Level requests) {
    base = "http://127.0.0.1:" + port;
    LoggingPreferences logs = new LoggingPreferences();
    logs.enable(LogType.PERFORMANCE, requests);
    logs.enable(LogType.BROWSER, Level.ALL);
    ChromeOptions options = new ChromeOptions();
    try {
      profile = Files.createTempDirectory("jexel-browser");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    options.setBinary("/usr/bin/chromium");
    options.addArguments(
        "--headless=new",
        "--no-sandbox",
        "--disable-gpu",
        "--disable-dev-shm-usage",
        "--disable-background-networking",
        "--disable-component-update",
        "--disable-sync",
        "--disable-quic",
        "--no-first-run",
        "--hide-scrollbars",
        "--force-device-scale-factor=1",
        "--user-data-dir=" + profile);
    options.setCapability("goog:loggingPrefs", logs);
    driver =
        new ChromeDriver(
            new ChromeDriverService.Builder()
                .usingDriverExecutable(new File("/usr/bin/chromedriver"))
                .build(),
            options);
    size(1280, 800);
  }

  /** One that tells {@link #strangers()}, and is slower for it. */
  static Browser watching(int port) {
    return new Browser(port, Level.ALL);
  }

  /** As if it had just been started: starting one takes longer than most tests. */
  void fresh() {
    driver.executeCdpCommand(
        "Storage.clearDataForOrigin", Map.of("origin", base, "storageTypes", "all"));
    String before = driver.getWindowHandle();
    driver.switchTo().newWindow(WindowType.TAB);
    String now = driver.getWindowHandle();
    driver.switchTo().window(before).close();
    driver.switchTo().window(now);
    driver.manage().deleteAllCookies();
    complaints();
    size(1280, 800);
  }

  /** Sets the inner size of the window. */
  public void size(int width, int height) {
    driver.executeCdpCommand(
        "Emulation.setDeviceMetricsOverride",
        Map.of("width", width, "height", height, "deviceScaleFactor", 1, "mobile", false));
    driver.manage().window().setSize(new Dimension(width, height));
  }

  /** From now on requests to such addresses fail, and to no others. */
  public void refuse(String... addresses) {
    driver.executeCdpCommand("Network.enable", Map.of());
    driver.executeCdpCommand("Network.setBlockedURLs", Map.of("urls", List.of(addresses)));
  }

  /** Where files may lie that it sends; gone with it. */
  public Path folder() {
    return profile;
  }

  public ChromeDriver driver() {
    return driver;
  }

  public void open(String path) {
    driver.get(base + path);
  }

  public void signIn(String name) {
    open("/sign-in");
    at("#username").sendKeys(name);
    at("#password").sendKeys(name + "-valley", Keys.ENTER);
    await("the board", () -> driver.getCurrentUrl().equals(base + "/"));
  }

  public String path() {
    return driver.getCurrentUrl().substring(base.length());
  }

  public WebElement at(String css) {
    return new WebDriverWait(driver, PATIENCE, BETWEEN_LOOKS)
        .until(d -> d.findElement(By.cssSelector(css)));
  }

  public boolean has(String css) {
    return !driver.findElements(By.cssSelector(css)).isEmpty();
  }

  public String text(String css) {
    return at(css).getText();
  }

  /** Presses keys on whatever has the focus. */
  public void press(CharSequence... keys) {
    driver.switchTo().activeElement().sendKeys(keys);
  }

  /** Something that comes true soon. */
  public interface Soon {
    boolean holds();
  }

  public void await(String what, Soon soon) {
    new WebDriverWait(driver, PATIENCE, BETWEEN_LOOKS)
        .withMessage(
            () -> what + " at " + path() + (has("#next-act") ? ", next " + text("#next-act") : ""))
        .ignoring(org.openqa.selenium.StaleElementReferenceException.class)
        .until(d -> soon.holds());
  }

  /** Hosts of all requests since the last call, this application's own excepted. */
  public List<String> strangers() {
    return driver.manage().logs().get(LogType.PERFORMANCE).getAll().stream()
        .map(LogEntry::getMessage)
        .filter(message -> message.contains("Network.requestWillBeSent\""))
        .flatMap(
            message -> {
              Matcher matcher = REQUESTED.matcher(message);
              return matcher.find() ? Stream.of(matcher.group(1)) : Stream.empty();
            })
        .filter(url -> !url.startsWith(base))
        .toList();
  }

  /** A draft that its own record took the place of: meant so, and logged by the library. */
  private static final String TAKEN_BACK = "(?s).*htmx:(sendAbort|afterRequest), \\[object HTML.*";

  /** Errors and policy violations in the console since the last call. */
  public List<String> complaints() {
    return driver.manage().logs().get(LogType.BROWSER).getAll().stream()
        .filter(entry -> entry.getLevel().intValue() >= Level.WARNING.intValue())
        .map(LogEntry::getMessage)
        .filter(message -> !message.matches(TAKEN_BACK))
        .toList();
  }

  public void picture(Path file) {
    try {
      Files.write(file, driver.getScreenshotAs(OutputType.BYTES));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Override
  public void close() {
    driver.quit();
    try (Stream<Path> files = Files.walk(profile)) {
      files.sorted(Comparator.reverseOrder()).map(Path::toFile).forEach(File::delete);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
