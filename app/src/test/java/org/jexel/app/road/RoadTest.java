package org.jexel.app.road;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jexel.app.AppTest;
import org.jexel.app.Walker;
import org.jexel.app.job.JobRepository;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

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
    return electrician.brakesRead("Goods trailer", "2");
  }

  private String ready() throws Exception {
    return electrician.readyForTheRoad("Goods trailer", "2");
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

  /** All is sound, and what is to be watched is gone past; nothing is warm. */
  private void lookedRound(String ref) throws Exception {
    say(
        ref,
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
    lookedRound(cold);
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
    stop(ref, "outcome", "LOCKED", "wheel1L", "LOCKED", "wheel1R", "LIGHT");
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

  /** Gravel has a search and a setting of its own, beside the one that holds on asphalt. */
  @Test
  void eachSurfaceHasItsOwnSetting() throws Exception {
    String ref = ready();
    even(ref, "5", "DRY_ASPHALT");
    assertThat(page(ref, "stop")).contains("Settled on gain 5, on dry asphalt");
    stop(ref, "way", "PEDAL", "gain", "3", "feel", "EVEN", "surface", "GRAVEL");
    assertThat(page(ref, "stop"))
        .contains("These are the stops on gravel")
        .doesNotContain("Settled on gain 5", "holds no longer");
    assertThat(page(ref, "profiles")).contains("once: a second stop").doesNotContain("Settle even");
    even(ref, "3", "GRAVEL");
    assertThat(page(ref, "stop")).contains("Settled on gain 3, on gravel");
    assertThat(electrician.page("/jobs/" + ref + "/handover"))
        .contains("on dry asphalt with", "on gravel with")
        .doesNotContain("holds no longer");
  }

  /** Twice even by the pedal, and settled. */
  private void even(String ref, String gain, String surface) throws Exception {
    for (int i = 0; i < 2; i++) {
      stop(ref, "way", "PEDAL", "gain", gain, "feel", "EVEN", "surface", surface);
    }
    electrician.post("/jobs/" + ref + "/road/settle-even", Map.of("requestKey", key()));
  }

  @Test
  void whatWasFoundOnTheSimulatedRoadDoesNotHold() throws Exception {
    String ref = ready();
    stop(ref, "way", "PEDAL", "gain", "5", "feel", "EVEN", "place", "simulated road");
    even(ref, "5", "DRY_ASPHALT");
    assertThat(page(ref, "profiles"))
        .contains("found on the simulated road", "None of these holds");
  }

  /** What is told anew of a stop was still driven when and as it was driven. */
  @Test
  void aCorrectedStopStaysAsColdAsItWas() throws Exception {
    String ref = proved();
    lookedRound(ref);
    stop(ref);
    StopLine cold = stops.ofJob(id(ref)).get(0);
    say(ref, "warmed", "20");
    stop(ref, "corrects", cold.id().toString(), "gain", "4");
    StopLine anew = stops.ofJob(id(ref)).get(1);
    assertThat(anew.gain()).isEqualTo(4);
    assertThat(anew.stop().cold()).isTrue();
    assertThat(anew.stop().at()).isEqualTo(cold.stop().at());
    stop(ref);
    assertThat(stops.ofJob(id(ref)).get(2).stop().cold()).isFalse();
  }

  @Test
  void aSettingGoesStaleWithTheLoadAndTheReportSaysSo() throws Exception {
    String ref = ready();
    even(ref, "5", "DRY_ASPHALT");
    assertThat(electrician.page("/jobs/" + ref + "/handover"))
        .contains("set to gain ", "Even pull")
        .doesNotContain("holds no longer");
    electrician.post(
        "/jobs/" + ref + "/rig/load",
        Map.of("name", "Sand", "mass", "900", "place", "3", "requestKey", key()));
    assertThat(page(ref, "profiles")).contains("another load", "None of these holds");
    assertThat(electrician.page("/jobs/" + ref + "/handover"))
        .contains("Even pull; holds no longer: another load", "behind: does not hold");
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

  private void volts(String ref, String gain, String volts) throws Exception {
    electrician.post(
        "/jobs/" + ref + "/road/volts", Map.of("gain", gain, "volts", volts, "requestKey", key()));
  }

  /** From three gains on they make a line; the odd one is named and can be corrected. */
  @Test
  void voltsByGainMakeACurveThatTheRoadGoesBy() throws Exception {
    String ref = ready();
    assertThat(page(ref, "volts")).contains("From three gains on they make a line");
    volts(ref, "0", "0");
    assertThat(page(ref, "volts")).contains("Gain 0 is off");
    volts(ref, "2", "40");
    assertThat(page(ref, "volts")).contains("Expected 0.00 to 16.00 V", "value=\"40\"");
    String before = page(ref, "trial&gain=4").replaceAll("(?s).*Greatest push(.{400}).*", "$1");
    for (String[] read : new String[][] {{"2", "0,8"}, {"4", "1.7"}, {"6", "2.4"}, {"8", "3.3"}}) {
      volts(ref, read[0], read[1]);
    }
    volts(ref, "10", "9.1");
    String page = page(ref, "volts");
    assertThat(page).contains("odd: read it again", "Name the controller’s model in the Cab");
    String wrong = page.replaceAll("(?s).*corrects=(\\d+)\".*", "$1");
    electrician.post(
        "/jobs/" + ref + "/road/volts",
        Map.of("gain", "10", "volts", "4.1", "corrects", wrong, "requestKey", key()));
    assertThat(page(ref, "volts")).doesNotContain("odd: read it again").contains("4.10 V");
    assertThat(page(ref, "trial&gain=4").replaceAll("(?s).*Greatest push(.{400}).*", "$1"))
        .as("a controller that gives less leaves more push")
        .isNotEqualTo(before);
    assertThat(electrician.page("/jobs/" + ref + "/harness?card=circuits"))
        .contains("The brakes by gain", "3.30 V", "as read in this job with the brakes joined")
        .doesNotContain("nobody read it on this rig yet");
    assertThat(electrician.page("/jobs/" + electrician.newJob("Other", "NONE", "1") + "/harness"))
        .doesNotContain("The brakes by gain");
  }

  /** 50 to 35 km/h: what the usual figures take is taken off each stop until it was let roll. */
  @Test
  void aCoastDownTellsWhatRollingAndAirTake() throws Exception {
    String ref = ready();
    stop(ref, "distance", "30");
    assertThat(page(ref, "stop")).contains("rolling and air, assumed, N");
    String usual = asked(ref);
    say(ref, "coastFrom", "50", "coastTo", "48", "coastSeconds", "9");
    assertThat(page(ref, "gate")).contains("Let it roll until it is slower by", "value=\"48\"");
    say(ref, "coastFrom", "50", "coastTo", "35", "coastSeconds", "2");
    assertThat(page(ref, "gate")).contains("No rig rolls so");
    assertThat(page(ref, "stop")).contains("rolling and air, assumed, N");
    say(ref, "coastFrom", "50", "coastTo", "35", "coastSeconds", "9");
    assertThat(page(ref, "gate")).contains("Feel each hub for heat");
    assertThat(page(ref, "stop"))
        .contains("rolling and air, by the coast-down, N", "% of the usual");
    assertThat(asked(ref)).as("programs are told by it too").isNotEqualTo(usual);
  }

  /** What a program is told of this job after one measured stop. */
  private String asked(String ref) throws Exception {
    return mvc.perform(
            MockMvcRequestBuilders.post("/api/road/next-gain")
                .with(user("viewer").roles("VIEWER"))
                .contentType(MediaType.APPLICATION_JSON)
                .content(
                    """
                    {"job":"%s","stops":[
                      {"gain":5,"speedKmh":40,"outcome":"firm","distanceM":30}]}
                    """
                        .formatted(ref)))
        .andReturn()
        .getResponse()
        .getContentAsString();
  }

  /** Row 1 is what the station says, and what it leads to is on the sheet. */
  @Test
  void theSearchFitsOnACard() throws Exception {
    String ref = ready();
    String card = electrician.page("/jobs/" + ref + "/road/card");
    Matcher gain = gain(ref);
    assertThat(gain.find()).isTrue();
    assertThat(card).contains("Try gain " + gain.group(1), ">row 2</a>", "Settle on gain", "#row2");
    stop(ref, "gain", gain.group(1), "outcome", "LOCKED");
    Matcher then = gain(ref);
    assertThat(then.find()).isTrue();
    assertThat(then.group(1)).isNotEqualTo(gain.group(1));
    assertThat(electrician.page("/jobs/" + ref + "/road/card")).contains(then.group(1));
    assertThat(electrician.answer("/jobs/" + ref + "/road.pdf").getContentType())
        .isEqualTo("application/pdf");
  }

  /** From nothing to a setting, the simulated road filling in what was seen. */
  @Test
  void theWholeSearchIsWalkedOnTheSimulatedRoad() throws Exception {
    String ref = ready();
    int driven = 0;
    Matcher gain = gain(ref);
    while (gain.find() && driven < 12) {
      Map<String, String> asked = new HashMap<>(Map.of("gain", gain.group(1)));
      asked.putAll(Map.of("way", "LEVER", "speed", "40", "surface", "DRY_ASPHALT"));
      asked.put("requestKey", key());
      electrician.post("/jobs/" + ref + "/road/simulated", asked);
      assertThat(stops.ofJob(id(ref))).as("nothing is recorded by it").hasSize(driven);
      String page = page(ref, "stop");
      String outcome =
          page.replaceAll("(?s).*name=\"outcome\"[^>]*value=\"(\\w+)\" checked.*", "$1");
      String distance = page.replaceAll("(?s).*name=\"distance\" value=\"([^\"]*)\".*", "$1");
      assertThat(outcome).isIn("NOTHING", "LIGHT", "FIRM", "VERGE", "LOCKED");
      stop(ref, "gain", gain.group(1), "outcome", outcome, "distance", distance);
      driven++;
      gain = gain(ref);
    }
    assertThat(page(ref, "stop")).contains("Settle on ");
    assertThat(driven).isLessThanOrEqualTo(12);
  }

  private Matcher gain(String ref) throws Exception {
    return Pattern.compile("(?:Try|Confirm|Repeat) gain ([0-9.]+)").matcher(page(ref, "stop"));
  }
}
