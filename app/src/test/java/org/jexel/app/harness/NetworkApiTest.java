package org.jexel.app.harness;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.jexel.app.AppTest;
import org.jexel.app.Walker;
import org.jexel.core.network.Ngspice;
import org.jexel.core.network.StateWord;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/** Every demo rig against stock ngspice, over the same requests that a program would make. */
@AppTest
class NetworkApiTest {
  private static final int MIXES = 30;
  private static final double MILLI = 1e-3;

  @Autowired private MockMvc mvc;
  private Walker electrician;

  @BeforeEach
  void someone() {
    electrician = new Walker(mvc, "electrician");
  }

  private JsonNode solved(String ref, String query) throws Exception {
    return new ObjectMapper()
        .readTree(
            electrician.answer("/api/jobs/" + ref + "/network?" + query).getContentAsString());
  }

  @ParameterizedTest
  @ValueSource(strings = {"J1001", "J1002", "J1003", "J1004", "J1005", "J1006"})
  void aDemoRigAgreesWithNgspiceInMixedStatesAndFaults(String ref) throws Exception {
    List<String> parts = parts(ref);
    List<String> points = new ArrayList<>();
    solved(ref, "").get("nodes").fieldNames().forEachRemaining(points::add);
    points.removeIf(point -> point.endsWith("_inside") || point.endsWith("_stage"));
    Random random = new Random(ref.hashCode());
    for (int i = 0; i < MIXES; i++) {
      String query = "state=" + state(random) + "&fault=" + faults(random, parts, points, i % 4);
      JsonNode solved = solved(ref, query);
      assertThat(solved.has("nodes")).as(query + solved).isTrue();
      Ngspice judge =
          Ngspice.run(
              electrician
                  .answer("/api/jobs/" + ref + "/network.cir?" + query)
                  .getContentAsString());
      solved
          .get("nodes")
          .fields()
          .forEachRemaining(
              node ->
                  assertThat(node.getValue().doubleValue())
                      .as(query + " " + node.getKey())
                      .isCloseTo(judge.volts(node.getKey()), within(MILLI)));
      solved
          .get("branches")
          .fields()
          .forEachRemaining(
              branch ->
                  assertThat(branch.getValue().doubleValue())
                      .as(query + " " + branch.getKey())
                      .isCloseTo(judge.amps(branch.getKey()), within(MILLI)));
    }
  }

  /** Conductors, joints and loads by their names in the network. */
  private List<String> parts(String ref) throws Exception {
    List<String> parts = new ArrayList<>();
    solved(ref, "state=tail,left,right,stop,reverse")
        .get("branches")
        .fieldNames()
        .forEachRemaining(
            name -> {
              if (name.matches("r_(wire|joint|pin|fuse|magnet)_.*")) {
                parts.add(name.substring(2));
              }
            });
    return parts;
  }

  private static String state(Random random) {
    List<String> words = new ArrayList<>();
    for (StateWord word : StateWord.values()) {
      if (random.nextInt(3) == 0) {
        words.add(word.word());
      }
    }
    return String.join(",", words);
  }

  private static String faults(
      Random random, List<String> parts, List<String> points, int howMany) {
    List<String> faults = new ArrayList<>();
    for (int i = 0; i < howMany; i++) {
      String part = parts.get(random.nextInt(parts.size()));
      String point = points.get(random.nextInt(points.size()));
      String other = points.get(random.nextInt(points.size()));
      faults.add(
          switch (random.nextInt(4)) {
            case 0 -> "ohms:" + part + ":" + (0.1 + random.nextInt(50) / 10.0);
            case 1 -> "short:" + point;
            case 2 -> "bridge:" + point + ":" + (other.equals(point) ? "frame" : other);
            default -> i == 0 ? "open:" + part : "ohms:" + part + ":1000";
          });
    }
    return String.join(",", faults);
  }

  @Test
  void namesAreLettersDigitsAndUnderscores() throws Exception {
    JsonNode solved = solved("J1001", "state=tail");
    for (String kind : List.of("nodes", "branches")) {
      solved
          .get(kind)
          .fieldNames()
          .forEachRemaining(name -> assertThat(name).matches("[a-z0-9_]+"));
    }
    assertThat(solved.get("nodes").get("bat_neg").doubleValue()).isZero();
    assertThat(solved.get("branches").get("v_battery").doubleValue()).isNegative();
  }

  @Test
  void gainIsAMarkOfTheControllersOwnScale() throws Exception {
    double half = solved("J1003", "state=lever&gain=5").get("nodes").get("sock_brake").asDouble();
    double full = solved("J1003", "state=lever").get("nodes").get("sock_brake").asDouble();
    assertThat(half).isBetween(0.45 * full, 0.6 * full);
    assertThat(electrician.answer("/api/jobs/J1003/network?state=lever&gain=5.3").getStatus())
        .isEqualTo(400);
  }

  @Test
  void whatIsNotUnderstoodIsRefusedWithTheList() throws Exception {
    var answer = electrician.answer("/api/jobs/J1001/network?state=tail,foglamp");
    assertThat(answer.getStatus()).isEqualTo(400);
    assertThat(answer.getContentAsString())
        .contains("foglamp")
        .contains(
            "tail left right stop reverse hazard pedal lever running breakaway lifted unplugged");
    assertThat(electrician.answer("/api/jobs/J1001/network.cir?fault=open:nothing").getStatus())
        .isEqualTo(400);
    assertThat(electrician.answer("/api/jobs/J9999/network").getStatus()).isEqualTo(404);
  }
}
