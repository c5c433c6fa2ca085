package org.jexel.app.road;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.ArrayList;
import java.util.List;
import org.jexel.app.AppTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;

/** The road's sums for programs. */
@AppTest
class RoadApiTest {
  private static final String STOP =
      """
      {"gain":5,"way":"lever","speedKmh":40,"surface":"dry-asphalt","outcome":"firm",
       "distanceM":30.1,"timeS":null}
      """;

  private static final String SEARCH =
      """
      {"scale":{"least":0,"greatest":10,"step":0.5},
       "rig":{"vehicleKg":2300,"trailerKg":1900,"brakedAxles":2,"axles":2,"axleRatingKg":1600,
              "tyreRadiusM":0.33},
       "stops":[%s]}
      """;

  private static final String ROLL =
      """
      {"rig":{"vehicleKg":2200,"trailerKg":2200,"brakedAxles":2,"axles":2,"axleRatingKg":1600},
       "gain":0,"speedKmh":40,"surface":"dry-asphalt","slope":0,"way":"pedal","pedal":4,
       "controller":"inertia"}
      """;

  @Autowired private MockMvc mvc;
  @Autowired private ObjectMapper json;

  private MockHttpServletResponse ask(String sum, String body) throws Exception {
    return mvc.perform(
            post("/api/road/" + sum)
                .with(user("viewer").roles("VIEWER"))
                .contentType(MediaType.APPLICATION_JSON)
                .content(body))
        .andReturn()
        .getResponse();
  }

  private JsonNode told(String sum, String body) throws Exception {
    MockHttpServletResponse response = ask(sum, body);
    assertThat(response.getStatus()).as(body).isEqualTo(200);
    return json.readTree(response.getContentAsString());
  }

  private String refused(String sum, String body) throws Exception {
    MockHttpServletResponse response = ask(sum, body);
    assertThat(response.getStatus()).as(body).isEqualTo(400);
    return json.readTree(response.getContentAsString()).get("error").asText();
  }

  /** A rig that locks from 6.5 on, followed to its end. */
  @Test
  void followedItLeadsToTheHighestGainThatHolds() throws Exception {
    List<String> stops = new ArrayList<>();
    JsonNode answer = told("next-gain", SEARCH.formatted(""));
    assertThat(answer.get("act").asText()).isEqualTo("try");
    assertThat(answer.get("gain").asDouble()).isLessThanOrEqualTo(5);
    assertThat(answer.get("belief")).hasSize(20);
    while (List.of("try", "repeat", "confirm").contains(answer.get("act").asText())) {
      double gain = answer.get("gain").asDouble();
      String outcome = gain >= 6.5 ? "locked" : "firm";
      stops.add(
          "{\"gain\":%s,\"way\":\"lever\",\"speedKmh\":40,\"outcome\":\"%s\"}"
              .formatted(gain, outcome));
      assertThat(stops).hasSizeLessThanOrEqualTo(12);
      answer = told("next-gain", SEARCH.formatted(String.join(",", stops)));
    }
    assertThat(answer.get("act").asText()).isEqualTo("settle");
    assertThat(answer.get("gain").asDouble()).isBetween(5.5, 6.0);
  }

  @Test
  void aJobStandsForScaleAndRigAndNothingForAUsualOne() throws Exception {
    assertThat(told("next-gain", "{\"job\":\"J1003\"}").get("belief")).isNotEmpty();
    assertThat(told("next-gain", "{}").get("act").asText()).isEqualTo("try");
    assertThat(ask("next-gain", "{\"job\":\"J9999\"}").getStatus()).isEqualTo(404);
    JsonNode stopped = told("simulate", "{\"job\":\"J1003\",\"gain\":5,\"speedKmh\":40}");
    assertThat(stopped.get("stands").asBoolean()).isTrue();
  }

  /**
   * The vehicle's brakes and drag on both: A = 4 · 2 200 + 0.012 · 4 400 · g = 9 318 N and B = 1.32
   * N/(m/s)² make d = m/(2·B) · ln(1 + B·v²/A) = 28.90 m; the trailer pushes with all of its share.
   */
  @Test
  void withoutTrailerBrakesTheTrailerPushes() throws Exception {
    JsonNode run = told("simulate", ROLL);
    assertThat(run.get("distanceM").asDouble()).isCloseTo(28.90, within(0.01));
    assertThat(run.get("couplerForceN").get("push").asDouble())
        .isCloseTo(2200 * 4 * 2200 / 4400.0, within(60.0));
    assertThat(run.get("couplerForceN").get("pull").asDouble()).isZero();
    assertThat(run.get("locks")).isEmpty();
    JsonNode braked = told("simulate", ROLL.replace("\"gain\":0", "\"gain\":10"));
    assertThat(braked.get("distanceM").asDouble()).isLessThan(25);
    assertThat(braked.get("series").size()).isGreaterThan(30);
  }

  @Test
  void onSnowItsWheelsSlideAndAreNamed() throws Exception {
    String snow =
        ROLL.replace("\"gain\":0", "\"gain\":10")
            .replace("dry-asphalt", "packed-snow")
            .replace("\"way\":\"pedal\"", "\"way\":\"lever\"");
    JsonNode locks = told("simulate", snow).get("locks");
    assertThat(locks).hasSize(4);
    assertThat(locks.get(0).get("wheel").asText()).isEqualTo("axle 1 left");
    assertThat(locks.get(0).get("atS").asDouble()).isBetween(0.01, 0.3);
  }

  @ParameterizedTest
  @CsvSource({
    "'\"gain\":5', '\"gain\":5.2', stops[0].gain: 5.2 is no mark",
    "'\"gain\":5', '\"gain\":12', stops[0].gain: 12.0 is no mark",
    "'\"speedKmh\":40', '\"speedKmh\":0', stops[0].speedKmh: not plausible",
    "'\"distanceM\":30.1', '\"distanceM\":3', stops[0].distanceM: no tyre stops that short",
    "'\"distanceM\":30.1', '\"distanceM\":3000', stops[0].distanceM: not plausible",
    "'\"outcome\":\"firm\"', '\"outcome\":\"melted\"', 'stops[0].outcome: one of'",
    "'\"surface\":\"dry-asphalt\"', '\"surface\":\"ice\"', 'stops[0].surface: one of'",
    "'\"timeS\":null', '\"timeS\":1e9', stops[0].timeS: not plausible",
    "'\"gain\":5,', '', stops[0].gain: it is missing"
  })
  void aStopThatCannotBeIsRefusedByItsName(String there, String instead, String says)
      throws Exception {
    assertThat(STOP).contains(there);
    String body = SEARCH.formatted(STOP.replace(there, instead));
    assertThat(refused("next-gain", body)).startsWith(says);
  }

  @ParameterizedTest
  @CsvSource({
    "'\"gain\":0', '\"gain\":11', gain: 11.0 is not plausible",
    "'\"speedKmh\":40', '\"speedKmh\":-40', speedKmh: -40.0 is not plausible",
    "'\"slope\":0', '\"slope\":2', slope: 2.0 is not plausible",
    "'\"brakedAxles\":2', '\"brakedAxles\":3', rig.brakedAxles: 3.0 is not plausible",
    "'\"controller\":\"inertia\"', '\"controller\":\"magic\"', 'controller: one of'"
  })
  void aRollThatCannotBeIsRefusedByItsName(String there, String instead, String says)
      throws Exception {
    assertThat(ROLL).contains(there);
    assertThat(refused("simulate", ROLL.replace(there, instead))).startsWith(says);
  }

  @Test
  void aScaleWithoutEndIsRefused() throws Exception {
    String fine =
        SEARCH
            .formatted("")
            .replace("0.5}", "0.01}")
            .replace("\"greatest\":10", "\"greatest\":100");
    assertThat(refused("next-gain", fine)).startsWith("scale.step: more than 1000 marks");
    String upside = SEARCH.formatted("").replace("\"least\":0", "\"least\":20");
    assertThat(refused("next-gain", upside)).contains("a scale from 20");
  }
}
