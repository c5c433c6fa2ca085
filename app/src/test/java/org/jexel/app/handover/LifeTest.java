package org.jexel.app.handover;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jexel.app.AppTest;
import org.jexel.app.Walker;
import org.jexel.app.job.JobFiles;
import org.jexel.app.security.PersonRepository;
import org.jexel.core.job.Station;
import org.jexel.core.job.StationState;
import org.jexel.core.job.Work;
import org.jexel.core.rig.RigField;
import org.jexel.core.road.Setting;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;

/** A trailer goes on beyond one job, and each job stays as it was. */
@AppTest
class LifeTest {
  @Autowired private MockMvc mvc;
  @Autowired private JdbcTemplate sql;
  @Autowired private JobFiles files;
  @Autowired private PersonRepository people;
  private Walker electrician;

  @BeforeEach
  void signIn() {
    electrician = new Walker(mvc, "electrician");
  }

  private Work work(String ref) {
    return files.open(ref, people.findBySignIn("electrician").orElseThrow()).work();
  }

  private MockHttpServletResponse next(String ref, String wish, String tow, String key)
      throws Exception {
    return electrician.post(
        "/jobs/" + ref + "/next",
        Map.of(
            "wish", wish,
            "customer", "Birch and Steam",
            "vehicle", tow.isEmpty() ? "same" : "other",
            "tow", tow,
            "requestKey", key));
  }

  private String begun(String ref, String wish, String tow) throws Exception {
    MockHttpServletResponse answer = next(ref, wish, tow, UUID.randomUUID().toString());
    assertThat(answer.getRedirectedUrl()).as(answer.getContentAsString()).isNotNull();
    return answer.getRedirectedUrl().split("/")[2];
  }

  /** A settled job: brakes read, a gain settled, its colours and its load known. */
  private String settled(String trailer) throws Exception {
    String ref = electrician.readyForTheRoad(trailer, "1");
    electrician.post(
        "/jobs/" + ref + "/figures/trailer", Map.of("EMPTY_MASS.0", "640", "EMPTY_MASS.0.was", ""));
    settle(ref, 5.5, 0);
    return ref;
  }

  private void settle(String ref, double gain, int monthsAgo) {
    sql.update(
        "insert into gain_setting (job_id, gain, school, surface, vehicle_mass_kg, trailer_mass_kg,"
            + " person_id, settled_at, request_key)"
            + " select id, ?, 'BELOW_LOCK', 'DRY_ASPHALT', ?, ?, 1, now(3) - interval ? month, ?"
            + " from job where ref = ?",
        gain,
        work(ref).record().rig().sheet().si(RigField.KERB_MASS),
        work(ref).rig().load().mass(),
        monthsAgo,
        "set" + monthsAgo,
        ref);
  }

  @Test
  void aGainThatIsStaleIsNotHandedOn() throws Exception {
    String first = settled("Sauna set long ago");
    settle(first, 7.5, 8);
    String second = begun(first, "ANNUAL", "");
    assertThat(work(first).record().settings()).hasSize(2);
    assertThat(work(second).record().settings()).extracting(Setting::gain).containsExactly(5.5);
    assertThat(electrician.page("/jobs/" + second + "/life"))
        .containsPattern("7[.]5</td>.*not handed on");
  }

  @Test
  void theNextJobBeginsWithWhatWasLeftAndProvesNothingOfIt() throws Exception {
    String first = settled("Sauna that comes again");
    Work before = work(first);
    assertThat(before.record().readings()).isNotEmpty();
    assertThat(before.road().gains().holding()).isPresent();
    String second = begun(first, "ANNUAL", "");
    Work after = work(second);
    assertThat(after.record().rig()).isEqualTo(before.record().rig());
    assertThat(after.record().colours()).isEqualTo(before.record().colours());
    assertThat(after.record().settings()).isEqualTo(before.record().settings());
    assertThat(after.record().readings()).isEmpty();
    assertThat(after.record().ticks()).isEmpty();
    assertThat(after.record().stops()).isEmpty();
    assertThat(after.progress().states())
        .as("nothing holds that was not read or driven in this job")
        .containsEntry(Station.BENCH, StationState.NOT_YET)
        .containsEntry(Station.ROAD, StationState.COMPUTED);
    assertThat(work(first).record()).isEqualTo(before.record());
    assertThat(electrician.page("/jobs/" + second + "/bench?card=supply.battery"))
        .containsPattern("Last time</b> <span>12[.]60 V held on [^<]*, " + first);
    assertThat(electrician.page("/jobs/" + first + "/bench?card=supply.battery"))
        .doesNotContain("Last time");
  }

  @Test
  void whatIsEnteredLaterLeavesTheEarlierJobAsItWas() throws Exception {
    String first = settled("Sauna with a new floor");
    String second = begun(first, "REPAIR", "");
    String card = electrician.page("/jobs/" + second + "/rig?card=trailer");
    electrician.post(
        "/jobs/" + second + "/figures/trailer",
        Map.of(
            "EMPTY_MASS.0", "700",
            "EMPTY_MASS.0.was", Walker.hidden(card, "EMPTY_MASS.0.was"),
            "EMPTY_MASS.0.seen", Walker.hidden(card, "EMPTY_MASS.0.seen")));
    assertThat(work(first).record().rig().sheet().si(RigField.EMPTY_MASS)).isEqualTo(640);
    assertThat(Walker.oneLine(electrician.page("/jobs/" + second + "/handover")))
        .contains("As found, and as left")
        .containsPattern("Trailer: empty mass</td> <td>640 kg</td> <td>700 kg</td>");
    String page = electrician.page("/jobs/" + first + "/life");
    assertThat(page)
        .contains("2 jobs, newest first")
        .contains("Entered otherwise")
        .contains("700 kg");
    assertThat(page).contains("Readings, job by job").contains(first).contains(second);
  }

  /** What the simulated meter showed is told as that wherever it is told again. */
  @Test
  void practiceIsNotComparedWithAsIfItHadBeenRead() throws Exception {
    String first = electrician.newJob("Sauna practised on", "ELECTRIC", "1");
    sql.update(
        "insert into reading (job_id, check_id, title, measure, value_si, typed, expected_si,"
            + " low_si, high_si, verdict, person_id, taken_at, request_key, source)"
            + " select id, 'socket.tail', 'Tail', 'VOLTS', 12.5, '12.5', 12.5, 12, 13, 'HOLDS', 1,"
            + " now(3), 'practised', 'METER' from job where ref = ?",
        first);
    String second = begun(first, "ANNUAL", "");
    assertThat(electrician.page("/jobs/" + second + "/bench?card=socket.tail"))
        .contains("12.50 V, simulated meter stood on")
        .doesNotContain("held on");
    assertThat(electrician.page("/jobs/" + second + "/life")).contains("12.50 V, simulated meter");
  }

  @Test
  void anotherVehicleTakesTheTrailerAndNoGain() throws Exception {
    String first = settled("Sauna behind a van");
    String second = begun(first, "NEW_CONTROLLER", "Borrowed van");
    Work after = work(second);
    assertThat(after.record().settings()).isEmpty();
    assertThat(after.record().rig().sheet().si(RigField.EMPTY_MASS)).isEqualTo(640);
    assertThat(
            sql.queryForObject(
                "select count(*) from rig_figure f join job j on j.tow_id = f.part_id where j.ref = ?",
                Long.class,
                second))
        .isZero();
    assertThat(electrician.page("/jobs/" + second + "/life"))
        .contains("Borrowed van")
        .contains("not handed on");
  }

  @Test
  void careIsTheTrailersOwn() throws Exception {
    String first = settled("Sauna to be cared for");
    electrician.post("/jobs/" + first + "/care/TREAD", tread("7"));
    assertThat(due(first)).isNotNull();
    String second = begun(first, "ANNUAL", "");
    assertThat(due(first)).isNull();
    assertThat(due(second)).isNotNull();
    electrician.post("/jobs/" + first + "/care/TREAD", tread("6"));
    assertThat(electrician.page("/jobs/" + second + "/care/TREAD")).contains("6.0 mm");
    assertThat(electrician.page("/jobs/" + second + "/handover"))
        .contains("Tyres, tread", "Never recorded: ");
    assertThat(due(first)).isNull();
    String third = begun(first, "REPAIR", "Another van");
    assertThat(
            sql.queryForObject(
                "select p.ref from job j join job p on p.id = j.after_id where j.ref = ?",
                String.class,
                third))
        .as("the next one follows the newest, whichever page it is begun on")
        .isEqualTo(second);
  }

  private Map<String, String> tread(String mm) {
    Map<String, String> typed = new HashMap<>();
    for (String place : List.of("place-1", "place-2")) {
      typed.put(place, mm);
    }
    typed.put("requestKey", UUID.randomUUID().toString());
    return typed;
  }

  private Object due(String ref) {
    return sql.queryForMap(
            "select p.care_due from job j join rig_part p on p.id = j.trailer_id where j.ref = ?",
            ref)
        .get("care_due");
  }

  @Test
  void aFormThatLacksSomethingBeginsNothingAndTheSamePostTwiceOneJob() throws Exception {
    String first = settled("Sauna asked for twice");
    MockHttpServletResponse lacking = next(first, "", "", "k1");
    assertThat(lacking.getStatus()).isEqualTo(422);
    assertThat(lacking.getContentAsString()).contains("Choose one.").contains("Birch and Steam");
    String one = next(first, "ANNUAL", "", "twice-" + first).getRedirectedUrl();
    String two = next(first, "ANNUAL", "", "twice-" + first).getRedirectedUrl();
    assertThat(two).isEqualTo(one);
    assertThat(
            sql.queryForObject(
                "select count(*) from job where after_id = (select id from job where ref = ?)",
                Long.class,
                first))
        .isEqualTo(1);
  }
}
