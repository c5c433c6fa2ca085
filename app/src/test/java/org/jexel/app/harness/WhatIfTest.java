package org.jexel.app.harness;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jexel.app.AppTest;
import org.jexel.app.Walker;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/** Lamps in any state with any fault, and the strip that follows the steps. */
@AppTest
class WhatIfTest {
  @Autowired private MockMvc mvc;
  private Walker electrician;

  @BeforeEach
  void someone() {
    electrician = new Walker(mvc, "electrician");
  }

  private String whatIf(String ref, String query) throws Exception {
    return electrician.page("/jobs/" + ref + "/harness?card=whatif&" + query);
  }

  private static String number(String page, String fault) {
    Matcher option =
        Pattern.compile("<option value=\"(\\d+)\"[^>]*>" + Pattern.quote(fault)).matcher(page);
    assertThat(option.find()).as(fault).isTrue();
    return option.group(1);
  }

  @Test
  void aLostReturnTellsWhichOtherLampsGlow() throws Exception {
    String lost = number(whatIf("J1005", "state=left"), "Return lost: Rear lamp, left");
    assertThat(whatIf("J1005", "state=left&fault=" + lost))
        .contains("What would be seen")
        .contains("should be bright")
        .contains("backwards");
  }

  @Test
  void aWholeRigHasNothingToTellAndUnknownWordsAreLeftOut() throws Exception {
    assertThat(whatIf("J1005", "state=tail&state=moonlight"))
        .doesNotContain("What would be seen")
        .contains("value=\"tail\" id=\"state-tail\" checked")
        .contains("/jobs/J1005/harness/network.cir?state=tail");
    assertThat(whatIf("J1005", "state=tail&fault=99999")).doesNotContain("What would be seen");
  }

  /** What the card links to opens for whoever sees the card, with the fault that is on it. */
  @Test
  void theNetworkOfTheCardOpensInTheBrowserThatShowsIt() throws Exception {
    String burnt = number(whatIf("J1003", ""), "Burnt out: Plate lamp, left, tail");
    String page = whatIf("J1003", "state=tail&fault=" + burnt);
    Matcher link = Pattern.compile("href=\"([^\"]*network[^\"]*)\"").matcher(page);
    int links = 0;
    while (link.find()) {
      assertThat(electrician.page(link.group(1).replace("&amp;", "&")))
          .contains("lamp_tail_rear_left")
          .doesNotContain("b_lamp_tail_plate", "\"lamp_tail_plate\"");
      links++;
    }
    assertThat(links).isEqualTo(2);
  }

  @Test
  void aFaultThatDoesNotShowInThisStateSaysSo() throws Exception {
    String burnt = number(whatIf("J1003", ""), "Burnt out: Plate lamp, left, tail");
    assertThat(whatIf("J1003", "state=left&fault=" + burnt))
        .contains("this fault does not show in this state");
  }

  @Test
  void theNextStripLeadsThroughTheStepsOfANewBuild() throws Exception {
    String ref =
        electrician
            .post(
                "/jobs",
                Map.ofEntries(
                    Map.entry("requestKey", java.util.UUID.randomUUID().toString()),
                    Map.entry("trailer", "Cheese cart"),
                    Map.entry("tow", "Grey van"),
                    Map.entry("customer", "Upper Dairy"),
                    Map.entry("wish", "NEW_BUILD"),
                    Map.entry("kind", "STALL"),
                    Map.entry("axles", "1"),
                    Map.entry("brakes", "NONE"),
                    Map.entry("towConnector", "flat-4"),
                    Map.entry("trailerConnector", "flat-4"),
                    Map.entry("controller", "NONE")))
            .getRedirectedUrl()
            .split("/")[2];
    figures(ref, "vehicle", "KERB_MASS", "1800", "TOW_RATING", "1500");
    figures(ref, "trailer", "EMPTY_MASS", "400", "TRAILER_PERMITTED_MASS", "750");
    figures(ref, "axles", "AXLE_RATING", "750");
    figures(ref, "supply", "FEED_RUN", "6");
    figures(ref, "trailer", "OVERALL_LENGTH", "3.6", "DRAWBAR_LENGTH", "1.2");
    assertThat(electrician.page("/jobs/" + ref + "/harness"))
        .contains("<b>Wheels chocked, plug out, old conductors tagged</b></a>");
    for (String step : new String[] {"prepare.tag", "prepare.off"}) {
      electrician.post("/jobs/" + ref + "/harness/steps", Map.of("step", step, "done", "true"));
    }
    assertThat(electrician.page("/jobs/" + ref + "/harness")).contains("<b>Holes of the box");
    assertThat(electrician.page("/?q=" + ref)).contains("Holes of the box");
  }

  private void figures(String ref, String card, String... pairs) throws Exception {
    Map<String, String> typed = new java.util.HashMap<>();
    for (int i = 0; i < pairs.length; i += 2) {
      typed.put(pairs[i] + ".0", pairs[i + 1]);
      typed.put(pairs[i] + ".0.was", "");
    }
    electrician.post("/jobs/" + ref + "/figures/" + card, typed);
  }

  @Test
  void aViewerSeesThePlanAndCanMoveNothing() throws Exception {
    Walker viewer = new Walker(mvc, "viewer");
    assertThat(viewer.page("/jobs/J1003/harness?card=plan"))
        .doesNotContain("id=\"move-form\"")
        .doesNotContain("class=\"movable\"");
    assertThat(viewer.page("/jobs/J1001/harness?card=lists")).doesNotContain("Issue to this job");
  }

  @Test
  void theNetworkIsDescribedForPrograms() throws Exception {
    assertThat(electrician.answer("/api/openapi").getContentAsString())
        .contains("/api/jobs/{ref}/network.cir")
        .contains("tail left right stop reverse hazard pedal lever running breakaway unplugged");
  }
}
