package org.jexel.app.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.jexel.app.AppTest;
import org.jexel.app.Walker;
import org.jexel.app.security.PersonRepository;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;

/** Several people at one job at the same moment: nobody's act is decided on what is old by then. */
@AppTest
class AtOnceTest {
  private static final int HANDS = 10;

  @Autowired private MockMvc mvc;
  @Autowired private JdbcTemplate sql;
  @Autowired private JobFiles files;
  @Autowired private PersonRepository people;

  private Walker electrician;

  @BeforeEach
  void walker() {
    electrician = new Walker(mvc, "electrician");
  }

  private interface Post {
    MockHttpServletResponse by(Walker walker, int number) throws Exception;
  }

  /** All hands post at the same moment, as the owner and the electrician in turn. */
  private List<MockHttpServletResponse> atOnce(Post post) throws Exception {
    ExecutorService hands = Executors.newFixedThreadPool(HANDS);
    CountDownLatch ready = new CountDownLatch(HANDS);
    List<Future<MockHttpServletResponse>> answers = new ArrayList<>();
    for (int i = 0; i < HANDS; i++) {
      int number = i;
      Walker walker = new Walker(mvc, i % 2 == 0 ? "electrician" : "owner");
      answers.add(
          hands.submit(
              () -> {
                ready.countDown();
                ready.await();
                return post.by(walker, number);
              }));
    }
    List<MockHttpServletResponse> all = new ArrayList<>();
    for (Future<MockHttpServletResponse> answer : answers) {
      all.add(answer.get());
    }
    hands.shutdown();
    assertThat(all).allMatch(answer -> answer.getStatus() < 400);
    return all;
  }

  private long count(String from, Object... values) {
    return sql.queryForObject("select count(*) from " + from, Long.class, values);
  }

  private long id(String ref) {
    return sql.queryForObject("select id from job where ref = ?", Long.class, ref);
  }

  @Test
  void ofTenReadingsOfOneCheckTheFirstStandsAndTheOthersAreAsked() throws Exception {
    String ref = electrician.newJob("Ten readings", "NONE", "1");
    atOnce(
        (walker, i) ->
            walker.post(
                "/jobs/" + ref + "/bench/supply.battery",
                Map.of("reading", "12." + i, "seen", "0", "requestKey", "ten-" + i)));
    assertThat(count("reading where job_id = ?", id(ref))).isEqualTo(1);
    assertThat(count("draft where job_id = ?", id(ref))).isPositive();
    Walker asked =
        sql.queryForObject("select person_id from reading where job_id = ?", Long.class, id(ref))
                == 2
            ? new Walker(mvc, "owner")
            : electrician;
    assertThat(asked.page("/jobs/" + ref + "/bench?card=supply.battery"))
        .contains("while you had this open");
  }

  /** Whoever has seen the other's reading corrects it, and names it. */
  @Test
  void readingsOneAfterTheOtherNameTheOneTheyCorrect() throws Exception {
    String ref = electrician.newJob("Chain", "NONE", "1");
    for (String volts : List.of("12.5", "12.6", "12.7")) {
      electrician.read(ref, "supply.battery", volts);
    }
    List<Map<String, Object>> rows =
        sql.queryForList(
            "select id, corrects_id from reading where job_id = ? order by id", id(ref));
    assertThat(rows).hasSize(3);
    assertThat(rows.get(0).get("corrects_id")).isNull();
    assertThat(rows.get(1).get("corrects_id")).isEqualTo(rows.get(0).get("id"));
    assertThat(rows.get(2).get("corrects_id")).isEqualTo(rows.get(1).get("id"));
  }

  @Test
  void ofTenFiguresInOneFieldOneStands() throws Exception {
    String ref = electrician.newJob("Ten figures", "NONE", "1");
    atOnce(
        (walker, i) ->
            walker.post(
                "/jobs/" + ref + "/figures/vehicle",
                Map.of(
                    "KERB_MASS.0",
                    "19" + i + "0",
                    "KERB_MASS.0.was",
                    "",
                    "KERB_MASS.0.seen",
                    "0")));
    assertThat(
            count(
                "rig_figure f join job j on f.part_id = j.tow_id"
                    + " where j.ref = ? and field_code = 'KERB_MASS.0'",
                ref))
        .isEqualTo(1);
    assertThat(count("draft where job_id = ? and field = 'KERB_MASS.0'", id(ref))).isPositive();
  }

  @Test
  void aCabCardIsNotSavedOverAnothersWithoutAQuestion() throws Exception {
    String ref = electrician.newJob("Two at the cab", "ELECTRIC", "1");
    Walker owner = new Walker(mvc, "owner");
    owner.post("/jobs/" + ref + "/cab/signal", Map.of("seen", "0", "wire1", "green", "up1", "off"));
    electrician.post("/jobs/" + ref + "/cab/signal", Map.of("seen", "0", "wire2", "brown"));
    String page = electrician.page("/jobs/" + ref + "/cab?card=signal");
    assertThat(page)
        .contains("Runa Feldt changed this card")
        .contains("wire 2: brown")
        .contains("value=\"green\"");
    assertThat(owner.page("/jobs/" + ref + "/cab?card=signal"))
        .contains("value=\"green\"")
        .doesNotContain("changed this card");
    electrician.post(
        "/jobs/" + ref + "/cab/signal",
        Map.of("seen", Walker.hidden(page, "seen"), "settle", "mine"));
    assertThat(electrician.page("/jobs/" + ref + "/cab?card=signal"))
        .contains("value=\"brown\"")
        .doesNotContain("changed this card");
  }

  @Test
  void tenEqualPostsOfANewJobMakeOne() throws Exception {
    String key = UUID.randomUUID().toString();
    Set<String> refs = new HashSet<>();
    atOnce(
        (walker, i) -> {
          String ref = electrician.newJob("Ten at once", "NONE", "1", key);
          synchronized (refs) {
            refs.add(ref);
          }
          return new MockHttpServletResponse();
        });
    assertThat(refs).hasSize(1);
    assertThat(count("job where request_key = ?", key)).isEqualTo(1);
  }

  @Test
  void draftsOfOneFieldAtOnceAreOne() throws Exception {
    String ref = electrician.newJob("Ten drafts", "NONE", "1");
    atOnce(
        (walker, i) ->
            walker.post(
                "/jobs/" + ref + "/bench/supply.battery/draft",
                Map.of("reading", "12." + i, "seen", "0", "requestKey", "d" + i)));
    assertThat(count("draft where job_id = ?", id(ref))).isEqualTo(2);
  }

  @Test
  void aJobIsChangedByAnActAlone() throws Exception {
    String ref = electrician.newJob("Held", "NONE", "1");
    var person = people.findBySignIn("electrician").orElseThrow();
    JobFile file = files.open(ref, person);
    assertThatThrownBy(file::changed)
        .isInstanceOf(IllegalStateException.class)
        .hasMessageContaining("by an act alone");
  }

  /** What is typed at the same moment on different cards all stands. */
  @Test
  void mixedActsOfTenHandsAllStand() throws Exception {
    String ref = electrician.newJob("Mixed", "ELECTRIC", "2");
    atOnce(
        (walker, i) ->
            walker.post(
                "/jobs/" + ref + "/rig/load",
                Map.of(
                    "name", "Crate " + i, "mass", "10", "place", "2.6", "requestKey", "mix" + i)));
    assertThat(count("load_item where job_id = ?", id(ref))).isEqualTo(HANDS);
  }

  /** A key that another workshop's post used stands in nobody's way; a long one is a key too. */
  @Test
  void keysAreAJobsOwnAndMayBeOfAnyLength() throws Exception {
    String first = electrician.newJob("First", "NONE", "1");
    String second = electrician.newJob("Second", "NONE", "1");
    String key = "k".repeat(300);
    for (String ref : List.of(first, second, first)) {
      electrician.post(
          "/jobs/" + ref + "/bench/supply.battery",
          Map.of("reading", "12.6", "seen", "0", "requestKey", key));
    }
    assertThat(count("reading where job_id in (?, ?)", id(first), id(second))).isEqualTo(2);
  }
}
