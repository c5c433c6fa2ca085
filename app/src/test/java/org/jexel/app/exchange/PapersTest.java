package org.jexel.app.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import javax.xml.parsers.DocumentBuilderFactory;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.jexel.app.AppTest;
import org.jexel.app.Http;
import org.jexel.app.Mending;
import org.jexel.app.Walker;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;

/** A paper is made of whatever somebody typed, or typed long ago. */
@AppTest
class PapersTest {
  private static final String ODD =
      "Tr\u0000ai\u0001ler\u001f \uFFFE\uD83D \u202Eolleh\u202C a"
          + "\u0301".repeat(10_000)
          + " <&>\"' ]]>";

  @Autowired private MockMvc mvc;
  @Autowired private JdbcTemplate sql;
  @LocalServerPort private int port;

  private void papersOpen(Walker walker, String ref) throws Exception {
    assertThat(walker.broken(ref)).isEmpty();
    for (String paper : List.of("report.pdf", "harness.pdf", "bench.pdf")) {
      MockHttpServletResponse answer = walker.answer("/jobs/" + ref + "/" + paper);
      try (PDDocument pdf = Loader.loadPDF(answer.getContentAsByteArray())) {
        assertThat(pdf.getNumberOfPages()).as(paper).isPositive();
      }
    }
    byte[] svg = walker.answer("/jobs/" + ref + "/harness.svg").getContentAsByteArray();
    assertThat(
            DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(new ByteArrayInputStream(svg))
                .getDocumentElement()
                .getNodeName())
        .isEqualTo("svg");
  }

  @Test
  void oddTextIsCleanedWhereItEntersAndThePageSaysSo() throws Exception {
    Walker electrician = new Walker(mvc, "electrician");
    String ref = electrician.newJob("Odd", "ELECTRIC", "1");
    Http hand = new Http(port);
    hand.signIn("electrician", "electrician-valley");
    String form = hand.get("/jobs/" + ref + "/rig?card=load").body();
    String page =
        hand.post(
                "/jobs/" + ref + "/rig/load",
                Map.of(
                    "name", "Cr\u0007ate \u202Ex",
                    "mass", "20",
                    "place", "2.6",
                    "requestKey", UUID.randomUUID().toString(),
                    "_csrf", Walker.hidden(form, "_csrf")))
            .body();
    assertThat(page)
        .contains("Taken out of what you typed: control characters")
        .contains("marks that turn the direction")
        .contains("Crate x");
    String named = electrician.newJob("Pl\u0001ough", "NONE", "1");
    assertThat(electrician.page("/jobs/" + named + "/rig")).contains("Plough: annual check");
    papersOpen(electrician, named);
  }

  /** From before anything was cleaned, or from another program. */
  @Test
  void rowsWithOddTextMakePapersToo() throws Exception {
    Walker electrician = new Walker(mvc, "electrician");
    String ref = electrician.newJob("Before", "ELECTRIC", "1");
    electrician.post(
        "/jobs/" + ref + "/rig/load",
        Map.of("name", "Bricks", "mass", "20", "place", "2.6", "requestKey", "odd-" + ref));
    electrician.read(ref, "supply.battery", "12.6");
    String brief = ODD.replaceAll("(\u0301)+", "\u0301\u0301").replace("\uD83D", "");
    sql.update("update job set title = ?, customer = ? where ref = ?", brief, brief, ref);
    sql.update(
        "update rig_part set label = ? where id = (select trailer_id from job where ref = ?)",
        brief,
        ref);
    Mending.update(
        sql,
        "update reading set title = ? where job_id = (select id from job where ref = ?)",
        brief,
        ref);
    sql.update(
        "update load_item set name = ? where job_id = (select id from job where ref = ?)",
        brief,
        ref);
    papersOpen(electrician, ref);
  }
}
