package org.jexel.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.zip.GZIPInputStream;
import org.jexel.core.job.Station;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DriverManagerDataSource;

/** A database of an earlier version, with the demo workshop in it, opened by this one. */
class UpgradeTest {
  private static final String SERVER =
      "jdbc:mariadb://127.0.0.1:%s/".formatted(System.getenv().get("JEXEL_DB_PORT"));

  private static JdbcTemplate sql;
  private static ConfigurableApplicationContext application;
  private static List<String> migrated;

  @BeforeAll
  static void upgrade() throws IOException {
    JdbcTemplate server = template(SERVER + "?allowMultiQueries=true");
    server.execute("drop database if exists jexel_upgrade");
    server.execute("create database jexel_upgrade character set utf8mb4");
    template(SERVER + "jexel_upgrade?allowMultiQueries=true").execute(dump());
    sql = template(SERVER + "jexel_upgrade");
    // Two people corrected one reading at the same moment, as the earlier version let them.
    for (String typed : List.of("first", "second", "third")) {
      sql.update(
          "insert into reading (job_id, check_id, title, measure, value_si, typed, expected_si,"
              + " low_si, high_si, verdict, corrects_id, person_id, taken_at, request_key)"
              + " select job_id, check_id, title, measure, value_si, ?, expected_si, low_si,"
              + " high_si, verdict, id, person_id, now(3), ? from reading where id = 1",
          typed,
          typed);
    }
    sql.update(
        "insert into step_tick (job_id, step, done, person_id, ticked_at, mended, again) values"
            + " (2, 'mended.1', true, 1, now(3), 'Open: magnet', 'brake.amps,hum.axle1_left'),"
            + " (2, 'mended.2', true, 1, now(3), 'Blown: fuse', '')");
    sql.update("delete from simulated_rig");
    sql.update(
        "insert into simulated_rig (job_id, faults, seed, person_id, set_at)"
            + " values (2, 'open:core.earth:0.0,open:core.tail:0.0', 7, 1, now(3))");
    sql.update("update job set states = 'HOLDS WATCH FAILS UNDER_WAY NOT_YET HOLDS WATCH'");
    application =
        new SpringApplicationBuilder(JexelApplication.class)
            .run(
                "--server.port=0",
                "--spring.datasource.url=" + SERVER + "jexel_upgrade",
                "--spring.flyway.url=" + SERVER + "jexel_upgrade",
                "--jexel.stand-anew=PT10S",
                "--jexel.data=target/upgrade-data");
    migrated = states();
  }

  private static List<String> states() {
    return sql.queryForList(
        "select state from job_station where job_id = 3 order by field(station, 'RIG',"
            + " 'HARNESS', 'CAB', 'BENCH', 'BREAKAWAY', 'ROAD', 'HANDOVER')",
        String.class);
  }

  private static JdbcTemplate template(String url) {
    return new JdbcTemplate(new DriverManagerDataSource(url, "jexel", "jexel"));
  }

  private static String dump() throws IOException {
    try (InputStream packed = UpgradeTest.class.getResourceAsStream("/upgrade/v10.sql.gz")) {
      return new String(new GZIPInputStream(packed).readAllBytes(), StandardCharsets.UTF_8);
    }
  }

  @AfterAll
  static void close() {
    application.close();
    template(SERVER).execute("drop database jexel_upgrade");
  }

  @Test
  void everyRowIsThereAndEveryPageOpens() throws Exception {
    for (Map.Entry<String, Integer> table :
        Map.of("job", 6, "reading", 139, "test_stop", 7, "rig_figure", 156).entrySet()) {
      assertThat(sql.queryForObject("select count(*) from " + table.getKey(), Integer.class))
          .as(table.getKey())
          .isEqualTo(table.getValue());
    }
    Http owner =
        new Http(Integer.parseInt(application.getEnvironment().getProperty("local.server.port")));
    owner.signIn("owner", "owner-valley");
    for (String ref : sql.queryForList("select ref from job", String.class)) {
      for (Station station : Station.values()) {
        String path = "/jobs/" + ref + "/" + station.path();
        assertThat(owner.get(path).statusCode()).as(path).isEqualTo(200);
      }
    }
  }

  /** What an earlier version said of a station is not said by this one unseen. */
  @Test
  void soonAfterTheStartEveryJobStandsAsThisVersionJudgesIt() throws Exception {
    Instant late = Instant.now().plusSeconds(60);
    while (states().equals(migrated) && Instant.now().isBefore(late)) {
      Thread.sleep(200);
    }
    assertThat(states()).contains("COMPUTED").isNotEqualTo(migrated);
    assertThat(sql.queryForList("select stood_by from job where id = 3", String.class))
        .noneMatch(String::isEmpty);
  }

  @Test
  void rowsThatCorrectedTheSameOneCorrectEachOtherInTurn() {
    List<Long> chain =
        sql.queryForList(
            "select corrects_id from reading where typed in ('first', 'second', 'third')"
                + " order by id",
            Long.class);
    List<Long> own =
        sql.queryForList(
            "select id from reading where typed in ('first', 'second') order by id", Long.class);
    assertThat(chain).containsExactly(1L, own.get(0), own.get(1));
  }

  /**
   * Lists that were packed into one field are rows, in their order, and nothing of them is lost.
   */
  @Test
  void packedListsAreRows() {
    assertThat(migrated)
        .containsExactly("HOLDS", "WATCH", "FAILS", "UNDER_WAY", "NOT_YET", "HOLDS", "WATCH");
    assertThat(
            sql.queryForList(
                "select concat(r.words, ' ', a.place, ' ', a.check_id) from repair r"
                    + " join repair_again a on a.repair_id = r.id order by r.id, a.place",
                String.class))
        .containsExactly("Open: magnet 0 brake.amps", "Open: magnet 1 hum.axle1_left");
    assertThat(sql.queryForList("select words from repair order by id", String.class))
        .containsExactly("Open: magnet", "Blown: fuse");
    assertThat(sql.queryForList("select step from step_tick", String.class))
        .isNotEmpty()
        .noneMatch(step -> step.startsWith("mended"));
    assertThat(
            sql.queryForList(
                "select fault from simulated_fault where job_id = 2 order by place", String.class))
        .containsExactly("open:core.earth:0.0", "open:core.tail:0.0");
  }

  @Test
  void whatWasRecordedStands() {
    for (String change :
        List.of(
            "update reading set value_si = 12 where id = 1",
            "delete from reading where id = 1",
            "update test_stop set gain = 1",
            "delete from rig_figure",
            "update step_tick set done = false",
            "update repair set words = ''",
            "delete from repair_again")) {
      assertThatThrownBy(() -> sql.update(change)).as(change).hasMessageContaining("stands");
    }
    assertThat(Mending.update(sql, "update reading set title = title where id = ?", 1)).isOne();
  }

  @Test
  void aRowIsCorrectedOnceAndByOneOfItsOwnJob() {
    String correct =
        "insert into reading (job_id, check_id, title, measure, value_si, typed, expected_si,"
            + " low_si, high_si, verdict, corrects_id, person_id, taken_at, request_key)"
            + " select %s, check_id, title, measure, value_si, 'x', expected_si, low_si, high_si,"
            + " verdict, %d, person_id, now(3), 'x' from reading where id = 2";
    assertThatThrownBy(() -> sql.update(correct.formatted("job_id", 1)))
        .isInstanceOf(DataIntegrityViolationException.class);
    assertThatThrownBy(() -> sql.update(correct.formatted("job_id + 1", 2)))
        .isInstanceOf(DataIntegrityViolationException.class);
    assertThatThrownBy(
            () ->
                sql.update(
                    "insert into rig_figure (part_id, field_code, si, choice, provenance, cleared,"
                        + " person_id, entered_at) select part_id, field_code, 1, 'x', provenance,"
                        + " false, person_id, now(3) from rig_figure limit 1"))
        .isInstanceOf(DataIntegrityViolationException.class);
  }
}
