package org.jexel.app.breakaway;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import org.jexel.app.AppTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;

/** The sums of a breakaway for programs. */
@AppTest
class BreakawayApiTest {
  private static final String COUPLING =
      """
      {"fixing":{"x":-0.05,"y":0.30,"z":0.05},"switch":{"x":0.60,"y":0.20,"z":0.10},
       "chains":[{"vehicle":{"x":-0.05,"y":0.2,"z":-0.05},
                  "trailer":{"x":0.25,"y":0.15,"z":-0.05},"lengthM":0.7}],
       "turnDeg":90,"pitchDeg":10,"cableM":0.8}
      """;

  @Autowired private MockMvc mvc;
  @Autowired private ObjectMapper json;

  private MockHttpServletResponse ask(String sum, String body, String role) throws Exception {
    return mvc.perform(
            post("/api/breakaway/" + sum)
                .with(user(role.toLowerCase()).roles(role))
                .contentType(MediaType.APPLICATION_JSON)
                .content(body))
        .andReturn()
        .getResponse();
  }

  private JsonNode told(String sum, String body) throws Exception {
    MockHttpServletResponse response = ask(sum, body, "VIEWER");
    assertThat(response.getStatus()).isEqualTo(200);
    return json.readTree(response.getContentAsString());
  }

  private String refused(String sum, String body) throws Exception {
    MockHttpServletResponse response = ask(sum, body, "ELECTRICIAN");
    assertThat(response.getStatus()).isEqualTo(400);
    return json.readTree(response.getContentAsString()).get("error").asText();
  }

  /**
   * Turned until the drawbar points away from the eye, the pin lies on a circle of hypot(0.60,
   * 0.20) m about the ball: at 90° to the left it is at (0.20, −0.60), 0.25 m ahead and 0.90 m
   * across from the eye, 0.936 m with the rise of 0.05 m, and a little more with pitch.
   */
  @Test
  void theExamplesCableIsTooShortForItsTurns() throws Exception {
    JsonNode window = told("cable-window", COUPLING);
    assertThat(window.get("leastM").asDouble()).isBetween(0.936 + 0.050, 0.97 + 0.050);
    assertThat(window.get("greatestM").asDouble()).isGreaterThan(0.5);
    assertThat(window.get("verdict").asText()).isEqualTo("fails");
    assertThat(window.get("reason").asText()).containsAnyOf("too short", "No cable fits");
  }

  @Test
  void chainsOfNoGreatUseAreMendedByLongerOnes() throws Exception {
    String longer = COUPLING.replace("0.7}", "1.6}").replace("\"cableM\":0.8", "\"cableM\":1.1");
    assertThat(told("cable-window", longer).get("verdict").asText()).isEqualTo("holds");
    String unmeasured = longer.replace(",\"cableM\":1.1", "");
    assertThat(told("cable-window", unmeasured).get("verdict").asText()).isEqualTo("not yet");
  }

  @ParameterizedTest
  @CsvSource({
    "'\"switch\":{\"x\":0.60', '\"switch\":{\"x\":-0.60', switch.x: it lies ahead",
    "'\"cableM\":0.8', '\"cableM\":0.3', cableM: shorter than straight",
    "'\"lengthM\":0.7', '\"lengthM\":0', chains[0].lengthM: 0.0 is not plausible",
    "'\"fixing\":{\"x\":-0.05,', '\"fixing\":{', fixing.x: it is missing",
    "'\"turnDeg\":90', '\"turnDeg\":900', turnDeg: 900.0 is not plausible",
    "'\"turnDeg\":90', '\"turnDeg\":\"wide\"', This is no JSON",
    "'\"lengthM\":0.7', '\"lengthM\":1e999', chains[0].lengthM"
  })
  void whatCannotBeIsSaidByItsName(String there, String instead, String says) throws Exception {
    assertThat(COUPLING).contains(there);
    assertThat(refused("cable-window", COUPLING.replace(there, instead))).startsWith(says);
  }

  @Test
  void fiveAmpereHoursHoldTwoMagnetsSeventeenMinutes() throws Exception {
    String body = "{\"capacityAh\":5,\"amps\":7.5,\"years\":0,\"celsius\":25,\"chemistry\":\"%s\"}";
    JsonNode lead = told("holding-time", body.formatted("lead-acid"));
    assertThat(lead.get("minutes").asDouble()).isCloseTo(17.1, within(0.05));
    assertThat(lead.get("verdict").asText()).isEqualTo("watch");
    JsonNode lithium = told("holding-time", body.formatted("lithium-iron"));
    assertThat(lithium.get("minutes").asDouble()).isCloseTo(33.7, within(0.1));
    JsonNode four = told("holding-time", "{\"capacityAh\":5,\"amps\":15}");
    assertThat(four.get("minutes").asDouble()).isCloseTo(7.2, within(0.05));
    assertThat(four.get("verdict").asText()).isEqualTo("fails");
  }

  @ParameterizedTest
  @CsvSource({
    "'{\"capacityAh\":5,\"amps\":400}', amps: 400.0 is not plausible",
    "'{\"capacityAh\":5,\"amps\":7.5,\"celsius\":298}', celsius: 298.0 is not plausible",
    "'{\"capacityAh\":5,\"amps\":7.5,\"years\":-1}', years: -1.0 is not plausible",
    "'{\"amps\":7.5}', capacityAh: it is missing",
    "'{\"capacityAh\":5,\"amps\":7.5,\"chemistry\":\"tin\"}', 'chemistry: lead-acid or'",
    "'[]', This is no JSON"
  })
  void aBatteryThatCannotBeIsRefused(String body, String says) throws Exception {
    assertThat(refused("holding-time", body)).startsWith(says);
  }
}
