package org.jexel.app.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Map;
import org.jexel.app.AppTest;
import org.jexel.app.Walker;
import org.jexel.app.security.PersonRepository;
import org.jexel.core.job.Progress;
import org.jexel.core.job.Station;
import org.jexel.core.job.StationState;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.MockMvc;

/** One next act, and the states of the stations, as a job goes on. */
@AppTest
class NextActTest {
  @Autowired private MockMvc mvc;
  @Autowired private JobFiles files;
  @Autowired private Rooms rooms;
  @Autowired private PersonRepository people;
  @Autowired private StandAnew anew;
  @Autowired private JdbcTemplate sql;

  private Walker electrician;

  @BeforeEach
  void someone() {
    electrician = new Walker(mvc, "electrician");
  }

  private Progress progress(String ref) {
    return files.open(ref, people.findBySignIn("viewer").orElseThrow()).work().progress();
  }

  private void enter(String ref, String card, String code, String text) throws Exception {
    electrician.post("/jobs/" + ref + "/figures/" + card, Map.of(code, text, code + ".was", ""));
  }

  private void plates(String ref) throws Exception {
    enter(ref, "vehicle", "KERB_MASS.0", "2100");
    enter(ref, "vehicle", "TOW_RATING.0", "2500");
    enter(ref, "trailer", "EMPTY_MASS.0", "450");
    enter(ref, "trailer", "TRAILER_PERMITTED_MASS.0", "1400");
    enter(ref, "axles", "AXLE_RATING.0", "1500");
  }

  private void lengths(String ref) throws Exception {
    enter(ref, "supply", "FEED_RUN.0", "5.5");
    enter(ref, "trailer", "OVERALL_LENGTH.0", "4.4");
    enter(ref, "trailer", "DRAWBAR_LENGTH.0", "1.2");
  }

  @Test
  void aCheckBeginsAtTheBenchAndItsPlatesAreReadBeforeTheRoad() throws Exception {
    String ref = electrician.newJob("In order", "ELECTRIC", "1");
    assertThat(progress(ref).next().station()).isEqualTo(Station.BENCH);
    assertThat(rooms.card(progress(ref).next()).card()).isEqualTo("supply.battery");
    assertThat(progress(ref).states().get(Station.RIG)).isEqualTo(StationState.UNDER_WAY);
    plates(ref);
    lengths(ref);
    assertThat(rooms.card(progress(ref).next()).card()).isEqualTo("supply.battery");
  }

  @Test
  void aLampThatLooksWrongLeadsToTheFinderAndARoundIsOneAct() throws Exception {
    String ref = electrician.newJob("Dim", "NONE", "1");
    plates(ref);
    lengths(ref);
    electrician.prove(ref);
    electrician.post(
        "/jobs/" + ref + "/bench/round",
        Map.of("word.look.tail.lamp_tail_rear_left", "dark", "requestKey", "dark-" + ref));
    assertThat(rooms.card(progress(ref).next()).card()).isEqualTo("finder");
    assertThat(progress(ref).states().get(Station.BENCH)).isEqualTo(StationState.FAILS);
    String other = electrician.newJob("Unread", "NONE", "1");
    plates(other);
    lengths(other);
    for (String check : new String[] {"supply.battery", "socket.tail", "socket.charge"}) {
      electrician.read(other, check, electrician.expected(other, check));
    }
    assertThat(progress(other).next().text()).isEqualTo("Read: Socket pin 5, left");
    String page = electrician.page("/jobs/" + other + "/bench?card=look.tail%2Bleft");
    assertThat(page).contains("Record the round", "id=\"card-look-tail-left\"");
  }

  @Test
  void everyNextActLeadsToAPageThatHasItsCard() throws Exception {
    for (String ref : new String[] {"J1001", "J1002", "J1003", "J1004", "J1005", "J1006"}) {
      NextCard next = rooms.card(progress(ref).next());
      String page =
          electrician.page(
              "/jobs/%s/%s?card=%s".formatted(ref, next.station().path(), next.card()));
      // Once the finder is sure, its own page says what to mend.
      assertThat(page).as(ref + " " + next.text()).containsAnyOf(next.text(), "<b>Mend: ");
    }
  }

  /** A look round holds for its day: what the board says of it is said anew on the next. */
  @Test
  void onANewDayTheBoardIsJudgedAnew() throws Exception {
    String ref = electrician.newJob("Overnight", "ELECTRIC", "1");
    sql.update(
        "update job set stood_by = concat(substring_index(stood_by, ' ', 1), ' 2020-01-01'),"
            + " next_act = 'as it was then' where ref = ?",
        ref);
    anew.all();
    Map<String, Object> job =
        sql.queryForMap("select stood_by, next_act from job where ref = ?", ref);
    assertThat(job.get("next_act")).isEqualTo(progress(ref).next().text());
    assertThat(job.get("stood_by").toString()).endsWith(LocalDate.now(ZoneOffset.UTC).toString());
  }
}
