package org.jexel.app.care;

import org.jexel.app.AppTest;
import org.jexel.app.Timed;
import org.jexel.app.Walker;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.MockMvc;

/**
 * {@code ./bench care}: what is due of 200 trailers, each with the demo's four years of records.
 * Prints a table; judges nothing.
 */
@AppTest
@TestPropertySource(properties = "spring.jpa.properties.hibernate.generate_statistics=false")
class CareBenchmark {
  private static final int TRAILERS = 200;
  private static final int TIMES = 60;
  private static final String LIKE = " from job j join rig_part r on r.id = j.trailer_id";

  @Autowired private MockMvc mvc;
  @Autowired private JdbcTemplate sql;
  @Autowired private CareDueRepository due;

  @Test
  void whatIsDue() throws Exception {
    Walker electrician = new Walker(mvc, "electrician");
    for (int i = 0; i < TRAILERS; i++) {
      multiply(i);
    }
    Long workshop =
        sql.queryForObject("select workshop_id from job where ref = 'J1006'", Long.class);
    System.out.printf(
        "%n%d trailers, %d records, %d figures; ms, first compiler%n",
        sql.queryForObject("select count(distinct trailer_id) from care_act", Integer.class),
        sql.queryForObject("select count(*) from care_act", Integer.class),
        sql.queryForObject("select count(*) from care_found", Integer.class));
    Timed.print("list of what is due", TIMES, () -> due.all(workshop));
    Timed.print("its page", TIMES, () -> electrician.page("/workshop/care"));
    Timed.print("the board", TIMES, () -> electrician.page("/"));
    Timed.print("plan of one trailer", TIMES, () -> electrician.page("/jobs/J1006/care/TREAD"));
    Timed.print("its handover", TIMES, () -> electrician.page("/jobs/J1006/handover"));
  }

  private void multiply(int i) {
    sql.update(
        "insert into rig_part (workshop_id, subject, label, version, care_due, care_part)"
            + " select r.workshop_id, r.subject, ?, 0, r.care_due, r.care_part"
            + LIKE
            + " where j.ref = 'J1006'",
        "Copy " + i);
    Long trailer = sql.queryForObject("select max(id) from rig_part", Long.class);
    sql.update(
        "insert into job (workshop_id, ref, title, customer, wish, tow_id, trailer_id,"
            + " controller_id, next_station, next_act, request_key, created_at, updated_at, version)"
            + " select workshop_id, ?, title, customer, wish, tow_id, ?, controller_id,"
            + " next_station, next_act, ?, created_at, updated_at, 0 from job where ref = 'J1006'",
        "J" + (20_000 + i),
        trailer,
        "care-copy-" + i);
    sql.update(
        "insert into care_act (trailer_id, part, metres, note, person_id, done_at, made_at,"
            + " request_key) select ?, part, metres, a.id, person_id, done_at, made_at, a.request_key"
            + " from care_act a join job j on j.trailer_id = a.trailer_id where j.ref = 'J1006'",
        trailer);
    sql.update(
        "insert into care_found (act_id, place, si) select c.id, f.place, f.si from care_act c"
            + " join care_found f on f.act_id = c.note where c.trailer_id = ?",
        trailer);
  }
}
