package org.jexel.app.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.jexel.app.AppTest;
import org.jexel.app.Walker;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.security.PersonRepository;
import org.jexel.core.check.Alone;
import org.jexel.core.check.Band;
import org.jexel.core.check.Round;
import org.jexel.core.job.BenchWork;
import org.jexel.core.job.Taken;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.Verdict;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.RequestPostProcessor;

/** A logging meter's file, the simulated meter and tester, and the helper's phone. */
@AppTest
class BenchToolsTest {
  @Autowired private MockMvc mvc;
  @Autowired private JobFiles files;
  @Autowired private PersonRepository people;

  @Autowired private JdbcTemplate sql;

  private Walker electrician;
  private String ref;
  private String log;

  @BeforeEach
  void aJob() throws Exception {
    electrician = new Walker(mvc, "electrician");
    ref = electrician.newJob("Bench tools", "ELECTRIC", "1");
  }

  private JobFile file() {
    return files.open(ref, people.findBySignIn("electrician").orElseThrow());
  }

  private BenchWork bench() {
    return file().work().bench();
  }

  /** Two magnets at half output: one draws what it should, the other a third less. */
  @Test
  void aReadingAtPartOutputIsJudgedByThatOutput() throws Exception {
    double full = bench().fullOutput();
    double amps = bench().check("magnet.amps.magnet_axle1_left").orElseThrow().band().expected();
    String half = Phrase.of("%.2f", full / 2);
    take("magnet.amps.magnet_axle1_left", Phrase.of("%.2f", amps / 2), half);
    take("magnet.amps.magnet_axle1_right", Phrase.of("%.2f", amps / 3), "50 %");
    assertThat(electrician.page("/jobs/" + ref + "/bench?card=magnet.amps.magnet_axle1_left"))
        .contains(Phrase.of("%.2f A at %s V", amps / 2, half))
        .contains("At full output that is")
        .contains("The other side draws");
    assertThat(verdict("magnet.amps.magnet_axle1_right")).isEqualTo(Verdict.FAILS);
    assertThat(verdict("magnet.amps.magnet_axle1_left"))
        .as("held against the other side")
        .isNotEqualTo(Verdict.HOLDS);
    take("magnet.amps.magnet_axle1_right", Phrase.of("%.2f", amps / 2), "50 %");
    assertThat(verdict("magnet.amps.magnet_axle1_left")).isEqualTo(Verdict.HOLDS);
    take("brake.amps", "3", "0.9");
    assertThat(electrician.page("/jobs/" + ref + "/bench?card=brake.amps"))
        .as("what was typed stays, beside its cause")
        .contains("too little to judge by")
        .containsPattern("id=\"output\"[^>]* value=\"0.9\"");
  }

  private Verdict verdict(String check) {
    return bench().verdict(bench().check(check).orElseThrow());
  }

  private void take(String check, String reading, String output) throws Exception {
    long seen = bench().last(check).map(Taken::id).orElse(0L);
    electrician.post(
        "/jobs/" + ref + "/bench/" + check,
        Map.of(
            "reading",
            reading,
            "output",
            output,
            "seen",
            String.valueOf(seen),
            "requestKey",
            check + output + reading));
  }

  private String fits(String csv) throws Exception {
    RequestPostProcessor person = user("electrician").roles("ELECTRICIAN");
    byte[] bytes = csv.getBytes(StandardCharsets.UTF_8);
    MockHttpServletResponse answer =
        mvc.perform(
                multipart("/jobs/" + ref + "/bench/log")
                    .file(new MockMultipartFile("file", "log.csv", "text/csv", bytes))
                    .with(person)
                    .with(csrf()))
            .andReturn()
            .getResponse();
    log = answer.getRedirectedUrl();
    return electrician.page(log);
  }

  @Test
  void aLoggingMetersFileIsShownFirstAndOnlyWhatFitsIsRecorded() throws Exception {
    String csv =
        """
        time;value;unit;check
        10:01;12,61;V;supply.battery
        10:02;40;V;
        10:03;12,58;V;
        10:04;rather long;V;socket.left
        10:05;-3;ohm;brake.resistance
        10:06;1;V;anvil
        10:07
        """;
    String page = fits(csv);
    assertThat(page)
        .contains("2 of 7 rows fit", "More than 30 V", "Not understood", "cannot be negative")
        .contains("This rig has no check called “anvil”", "Type what the meter shows");
    assertThat(BenchRows.of(file()).readings()).isEmpty();
    for (int i = 0; i < 2; i++) {
      electrician.post(log, Map.of());
    }
    assertThat(BenchRows.of(file()).readings()).hasSize(2);
    assertThat(BenchRows.of(file()).readings().stream().map(Reading::source))
        .containsOnly(Reading.Source.FILE);
    assertThat(bench().newest().get("supply.battery").value()).isEqualTo(12.61);
  }

  @Test
  void aFileThatIsNoneIsRefusedWithWhatWouldBeUnderstood() throws Exception {
    assertThat(fits("volts,ohms\n1,2\n")).contains("“value” among them").doesNotContain("Record ");
    assertThat(fits("value,unit\n")).contains("no row below the first line");
    assertThat(fits("value,value\n1,2\n")).contains("no readable CSV");
    assertThat(fits("value,unit\n\"12.6,V\n")).contains("no readable CSV");
    assertThat(BenchRows.of(file()).readings()).isEmpty();
  }

  /** As much as a logger writes in ten hours, ten rows a second. */
  @Test
  void aLongLogIsOneReadingForEachCheckAndTheFileIsKept() throws Exception {
    StringBuilder csv = new StringBuilder("value,unit,check\n");
    for (int i = 0; i < 360_000; i++) {
      csv.append(i % 2 == 0 ? "12." + (50 + i % 9) + ",V,supply.battery" : "12.3,V,socket.left");
      csv.append('\n');
    }
    assertThat(fits(csv.toString()))
        .contains("360000 of 360000 rows fit", "180000", "12.50 to 12.58 V", "Record 2 readings");
    electrician.post(log, Map.of());
    electrician.post(log, Map.of());
    assertThat(BenchRows.of(file()).readings()).hasSize(2);
    assertThat(bench().newest().get("supply.battery").value()).isEqualTo(12.54);
    assertThat(electrician.page("/jobs/" + ref + "/bench?card=supply.battery"))
        .contains("from a file, median of 180000 rows, 12.50 to 12.58 V");
    assertThat(sql.queryForObject("select max(bytes) from meter_log", Long.class))
        .isEqualTo(csv.length());
    assertThat(new Walker(mvc, "viewer").post(log, Map.of()).getStatus()).isEqualTo(403);
    assertThat(electrician.answer(log.replace(ref, "J1001")).getStatus()).isEqualTo(404);
  }

  @Test
  void theMetersReadingStandsInTheFieldUntilItIsRecorded() throws Exception {
    electrician.post("/jobs/" + ref + "/bench/meter", Map.of("checks", "supply.battery"));
    String page = electrician.page("/jobs/" + ref + "/bench?card=supply.battery");
    Matcher typed = Pattern.compile("id=\"reading\"[^>]* value=\"([^\"]+)\"").matcher(page);
    assertThat(typed.find()).isTrue();
    assertThat(typed.group(1)).matches("1[0-9]\\.\\d+ V");
    assertThat(BenchRows.of(file()).readings()).isEmpty();
    electrician.read(ref, "supply.battery", typed.group(1));
    assertThat(BenchRows.of(file()).readings()).hasSize(1);
    assertThat(electrician.page("/jobs/" + ref + "/bench?card=supply.battery"))
        .contains("simulated meter");
    assertThat(electrician.page("/jobs/" + ref + "/handover"))
        .contains("V, simulated meter", "Only practised, with the simulated meter: Battery");
    MockHttpServletResponse unknown =
        electrician.post("/jobs/" + ref + "/bench/meter", Map.of("checks", "anvil"));
    assertThat(unknown.getRedirectedUrl()).contains("/bench?card=");
  }

  /** Whatever battery somebody read: the simulated rig has that one from then on. */
  @Test
  void theSimulatedRigHasTheBatteryThatWasRead() throws Exception {
    electrician.read(ref, "supply.battery", "11.9");
    for (String check : List.of("socket.tail", "socket.left", "socket.charge")) {
      electrician.post("/jobs/" + ref + "/bench/meter", Map.of("checks", check));
      Matcher typed =
          Pattern.compile("id=\"reading\"[^>]* value=\"([0-9.]+) V\"")
              .matcher(electrician.page("/jobs/" + ref + "/bench?card=" + check));
      assertThat(typed.find()).as(check).isTrue();
      assertThat(Double.parseDouble(typed.group(1))).as(check).isBetween(11.6, 12.2);
    }
  }

  @Test
  void theTesterIsShownAsWiredAndWithWhatIsHidden() throws Exception {
    String path = "/jobs/" + ref + "/bench?card=tester&state=tail&plugged=true";
    assertThat(electrician.page(path)).contains("As wired", "It shows").doesNotContain("differs");
    electrician.post("/jobs/" + ref + "/bench/meter/hide", Map.of("fault", "FUSE_OPEN.tail"));
    assertThat(electrician.page(path)).contains("differs");
    assertThat(electrician.page("/jobs/" + ref + "/bench?card=meter"))
        .contains("A fault is hidden on this rig’s simulated meter.");
    Walker viewer = new Walker(mvc, "viewer");
    assertThat(
            viewer
                .post("/jobs/" + ref + "/bench/meter/hide", Map.of("fault", "chance"))
                .getStatus())
        .isEqualTo(403);
  }

  private MockHttpServletResponse stranger(String path, String address) throws Exception {
    return mvc.perform(
            get(path)
                .with(
                    request -> {
                      request.setRemoteAddr(address);
                      return request;
                    }))
        .andReturn()
        .getResponse();
  }

  private String openedCode() throws Exception {
    electrician.post("/jobs/" + ref + "/helper", Map.of());
    Matcher code =
        Pattern.compile("id=\"helper-code\">([A-Z2-9]{7})<")
            .matcher(electrician.page("/jobs/" + ref + "/bench?card=helper"));
    assertThat(code.find()).isTrue();
    return code.group(1);
  }

  @Test
  void theHelpersPhoneFollowsTheOpenCheckAndEndsWithTheWork() throws Exception {
    String code = openedCode();
    electrician.page("/jobs/" + ref + "/bench?card=socket.left");
    String phone = stranger("/h/" + code.toLowerCase(), "10.1.0.1").getContentAsString();
    assertThat(phone).contains("Left indicator", "Socket pin").doesNotContain("Sign out");
    electrician.read(ref, "supply.battery", "12.6");
    electrician.page("/jobs/" + ref + "/bench?card=brake.amps");
    assertThat(stranger("/h/" + code, "10.1.0.1").getContentAsString())
        .contains("Lever full", "12.60 V");
    assertThat(stranger("/h?code= " + code, "10.1.0.1").getRedirectedUrl()).isEqualTo("/h/" + code);
    MockHttpServletResponse stream = stranger("/h/" + code + "/events", "10.1.0.1");
    assertThat(stream.getContentAsString()).contains("event:hold", "retry:2000");
    assertThat(electrician.answer("/jobs/" + ref + "/helper.svg").getContentAsString())
        .startsWith("<svg");
    String newer = openedCode();
    assertThat(newer).isNotEqualTo(code);
    assertThat(stranger("/h/" + code, "10.1.0.1").getStatus()).isEqualTo(404);
    electrician.post("/jobs/" + ref + "/helper", Map.of("end", "yes"));
    assertThat(stranger("/h/" + newer, "10.1.0.1").getStatus()).isEqualTo(404);
    assertThat(stranger("/h/" + newer + "/events", "10.1.0.1").getStatus()).isEqualTo(204);
  }

  @Test
  void guessedCodesAreAnsweredClearlyAndNotForEver() throws Exception {
    MockHttpServletResponse first = stranger("/h/ABCDEFG", "10.1.0.9");
    assertThat(first.getStatus()).isEqualTo(404);
    assertThat(first.getContentAsString()).contains("ask for the new one");
    int last = 0;
    for (int i = 0; i < 20; i++) {
      last = stranger("/h/ABCDEF" + (2 + i % 8), "10.1.0.9").getStatus();
    }
    assertThat(last).isEqualTo(429);
    assertThat(stranger("/h", "10.1.0.9").getStatus()).isEqualTo(200);
    // A limit that lets right codes through would be none: whoever guesses learns nothing now.
    String code = openedCode();
    for (String way : List.of("/h/" + code, "/h?code=" + code)) {
      assertThat(stranger(way, "10.1.0.9").getContentAsString()).contains("Too many codes");
    }
    assertThat(stranger("/h/" + code + "/events", "10.1.0.9").getStatus()).isEqualTo(204);
    assertThat(stranger("/h/" + code, "10.1.0.10").getStatus()).isEqualTo(200);
  }

  /** Each reading alone is inside its band; side with side they are not. */
  @Test
  void oneSideIsHeldAgainstTheOther() throws Exception {
    String left = "magnet.amps.magnet_axle1_left";
    String right = "magnet.amps.magnet_axle1_right";
    Band band = bench().check(left).orElseThrow().band();
    electrician.read(ref, left, "%.2f A".formatted(band.high() * 0.995));
    assertThat(electrician.page("/jobs/" + ref + "/bench?card=" + left))
        .contains("Inside the band")
        .doesNotContain("% apart");
    electrician.read(ref, right, "%.2f A".formatted(band.low() * 1.005));
    assertThat(electrician.page("/jobs/" + ref + "/bench?card=" + right))
        .contains("Inside the band", "% apart", "Look for a poor joint", "watch");
    assertThat(bench().verdict(bench().check(left).orElseThrow())).isEqualTo(Verdict.WATCH);
  }

  /** What proves the rig, or all of it; with what was read and room for the rest. */
  @Test
  void theSheetForPaperHoldsEveryCheckOfTheProof() throws Exception {
    electrician.read(ref, "supply.battery", "12.61");
    String page = electrician.page("/jobs/" + ref + "/bench/sheet");
    for (Round round : Round.of(bench().proof())) {
      assertThat(page).contains(round.title());
    }
    assertThat(page).contains("12.61 V").doesNotContain("Each magnet by itself");
    assertThat(electrician.page("/jobs/" + ref + "/bench/sheet?closer=true"))
        .contains("Each magnet by itself", "Magnet, axle 1 left: by itself");
    byte[] pdf = electrician.answer("/jobs/" + ref + "/bench.pdf").getContentAsByteArray();
    try (PDDocument document = Loader.loadPDF(pdf)) {
      assertThat(new PDFTextStripper().getText(document).replaceAll("\\s+", " "))
          .contains("Check sheet", "Battery, engine off", "12.61 V", "turns freely");
    }
  }

  @Test
  void workingAloneChangesTheOrderAndNothingElse() throws Exception {
    List<String> before = titles();
    electrician.post("/jobs/" + ref + "/alone", Map.of("alone", "yes"));
    List<String> alone = titles();
    assertThat(alone).containsExactlyInAnyOrderElementsOf(before);
    List<Boolean> helped = Alone.order(bench().checks()).stream().map(Alone::needsHelper).toList();
    assertThat(helped).isSorted();
    assertThat(electrician.page("/jobs/" + ref + "/bench?card=helper")).contains("You work alone");
    electrician.post("/jobs/" + ref + "/alone", Map.of());
    assertThat(titles()).isEqualTo(before);
  }

  private List<String> titles() throws Exception {
    return Pattern.compile("id=\"card-((?:supply|socket|brake|trailer)-[a-z-]+)\"")
        .matcher(electrician.page("/jobs/" + ref + "/bench"))
        .results()
        .map(result -> result.group(1))
        .toList();
  }
}
