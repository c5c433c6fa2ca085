package org.jexel.app.care;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jexel.app.AppTest;
import org.jexel.app.Walker;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.MockMvc;

/** Care as it is recorded, refused, corrected and told on the board. */
@AppTest
class CarePageTest {
  @Autowired private MockMvc mvc;
  @Autowired private JdbcTemplate sql;
  private Walker electrician;
  private String ref;

  @BeforeEach
  void aTrailerWithOneBrakedAxle() throws Exception {
    electrician = new Walker(mvc, "electrician");
    ref = electrician.newJob("Care " + UUID.randomUUID(), "ELECTRIC", "1");
    electrician.post("/jobs/" + ref + "/figures/kit", Map.of("BREAKAWAY_KIT.0", "OWN_BATTERY"));
  }

  private String path(String part) {
    return "/jobs/" + ref + "/care" + (part.isEmpty() ? "" : "/" + part);
  }

  private String post(String part, String... pairs) throws Exception {
    Map<String, String> fields = new HashMap<>();
    fields.put("requestKey", UUID.randomUUID().toString());
    for (int i = 0; i < pairs.length; i += 2) {
      fields.put(pairs[i], pairs[i + 1]);
    }
    assertThat(electrician.post(path(part), fields).getStatus()).isEqualTo(302);
    return electrician.page(path(part));
  }

  private List<Map<String, Object>> rows() {
    return sql.queryForList(
        "select a.*, r.care_due from care_act a join rig_part r on r.id = a.trailer_id"
            + " join job j on j.trailer_id = r.id where j.ref = ? order by a.id",
        ref);
  }

  private String due() {
    return String.valueOf(
        sql.queryForObject(
            "select r.care_due from rig_part r join job j on j.trailer_id = r.id where j.ref = ?",
            LocalDate.class,
            ref));
  }

  @Test
  void whatWasFoundIsKeptOnceJudgedAndToldOnTheBoard() throws Exception {
    assertThat(electrician.page(path(""))).contains("never recorded", "Brake magnets");
    String day = LocalDate.now().minusMonths(12).minusDays(3).toString();
    String[] fields = {
      "place-1", "6 mm", "place-2", "2,5", "way", "8400 km", "day", day, "requestKey", "once-" + ref
    };
    post("TREAD", fields);
    String page = post("TREAD", fields);
    assertThat(rows()).hasSize(1);
    assertThat(page)
        .contains("Past due since", "axle 1 left: 6.0 mm; axle 1 right: 2.5 mm (watch)");
    assertThat(page).contains("last read 8400");
    String was = LocalDate.now().minusDays(3).toString();
    assertThat(due()).isEqualTo(was);
    assertThat(electrician.page("/?q=" + ref)).contains("Care was due", "tyres, tread");
    post("TREAD", "place-1", "6", "place-2", "5", "way", "8500");
    assertThat(due()).isEqualTo(LocalDate.now().plusMonths(12).toString());
    assertThat(electrician.page("/?q=" + ref)).doesNotContain("Care was due");
  }

  @ParameterizedTest
  @CsvSource({
    "TYRE_AGE, place-1, 5421, has no week 54",
    "TYRE_AGE, place-1, 2099-01-01, Not plausible",
    "NUTS, place-2, 10000, Expected 20 to 1000 N·m",
    "BEARINGS, place-1, humming, Say one of",
    "BATTERY, place-0, 126, Not plausible",
    "TREAD, way, 7999, a distance does not run backwards",
    "TREAD, way, 90000, nobody goes so far",
    "TREAD, way, -4, Not plausible",
    "TREAD, day, 2099-01-01, still to come",
    "TREAD, day, 1950-01-01, years ago",
    "TREAD, day, last week, Not understood",
    "TREAD, note, +, Nothing is said yet"
  })
  void whatCannotBeIsToldBesideItsFieldAndStays(
      String part, String field, String typed, String told) throws Exception {
    post("LAMPS", "place-0", "in order", "way", "8000");
    String sound = field.equals("note") ? "" : "6";
    String page =
        part.equals("TREAD")
            ? post(part, "place-1", sound, field, typed)
            : post(part, field, typed);
    assertThat(page).containsPattern("id=\"p-" + (sound.isEmpty() ? "place-1" : field) + "\"");
    assertThat(page).contains(told, "\"" + (part.equals("BEARINGS") ? "" : typed) + "\"");
    assertThat(rows()).hasSize(1);
  }

  @Test
  void aCorrectionStandsInPlaceOfWhatItNames() throws Exception {
    post("SHOES", "place-1", "0.4 mm", "place-2", "4 mm", "way", "90000");
    assertThat(electrician.page(path("SHOES"))).contains("(fails)");
    String id = String.valueOf(rows().get(0).get("id"));
    assertThat(electrician.page(path("SHOES") + "?corrects=" + id))
        .as("what stands is there to be corrected")
        .contains("value=\"0.4 mm\"", "value=\"90000 km\"");
    assertThat(electrician.page(path("SHOES"))).doesNotContain("value=\"0.4 mm\"");
    String page =
        post("SHOES", "place-1", "4 mm", "place-2", "4 mm", "way", "9000", "corrects", id);
    assertThat(page).doesNotContain("(fails)", "90000");
    assertThat(rows()).hasSize(2);
    assertThat(rows().get(1).get("done_at"))
        .as("it was done when it was done")
        .isEqualTo(rows().get(0).get("done_at"));
    post("SHOES", "place-1", "3 mm", "place-2", "3 mm", "corrects", id);
    post("LAMPS", "place-0", "in order", "corrects", String.valueOf(rows().get(1).get("id")));
    assertThat(rows()).as("corrected already; of another part").hasSize(2);
    assertThat(electrician.page(path("SHOES") + "?corrects=" + id))
        .contains("does not stand any more", "value=\"3 mm\"")
        .doesNotContain("name=\"corrects\"");
    for (String act : List.of("update care_act set note = ''", "delete from care_found")) {
      assertThatThrownBy(() -> sql.execute(act)).hasMessageContaining("Care stands");
    }
  }

  /** The battery's age is a figure of the rig: what is due follows it. */
  @Test
  void whatIsDueFollowsTheRig() throws Exception {
    post("BATTERY", "place-0", "12.8");
    assertThat(due()).isEqualTo(LocalDate.now().plusMonths(3).toString());
    LocalDate made = LocalDate.now().minusYears(5).plusDays(10);
    electrician.post("/jobs/" + ref + "/figures/kit", Map.of("BREAKAWAY_MADE.0", made.toString()));
    assertThat(due()).isEqualTo(made.plusYears(5).toString());
  }

  @Test
  void aRecordOfAnotherVersionIsSaidToBeThere() throws Exception {
    post("CORD", "place-0", "in order");
    sql.update(
        "insert into care_act (trailer_id, part, note, person_id, done_at, made_at, request_key)"
            + " select trailer_id, 'WINGS', '', person_id, done_at, made_at, 'later' from care_act"
            + " where id = ?",
        rows().get(0).get("id"));
    assertThat(electrician.page(path("CORD"))).contains("1 record of another version");
    assertThat(electrician.answer(path("WINGS")).getStatus()).isEqualTo(404);
    assertThat(electrician.answer(path("FLUID")).getStatus()).isEqualTo(404);
  }

  @Test
  void whoMayOnlyLookRecordsNothing() throws Exception {
    Walker viewer = new Walker(mvc, "viewer");
    assertThat(viewer.page(path("CORD"))).doesNotContain("Record it");
    assertThat(
            viewer.post(path("CORD"), Map.of("place-0", "in order", "requestKey", "v")).getStatus())
        .isEqualTo(403);
    assertThat(rows()).isEmpty();
  }

  /**
   * Done under the trailer out of reach, in inches, and sent in the evening after units changed.
   */
  @Test
  void whatWaitedOnAPhoneIsTakenOnceInTheUnitsInWhichItWasTyped() throws Exception {
    String day = LocalDate.now().minusDays(1).toString();
    Map<String, String> typed =
        Map.of(
            "place-1",
            "0.25",
            "place-2",
            "0.2",
            "units",
            "US",
            "day",
            day,
            "ago",
            "7200000",
            "requestKey",
            "waited-" + ref);
    assertThat(told("TREAD", typed)).isEqualTo("{\"taken\":true,\"why\":\"\"}");
    assertThat(told("TREAD", typed)).contains("true");
    assertThat(rows()).hasSize(1);
    assertThat(electrician.page(path("TREAD"))).contains("axle 1 left: 6.4 mm");
    Map<String, String> wrong = new HashMap<>(typed);
    wrong.putAll(Map.of("place-1", "soft", "requestKey", "wrong-" + ref));
    assertThat(told("TREAD", wrong)).contains("false");
    assertThat(told("CORD", Map.of("ago", "1", "requestKey", "empty-" + ref)))
        .contains("false", "Nothing is said yet");
    assertThat(rows()).hasSize(1);
  }

  private String told(String part, Map<String, String> fields) throws Exception {
    return electrician.post(path(part), fields).getContentAsString();
  }
}
