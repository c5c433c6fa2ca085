package org.jexel.app.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jexel.app.AppTest;
import org.jexel.app.Walker;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.MockMvc;

/** Tables of a job as files: they hold what the database holds, and a sheet runs none of it. */
@AppTest
class TablesTest {
  @Autowired private MockMvc mvc;
  @Autowired private JdbcTemplate sql;

  private static List<List<String>> read(String text) {
    List<List<String>> rows = new ArrayList<>();
    Csv.read(new StringReader(text), ',', row -> rows.add(row.getFields()));
    return rows;
  }

  private static int at(List<List<String>> table, String column) {
    assertThat(table.get(0)).contains(column);
    return table.get(0).indexOf(column);
  }

  private double sum(List<List<String>> table, String column) {
    return table.stream()
        .skip(1)
        .map(row -> row.get(at(table, column)))
        .filter(cell -> !cell.isEmpty())
        .mapToDouble(Double::parseDouble)
        .sum();
  }

  private double stored(String sum) {
    return sql.queryForObject(
        sum + " where job_id = (select id from job where ref = 'J1003')", Double.class);
  }

  @Test
  void theyHoldWhatTheDatabaseHolds() throws Exception {
    Walker viewer = new Walker(mvc, "viewer");
    List<List<String>> readings =
        read(viewer.answer("/jobs/J1003/readings.csv").getContentAsString());
    assertThat(readings).hasSizeGreaterThan(10);
    assertThat(sum(readings, "value_si"))
        .isCloseTo(stored("select sum(value_si) from reading"), within(1e-9));
    assertThat(sum(readings, "high_si"))
        .isCloseTo(stored("select sum(high_si) from reading"), within(1e-9));
    List<List<String>> stops = read(viewer.answer("/jobs/J1003/stops.csv").getContentAsString());
    assertThat(stops).hasSizeGreaterThan(1);
    assertThat(sum(stops, "distance_m"))
        .isCloseTo(stored("select sum(distance_m) from test_stop"), within(1e-9));
    List<List<String>> steps = read(viewer.answer("/jobs/J1003/steps.csv").getContentAsString());
    assertThat(
            steps.stream().skip(1).filter(row -> row.get(at(steps, "done")).equals("done")).count())
        .isPositive()
        .isEqualTo((long) stored("select count(*) from step_tick"));
    List<List<String>> care = read(viewer.answer("/jobs/J1006/care.csv").getContentAsString());
    assertThat(sum(care, "value_si"))
        .isCloseTo(
            sql.queryForObject(
                "select sum(si) from care_found f join care_act a on a.id = f.act_id"
                    + " join job j on j.trailer_id = a.trailer_id where j.ref = 'J1006'",
                Double.class),
            within(1e-4));
  }

  @Test
  void aTickOfWhatThePlanNoLongerAsksForIsToldToo() throws Exception {
    Walker electrician = new Walker(mvc, "electrician");
    String ref = electrician.newJob("Tables, ticked", "NONE", "1");
    sql.update(
        "insert into step_tick (job_id, step, done, person_id, ticked_at)"
            + " select id, 'once.asked', true, (select min(id) from person), now()"
            + " from job where ref = ?",
        ref);
    assertThat(electrician.answer("/jobs/" + ref + "/steps.csv").getContentAsString())
        .contains("once.asked,,not asked for any more,,done,");
  }

  /** What somebody writes into a note is read as a note. */
  @Test
  void noNoteIsASum() throws Exception {
    Walker electrician = new Walker(mvc, "electrician");
    String ref = electrician.newJob("Tables", "NONE", "1");
    List<String> notes = List.of("=1+1", "+1", "@a", "-a", "-0.5 V", "plain, \"said\"\nby two");
    for (String note : notes) {
      Map<String, String> fields = new HashMap<>(Map.of("place-0", "in order", "note", note));
      fields.put("requestKey", UUID.randomUUID().toString());
      electrician.post("/jobs/" + ref + "/care/LAMPS", fields);
    }
    List<List<String>> care =
        read(electrician.answer("/jobs/" + ref + "/care.csv").getContentAsString());
    assertThat(care.stream().skip(1).map(row -> row.get(at(care, "note"))))
        .containsExactly("'=1+1", "'+1", "'@a", "'-a", "-0.5 V", "plain, \"said\"\nby two");
  }

  @Test
  void aTextThatBreaksOffIsRefusedAndABlankLineIsNone() {
    assertThat(read("a,b\r\n\r\n1\n2,3,4\n"))
        .containsExactly(List.of("a", "b"), List.of("1"), List.of("2", "3", "4"));
    for (String broken : List.of("a\n\"b", "a\n\"b\"c")) {
      assertThatThrownBy(() -> read(broken)).isInstanceOf(UncheckedIOException.class);
    }
  }
}
