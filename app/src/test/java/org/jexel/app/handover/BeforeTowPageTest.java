package org.jexel.app.handover;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.jexel.app.AppTest;
import org.jexel.app.Walker;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.MockMvc;

/** Lists before a journey, as they are walked, sent and kept. */
@AppTest
class BeforeTowPageTest {
  private static final long DAY_MS = 86_400_000;

  @Autowired private MockMvc mvc;
  @Autowired private JdbcTemplate sql;
  private Walker electrician;

  @BeforeEach
  void signIn() {
    electrician = new Walker(mvc, "electrician");
  }

  private static Map<String, String> all(String page, String verdict) {
    Map<String, String> fields = new HashMap<>();
    java.util.regex.Pattern.compile("id=\"([A-Z]+)-HOLDS\"")
        .matcher(page)
        .results()
        .forEach(found -> fields.put(found.group(1), verdict));
    return fields;
  }

  private String walked(String ref, Map<String, String> fields) throws Exception {
    fields.putIfAbsent("requestKey", UUID.randomUUID().toString());
    assertThat(electrician.post(before(ref), fields).getStatus()).isEqualTo(302);
    return electrician.page(before(ref));
  }

  private static String before(String ref) {
    return "/jobs/" + ref + "/before";
  }

  @Test
  void aListIsKeptOnceAndHoldsOnlyIfAllOfItIsRight() throws Exception {
    String ref = electrician.newJob("Before tow", "ELECTRIC", "2");
    String page = electrician.page(before(ref));
    assertThat(page).contains("None yet.", "each of the 4 hums");
    Map<String, String> fields = all(page, "HOLDS");
    walked(ref, fields);
    assertThat(walked(ref, fields)).containsOnlyOnce("all " + (fields.size() - 1) + " in order");
    Map<String, String> some = all(page, "HOLDS");
    some.remove("TYRES");
    some.put("NUTS", "WATCH");
    some.put("WINGS", "HOLDS");
    assertThat(walked(ref, some)).contains("not looked at: tyres, wheel nuts");
    assertThat(electrician.page("/jobs/" + ref + "/handover")).doesNotContain("Before the journey");
  }

  @Test
  void whatIsWrongIsSaidInWordsAndTheReportHasIt() throws Exception {
    String ref = electrician.newJob("Before tow, a cut", "NONE", "1");
    Map<String, String> fields = all(electrician.page(before(ref)), "HOLDS");
    assertThat(fields).doesNotContainKeys("BRAKES", "PULL", "CABLE");
    fields.put("TYRES", "FAILS");
    assertThat(walked(ref, fields)).contains("Write what is not right", "None yet.");
    assertThat(electrician.page(before(ref)))
        .as("what was typed stays")
        .containsPattern("id=\"TYRES-FAILS\"[^>]*checked");
    fields.put("wrong", "cut in the left one <b>");
    assertThat(walked(ref, fields))
        .doesNotContain("None yet.", "Write what is not right")
        .contains("not in order: tyres (cut in the left one <b>)");
    assertThat(electrician.answer(before(ref)).getContentAsString()).contains("one &lt;b&gt;)");
    assertThat(electrician.page("/jobs/" + ref + "/handover"))
        .containsPattern("Before the journey of [^<]*: \\d+ of \\d+ in order; not in order: tyres");
    assertThat(walked(ref, new HashMap<>())).contains("Nothing is said yet");
    Map<String, String> noPart = all(electrician.page(before(ref)), "HOLDS");
    noPart.put("wrong", "something hangs");
    assertThat(walked(ref, noPart)).contains("Say above which part this is about");
    assertThat(
            sql.queryForObject(
                "select count(*) from before_tow t join job j on j.id = t.job_id where j.ref = ?",
                Long.class,
                ref))
        .isEqualTo(1);
  }

  @Test
  void aListThatWaitedStandsOnceOnTheDayOfItsWalk() throws Exception {
    String ref = electrician.newJob("Before tow, away", "NONE", "1");
    Map<String, String> fields = all(electrician.page(before(ref)), "HOLDS");
    fields.put("requestKey", UUID.randomUUID().toString());
    fields.put("ago", String.valueOf(3 * DAY_MS));
    for (int i = 0; i < 2; i++) {
      assertThat(electrician.post(before(ref), fields).getContentAsString())
          .isEqualTo("{\"taken\":true,\"why\":\"\"}");
    }
    assertThat(
            sql.queryForObject(
                "select count(*) from before_tow t join job j on j.id = t.job_id where j.ref = ?"
                    + " and timestampdiff(hour, t.looked_at, t.made_at) = 72",
                Long.class,
                ref))
        .isEqualTo(1);
    assertThat(
            electrician
                .post(before(ref), new HashMap<>(Map.of("requestKey", "x", "ago", "5")))
                .getContentAsString())
        .contains("\"taken\":false", "Nothing is said yet");
    Walker viewer = new Walker(mvc, "viewer");
    assertThat(viewer.page(before(ref)))
        .contains("all ", "<fieldset disabled")
        .doesNotContain("Keep the list");
    assertThat(viewer.post(before(ref), fields).getStatus()).isEqualTo(403);
  }

  @Test
  void aKeptListIsNeitherChangedNorDeleted() throws Exception {
    String ref = electrician.newJob("Before tow, kept", "NONE", "1");
    walked(ref, all(electrician.page(before(ref)), "HOLDS"));
    for (String change :
        java.util.List.of(
            "update before_tow set wrong = ''",
            "delete from before_tow",
            "update before_tow_part set verdict = 'HOLDS'",
            "delete from before_tow_part")) {
      assertThatThrownBy(() -> sql.execute(change))
          .as(change)
          .hasMessageContaining("A list stands");
    }
  }

  /** A part that only a later version knows: the list is counted, and no page fails. */
  @Test
  void aListOfAnotherVersionIsSaidToBeThere() throws Exception {
    String ref = electrician.newJob("Before tow, later version", "NONE", "1");
    walked(ref, all(electrician.page(before(ref)), "HOLDS"));
    sql.update(
        "insert into before_tow_part (list_id, part, verdict)"
            + " select t.id, 'WINGS', 'FAILS' from before_tow t join job j on j.id = t.job_id"
            + " where j.ref = ?",
        ref);
    assertThat(electrician.page(before(ref))).contains("1 of another version");
    assertThat(electrician.page("/jobs/" + ref + "/handover")).doesNotContain("Before the journey");
  }
}
