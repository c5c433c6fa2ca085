package org.jexel.app;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Remakes docs/screenshots from the demo workshop; run by {@code ./shots}, not with the tests. */
@AppTest
class ScreenshotMaker {
  @LocalServerPort private int port;

  @Test
  void shoot() throws Exception {
    Path folder = Path.of(System.getProperty("jexel.shots"));
    Files.createDirectories(folder);
    try (Browser browser = new Browser(port)) {
      browser.signIn("electrician");
      shoot(browser, folder, "board", "/");
      shoot(browser, folder, "new-job", "/jobs/new");
      shoot(browser, folder, "1-rig", "/jobs/J1001/rig?card=trailer");
      shoot(browser, folder, "2-harness", "/jobs/J1003/harness?card=plan#card-plan");
      shoot(browser, folder, "2-harness-steps", "/jobs/J1001/harness?card=steps#card-steps");
      shoot(browser, folder, "2-harness-faces", "/jobs/J1001/harness?card=faces#card-faces");
      shoot(browser, folder, "3-cab", "/jobs/J1003/cab?card=supply");
      shoot(browser, folder, "3-cab-plug", "/jobs/J1003/cab?card=plug#card-plug");
      shoot(
          browser,
          folder,
          "4-bench",
          "/jobs/J1002/bench?card=brake.resistance#card-brake-resistance");
      shoot(browser, folder, "4-bench-finder", "/jobs/J1005/bench?card=finder");
      shoot(browser, folder, "controllers", "/workshop/controllers?open=1");
      shoot(browser, folder, "5-breakaway", "/jobs/J1003/breakaway?card=cable");
      shoot(browser, folder, "6-road", "/jobs/J1003/road");
      shoot(browser, folder, "6-road-trial", "/jobs/J1003/road?card=trial&at=1.5");
      shoot(browser, folder, "7-handover", "/jobs/J1006/handover");
      shoot(browser, folder, "7-care", "/jobs/J1006/care/TREAD");
      browser.size(390, 844);
      shoot(browser, folder, "phone-bench", "/jobs/J1004/bench");
      shoot(browser, folder, "phone-road", "/jobs/J1003/road");
      browser.open("/jobs/J1004/bench?card=helper");
      browser.at("#helper-start").submit();
      String code = browser.text("#helper-code");
      browser.open("/jobs/J1004/bench?card=brake.volts");
      shoot(browser, folder, "phone-helper", "/h/" + code);
    }
  }

  private static void shoot(Browser browser, Path folder, String name, String path)
      throws InterruptedException {
    browser.open(path);
    browser.at("main");
    Thread.sleep(400); // fonts settle
    browser.picture(folder.resolve(name + ".png"));
  }
}
