package org.jexel.app;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.persistence.EntityManagerFactory;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.hibernate.SessionFactory;
import org.hibernate.stat.Statistics;
import org.jexel.app.job.Job;
import org.jexel.app.job.JobFiles;
import org.jexel.app.job.JobList;
import org.jexel.app.security.Person;
import org.jexel.app.security.PersonRepository;
import org.jexel.core.job.Station;
import org.jexel.core.job.StationState;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;

@AppTest
class PagesTest {
  private static final Pattern INLINE =
      Pattern.compile("<script(?![^>]* src=)[^>]*>|<style|\\sstyle=\"|\\son[a-z]+=\"");

  @Autowired private MockMvc mvc;
  @Autowired private JobList jobs;
  @Autowired private JobFiles files;
  @Autowired private PersonRepository people;
  @Autowired private EntityManagerFactory entities;

  private Walker electrician;
  private Walker viewer;

  @BeforeEach
  void walkers() {
    electrician = new Walker(mvc, "electrician");
    viewer = new Walker(mvc, "viewer");
  }

  private List<Job> demo() {
    Person viewer = people.findBySignIn("viewer").orElseThrow();
    return jobs.board(viewer, "J100", 1).stream()
        .filter(job -> job.ref().compareTo("J1007") < 0)
        .toList();
  }

  @Test
  void everyStationOfEveryDemoJobOpensWithoutInlineScriptOrStyle() throws Exception {
    assertThat(demo()).hasSize(6);
    for (Job job : demo()) {
      for (Station station : Station.values()) {
        String path = "/jobs/" + job.ref() + "/" + station.path();
        MockHttpServletResponse response = viewer.answer(path);
        assertThat(response.getStatus()).as(path).isEqualTo(200);
        assertThat(response.getHeader("Content-Security-Policy"))
            .as(path)
            .contains("script-src 'self'")
            .contains("style-src 'self'")
            .doesNotContain("unsafe");
        assertThat(INLINE.matcher(response.getContentAsString()).find()).as(path).isFalse();
      }
    }
  }

  @Test
  void theOtherPagesKeepTheContentPolicyToo() throws Exception {
    for (String path : List.of("/", "/jobs/new", "/sign-in")) {
      MockHttpServletResponse response = electrician.answer(path);
      assertThat(response.getHeader("Content-Security-Policy")).as(path).contains("'self'");
      assertThat(INLINE.matcher(response.getContentAsString()).find()).as(path).isFalse();
    }
  }

  @Test
  void stationsThatLaterWorkFillSayWhatTheRigAlreadyTells() throws Exception {
    assertThat(viewer.page("/jobs/J1002/cab")).contains("Breaker by load", "15 A");
    assertThat(viewer.page("/jobs/J1002/breakaway")).contains("17.1 min");
    for (Job job : demo()) {
      for (Station station : Station.values()) {
        assertThat(viewer.page("/jobs/" + job.ref() + "/" + station.path()))
            .doesNotContainIgnoringCase("coming soon");
      }
    }
  }

  @Test
  void everyStationStateAndEveryStationOccursInTheDemo() {
    assertThat(demo().stream().flatMap(job -> job.standing().states().values().stream()).distinct())
        .containsExactlyInAnyOrder(StationState.values());
    assertThat(demo().stream().map(job -> job.standing().nextStation()).distinct().count())
        .isGreaterThanOrEqualTo(4);
  }

  @Test
  void whatTheBoardShowsIsWhatTheComputationSays() {
    var person = people.findBySignIn("viewer").orElseThrow();
    for (Job job : demo()) {
      // At midnight a look round runs out, and soon after that the board knows it too.
      if (!job.standing().stoodBy().endsWith(LocalDate.now(ZoneOffset.UTC).toString())) {
        continue;
      }
      var progress = files.open(job.ref(), person).work().progress();
      assertThat(job.standing().states()).as(job.title()).isEqualTo(progress.states());
      assertThat(job.standing().nextAct()).isEqualTo(progress.next().text());
    }
  }

  @Test
  void theReportIsAPdfWithReadingsStopsSettingAndCautions() throws Exception {
    MockHttpServletResponse response = viewer.answer("/jobs/J1006/report.pdf");
    assertThat(response.getContentType()).isEqualTo("application/pdf");
    try (PDDocument pdf = Loader.loadPDF(response.getContentAsByteArray())) {
      String text = new PDFTextStripper().getText(pdf).replaceAll("\\s+", " ");
      assertThat(text)
          .contains("Mobile sauna")
          .contains("set to gain 6 on dry asphalt")
          .contains("Brake circuit, resistance")
          .contains("On the verge")
          .contains("no anti-lock")
          .contains("Local law");
      assertThat(pdf.getNumberOfPages()).isBetween(4, 8);
    }
  }

  @Test
  void theReportOfAJobWithoutReadingsSaysSo() throws Exception {
    MockHttpServletResponse response = viewer.answer("/jobs/J1001/report.pdf");
    try (PDDocument pdf = Loader.loadPDF(response.getContentAsByteArray())) {
      assertThat(Walker.oneLine(new PDFTextStripper().getText(pdf)))
          .contains("not read", "It has no breakaway")
          .as("no two letters in one glyph")
          .contains("Beehive flatbed");
    }
  }

  @Test
  void theBoardTakesAFixedNumberOfStatements() throws Exception {
    viewer.page("/");
    assertThat(statements(() -> viewer.page("/"))).isLessThanOrEqualTo(4);
    assertThat(statements(() -> viewer.page("/?q=alpaca"))).isLessThanOrEqualTo(4);
  }

  @Test
  void everyStationTakesAFixedNumberOfStatementsHoweverFullTheJob() throws Exception {
    for (String ref : List.of("J1001", "J1006")) {
      for (Station station : Station.values()) {
        String path = "/jobs/" + ref + "/" + station.path();
        int most = station == Station.HANDOVER ? 20 : 15;
        assertThat(statements(() -> viewer.page(path))).as(path).isLessThanOrEqualTo(most);
      }
    }
  }

  @Test
  void everyCardOfTheHarnessTakesAFixedNumberOfStatements() throws Exception {
    for (String card :
        List.of("steps", "choices", "plan", "circuits", "colours", "box", "faces", "lists")) {
      String path = "/jobs/J1001/harness?card=" + card;
      assertThat(statements(() -> viewer.page(path))).as(path).isLessThanOrEqualTo(16);
    }
  }

  private static final int MOST_OF_A_READING = 20;

  /** Lock, read, decide, write, stations anew: one act, whatever was read before. */
  @Test
  void aReadingThatIsRecordedTakesAFixedNumberOfStatements() throws Exception {
    String ref = electrician.newJob("Counted", "ELECTRIC", "2");
    String at = "/jobs/" + ref + "/bench/";
    assertThat(statements(() -> electrician.post(at + "supply.battery", first(ref, "12.6"))))
        .as("two stations move with it")
        .isLessThanOrEqualTo(MOST_OF_A_READING);
    electrician.post(
        "/jobs/" + ref + "/care/LAMPS",
        Map.of("place-0", "in order", "day", "2026-11-02", "requestKey", "lamps-" + ref));
    assertThat(statements(() -> electrician.post(at + "socket.tail", first(ref, "12.5"))))
        .as("nothing that is due hangs on it")
        .isLessThanOrEqualTo(MOST_OF_A_READING);
    assertThat(electrician.page("/jobs/" + ref + "/bench?card=socket.tail")).contains("12.50");
  }

  private static Map<String, String> first(String ref, String reading) {
    return Map.of("reading", reading, "seen", "0", "requestKey", ref + " " + reading);
  }

  private interface Act {
    void run() throws Exception;
  }

  private long statements(Act act) throws Exception {
    Statistics statistics = entities.unwrap(SessionFactory.class).getStatistics();
    long before = statistics.getPrepareStatementCount();
    act.run();
    return statistics.getPrepareStatementCount() - before;
  }

  @Test
  void theBoardIsSearchedByTheWordsOfAllThatAJobIsCalled() throws Exception {
    assertThat(viewer.page("/?q=PLANETARIUM")).contains("J1002").doesNotContain("J1003");
    assertThat(viewer.page("/?q=birch")).contains("J1006").doesNotContain("J1002");
    assertThat(viewer.page("/?q=j1004")).contains("Digger");
    assertThat(viewer.page("/?q=blue%20estate")).contains("J1003").doesNotContain("J1002");
    assertThat(viewer.page("/?q=controller%20%20Meadow%20FLOAT")).contains("J1003");
    assertThat(viewer.page("/?q=new%20alpaca%20upper%20blue%20anvil")).doesNotContain("J1003");
    assertThat(viewer.page("/?q=new%20alpaca%20upper%20blue%20j1003")).contains("Alpaca float");
    assertThat(viewer.page("/?q=meadow%20planetarium")).contains("No job has these words");
    assertThat(viewer.page("/?q=%25")).contains("No job has these words");
  }

  @Test
  void theTowlineFollowsTheFigures() throws Exception {
    String ref = electrician.newJob("Growing trailer", "NONE", "1");
    String before = electrician.page("/jobs/" + ref + "/rig");
    electrician.post(
        "/jobs/" + ref + "/figures/trailer",
        Map.of("OVERALL_LENGTH.0", "5.8", "OVERALL_LENGTH.0.was", ""));
    String after = electrician.page("/jobs/" + ref + "/rig");
    assertThat(before).contains("4.20 m ?");
    assertThat(after).contains(">5.80 m<").doesNotContain("4.20 m ?");
    assertThat(towline(after)).isNotEqualTo(towline(before));
  }

  private static String towline(String page) {
    return page.substring(page.indexOf("<svg xmlns"), page.indexOf("class=\"rail\""));
  }

  @Test
  void unitsAreAPersonsOwn() throws Exception {
    Walker owner = new Walker(mvc, "owner");
    assertThat(owner.post("/units", Map.of("back", "/jobs/J1001/rig?card=load#card-load")))
        .extracting(MockHttpServletResponse::getRedirectedUrl)
        .isEqualTo("/jobs/J1001/rig?card=load#card-load");
    assertThat(owner.page("/jobs/J1003/rig")).contains(" lb");
    for (String elsewhere :
        new String[] {"//example.org/x", "https://example.org", "no path", ":"}) {
      assertThat(owner.post("/units", Map.of("back", elsewhere)).getRedirectedUrl())
          .as(elsewhere)
          .isEqualTo("/");
    }
    assertThat(viewer.page("/jobs/J1003/rig")).doesNotContain(" lb<");
    owner.post("/units", Map.of());
    assertThat(owner.page("/jobs/J1003/rig")).contains(" kg");
  }

  @Test
  void aJobThatIsNotThereIsToldPlainly() throws Exception {
    assertThat(viewer.answer("/jobs/J9999/rig").getStatus()).isEqualTo(404);
    assertThat(viewer.page("/jobs/J1001/bench?card=nonsense"))
        .contains("No check of this rig is called “nonsense”");
    assertThat(viewer.page("/jobs/J1001/bench?card=finder")).doesNotContain("No check of this rig");
    assertThat(viewer.page("/jobs/J1001/bench")).doesNotContain("No check of this rig");
    assertThat(
            electrician.post("/jobs/J1001/bench/nonsense", Map.of("requestKey", "x")).getStatus())
        .isEqualTo(404);
  }
}
