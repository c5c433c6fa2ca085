package org.jexel.app.harness;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.jexel.app.AppTest;
import org.jexel.app.Walker;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** The harness station as its forms work it. */
@AppTest
class HarnessStationTest {
  @Autowired private MockMvc mvc;
  @Autowired private ReelRepository reels;
  private Walker electrician;

  @BeforeEach
  void someone() {
    electrician = new Walker(mvc, "electrician");
  }

  private String card(String ref, String card) throws Exception {
    return electrician.page("/jobs/" + ref + "/harness?card=" + card);
  }

  private String job(String trailer) throws Exception {
    String ref = electrician.newJob(trailer, "ELECTRIC", "1");
    electrician.post(
        "/jobs/" + ref + "/rig/lamps",
        Map.of("marker-front-left.state", "WANTED", "marker-front-right.state", "WANTED"));
    return ref;
  }

  @Test
  void aPartIsMovedAlongTheFrameAndTheMoveIsTakenBack() throws Exception {
    String ref = job("Moving parts");
    String before = card(ref, "plan");
    electrician.post(
        "/jobs/" + ref + "/harness/move", Map.of("part", "box", "x", "0.7", "y", "0.1"));
    String moved = card(ref, "plan");
    assertThat(moved).contains("id=\"part-box\"").contains("data-x=\"0.700\" data-y=\"0.100\"");
    assertThat(lengths(moved)).isNotEqualTo(lengths(before));
    electrician.post("/jobs/" + ref + "/harness/undo", Map.of());
    assertThat(lengths(card(ref, "plan"))).isEqualTo(lengths(before));
  }

  private static List<String> lengths(String page) {
    return Pattern.compile("class=\"num\">([0-9.]+ m)<")
        .matcher(page)
        .results()
        .map(r -> r.group(1))
        .toList();
  }

  @Test
  void aLampStopsAtTheEdgeOfTheFrameAndUnknownPartsAreLeftAlone() throws Exception {
    String ref = job("At the edge");
    electrician.post(
        "/jobs/" + ref + "/harness/move", Map.of("part", "rear-left", "x", "99", "y", "9"));
    assertThat(card(ref, "plan")).contains("data-x=\"4.200\" data-y=\"1.000\"");
    electrician.post("/jobs/" + ref + "/harness/move", Map.of("part", "anvil", "x", "1", "y", "0"));
    electrician.post("/jobs/" + ref + "/harness/move", Map.of("part", "box", "x", "NaN", "y", "0"));
    assertThat(card(ref, "plan")).contains("data-x=\"1.080\"");
  }

  @Test
  void stepsAreTickedWithWhoAndTheNextStripFollows() throws Exception {
    String ref = job("Steps");
    assertThat(card(ref, "steps")).contains("plug out, old conductors tagged");
    tick(ref, "prepare.tag", true);
    assertThat(card(ref, "steps"))
        .contains("aria-label=\"Not done after all: Wheels chocked")
        .contains("Tamo Berin, ");
    tick(ref, "prepare.tag", false);
    tick(ref, "no.such.step", true);
    assertThat(card(ref, "steps")).contains("aria-label=\"Done: Wheels chocked");
  }

  /** One after the other, or all at once; the step is done with the last of them. */
  @Test
  void whatIsDoneOnSeveralLampsIsTickedLampByLamp() throws Exception {
    String ref = job("Several");
    List<String> items =
        Pattern.compile("name=\"step\" value=\"(mount\\.marker[^\"]+)\"")
            .matcher(card(ref, "steps"))
            .results()
            .map(found -> found.group(1))
            .toList();
    assertThat(items).hasSize(2);
    for (String item : items) {
      assertThat(card(ref, "steps")).contains("Done: Mount 2 side markers");
      tick(ref, item, true);
    }
    assertThat(card(ref, "steps")).contains("Not done after all: Mount 2 side markers");
    tick(ref, items.get(0), false);
    assertThat(card(ref, "steps")).contains("Done: Mount 2 side markers");
    tick(ref, "mount.all.marker-front-left", true);
    assertThat(card(ref, "steps")).contains("Not done after all: Mount 2 side markers");
  }

  private void tick(String ref, String step, boolean done) throws Exception {
    electrician.post(
        "/jobs/" + ref + "/harness/steps", Map.of("step", step, "done", String.valueOf(done)));
  }

  @Test
  void aColourThatIsReallyThereIsKeptAndFlagsItsClash() throws Exception {
    String ref = job("Colours");
    assertThat(card(ref, "colours")).contains("Nowhere, by these colours.");
    electrician.post("/jobs/" + ref + "/harness/colours", Map.of("TRAILER.LEFT", "BROWN"));
    assertThat(card(ref, "colours"))
        .contains("At the box brown is right towards the vehicle and left towards the trailer.")
        .contains("value=\"BROWN\" selected");
    electrician.post("/jobs/" + ref + "/harness/colours", Map.of("TRAILER.LEFT", ""));
    assertThat(card(ref, "colours")).contains("Nowhere, by these colours.");
  }

  @Test
  void aListIsIssuedOnceAndComesBack() throws Exception {
    String ref = job("Issue");
    double shelf = shelf();
    String key = UUID.randomUUID().toString();
    issue(ref, false, key);
    double issued = shelf - shelf();
    assertThat(issued).isPositive();
    issue(ref, false, key);
    issue(ref, false, UUID.randomUUID().toString());
    assertThat(shelf - shelf()).isCloseTo(issued, within(1e-9));
    assertThat(card(ref, "lists")).contains("Put back on the shelf");
    issue(ref, true, UUID.randomUUID().toString());
    assertThat(shelf()).isCloseTo(shelf, within(1e-9));
    assertThat(reels.findAll()).allSatisfy(r -> assertThat(r.metres()).isNotNegative());
  }

  private void issue(String ref, boolean back, String key) throws Exception {
    electrician.post(
        "/jobs/" + ref + "/harness/issue", Map.of("back", String.valueOf(back), "requestKey", key));
  }

  private double shelf() {
    return reels.findAll().stream().mapToDouble(Reel::metres).sum();
  }

  @Test
  void theListsAreFilesToo() throws Exception {
    String csv = electrician.answer("/jobs/J1001/harness/cut-list.csv").getContentAsString();
    assertThat(csv).startsWith("circuit,from,to,size,colour,length_m\r\n").contains("brake,");
    assertThat(electrician.answer("/jobs/J1001/harness/materials.csv").getContentAsString())
        .contains("7-way blade socket with gasket");
  }

  @Test
  void theSheetIsAPageAPdfAndADrawing() throws Exception {
    assertThat(electrician.page("/jobs/J1001/harness/sheet")).contains("Plug, wiring side");
    try (PDDocument pdf =
        Loader.loadPDF(electrician.answer("/jobs/J1001/harness.pdf").getContentAsByteArray())) {
      assertThat(new PDFTextStripper().getText(pdf).replaceAll("\\s+", " "))
          .contains("Harness sheet", "Colours, end to end", "Junction box", "Cut list", "breaker");
      assertThat(pdf.getNumberOfPages()).isBetween(2, 6);
    }
    assertThat(electrician.answer("/jobs/J1001/harness.svg").getContentAsString())
        .startsWith("<svg xmlns=");
  }

  @Test
  void anOwnConnectorIsShownAndABadListRefusedWithItsLine() throws Exception {
    pins("1 earth 30 5\n2 tail 15 11\n3 tail 15 1");
    assertThat(card("J1001", "faces"))
        .contains("Line 3: tail stands on line 2 already.")
        .contains("3 tail 15 1");
    pins("1 earth 30 5\n2 tail 15 11");
    assertThat(card("J1001", "faces")).contains("Own connector, Plug, mating face");
    byte[] million = "1 earth\n".repeat(1_000_000).getBytes();
    mvc.perform(
        MockMvcRequestBuilders.multipart("/jobs/J1001/harness/connector")
            .file(new MockMultipartFile("file", "pins.txt", "text/plain", million))
            .with(SecurityMockMvcRequestPostProcessors.user("electrician").roles("ELECTRICIAN"))
            .with(SecurityMockMvcRequestPostProcessors.csrf()));
    assertThat(card("J1001", "faces")).contains("at most 8000 letters");
    pins("");
  }

  private void pins(String text) throws Exception {
    electrician.post("/jobs/J1001/harness/connector", Map.of("pins", text));
  }

  @Test
  void aSchoolIsChosenAndThePlanFollows() throws Exception {
    String ref = job("Schools");
    assertThat(card(ref, "circuits")).contains("return");
    Matcher seen =
        Pattern.compile("name=\"LAMP_RETURN.0.seen\" value=\"(\\d+)\"")
            .matcher(card(ref, "choices"));
    assertThat(seen.find()).isTrue();
    assertThat(
            electrician
                .post(
                    "/jobs/" + ref + "/figures/choices",
                    Map.of("LAMP_RETURN.0", "FRAME", "LAMP_RETURN.0.was", "OWN_CONDUCTOR"))
                .getRedirectedUrl())
        .isEqualTo("/jobs/" + ref + "/harness?card=choices");
    assertThat(card(ref, "circuits"))
        .doesNotContain(">return<")
        .contains("Brakes never return through the frame alone");
    assertThat(card(ref, "choices")).contains("chosen, Tamo Berin");
  }

  /** A page that swaps itself has its answer at once; a plain form is sent on to it. */
  @Test
  void aMoveIsAnsweredInOneRequestWhereThePageSwapsItself() throws Exception {
    String ref = electrician.newJob("One request", "NONE", "1");
    Map<String, String> move = Map.of("part", "box", "x", "0.8", "y", "0.1");
    assertThat(electrician.post("/jobs/" + ref + "/harness/move", move).getRedirectedUrl())
        .endsWith("/harness?card=plan");
    String page =
        electrician.swap(
            "/jobs/" + ref + "/harness/move", Map.of("part", "box", "x", "0.9", "y", "0.1"));
    assertThat(page).contains("data-x=\"0.900\" data-y=\"0.100\"", "id=\"page\"");
    assertThat(electrician.swap("/jobs/" + ref + "/harness/undo", Map.of()))
        .contains("data-x=\"0.800\" data-y=\"0.100\"");
    assertThat(card(ref, "plan")).contains("data-x=\"0.800\" data-y=\"0.100\"");
  }
}
