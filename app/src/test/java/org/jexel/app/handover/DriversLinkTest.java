package org.jexel.app.handover;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.jexel.app.AppTest;
import org.jexel.app.Walker;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;

/** The driver's card behind its address: this sheet, while it is open, and nothing else. */
@AppTest
class DriversLinkTest {
  private static final Pattern ADDRESS = Pattern.compile("http://[^<]*(/d/[0-9a-f]{40})<");

  @Autowired private MockMvc mvc;
  @Autowired private JdbcTemplate sql;
  private Walker electrician;
  private int phones;

  @BeforeEach
  void signIn() {
    electrician = new Walker(mvc, "electrician");
  }

  /** From a phone that nobody signed in on, each on a line of its own. */
  private MockHttpServletResponse read(String path, String from) throws Exception {
    return Walker.stranger(mvc, path, from);
  }

  private MockHttpServletResponse read(String path) throws Exception {
    return read(path, "198.51.100." + ++phones);
  }

  private String opened(String ref) throws Exception {
    assertThat(electrician.post(card(ref), new HashMap<>()).getStatus()).isEqualTo(302);
    Matcher address = ADDRESS.matcher(electrician.page(card(ref)));
    assertThat(address.find()).isTrue();
    return address.group(1);
  }

  private static String card(String ref) {
    return "/jobs/" + ref + "/driver";
  }

  @Test
  void theAddressShowsTheCardAndNothingElseOfJexel() throws Exception {
    String ref = electrician.newJob("Driver", "ELECTRIC", "2");
    String address = opened(ref);
    MockHttpServletResponse read = read(address);
    assertThat(read.getStatus()).isEqualTo(200);
    assertThat(Walker.oneLine(read.getContentAsString()))
        .contains("No gain holds for it", "It sways", "Breakaway", "Each bright and alone")
        .contains("<meta name=\"robots\" content=\"noindex, nofollow\"")
        .doesNotContain(ref, "href=\"/jobs", "Sign", "customer", address);
    assertThat(read.getHeader("X-Robots-Tag")).contains("noindex");
    assertThat(read.getHeader("Cache-Control")).contains("no-store");
    assertThat(read.getCookies()).as("no session").isEmpty();
    assertThat(read("/jobs/" + ref + "/driver").getStatus()).isEqualTo(302);
  }

  @Test
  void anAddressThatIsTakenBackOverOrWrongShowsNothing() throws Exception {
    String ref = electrician.newJob("Driver, taken back", "NONE", "1");
    String first = opened(ref);
    String second = opened(ref);
    assertThat(second).isNotEqualTo(first);
    assertThat(read(first).getStatus()).as("a new one ends it").isEqualTo(404);
    assertThat(read(second).getStatus()).isEqualTo(200);
    electrician.post(card(ref), new HashMap<>(Map.of("end", "yes")));
    MockHttpServletResponse gone = read(second);
    assertThat(gone.getStatus()).isEqualTo(404);
    assertThat(gone.getContentAsString()).contains("taken back").doesNotContain("It sways");
    String last = opened(ref);
    sql.update("update drivers_link set ends_at = now(3) where token = ?", last.substring(3));
    assertThat(read(last).getStatus()).as("over").isEqualTo(404);
    assertThat(read("/d/" + last.substring(3).toUpperCase(java.util.Locale.ROOT)).getStatus())
        .isEqualTo(404);
  }

  @Test
  void whoeverGuessesIsToldNothingForAWhileNotEvenOfARightOne() throws Exception {
    String right = opened(electrician.newJob("Driver, guessed", "NONE", "1"));
    String guesser = "203.0.113.9";
    int tries = 0;
    while (read("/d/" + UUID.randomUUID(), guesser).getStatus() == 404 && tries < 50) {
      tries++;
    }
    assertThat(tries).isBetween(5, 20);
    assertThat(read(right, guesser).getStatus()).isEqualTo(429);
    assertThat(read(right).getStatus()).as("from elsewhere").isEqualTo(200);
  }

  @Test
  void aViewerReadsItAndOpensNone() throws Exception {
    String ref = electrician.newJob("Driver, viewer", "NONE", "1");
    Walker viewer = new Walker(mvc, "viewer");
    assertThat(viewer.page(card(ref))).contains("It sways").doesNotContain("Make the address");
    assertThat(viewer.post(card(ref), new HashMap<>()).getStatus()).isEqualTo(403);
  }

  @Test
  void onPaperItIsOneSheet() throws Exception {
    for (String ref : java.util.List.of("J1003", "J1006")) {
      opened(ref);
      try (PDDocument pdf =
          Loader.loadPDF(
              electrician.answer("/jobs/" + ref + "/driver.pdf").getContentAsByteArray())) {
        assertThat(pdf.getNumberOfPages()).isEqualTo(1);
        assertThat(new PDFTextStripper().getText(pdf)).contains("Wheel nuts", "Local law");
      }
    }
  }
}
