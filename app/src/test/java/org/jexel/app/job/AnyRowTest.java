package org.jexel.app.job;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import org.jexel.app.AppTest;
import org.jexel.app.Mending;
import org.jexel.app.Walker;
import org.jexel.core.braking.Surface;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.RigField;
import org.jexel.core.road.Outcome;
import org.jexel.core.road.TestStop;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.MockMvc;

/** No stored row, of whatever value or age, makes a page or a paper of a job fail. */
@AppTest
class AnyRowTest {
  /** One for each kind of brakes; {@code ./bench fuzz} draws thousands. */
  private static final int ROUNDS = 3;

  private static final String[] BRAKES = {"ELECTRIC", "NONE", "ELECTRIC_HYDRAULIC"};

  @Autowired private MockMvc mvc;
  @Autowired private JdbcTemplate sql;

  private Walker electrician;

  @BeforeEach
  void walker() {
    electrician = new Walker(mvc, "electrician");
  }

  private void everythingOpens(String ref, String as) throws Exception {
    assertThat(electrician.broken(ref)).as(as).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(strings = {"0", "8.5", "-12.6", "30"})
  void aBatteryOfAnyVoltsIsAFactThatEveryPageTakes(String volts) throws Exception {
    String ref = electrician.newJob("Battery " + volts, "ELECTRIC", "2");
    electrician.read(ref, "supply.battery", volts);
    everythingOpens(ref, volts + " V");
    assertThat(
            sql.queryForObject(
                "select count(*) from reading where job_id = ?", Long.class, id(ref)))
        .isEqualTo(1);
    electrician.read(ref, "supply.battery", "12.6");
    assertThat(electrician.page("/jobs/" + ref + "/bench?card=supply.battery")).contains("12.60");
  }

  @ParameterizedTest
  @CsvSource({
    "24, A 24 V vehicle: stop.",
    "1.26, No battery here",
    "8.5, Flat: below 9 V",
    "15.4, Above any 12 V charger",
    "-12.6, The leads are exchanged"
  })
  void aSupplyFarFromTwelveVoltsIsAFinding(String volts, String told) throws Exception {
    String ref = electrician.newJob("Far " + volts, "ELECTRIC", "1");
    electrician.read(ref, "supply.battery", volts);
    assertThat(electrician.page("/jobs/" + ref + "/bench?card=supply.battery")).contains(told);
    if (volts.equals("24")) {
      assertThat(electrician.page("/jobs/" + ref + "/rig")).contains("stop. Nothing of a 12 V");
    }
  }

  private long id(String ref) {
    return sql.queryForObject("select id from job where ref = ?", Long.class, ref);
  }

  @Test
  void anyPlausibleReadingOfAnyCheckIsTakenByEveryPage() throws Exception {
    Random dice = new Random(13);
    for (String brakes : BRAKES) {
      String ref = electrician.newJob("Readings " + brakes, brakes, "2");
      String checks = electrician.answer("/api/jobs/" + ref + "/checks").getContentAsString();
      for (JsonNode check : new ObjectMapper().readTree(checks)) {
        String id = check.get("id").asText();
        JsonNode words = check.get("words");
        String value =
            words.isEmpty()
                ? figure(check.get("unit").asText(), dice)
                : words.get(dice.nextInt(words.size())).asText();
        electrician.post(
            "/jobs/" + ref + "/bench/" + id,
            Map.of("reading", value, "seen", "0", "requestKey", UUID.randomUUID().toString()));
      }
      everythingOpens(ref, brakes);
      assertThat(
              sql.queryForObject(
                  "select count(*) from reading where job_id = ?", Long.class, id(ref)))
          .isGreaterThan(20);
    }
  }

  private static String figure(String unit, Random dice) {
    String[] limits =
        switch (unit) {
          case "V" -> new String[] {"0", "-30", "30", "12.6", "0.001"};
          case "A" -> new String[] {"0", "-60", "60", "3"};
          default -> new String[] {"0", "open", "live", "20000000", "3.2"};
        };
    return dice.nextInt(3) == 0
        ? String.valueOf(Math.round(dice.nextDouble() * 2900) / 100.0)
        : limits[dice.nextInt(limits.length)];
  }

  /** Straight into the table: what a form refuses together may stand there from another time. */
  @Test
  void figuresAtTheirLimitsInAnyCompanyAreTakenByEveryPage() throws Exception {
    Random dice = new Random(7);
    for (int round = 0; round < ROUNDS; round++) {
      String brakes = BRAKES[round % BRAKES.length];
      String ref = electrician.newJob("Limits " + round, brakes, String.valueOf(1 + round % 3));
      for (RigField field : RigField.values()) {
        if (dice.nextInt(3) > 0) {
          figure(ref, field, dice);
        }
      }
      loadStopsAndNotes(ref, dice);
      everythingOpens(ref, "round " + round);
      // Nearly all of them stand: what was left out is named row by row.
      String page = electrician.page("/jobs/" + ref + "/rig");
      assertThat(page.split("does not go with the rest", -1).length - 1)
          .as("round " + round + " leaves out")
          .isLessThanOrEqualTo(4);
      forget(ref);
    }
  }

  /** Other tests look at every job: none of them is to meet a rig that cannot be. */
  private void forget(String ref) {
    for (String from : List.of("load_item", "test_stop", "gain_volts", "cab_note")) {
      Mending.update(sql, "delete from " + from + " where job_id = ?", id(ref));
    }
    for (String part : List.of("tow_id", "trailer_id", "controller_id")) {
      Mending.update(
          sql,
          "delete from rig_figure where part_id = (select " + part + " from job where ref = ?)",
          ref);
    }
  }

  private void loadStopsAndNotes(String ref, Random dice) {
    double[] masses = {0, 0.1, 40_000, 350};
    double[] metres = {0, 0.001, 12, 100, -3};
    for (int i = 0; i < 3; i++) {
      sql.update(
          "insert into load_item (job_id, name, mass_kg, x_m, removed, person_id, entered_at,"
              + " request_key, version) values (?, 'Odd', ?, ?, false, 2, now(3), ?, 0)",
          id(ref),
          masses[dice.nextInt(4)],
          metres[dice.nextInt(5)],
          "odd" + i);
      sql.update(
          "insert into test_stop (job_id, gain, way, speed_mps, surface, outcome, distance_m,"
              + " time_s, vehicle_mass_kg, trailer_mass_kg, note, person_id, made_at, driven_at,"
              + " request_key) values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, '', 2, now(3), now(3), ?)",
          id(ref),
          new double[] {0, 0.5, 10, 7.3, 1000}[dice.nextInt(5)],
          TestStop.Way.values()[dice.nextInt(2)].name(),
          new double[] {2.8, 19.4, 0, 11}[dice.nextInt(4)],
          Surface.values()[dice.nextInt(Surface.values().length)].name(),
          Outcome.values()[dice.nextInt(Outcome.values().length)].name(),
          dice.nextBoolean() ? null : new double[] {1, 300, 0}[dice.nextInt(3)],
          dice.nextBoolean() ? null : new double[] {0.5, 60, 0}[dice.nextInt(3)],
          new double[] {0, 1900}[dice.nextInt(2)],
          new double[] {0, 900}[dice.nextInt(2)],
          "odd" + i);
      sql.update(
          "insert into gain_volts (job_id, gain, volts, person_id, read_at, request_key)"
              + " values (?, ?, ?, 2, now(3), ?)",
          id(ref),
          new double[] {0, -5, 5 + i, 1000}[dice.nextInt(4)],
          new double[] {0, -3, 12, 400}[dice.nextInt(4)],
          "odd" + i);
    }
    String[] notes = {
      "yaw=1e308&pitch=-90", "width=0%2F0&left=9999999 in", "stage=-7", "wire1=%00", "=&&=x"
    };
    for (String card : List.of("signal", "plug", "mounting", "panel", "power")) {
      sql.update(
          "insert into cab_note (job_id, card, content, person_id, noted_at)"
              + " values (?, ?, ?, 2, now(3))",
          id(ref),
          card,
          notes[dice.nextInt(notes.length)]);
    }
  }

  private void figure(String ref, RigField field, Random dice) {
    Map<String, Object> job =
        sql.queryForMap("select tow_id, trailer_id, controller_id from job where ref = ?", ref);
    Object part =
        switch (field.subject()) {
          case TOW -> job.get("tow_id");
          case TRAILER -> job.get("trailer_id");
          case CONTROLLER -> job.get("controller_id");
        };
    Double si = null;
    String choice = null;
    if (field.isNumber()) {
      double share = new double[] {0, 1, 0.5, dice.nextDouble()}[dice.nextInt(4)];
      si = field.least() + share * (field.greatest() - field.least());
    } else if (field.options().isEmpty()) {
      return;
    } else {
      choice = field.options().get(dice.nextInt(field.options().size())).name();
    }
    sql.update(
        "insert into rig_figure (part_id, field_code, si, choice, provenance, cleared, person_id,"
            + " entered_at) values (?, ?, ?, ?, 'MEASURED', false, 2, now(3))",
        part,
        FieldKey.of(field).code(),
        si,
        choice);
  }

  @Test
  void rowsThatAnotherVersionLeftAreNamedAndTheRestStands() throws Exception {
    String ref = electrician.newJob("Old rows", "ELECTRIC", "1");
    electrician.read(ref, "supply.battery", "12.6");
    electrician.post(
        "/jobs/" + ref + "/rig/load",
        Map.of("name", "Bricks", "mass", "200", "place", "2.6", "requestKey", "old-" + ref));
    electrician.post("/jobs/" + ref + "/cab/mounting", Map.of("seen", "0", "yaw", "3"));
    long job = id(ref);
    long trailer = sql.queryForObject("select trailer_id from job where id = ?", Long.class, job);
    for (String row :
        List.of(
            "insert into rig_figure (part_id, field_code, si, provenance, cleared, person_id, entered_at) values (:t, 'AXLE_GREASE.0', 3, 'MEASURED', false, 2, now(3))",
            "insert into rig_figure (part_id, field_code, si, provenance, cleared, person_id, entered_at) values (:t, 'OVERALL_LENGTH.0', 4000, 'MEASURED', false, 2, now(3))",
            "insert into rig_figure (part_id, field_code, choice, provenance, cleared, person_id, entered_at) values (:t, 'PLANNED_CONNECTOR.0', 'round-99', 'HEARSAY', false, 2, now(3))",
            "insert into lamp_entry (part_id, slot, role, side, x_m, y_m, technology, state, person_id, entered_at) values (:t, 'old', 'LANTERN', 'LEFT', 1, 1, 'GAS', 'PRESENT', 2, now(3))",
            "update load_item set mass_kg = -5 where job_id = :j",
            "insert into reading (job_id, check_id, title, measure, value_si, typed, expected_si, low_si, high_si, verdict, person_id, taken_at, request_key) values (:j, 'brake.volts', 'Old', 'VOLTS', 1, '1', 9, 10, 8, 'MAYBE', 2, now(3), 'old')",
            "insert into test_stop (job_id, gain, way, speed_mps, surface, outcome, distance_m, vehicle_mass_kg, trailer_mass_kg, note, person_id, made_at, driven_at, request_key) values (:j, 5, 'FOOT', -3, 'ICE', 'SLID', 0, 0, 0, '', 2, now(3), now(3), 'old')",
            "insert into gain_setting (job_id, gain, surface, vehicle_mass_kg, trailer_mass_kg, person_id, settled_at, request_key) values (:j, 5, 'MOON', 1900, 900, 2, now(3), 'old')",
            "insert into road_said (job_id, what, about, verdict, words, times, person_id, said_at, request_key) values (:j, 'OMENS', '', 'MAYBE', '', 0, 2, now(3), 'old')",
            "update cab_note set content = 'yaw=%zz' where job_id = :j",
            "insert into built_colour (job_id, segment, pin_function, colour, person_id, seen_at) values (:j, 'SHIP', 'MAST', 'MAUVE', 2, now(3))",
            "insert into simulated_rig (job_id, seed, person_id, set_at) values (:j, 1, 2, now(3))",
            "insert into simulated_fault (job_id, place, fault) values (:j, 0, 'haunted:cord')",
            "update job_station set state = 'PERHAPS' where job_id = :j",
            "update job set next_station = 9, wish = 'BLESSING' where id = :j")) {
      Mending.update(sql, row.replace(":t", "" + trailer).replace(":j", "" + job));
    }
    everythingOpens(ref, "old rows");
    String page = electrician.page("/jobs/" + ref + "/rig");
    assertThat(page)
        .contains("stored rows cannot be digested")
        .contains("AXLE_GREASE")
        .contains("lamp old", "“LANTERN” is no word of this version")
        .contains("load “Bricks”")
        .contains("reading “1” of Old")
        .contains("test stop at gain 5")
        .contains("settled gain 5")
        .contains("word before a stop", "“OMENS” is no word of this version")
        .contains("cab card “mounting”");
    assertThat(electrician.page("/jobs/" + ref + "/bench?card=supply.battery")).contains("12.60");
    electrician.post(
        "/jobs/" + ref + "/cab/mounting", Map.of("seen", "0", "yaw", "4", "pitch", "1"));
    assertThat(electrician.page("/jobs/" + ref + "/cab?card=mounting")).contains("value=\"4\"");
    // The demo's people are shared: what this test breaks of the workshop it mends.
    sql.update("update controller_entry set content = concat('x', content) where id = 1");
    everythingOpens(ref, "broken controller");
    sql.update("update controller_entry set content = substring(content, 2) where id = 1");
  }

  /** A row that is well-formed and goes with no other is found by leaving each out in turn. */
  @Test
  void aRowThatDoesNotGoWithTheOthersIsLeftOutAlone() throws Exception {
    String ref = electrician.newJob("Together", "ELECTRIC", "1");
    electrician.read(ref, "supply.battery", "12.6");
    long controller =
        sql.queryForObject("select controller_id from job where ref = ?", Long.class, ref);
    sql.update(
        "insert into rig_figure (part_id, field_code, si, provenance, cleared, person_id, entered_at)"
            + " values (?, 'GAIN_LEAST.0', ?, 'PLATE', false, 2, now(3))",
        controller,
        RigField.GAIN_LEAST.greatest());
    sql.update(
        "insert into rig_figure (part_id, field_code, si, provenance, cleared, person_id, entered_at)"
            + " values (?, 'GAIN_GREATEST.0', ?, 'PLATE', false, 2, now(3))",
        controller,
        RigField.GAIN_GREATEST.least());
    everythingOpens(ref, "together");
    assertThat(electrician.page("/jobs/" + ref + "/road"))
        .contains("One stored row cannot be digested")
        .contains("GAIN_");
    assertThat(electrician.page("/jobs/" + ref + "/bench?card=supply.battery")).contains("12.60");
  }
}
