package org.jexel.app.handover;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureElement;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureNode;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineItem;
import org.apache.pdfbox.text.PDFTextStripper;
import org.jexel.app.AppTest;
import org.jexel.app.Mending;
import org.jexel.app.Walker;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.MockMvc;

/** What was signed stands: byte for byte, under the names that were put to it. */
@AppTest
class SignedReportTest {
  private static final String WHY = "Towed empty to the other yard, where it is mended.";

  @Autowired private MockMvc mvc;
  @Autowired private JdbcTemplate sql;
  private Walker electrician;
  private Walker owner;

  @BeforeEach
  void signIn() {
    electrician = new Walker(mvc, "electrician");
    owner = new Walker(mvc, "owner");
  }

  @AfterEach
  void oneNameAgain() throws Exception {
    owner.post("/workshop/signatures", Map.of());
  }

  private static String page(String ref) {
    return "/jobs/" + ref + "/handover";
  }

  private static Map<String, String> form(String page, String role, String reason) {
    Map<String, String> form = new HashMap<>();
    form.put("seen", Walker.hidden(page, "seen"));
    form.put("requestKey", UUID.randomUUID().toString());
    form.put("role", role);
    form.put("reason", reason);
    return form;
  }

  private String sign(Walker who, String ref, String role, String reason) throws Exception {
    who.post("/jobs/" + ref + "/report", form(who.page(page(ref)), role, reason));
    return Walker.oneLine(who.page(page(ref)));
  }

  private byte[] sheet(String ref, String edition) throws Exception {
    return electrician.answer("/jobs/" + ref + "/report/" + edition).getContentAsByteArray();
  }

  private static String text(byte[] sheet) throws IOException {
    try (PDDocument pdf = Loader.loadPDF(sheet)) {
      return Walker.oneLine(new PDFTextStripper().getText(pdf));
    }
  }

  private String edition(String ref, int number) throws Exception {
    return Walker.oneLine(electrician.page("/jobs/" + ref + "/report/" + number));
  }

  private int count(String table, String ref) {
    return sql.queryForObject(
        "select count(*) from " + table + " x join job j on j.id = x.job_id where j.ref = ?",
        Integer.class,
        ref);
  }

  @Test
  void anEditionStaysAsItWasAndTheNextOneSaysWhatDiffers() throws Exception {
    String ref = electrician.brakesRead("Signed", "1");
    assertThat(sign(electrician, ref, "Electrician", ""))
        .contains("Signed as edition 1; nothing was recorded since.", "Tamo Berin", "Electrician");
    byte[] first = sheet(ref, "1.pdf");
    String hash =
        sql.queryForObject(
            "select e.sha256 from report_edition e join job j on j.id = e.job_id where j.ref = ?",
            String.class,
            ref);
    assertThat(text(first))
        .contains("Report, edition 1", "Tamo Berin, Electrician", hash, "Battery, engine off");
    assertThat(edition(ref, 1))
        .contains("What is kept still has this hash.", "the job stands as it was signed");

    electrician.read(ref, "supply.battery", "12.9");
    assertThat(Walker.oneLine(electrician.page(page(ref))))
        .contains("Not as edition 1 was signed.")
        .doesNotContain("nothing was recorded since");
    assertThat(edition(ref, 1)).contains("As it stands", "12.90 V");
    assertThat(sheet(ref, "1.pdf")).isEqualTo(first);

    sign(electrician, ref, "Electrician", "");
    assertThat(text(sheet(ref, "2.pdf")))
        .contains("Report, edition 2", "What differs from edition 1", "12.90 V");
    assertThat(edition(ref, 2)).contains("What differs from edition 1", "In this edition");
    assertThat(sheet(ref, "1.pdf")).isEqualTo(first);
    assertThat(electrician.answer("/jobs/" + ref + "/report/3").getStatus()).isEqualTo(404);
  }

  /** Bench fails: mended first, or the owner's own words stand above everything. */
  @Test
  void whatFailsLeavesOnlyWithTheOwnersReasonInTheFirstLine() throws Exception {
    String ref = electrician.brakesRead("Leaves", "1");
    electrician.read(ref, "brake.resistance", "9.9 ohm");
    assertThat(Walker.oneLine(electrician.page(page(ref))))
        .contains("It fails at Bench", "only the owner signs it so");
    assertThat(sign(electrician, ref, "Electrician", WHY)).contains("What fails is mended first");
    assertThat(sign(owner, ref, "Head of the yard", "too bad"))
        .contains("Write why it leaves anyhow", "value=\"too bad\"", "value=\"Head of the yard\"");
    assertThat(count("report_edition", ref)).isZero();
    sign(owner, ref, "Head of the yard", WHY);
    String sheet = text(sheet(ref, "1.pdf"));
    assertThat(sheet).contains("It leaves although something fails: " + WHY);
    assertThat(sheet.indexOf(WHY)).isLessThan(sheet.indexOf("Signed by"));
    assertThat(edition(ref, 1)).contains(WHY);
  }

  @Test
  void whatChangedWhileSomebodyReadIsNotSigned() throws Exception {
    String ref = electrician.brakesRead("Read", "1");
    Map<String, String> form = form(electrician.page(page(ref)), "Electrician", "");
    owner.read(ref, "supply.battery", "12.9");
    electrician.post("/jobs/" + ref + "/report", form);
    assertThat(Walker.oneLine(electrician.page(page(ref))))
        .contains("The job changed while you read");
    assertThat(count("report_edition", ref)).isZero();
    Map<String, String> again = form(electrician.page(page(ref)), "Electrician", "");
    electrician.post("/jobs/" + ref + "/report", again);
    electrician.post("/jobs/" + ref + "/report", again);
    assertThat(count("report_edition", ref)).as("a repeated post signs once").isOne();
    electrician.read(ref, "supply.battery", "12.8");
    electrician.post("/jobs/" + ref + "/report", again);
    assertThat(count("report_edition", ref)).isOne();
    Walker viewer = new Walker(mvc, "viewer");
    assertThat(viewer.page(page(ref))).doesNotContain("Sign as");
    assertThat(viewer.post("/jobs/" + ref + "/report", again).getStatus()).isEqualTo(403);
  }

  @Test
  void whereTwoNamesAreWantedTheSecondIsSomebodyElses() throws Exception {
    assertThat(
            electrician.post("/workshop/signatures", Map.of("countersigned", "true")).getStatus())
        .isEqualTo(403);
    owner.post("/workshop/signatures", Map.of("countersigned", "true"));
    String ref = electrician.brakesRead("Two", "1");
    assertThat(sign(electrician, ref, "Electrician", ""))
        .contains("Edition 1 waits for its second name.")
        .doesNotContain("nothing was recorded since");
    byte[] first = sheet(ref, "1.pdf");
    Map<String, String> second = new HashMap<>();
    second.put("role", "Owner");
    second.put("requestKey", UUID.randomUUID().toString());
    electrician.post("/jobs/" + ref + "/report/1", second);
    assertThat(edition(ref, 1)).contains("waits for a second name").doesNotContain("Sign as");
    assertThat(owner.page("/jobs/" + ref + "/report/1")).contains("Sign as Runa Feldt");
    owner.post("/jobs/" + ref + "/report/1", second);
    assertThat(Walker.oneLine(electrician.page(page(ref))))
        .contains("Signed as edition 1; nothing was recorded since.");
    assertThat(text(sheet(ref, "1.pdf"))).contains("Tamo Berin, Electrician", "Runa Feldt, Owner");
    assertThat(sheet(ref, "1.pdf?first=true")).isEqualTo(first);
    assertThat(text(first)).doesNotContain("Runa Feldt");
  }

  @Test
  void whatIsKeptIsNotChangedAndWhereItWasThePageSaysSo() throws Exception {
    String ref = electrician.brakesRead("Kept", "1");
    sign(electrician, ref, "Electrician", "");
    String change =
        "update report_edition e join job j on j.id = e.job_id"
            + " set e.content = replace(e.content, 'Battery', 'Buttery') where j.ref = ?";
    assertThatThrownBy(() -> sql.update(change, ref))
        .isInstanceOf(DataAccessException.class)
        .hasMessageContaining("next edition");
    assertThat(Mending.update(sql, change, ref)).isOne();
    assertThat(edition(ref, 1))
        .contains("What is kept is not what was signed")
        .doesNotContain("Buttery", "cannot read");
    byte[] sheet = sheet(ref, "1.pdf");
    Mending.update(
        sql,
        "update report_edition e join job j on j.id = e.job_id"
            + " set e.content = '{}', e.sha256 = sha2('{}', 256) where j.ref = ?",
        ref);
    assertThat(edition(ref, 1)).contains("cannot read this edition any more");
    assertThat(electrician.broken(ref)).isEmpty();
    assertThat(sheet(ref, "1.pdf")).isEqualTo(sheet);
  }

  /** For eyes that read by ear, and for whoever looks for one part of many. */
  @Test
  void theSheetIsTaggedHasBookmarksAndNumbersItsPages() throws Exception {
    byte[] sheet = electrician.answer("/jobs/J1006/report.pdf").getContentAsByteArray();
    assertThat(sheet.length).isLessThan(1_000_000);
    try (PDDocument pdf = Loader.loadPDF(sheet)) {
      assertThat(pdf.getDocumentCatalog().getMarkInfo().isMarked()).isTrue();
      assertThat(pdf.getDocumentCatalog().getStructureTreeRoot()).isNotNull();
      assertThat(pdf.getDocumentCatalog().getLanguage()).startsWith("en");
      assertThat(called(pdf.getDocumentCatalog().getStructureTreeRoot()))
          .as("a name for the drawing")
          .contains("Black off-roader and Mobile sauna in plan, nose to the left");
      int parts = 0;
      for (PDOutlineItem item : pdf.getDocumentCatalog().getDocumentOutline().children()) {
        assertThat(item.findDestinationPage(pdf)).as(item.getTitle()).isNotNull();
        parts++;
      }
      assertThat(parts).isGreaterThan(10);
      for (int page = 1; page <= pdf.getNumberOfPages(); page++) {
        PDFTextStripper one = new PDFTextStripper();
        one.setStartPage(page);
        one.setEndPage(page);
        String text = Walker.oneLine(one.getText(pdf));
        assertThat(text).contains(page + " of " + pdf.getNumberOfPages());
        if (page == 2) {
          assertThat(text).as("the head of a long table").contains("Check Read Expected By When");
        }
      }
    }
  }

  /** What pictures are called, wherever in the tree of a document they stand. */
  private static List<String> called(PDStructureNode node) {
    List<String> names = new ArrayList<>();
    for (Object kid : node.getKids()) {
      if (kid instanceof PDStructureElement element) {
        Optional.ofNullable(element.getAlternateDescription()).ifPresent(names::add);
        names.addAll(called(element));
      }
    }
    return names;
  }

  @Test
  void theWiringIsFrozenWithItAndEditionsFromBeforeItWasDrawnStillOpen() {
    String content =
        sql.queryForObject(
            "select e.content from report_edition e join job j on j.id = e.job_id"
                + " where j.ref = 'J1006' and e.number = 1",
            String.class);
    Frozen now = Frozen.of(content).orElseThrow();
    assertThat(now.wiring()).startsWith("<svg").contains("GN tail");
    String old = content.substring(0, content.indexOf(",\"wiring\":")) + "}";
    assertThat(Frozen.of(old)).map(Frozen::report).contains(now.report());
    assertThat(Frozen.of(old)).map(Frozen::wiring).isEmpty();
  }
}
