package org.jexel.app.road;

import static org.assertj.core.api.Assertions.assertThat;

import org.jexel.app.AppTest;
import org.jexel.app.Walker;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/** A stop that is tried in the computer. */
@AppTest
class TrialTest {
  @Autowired private MockMvc mvc;
  private Walker electrician;

  @BeforeEach
  void signIn() {
    electrician = new Walker(mvc, "electrician");
  }

  private String page(String query) throws Exception {
    return electrician.page("/jobs/J1003/road?card=trial" + query);
  }

  @Test
  void bothWaysToStopStandSideBySideAndTheTowlineHasTheForces() throws Exception {
    String page = page("&gain=6&at=1");
    assertThat(page).contains("This stop, side by side", "No wheel slides", "after 1.0 s");
    assertThat(page).contains("pushes nor tugs at gain");
    String slid = page("&gain=10&surface=PACKED_SNOW");
    assertThat(slid).contains("Wheels that slide", "axle 2 right, after");
  }

  @Test
  void theMomentUnderTheCursorIsToldAndDrawn() throws Exception {
    assertThat(page("&at=0")).contains("after 0.0 s: 80 km/h").contains("Trailer brakes 0.00 kN");
    assertThat(page("&at=2")).contains("after 2.0 s").doesNotContain("Trailer brakes 0.00 kN");
  }

  @Test
  void whatCannotBeIsSaidBesideItsFieldAndStays() throws Exception {
    assertThat(page("&gain=5.3")).contains("No such mark", "value=\"5.3\"");
    assertThat(page("&speed=900")).contains("Not plausible. Expected 10 to 130 km/h");
    assertThat(page("&slope=steep")).contains("value=\"steep\"").doesNotContain("side by side");
    assertThat(page("&law=MAGIC")).contains("Choose one.");
    assertThat(page("&gain=0")).contains("side by side");
  }

  @Test
  void aTrailerWithoutBrakesHasNothingToTry() throws Exception {
    assertThat(electrician.page("/jobs/J1005/road?card=trial")).doesNotContain("side by side");
  }
}
