package org.jexel.app.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.Map;
import org.jexel.app.AppTest;
import org.jexel.app.Walker;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/** Figures of several circuits that are read in one go and recorded together. */
@AppTest
class FromPinToPinTest {
  private static final String LOADED = "/bench?card=finder&start=loaded";

  @Autowired private MockMvc mvc;
  private Walker electrician;
  private String job;

  @BeforeEach
  void someone() throws Exception {
    electrician = new Walker(mvc, "electrician");
    job = "/jobs/" + electrician.newJob("Pin to pin", "ELECTRIC", "1");
  }

  private String post(String to, String... typed) throws Exception {
    Map<String, String> fields = new HashMap<>(Map.of("back", "finder", "round", "loaded"));
    for (int i = 0; i < typed.length; i += 2) {
      String check = typed[i].contains(".") ? typed[i] : "loaded." + typed[i];
      fields.put("word." + check, typed[i + 1]);
    }
    fields.put("requestKey", String.join(" ", typed) + job);
    return String.valueOf(electrician.post(job + to, fields).getRedirectedUrl());
  }

  private String stands(String check) throws Exception {
    return electrician.page(job + "/bench?card=loaded." + check);
  }

  @Test
  void eachCircuitHasItsStateItsBandAndItsField() throws Exception {
    String page = electrician.page(job + LOADED);
    assertThat(page)
        .contains("Connector, plug in: each circuit in turn", "each in turn, as below")
        .contains("Tail lamps on.", "Left indicator on (judge the peak).", "Record these")
        .doesNotContain("on a sound rig", "Record the round", "as a sound rig shows");
    assertThat(page.split(" data-figure ", -1)).hasSize(5);
    assertThat(page.split("class=\"read turn\"", -1)).as("one is its turn").hasSize(2);
  }

  /** What is nonsense stays typed beside its reason; the others stand. */
  @Test
  void oneThatCannotBeReadKeepsTheOthersFromNothing() throws Exception {
    assertThat(post("/bench/round", "tail", "12,51", "left", "12 ohm", "right", ""))
        .endsWith("card=finder&start=loaded");
    assertThat(stands("tail")).contains("12.51 V", "stands");
    assertThat(stands("left")).contains("value=\"12 ohm\"").doesNotContain(">stands<");
    assertThat(stands("right")).doesNotContain(">stands<");
    String page = electrician.page(job + LOADED);
    assertThat(page).contains("value=\"12 ohm\"", "aria-invalid=\"true\"");
    assertThat(page.split(" data-figure ", -1)).as("those that are left").hasSize(4);
    assertThat(post("/bench/round", "left", "12.55", "right", "12.56")).endsWith("card=finder");
    assertThat(stands("left")).contains("12.55 V", "stands");
  }

  @Test
  void whereNothingIsTypedThatIsSaid() throws Exception {
    String back = post("/bench/round", "tail", "", "left", " ");
    assertThat(back).endsWith("card=finder&start=loaded&nothing=yes");
    assertThat(electrician.page(back)).contains("Nothing is typed or chosen yet.");
  }

  /** A figure in its field is the next one's turn, for the helper in the cab too. */
  @Test
  void whatIsTypedIsKeptAndTheTurnGoesOn() throws Exception {
    assertThat(post("/bench/round/draft", "tail", "9", "clamp.tail", "", "left", ""))
        .endsWith("card=finder&start=loaded");
    String page = electrician.page(job + LOADED);
    assertThat(page).contains("value=\"9\"", "fails", "as typed");
    assertThat(page).containsPattern("class=\"read turn\"[^>]*id=\"card-clamp-tail\"");
    post("/bench/round/draft", "tail", "9", "clamp.tail", "3.3", "left", "");
    assertThat(electrician.page(job + LOADED))
        .containsPattern("class=\"read turn\"[^>]*id=\"card-loaded-left\"");
    electrician.post(job + "/helper", Map.of());
    String card = electrician.page(job + "/bench?card=helper");
    String code = card.replaceAll("(?s).*id=\"helper-code\">([2-9A-Z]{7})<.*", "$1");
    electrician.page(job + LOADED);
    assertThat(electrician.page("/h/" + code)).contains("<h1>Left indicator</h1>");
    post("/bench/round/draft", "tail", "", "clamp.tail", "", "left", "");
    electrician.page(job + LOADED);
    assertThat(electrician.page("/h/" + code)).contains("<h1>Tail lamps on</h1>");
  }

  @Test
  void theMeterFillsEveryField() throws Exception {
    electrician.post(
        job + "/bench/meter?checks=loaded.tail,loaded.left,loaded.right&back=finder&round=loaded",
        Map.of());
    assertThat(electrician.page(job + LOADED).split("as typed|class=\"verdict", -1))
        .hasSizeGreaterThan(3);
    assertThat(electrician.page(job + LOADED)).doesNotContain("read turn\" id=\"card-loaded-left");
  }
}
