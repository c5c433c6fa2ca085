package org.jexel.app.road;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
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

/** What is said before a wheel turns, what stops say, and what becomes of a setting. */
@AppTest
class RoadTest {
  @Autowired private MockMvc mvc;
  @Autowired private JobRepository jobs;
  @Autowired private SaidLineRepository said;
  @Autowired private StopLineRepository stops;
  private Walker electrician;

  @BeforeEach
  void signIn() {
    electrician = new Walker(mvc, "electrician");
  }

  private static String key() {
    return UUID.randomUUID().toString();
  }

  private String proved() throws Exception {
    String ref = electrician.newJob("Goods trailer", "ELECTRIC", "2");
    electrician.prove(ref);
    return ref;
  }

  private String ready() throws Exception {
    String ref = proved();
    electrician.lookRound(ref);
    return ref;
  }

  private String page(String ref, String card) throws Exception {
    return electrician.page("/jobs/" + ref + "/road?card=" + card);
  }

  private long id(String ref) {
    return jobs.find(1L, ref).orElseThrow().id();
  }

  private void say(String ref, String... pairs) throws Exception {
    Map<String, String> fields = new HashMap<>(Map.of("requestKey", key()));
    for (int i = 0; i < pairs.length; i += 2) {
      fields.put(pairs[i], pairs[i + 1]);
    }
    electrician.post("/jobs/" + ref + "/road/gate", fields);
  }

  private void stop(String ref, String... pairs) throws Exception {
    Map<String, String> fields =
        new HashMap<>(
            Map.of(
                "gain", "5",
                "way", "LEVER",
                "speed", "40",
                "surface", "DRY_ASPHALT",
                "outcome", "FIRM",
                "requestKey", key()));
    for (int i = 0; i < pairs.length; i += 2) {
      fields.put(pairs[i], pairs[i + 1]);
    }
    MockHttpServletResponse answer = electrician.post("/jobs/" + ref + "/road/stops", fields);
    assertThat(answer.getStatus()).as(answer.getContentAsString()).isEqualTo(302);
  }

  @Test
  void theGateOpensByLookingAndByReasonsAndByNothingElse() throws Exception {
    String ref = proved();
    assertThat(page(ref, "gate")).contains("The gate is shut", "Go past it today, because");
    stop(ref);
    assertThat(stops.ofJob(id(ref))).as("shut").isEmpty();
    say(ref, "TYRES", "HOLDS", "NUTS", "HOLDS", "PLACE", "HOLDS");
    assertThat(page(ref, "gate")).as("what is to be watched").contains("The gate is shut");
    say(ref, "why.load", "ok", "warmed", "many");
    assertThat(page(ref, "gate"))
        .contains("Write why, so that the next person understands it.", "How many, such as 5")
        .contains("value=\"many\"");
    electrician.lookRound(ref);
    assertThat(page(ref, "gate"))
        .contains("The gate is open", "Gone past today:", "known to the owner");
    say(ref, "TYRES", "FAILS");
    assertThat(page(ref, "stop")).contains("The gate is shut");
    stop(ref);
    assertThat(stops.ofJob(id(ref))).isEmpty();
    say(ref, "TYRES", "HOLDS");
    stop(ref);
    assertThat(stops.ofJob(id(ref))).hasSize(1);
  }

  @Test
  void aRepeatedPostSaysItOnce() throws Exception {
    String ref = proved();
    String once = key();
    for (int i = 0; i < 3; i++) {
      electrician.post("/jobs/" + ref + "/road/gate", Map.of("warmed", "4", "requestKey", once));
    }
    assertThat(said.ofJob(id(ref))).hasSize(1);
    assertThat(page(ref, "gate")).contains("4 of 5 gentle stops made");
  }

  /** A stop before the linings are warm is kept as one. */
  @Test
  void aStopOnColdLiningsSaysSo() throws Exception {
    String ref = ready();
    stop(ref);
    assertThat(page(ref, "stop")).doesNotContain("not warm yet");
    String cold = proved();
    say(
        cold,
        "TYRES",
        "HOLDS",
        "NUTS",
        "HOLDS",
        "PLACE",
        "HOLDS",
        "why.load",
        "known to all",
        "why.breakaway",
        "known to all");
    assertThat(page(cold, "stop")).contains("The linings are not warm yet");
    stop(cold);
    assertThat(page(cold, "stop")).contains("dry asphalt, not warm yet");
  }

  @Test
  void aStopIsKeptWithAllThatWasSeen() throws Exception {
    String ref = ready();
    stop(
        ref,
        "how",
        "OUTSIDE",
        "pull",
        "LEFT",
        "feel",
        "TUG",
        "place",
        "old airfield",
        "wheel1L",
        "FIRM",
        "wheel2R",
        "VERGE");
    assertThat(page(ref, "stop"))
        .contains(
            "somebody outside, pulled to the left, it tugs, old airfield, axle 1 left firm, axle 2 right on the verge");
    stop(ref, "wheel1L", "MELTED");
    assertThat(page(ref, "stop")).contains("id=\"p-wheel1L\"");
    assertThat(stops.ofJob(id(ref))).hasSize(1);
  }

  /** Twice to one side, then somebody looks, and the search goes on. */
  @Test
  void aPullToOneSideStopsTheSearchUntilSomebodyLooked() throws Exception {
    String ref = ready();
    stop(ref, "pull", "LEFT");
    assertThat(page(ref, "stop")).doesNotContain("Stop and look.");
    stop(ref, "pull", "LEFT", "gain", "6");
    assertThat(page(ref, "stop"))
        .contains("Stop and look.", "Tell the Bench to which side", "card=pulls.trailer")
        .contains("Look for a fault");
    assertThat(electrician.page("/jobs/" + ref + "/bench?card=pulls.trailer")).contains("to the");
    say(ref, "looked", "x");
    assertThat(page(ref, "stop")).contains("Write what was looked at");
    say(ref, "looked", "left adjusters were slack, set anew");
    assertThat(page(ref, "stop")).doesNotContain("Stop and look.").contains("Try gain");
  }

  @Test
  void oneWheelAloneStopsTheSearchToo() throws Exception {
    String ref = ready();
    stop(ref, "outcome", "LOCKED", "wheel1L", "LOCKED", "wheel1R", "FIRM");
    assertThat(page(ref, "stop")).contains("axle 1 left locked alone", "Open the fault finder");
  }

  @Test
  void evenPullIsFoundByThePedalAndKeptAsASettingOfItsOwn() throws Exception {
    String ref = ready();
    stop(ref, "way", "PEDAL", "gain", "4", "feel", "PUSH");
    stop(ref, "way", "PEDAL", "gain", "6", "feel", "TUG");
    assertThat(page(ref, "profiles")).contains("It pushes at 4 and tugs at 6");
    electrician.post("/jobs/" + ref + "/road/settle-even", Map.of("requestKey", key()));
    assertThat(page(ref, "profiles")).as("nothing found yet").contains("Nothing is settled yet");
    stop(ref, "way", "PEDAL", "gain", "5", "feel", "EVEN");
    assertThat(page(ref, "profiles")).contains("Settle even pull on 5");
    electrician.post("/jobs/" + ref + "/road/settle-even", Map.of("requestKey", key()));
    assertThat(page(ref, "profiles")).contains("Even pull", "holds");
    assertThat(page(ref, "stop")).contains("Settled on gain 5, on dry asphalt");
  }

  @Test
  void aSettingGoesStaleWithTheLoadAndTheReportSaysSo() throws Exception {
    String ref = ready();
    stop(ref, "way", "PEDAL", "gain", "5", "feel", "EVEN");
    electrician.post("/jobs/" + ref + "/road/settle-even", Map.of("requestKey", key()));
    assertThat(electrician.page("/jobs/" + ref + "/handover"))
        .contains("Gain ", "even pull")
        .doesNotContain("It holds no longer");
    electrician.post(
        "/jobs/" + ref + "/rig/load",
        Map.of("name", "Sand", "mass", "900", "place", "3", "requestKey", key()));
    assertThat(page(ref, "profiles")).contains("another load", "None of these holds");
    assertThat(electrician.page("/jobs/" + ref + "/handover")).contains("It holds no longer");
  }

  @Test
  void aGainMovesToAControllerWhoseCurveIsKnown() throws Exception {
    String page = electrician.page("/jobs/J1006/road?card=profiles");
    assertThat(page).contains("To another vehicle, by equal volts");
    if (page.contains("name=\"to\"")) {
      String id =
          page.replaceAll("(?s).*?<select name=\"to\">\\s*<option value=\"(\\d+)\".*", "$1");
      assertThat(electrician.page("/jobs/J1006/road?card=profiles&to=" + id))
          .contains("at the connector");
    }
  }
}
