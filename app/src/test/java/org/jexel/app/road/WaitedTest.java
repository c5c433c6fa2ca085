package org.jexel.app.road;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jexel.app.AppTest;
import org.jexel.app.Walker;
import org.jexel.app.job.JobRepository;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;

/** What waited on a phone is taken once, as of when it was done, or the phone is told why not. */
@AppTest
class WaitedTest {
  private static final long HOUR_MS = 3_600_000;
  private static final String TAKEN = "{\"taken\":true,\"why\":\"\"}";

  @Autowired private MockMvc mvc;
  @Autowired private JobRepository jobs;
  @Autowired private StopLineRepository stops;
  private Walker electrician;

  @BeforeEach
  void signIn() {
    electrician = new Walker(mvc, "electrician");
  }

  private String sent(Walker who, String path, long ago, Map<String, String> fields)
      throws Exception {
    Map<String, String> all = new HashMap<>(fields);
    all.putIfAbsent("requestKey", UUID.randomUUID().toString());
    all.put("ago", String.valueOf(ago));
    MockHttpServletResponse answer = who.post(path, all);
    return answer.getStatus() == 200 ? answer.getContentAsString() : "" + answer.getStatus();
  }

  private String stop(String ref, long ago, String... pairs) throws Exception {
    Map<String, String> fields =
        new HashMap<>(
            Map.of(
                "gain", "5",
                "way", "LEVER",
                "speed", "40",
                "surface", "DRY_ASPHALT",
                "outcome", "FIRM"));
    for (int i = 0; i < pairs.length; i += 2) {
      fields.put(pairs[i], pairs[i + 1]);
    }
    return sent(electrician, "/jobs/" + ref + "/road/stops", ago, fields);
  }

  private List<Double> driven(String ref) throws Exception {
    // As the station tells them: in the order in which they were driven.
    String page = electrician.page("/jobs/" + ref + "/road?card=stop");
    return java.util.regex.Pattern.compile("<td class=\"num\"><b>([\\d.]+)</b></td>")
        .matcher(page.substring(page.indexOf("Stops so far")))
        .results()
        .map(found -> Double.parseDouble(found.group(1)))
        .toList();
  }

  @Test
  void aStopIsTakenOnceAndStandsWhereItWasDriven() throws Exception {
    String ref = electrician.readyForTheRoad("Waited", "2");
    long open = System.currentTimeMillis();
    electrician.page("/jobs/" + ref + "/road");
    assertThat(stop(ref, 0, "gain", "6")).isEqualTo(TAKEN);
    String key = UUID.randomUUID().toString();
    for (int i = 0; i < 3; i++) {
      long ago = System.currentTimeMillis() - open;
      assertThat(stop(ref, ago, "gain", "4.5", "requestKey", key)).isEqualTo(TAKEN);
    }
    assertThat(driven(ref)).containsExactly(4.5, 6.0);
  }

  @Test
  void whatCannotStandIsToldAndNothingIsKeptOfIt() throws Exception {
    String ref = electrician.readyForTheRoad("Waited", "1");
    assertThat(stop(ref, HOUR_MS))
        .contains("\"taken\":false", "The gate was shut when it was driven");
    assertThat(stop(ref, 0, "gain", "5.3")).contains("No such mark");
    assertThat(stop(ref, 0, "outcome", "")).contains("\"taken\":false");
    assertThat(stop(ref, -1)).contains("\"taken\":false", "Type it again");
    assertThat(stop(ref, 61 * 24 * HOUR_MS)).contains("more than 60 days");
    assertThat(stop(ref, 0, "corrects", "9999999")).contains("was corrected already");
    assertThat(stops.ofJob(jobs.find(1L, ref).orElseThrow().id())).isEmpty();
    assertThat(electrician.page("/jobs/" + ref + "/road?card=stop"))
        .as("no draft of it stands in the form")
        .doesNotContain("value=\"5.3\"");
    Walker viewer = new Walker(mvc, "viewer");
    assertThat(sent(viewer, "/jobs/" + ref + "/road/stops", 0, Map.of("gain", "5")))
        .isEqualTo("403");
  }

  @Test
  void unitsAreThoseInWhichItWasTyped() throws Exception {
    String ref = electrician.readyForTheRoad("Waited", "1");
    assertThat(stop(ref, 0, "units", "US", "speed", "25", "distance", "100")).isEqualTo(TAKEN);
    assertThat(electrician.page("/jobs/" + ref + "/road?card=stop")).contains("40 km/h", "30.5 m");
  }

  @Test
  void aLaterReadingIsNotPushedAsideByOneThatWaited() throws Exception {
    String ref = electrician.newJob("Waited", "ELECTRIC", "1");
    String path = "/jobs/" + ref + "/bench/supply.battery";
    assertThat(sent(electrician, path, HOUR_MS, Map.of("reading", "12.41"))).isEqualTo(TAKEN);
    assertThat(sent(electrician, path, HOUR_MS / 2, Map.of("reading", "12.52"))).isEqualTo(TAKEN);
    assertThat(sent(electrician, path, HOUR_MS * 3 / 4, Map.of("reading", "12.33")))
        .contains("read it later: 12.52 V");
    assertThat(sent(electrician, path, 0, Map.of("reading", "a lot"))).contains("\"taken\":false");
    String page = electrician.page("/jobs/" + ref + "/bench?card=supply.battery");
    assertThat(page).contains("12.52 V", "12.41 V").doesNotContain("12.33 V");
    assertThat(sent(electrician, "/jobs/" + ref + "/bench/no.such", 0, Map.of("reading", "1")))
        .isEqualTo("404");
  }

  @Test
  void aRoundThatWaitedIsTakenWordByWord() throws Exception {
    String ref = electrician.newJob("Waited", "NONE", "1");
    Map<String, String> round = Map.of("word.look.tail.lamp_tail_rear_left", "dark");
    String path = "/jobs/" + ref + "/bench/round";
    assertThat(sent(electrician, path, HOUR_MS, round)).isEqualTo(TAKEN);
    assertThat(electrician.page("/jobs/" + ref + "/bench?card=look.tail")).contains("dark");
    assertThat(sent(electrician, path, HOUR_MS, Map.of())).contains("on the sheet no more");
  }

  @Test
  void figuresThatWaitedAreTakenOneByOne() throws Exception {
    String ref = electrician.newJob("Waited", "NONE", "1");
    String path = "/jobs/" + ref + "/bench/round";
    Map<String, String> read =
        Map.of("word.loaded.tail", "12,5", "word.loaded.left", "a lot", "word.loaded.right", "");
    assertThat(sent(electrician, path, HOUR_MS, read)).contains("\"taken\":false");
    assertThat(electrician.page("/jobs/" + ref + "/bench?card=loaded.tail")).contains("12.50 V");
    assertThat(electrician.page("/jobs/" + ref + "/bench?card=loaded.right"))
        .doesNotContain(">stands<");
  }
}
