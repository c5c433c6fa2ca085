package org.jexel.app.photograph;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.jexel.app.AppTest;
import org.jexel.app.Walker;
import org.jexel.app.exchange.Darkroom;
import org.jexel.app.exchange.Sha256;
import org.jexel.app.exchange.Shot;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.security.Person;
import org.jexel.app.security.PersonRepository;
import org.jexel.core.job.Photo;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;

/** Photographs of a job: taken in, shown, told in the report, corrected. */
@AppTest
class PhotographTest {
  private static final Pattern PICTURE = Pattern.compile("/pictures/([0-9a-f]{64})-small\\.jpg");

  @Autowired private MockMvc mvc;
  @Autowired private JdbcTemplate sql;
  @Autowired private PersonRepository people;
  @Autowired private JobFiles files;
  @Autowired private PhotographRepository photographs;
  @Autowired private PictureRepository pictures;
  private Walker electrician;
  private String ref;

  @BeforeEach
  void aJob() throws Exception {
    electrician = new Walker(mvc, "electrician");
    ref = electrician.newJob("Seen " + UUID.randomUUID(), "ELECTRIC", "1");
  }

  private String path(String more) {
    return "/jobs/" + ref + more;
  }

  private MockHttpServletResponse send(
      String person, String about, String subject, byte[] picture, String... pairs)
      throws Exception {
    var request =
        multipart(path("/photographs")).file(new MockMultipartFile("photo", "x.jpg", "", picture));
    for (int i = 0; i < pairs.length; i += 2) {
      request.param(pairs[i], pairs[i + 1]);
    }
    return mvc.perform(
            request
                .param("about", about)
                .param("subject", subject)
                .with(user(person).roles(person.toUpperCase()))
                .with(csrf()))
        .andReturn()
        .getResponse();
  }

  /** As the script of a page does. */
  private String sent(String about, String subject, byte[] picture, String key) throws Exception {
    return send("electrician", about, subject, picture, "ago", "5000", "requestKey", key)
        .getContentAsString();
  }

  private String album(String about) throws Exception {
    return electrician.page(path("/photographs?about=" + about));
  }

  private long count(String table) {
    return sql.queryForObject(
        "select count(*) from " + table + " t join job j on j.id = t.job_id where j.ref = ?",
        Long.class,
        ref);
  }

  private static String shown(String page) {
    Matcher picture = PICTURE.matcher(page);
    assertThat(picture.find()).isTrue();
    return picture.group(1);
  }

  @Test
  void aPhotographStandsWhereItWasTakenAndInTheReport() throws Exception {
    assertThat(sent("CHECK", "supply.battery", Shot.jpeg(6, 1200, 900), "k1"))
        .isEqualTo("{\"taken\":true,\"why\":\"\"}");
    String card = electrician.page(path("/bench?card=supply.battery"));
    String picture = shown(card);
    assertThat(electrician.page(path("/bench?card=socket.tail"))).doesNotContain(picture);
    MockHttpServletResponse small = electrician.answer(path("/pictures/" + picture + "-small.jpg"));
    assertThat(small.getContentType()).isEqualTo("image/jpeg");
    assertThat(small.getHeader("Cache-Control")).contains("private", "immutable");
    assertThat(small.getHeader("X-Content-Type-Options")).isEqualTo("nosniff");
    byte[] large =
        electrician.answer(path("/pictures/" + picture + ".jpg")).getContentAsByteArray();
    assertThat(Sha256.of(large)).isEqualTo(picture);
    assertThat(electrician.page(path("/handover")))
        .contains("Photographs", picture, ". Tamo Berin, ");
    assertThat(pictures(electrician.answer(path("/report.pdf")).getContentAsByteArray()))
        .isEqualTo(1);
  }

  private static int pictures(byte[] pdf) throws Exception {
    int found = 0;
    try (PDDocument document = Loader.loadPDF(pdf)) {
      for (PDPage page : document.getPages()) {
        for (COSName name : page.getResources().getXObjectNames()) {
          found += page.getResources().isImageXObject(name) ? 1 : 0;
        }
      }
    }
    return found;
  }

  /** The line broke after the server had it; and one picture of two things is kept once. */
  @Test
  void whatIsSentTwiceIsKeptOnce() throws Exception {
    byte[] picture = Shot.jpeg(900, 600);
    sent("RIG", "", picture, "same");
    sent("RIG", "", picture, "same");
    assertThat(count("photograph")).isEqualTo(1);
    sent("FINDING", "", picture, "another");
    assertThat(count("photograph")).isEqualTo(2);
    assertThat(count("picture")).isEqualTo(1);
    assertThat(electrician.page(path("/rig?card=job"))).contains("-small.jpg");
    assertThat(electrician.page(path("/bench?card=finder"))).contains("-small.jpg");
  }

  @Test
  void aCaptionIsCorrectedByANewRowAndWhatIsTakenAwayIsKeptUnseen() throws Exception {
    sent("RIG", "", Shot.jpeg(700, 500), "k");
    caption("caption", "Dent, “known” & <old>");
    assertThat(album("RIG")).contains("Dent, “known” & <old>", "Tamo Berin, ");
    assertThat(electrician.page(path("/handover"))).contains("The rig: Dent, “known” & <old>");
    caption("away", "true");
    assertThat(album("RIG")).contains("None of this yet").doesNotContain("-small.jpg");
    assertThat(electrician.page(path("/handover"))).doesNotContain("The rig: Dent");
    assertThat(count("photograph")).isEqualTo(3);
    assertThat(count("picture")).isEqualTo(1);
    for (String change :
        List.of(
            "update photograph set caption = 'x'", "delete from photograph",
            "update picture set width = 1", "delete from picture")) {
      assertThatThrownBy(() -> sql.update(change))
          .as(change)
          .isInstanceOf(DataAccessException.class);
    }
  }

  /** Two people at one caption, one who presses twice, and one who writes too much. */
  @Test
  void noCaptionIsLostOrWrittenOverUnseen() throws Exception {
    sent("RIG", "", Shot.jpeg(700, 500), "k");
    Long id = sql.queryForObject("select max(id) from photograph", Long.class);
    assertThat(write(id, "mine", "one").getStatus()).isEqualTo(302);
    assertThat(write(id, "mine", "one").getStatus()).as("pressed twice").isEqualTo(302);
    MockHttpServletResponse late = write(id, "theirs", "two");
    assertThat(late.getStatus()).isEqualTo(422);
    assertThat(late.getContentAsString()).contains("Somebody changed it meanwhile", "“theirs”");
    assertThat(album("RIG")).contains("value=\"mine\"");
    String much = "long ".repeat(50).strip();
    MockHttpServletResponse refused = write(id + 1, much, "three");
    assertThat(refused.getStatus()).isEqualTo(422);
    assertThat(refused.getContentAsString()).contains("At most 200 letters", much);
    assertThat(write(id + 99, "none", "four").getStatus()).isEqualTo(404);
    assertThat(count("photograph")).isEqualTo(2);
  }

  private MockHttpServletResponse write(long id, String caption, String key) throws Exception {
    return electrician.post(
        path("/photographs/" + id), Map.of("caption", caption, "about", "RIG", "requestKey", key));
  }

  private void caption(String field, String value) throws Exception {
    Long newest =
        sql.queryForObject(
            "select max(p.id) from photograph p join job j on j.id = p.job_id where j.ref = ?",
            Long.class,
            ref);
    Map<String, String> fields = Map.of(field, value, "about", "RIG", "requestKey", "c" + newest);
    assertThat(electrician.post(path("/photographs/" + newest), fields).getRedirectedUrl())
        .startsWith(path("/photographs?about=RIG"));
  }

  @Test
  void whatIsNoPictureIsSaidAndNothingIsKept() throws Exception {
    assertThat(sent("RIG", "", "<script>".getBytes(), "k")).contains("false", "no picture");
    MockHttpServletResponse page =
        send("electrician", "RIG", "", "<script>".getBytes(), "requestKey", "k");
    assertThat(page.getStatus()).isEqualTo(422);
    assertThat(page.getContentAsString()).contains("This is no picture", "Take a photograph");
    assertThat(send("electrician", "MOON", "", Shot.jpeg(9, 9), "requestKey", "k").getStatus())
        .isEqualTo(400);
    assertThat(count("photograph")).isZero();
    assertThat(send("electrician", "RIG", "", Shot.jpeg(90, 60), "requestKey", "k").getStatus())
        .isEqualTo(302);
    assertThat(count("photograph")).isEqualTo(1);
  }

  @Test
  void nobodySeesWhatIsNotOfHisWorkshopOrOfThisJob() throws Exception {
    sent("RIG", "", Shot.jpeg(640, 480), "k");
    String picture = shown(album("RIG"));
    String other = electrician.newJob("Other " + UUID.randomUUID(), "ELECTRIC", "1");
    assertThat(status("/jobs/" + other + "/pictures/" + picture + ".jpg")).isEqualTo(404);
    assertThat(status("/jobs/" + other + "/pictures/" + picture + "-small.jpg")).isEqualTo(404);
    assertThat(status(path("/pictures/" + "0".repeat(64) + ".jpg"))).isEqualTo(404);
    assertThat(send("viewer", "RIG", "", Shot.jpeg(64, 48), "requestKey", "v").getStatus())
        .isEqualTo(403);
    assertThat(new Walker(mvc, "viewer").page(path("/rig?card=job")))
        .contains(picture)
        .doesNotContain("Take a photograph");
    assertThat(Walker.stranger(mvc, path("/pictures/" + picture + ".jpg"), "10.0.0.1").getStatus())
        .isNotEqualTo(200);
  }

  private int status(String path) throws Exception {
    return electrician.answer(path).getStatus();
  }

  /** What a trailer's care shows belongs to the trailer, and the next job on it shows it too. */
  @Test
  void aPhotographOfCareStaysWithTheTrailer() throws Exception {
    sent("CARE", "TREAD", Shot.jpeg(640, 480), "care");
    sent("RIG", "", Shot.jpeg(641, 480), "rig");
    assertThat(count("photograph")).isEqualTo(1);
    String picture = shown(electrician.page(path("/care/TREAD")));
    Map<String, String> next =
        Map.of("wish", "REPAIR", "customer", "", "vehicle", "same", "requestKey", "n" + ref);
    String address = electrician.post(path("/next"), next).getRedirectedUrl();
    ref = address.split("/")[2];
    assertThat(electrician.page(path("/care/TREAD"))).contains(picture);
    assertThat(electrician.page(path("/rig?card=job"))).doesNotContain("-small.jpg");
    assertThat(electrician.page(path("/handover"))).contains(picture, "Tyres, tread. Tamo");
  }

  /** What does not go into its file any more would be lost on the way to another workshop. */
  @Test
  void aJobTakesNoMoreThanItsFileCarries() throws Exception {
    Person person = people.findBySignIn("electrician").orElseThrow();
    Darkroom.Picture one = new Darkroom().keep(Shot.held(1, 640, 480));
    Darkroom.Picture two = new Darkroom().keep(Shot.held(1, 641, 480));
    long room = one.large().length + one.small().length + 10;
    Photographs narrow = new Photographs(photographs, pictures, Clock.systemUTC(), room);
    files.change(ref, person, file -> keep(narrow, file, one, "first"));
    files.change(ref, person, file -> keep(narrow, file, one, "the same of something else"));
    assertThatThrownBy(
            () -> files.change(ref, person, file -> keep(narrow, file, two, "one too many")))
        .isInstanceOf(Photographs.Full.class);
    assertThat(count("photograph")).isEqualTo(2);
    assertThat(count("picture")).isEqualTo(1);
  }

  private static void keep(
      Photographs photographs, JobFile file, Darkroom.Picture picture, String key) {
    Of of = new Of(Photo.About.FINDING, "");
    photographs.keep(file, of, "", picture, Instant.now(), key);
  }
}
