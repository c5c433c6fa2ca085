package org.jexel.app.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.jexel.app.AppTest;
import org.jexel.app.Walker;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;

/** The fault finder on the bench and for programs. */
@AppTest
class FinderTest {
  @Autowired private MockMvc mvc;
  @Autowired private ObjectMapper json;
  private Walker electrician;

  @BeforeEach
  void someone() {
    electrician = new Walker(mvc, "electrician");
  }

  private MockHttpServletResponse ask(String ref, String readings) throws Exception {
    return mvc.perform(
            post("/api/jobs/" + ref + "/diagnosis")
                .with(user("electrician").roles("ELECTRICIAN"))
                .contentType(MediaType.APPLICATION_JSON)
                .content("{\"readings\":" + readings + "}"))
        .andReturn()
        .getResponse();
  }

  @Test
  void theCoffeeTrailersLampsAreTracedToTheLostReturn() throws Exception {
    String page = electrician.page("/jobs/J1005/bench?card=finder");
    assertThat(page)
        .contains("Return lost: Rear lamp, left")
        .contains("What may be the matter")
        .contains("Next: ")
        .contains("<b>Mend: Return lost: Rear lamp, left</b>");
    JsonNode answer =
        json.readTree(
            ask("J1005", "[{\"check\":\"look.left.lamp_left_rear_left\",\"value\":\"glimmers\"}]")
                .getContentAsString());
    assertThat(answer.get("suspects").toString()).contains("Return lost: Rear lamp, left");
    assertThat(answer.get("suspects").get(0).get("probability").asDouble()).isBetween(0.05, 1.0);
    assertThat(answer.get("next").get("checks")).isNotEmpty();
  }

  @Test
  void everyCheckIsListedWithItsBandAndWhereToStand() throws Exception {
    JsonNode checks =
        json.readTree(electrician.answer("/api/jobs/J1002/checks").getContentAsString());
    assertThat(checks).hasSizeGreaterThan(40);
    for (JsonNode check : checks) {
      assertThat(check.get("place").asText()).isNotBlank();
      assertThat(check.get("low").asDouble())
          .isLessThanOrEqualTo(check.get("expected").asDouble())
          .isLessThanOrEqualTo(check.get("high").asDouble());
      assertThat(check.get("unit").asText().isEmpty()).isEqualTo(!check.get("words").isEmpty());
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "[{\"check\":\"anvil\",\"value\":1}]|no check called “anvil”",
        "[{\"check\":\"supply.battery\",\"value\":40}]|More than 30 V",
        "[{\"check\":\"brake.resistance\",\"value\":-2}]|cannot be negative",
        "[{\"check\":\"supply.battery\",\"value\":\"12 ohm\"}]|supply.battery",
        "[{\"check\":\"supply.battery\",\"value\":[1]}]|a number or a word",
        "[null]|not null",
        "[{\"check\":\"supply.battery\",\"value\":null}]|a number or a word",
        "[{\"check\":null,\"value\":1}]|no check called",
        "[{\"check\":\"hums.magnet_axle1_left\",\"value\":\"purple\"}]|Say one of: silent, hums"
      })
  void whatCannotBeReadIsRefusedByName(String readings, String told) throws Exception {
    MockHttpServletResponse answer = ask("J1002", readings);
    assertThat(answer.getStatus()).isEqualTo(400);
    assertThat(answer.getContentAsString(java.nio.charset.StandardCharsets.UTF_8)).contains(told);
  }

  @Test
  void aRoundIsRecordedWordByWordAndTheNextCheckFollows() throws Exception {
    String ref = electrician.newJob("Round", "ELECTRIC", "1");
    String page = electrician.page("/jobs/" + ref + "/bench?card=finder&start=look.tail");
    assertThat(page)
        .contains("Record the round")
        .contains("What was noticed?")
        .as("nobody comes with a stamp")
        .doesNotContain("Nothing on one pin. Kind", "Nothing on one pin. Stamp");
    Map<String, String> words = new HashMap<>();
    java.util.regex.Matcher names =
        java.util.regex.Pattern.compile("name=\"(word\\.[^\"]+)\" value=\"bright\"").matcher(page);
    while (names.find()) {
      words.put(names.group(1), "bright");
    }
    assertThat(words).isNotEmpty();
    words.put("requestKey", "round-" + ref);
    electrician.post("/jobs/" + ref + "/bench/round", words);
    electrician.post("/jobs/" + ref + "/bench/round", words);
    String after = electrician.page("/jobs/" + ref + "/bench?card=finder");
    assertThat(after).doesNotContain("No reading yet.");
    String one =
        words.keySet().stream().filter(k -> k.startsWith("word.")).findFirst().orElseThrow();
    assertThat(electrician.page("/jobs/" + ref + "/bench?card=" + one.substring(5)))
        .contains("stands")
        .doesNotContain("corrected");
  }

  /** A lamp that is odd is looked at once more: nobody calls a rig sound over it, nor faulty. */
  @Test
  void whatIsOddIsLookedAtOnceMoreBeforeTheRigIsCalledSound() throws Exception {
    String ref = electrician.newJob("Odd", "NONE", "1");
    electrician.prove(ref);
    assertThat(finder(ref)).contains("Sound, as far as it was read.");
    String lamp = "look.tail.lamp_left_rear_left";
    say(ref, lamp, "glimmers");
    String once = finder(ref);
    assertThat(once)
        .contains("Nothing found so far.", "stands against all others", "Once more, to be sure: ")
        .contains("said: glimmers", "is no slip of eye or meter")
        .doesNotContain("Sound, as far", "All as a sound rig shows", " checked");
    assertThat(once.split("class=\"word\"", -1)).as("one lamp").hasSize(2);
    say(ref, lamp, "glimmers");
    assertThat(finder(ref)).doesNotContain("Sound, as far", "Once more, to be sure: ");
    say(ref, lamp, "dark");
    assertThat(finder(ref)).contains("Sound, as far as it was read.");
  }

  /** Each magnet lies in its band; what the sheet says of both together is no less true. */
  @Test
  void nothingIsCalledSoundWhileTheSidesDiffer() throws Exception {
    String ref = electrician.newJob("Sides", "ELECTRIC", "1");
    electrician.prove(ref);
    assertThat(finder(ref)).contains("Sound, as far as it was read.");
    electrician.read(ref, "magnet.ohms.magnet_axle1_left", "2.95");
    electrician.read(ref, "magnet.ohms.magnet_axle1_right", "3.5");
    assertThat(finder(ref))
        .contains("no proof while something fails: look closer", "Nothing found so far.")
        .doesNotContain("Sound, as far");
  }

  private void say(String ref, String check, String word) throws Exception {
    String page = electrician.page("/jobs/" + ref + "/bench?card=finder");
    electrician.post(
        "/jobs/" + ref + "/bench/round",
        Map.of("word." + check, word, "requestKey", Walker.hidden(page, "requestKey")));
  }

  /** Every word of a round as a sound rig shows it. */
  private Map<String, String> round(String ref, String round) throws Exception {
    Map<String, String> words = new HashMap<>();
    String checks = electrician.answer("/api/jobs/" + ref + "/checks").getContentAsString();
    for (JsonNode check : new ObjectMapper().readTree(checks)) {
      String id = check.get("id").asText();
      if (id.startsWith(round + ".")) {
        words.put("word." + id, check.get("words").get(check.get("expected").asInt()).asText());
      }
    }
    words.put("requestKey", round + ref);
    return words;
  }

  @Test
  void readingsThatDoNotGoTogetherAreNamedBothAndNothingIsLost() throws Exception {
    String ref = electrician.newJob("Torn", "ELECTRIC", "1");
    Map<String, String> tail = round(ref, "look.tail");
    assertThat(tail).containsEntry("word.look.tail.lamp_right_rear_right", "dark");
    tail.put("word.look.tail.lamp_right_rear_right", "bright");
    electrician.post("/jobs/" + ref + "/bench/round", round(ref, "look.tail+left"));
    assertThat(finder(ref)).doesNotContain("do not go together");
    electrician.post("/jobs/" + ref + "/bench/round", tail);
    assertThat(finder(ref))
        .contains("I don’t know.")
        .contains("These readings do not go together.");
    String check = "look.tail.lamp_right_rear_right";
    electrician.post(
        "/jobs/" + ref + "/bench/round",
        Map.of("word." + check, "dark", "requestKey", "again" + ref));
    assertThat(finder(ref)).doesNotContain("do not go together");
    assertThat(electrician.page("/jobs/" + ref + "/bench?card=" + check))
        .contains("corrected")
        .contains("bright");
  }

  @Test
  void aLiveCircuitIsAnAnswerThatTheFinderGoesOnFrom() throws Exception {
    String ref = electrician.newJob("Live", "ELECTRIC", "2");
    String bench = "/jobs/" + ref + "/bench";
    electrician.post(bench + "/meter/hide", Map.of("fault", "PIN_PART_WAY_OUT@160"));
    String check = "brake.resistance";
    electrician.post(bench + "/meter", Map.of("checks", check, "back", "finder"));
    assertThat(electrician.page(bench + "?card=" + check))
        .contains("value=\"live\"")
        .contains("The circuit is live");
    electrician.post(
        bench + "/" + check, Map.of("reading", "live", "seen", "0", "requestKey", "live" + ref));
    String page = finder(ref);
    assertThat(page)
        .contains("Breakaway pin part-way out")
        .doesNotContain("Next: Brake circuit, resistance")
        .doesNotContain("I don’t know.");
    assertThat(electrician.page(bench + "?card=" + check)).contains(">live</td>");
  }

  private static final String LOOKS = "look.left.lamp_left_rear_left";

  /** A lost return seen by eye, as its readings say; then mended, and read again. */
  @Test
  void aRepairAsksAgainForWhatItChangedAndKeepsTheOldReading() throws Exception {
    String ref = electrician.newJob("Put right", "NONE", "1");
    electrician.post(
        "/jobs/" + ref + "/bench/round",
        Map.of(
            "word." + LOOKS,
            "dark",
            "word.look.left.lamp_right_rear_right",
            "dark",
            "word.look.left.lamp_tail_rear_left",
            "dark",
            "requestKey",
            "seen" + ref));
    assertThat(finder(ref)).contains("Burnt out: Rear lamp, left, indicator");
    electrician.post("/jobs/" + ref + "/bench/mended", Map.of("fault", "anvil"));
    assertThat(finder(ref)).doesNotContain("Mended: ");
    electrician.post(
        "/jobs/" + ref + "/bench/mended", Map.of("fault", "BURNT_OUT.lamp_left_rear_left"));
    assertThat(finder(ref)).contains("Mended: Burnt out", "Again, after the repair");
    assertThat(standings(ref)).containsExactly("before a repair");
    electrician.post(
        "/jobs/" + ref + "/bench/round",
        Map.of("word." + LOOKS, "bright", "requestKey", "again" + ref));
    assertThat(standings(ref)).containsExactly("stands", "corrected");
  }

  /** How the readings of the rear lamp's left part stand in the record, newest first. */
  private List<String> standings(String ref) throws Exception {
    return Pattern.compile(
            "<td>Look: Rear lamp, left, stop and indicator part</td>.*?> ?([a-z ]+?) ?</td> ?</tr>")
        .matcher(electrician.page("/jobs/" + ref + "/bench?card=" + LOOKS))
        .results()
        .map(result -> result.group(1))
        .toList();
  }

  /** Half a round is kept over a reload; what somebody else said meanwhile is shown before it. */
  @Test
  void aChangedWordIsKeptAndAnothersIsSeenBeforeItIsOverwritten() throws Exception {
    String ref = electrician.newJob("Half a round", "NONE", "1");
    String round = "/jobs/" + ref + "/bench?card=look.left";
    String page = electrician.page(round);
    Map<String, String> mine = new HashMap<>(Map.of("word." + LOOKS, "dim"));
    mine.put("seen." + LOOKS, Walker.hidden(page, "seen." + LOOKS));
    mine.put("requestKey", "mine" + ref);
    electrician.post("/jobs/" + ref + "/bench/round/draft", mine);
    assertThat(electrician.page(round))
        .containsPattern("name=\"word." + LOOKS + "\" value=\"dim\"[^>]* checked")
        .doesNotContain(">stands<");
    Walker owner = new Walker(mvc, "owner");
    assertThat(owner.page(round)).doesNotContain(" checked=");
    owner.post(
        "/jobs/" + ref + "/bench/round",
        Map.of("word." + LOOKS, "bright", "seen." + LOOKS, "0", "requestKey", "theirs" + ref));
    assertThat(electrician.post("/jobs/" + ref + "/bench/round", mine).getRedirectedUrl())
        .endsWith("card=look.left");
    assertThat(electrician.page(round)).contains("read bright while you had this open");
    assertThat(standings(ref)).containsExactly("stands");
    mine.put("seen." + LOOKS, Walker.hidden(electrician.page(round), "seen." + LOOKS));
    electrician.post("/jobs/" + ref + "/bench/round", mine);
    assertThat(standings(ref)).containsExactly("stands", "corrected");
  }

  /** Of lamps one act says that all are as expected, and the report says that it was one act. */
  @Test
  void allLampsOfARoundCanBeSaidAtOnceAndAreMarkedSo() throws Exception {
    String ref = electrician.newJob("At once", "ELECTRIC", "1");
    assertThat(electrician.page("/jobs/" + ref + "/bench?card=look.tail"))
        .contains("All as a sound rig shows")
        .doesNotContain(" checked");
    assertThat(electrician.page("/jobs/" + ref + "/bench?card=hums"))
        .doesNotContain("All as a sound rig shows");
    electrician.post(
        "/jobs/" + ref + "/bench/round", Map.of("atOnce", "look.tail", "requestKey", "all" + ref));
    assertThat(electrician.page("/jobs/" + ref + "/bench?card=look.tail"))
        .contains("all at once")
        .contains("holds");
    assertThat(electrician.page("/jobs/" + ref + "/handover"))
        .contains("as computed, said of all at once");
    // Nothing is wrong so far, and what would have to be read before that is said stands there.
    assertThat(finder(ref)).contains("Nothing found so far.", "checks of the proof left, about");
    // Brakes and wheels are said one by one.
    electrician.post(
        "/jobs/" + ref + "/bench/round", Map.of("atOnce", "hums", "requestKey", "hum" + ref));
    assertThat(electrician.page("/jobs/" + ref + "/bench?card=hums")).doesNotContain("all at once");
  }

  /** On one walk what is odd is said of its lamp, and of all the others in one act. */
  @Test
  void onAWalkTheOddLampsAreSaidAndTheOthersAtOnce() throws Exception {
    String ref = electrician.newJob("Walk", "NONE", "1");
    String odd = "word.look.left.lamp_left_rear_left";
    Map<String, String> typed =
        Map.of(odd, "dark", "back", "finder", "round", "look", "requestKey", "draft" + ref);
    assertThat(electrician.page("/jobs/" + ref + "/bench?card=finder&start=look"))
        .contains("one lamp circuit after the other", "All as a sound rig shows")
        .contains("Tail lamps on.", "Left indicator on (judge the peak).")
        .doesNotContain(" checked");
    assertThat(electrician.post("/jobs/" + ref + "/bench/round/draft", typed).getRedirectedUrl())
        .endsWith("card=finder&start=look");
    assertThat(electrician.page("/jobs/" + ref + "/bench?card=finder&start=look"))
        .contains("All the others as a sound rig shows", " checked");
    Map<String, String> rest = new HashMap<>(typed);
    rest.put("atOnce", "look");
    rest.put("requestKey", "walk" + ref);
    electrician.post("/jobs/" + ref + "/bench/round", rest);
    assertThat(Walker.oneLine(electrician.page("/jobs/" + ref + "/bench?card=look.left")))
        .contains("dark", "all at once");
    assertThat(electrician.page("/jobs/" + ref + "/bench?card=look.tail")).contains("all at once");
    assertThat(electrician.page("/jobs/" + ref + "/bench?card=look.tail%2Bleft"))
        .as("two together are another walk")
        .doesNotContain("all at once");
    assertThat(finder(ref)).contains("Rear lamp, left");
  }

  /** What the ear tells of brakes is said one by one, on a walk as well. */
  @Test
  void onAWalkAlongTheDrawbarBrakesAreNotSaidAtOnce() throws Exception {
    String ref = electrician.newJob("Drawbar", "ELECTRIC", "1");
    assertThat(electrician.page("/jobs/" + ref + "/bench?card=finder&start=moved"))
        .contains("All that I see stay steady", "from the connector to the box");
    electrician.post(
        "/jobs/" + ref + "/bench/round", Map.of("atOnce", "moved", "requestKey", "drawbar" + ref));
    String left = electrician.page("/jobs/" + ref + "/bench?card=finder&start=moved");
    assertThat(left).contains("word.moved.plug.brake").doesNotContain("word.moved.plug.tail");
  }

  /** A press of one key must not say that all brakes hum, nor that all lamps are bright. */
  @Test
  void everyRoundBeginsEmpty() throws Exception {
    String ref = electrician.newJob("Empty", "ELECTRIC", "1");
    for (String round : new String[] {"hums", "turns", "wakes", "fuse", "look.tail"}) {
      String page = electrician.page("/jobs/" + ref + "/bench?card=" + round);
      assertThat(page).as(round).contains("Nothing is chosen for you").doesNotContain(" checked");
    }
    electrician.post("/jobs/" + ref + "/bench/round", Map.of("requestKey", "empty" + ref));
    assertThat(electrician.page("/jobs/" + ref + "/bench?card=hums")).doesNotContain(">stands<");
  }

  private String finder(String ref) throws Exception {
    return Walker.oneLine(electrician.page("/jobs/" + ref + "/bench?card=finder"));
  }
}
