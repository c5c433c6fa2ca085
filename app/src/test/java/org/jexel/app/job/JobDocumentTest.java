package org.jexel.app.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.jexel.app.AppTest;
import org.jexel.app.JexelApplication;
import org.jexel.app.Walker;
import org.jexel.app.exchange.KeptFile;
import org.jexel.app.exchange.KeptFiles;
import org.jexel.app.exchange.Sha256;
import org.jexel.app.exchange.Sheet;
import org.jexel.app.exchange.Shot;
import org.jexel.app.security.Person;
import org.jexel.app.security.PersonRepository;
import org.jexel.app.security.Role;
import org.jexel.app.workshop.Workshop;
import org.jexel.app.workshop.WorkshopRepository;
import org.jexel.core.rig.TongueBand;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** A whole job goes to another workshop in one file, and nothing of it is lost on the way. */
@AppTest
class JobDocumentTest {
  /** Of changes in a row, mostly to words that stand for something. */
  private static final int MOST_REFUSED = 24;

  /** Of another workshop, whose shelf and library are empty. */
  private static final String HILL = "owner.hill";

  /** Kept here: what somebody typed and did not give, links, other devices, what is worked out. */
  private static final Set<String> STAYS =
      Set.of(
          "draft",
          "helper_page",
          "drivers_link",
          "calendar_link",
          "simulated_rig",
          "simulated_fault",
          "job_station");

  /** Packed or frozen, or by what rows of a list without an order of its own are told in order. */
  private static final Set<String> NOT_CHANGED = Set.of("editions", "files", "place", "axle");

  /** What shows the shelf, or the meter that stands here. */
  private static final List<String> OF_THE_WORKSHOP =
      List.of(
          ".pdf",
          "?card=lists",
          "?card=meter",
          "cut-list.csv",
          "harness/sheet",
          "?card=helper",
          "/driver");

  @Autowired private MockMvc mvc;
  @Autowired private JdbcTemplate sql;
  @Autowired private ObjectMapper json;
  @Autowired private WorkshopRepository workshops;
  @Autowired private PersonRepository people;
  @Autowired private JobSheets sheets;
  @Autowired private KeptFiles kept;
  @Autowired private PlatformTransactionManager transactions;
  private Walker valley;
  private Walker hill;

  @BeforeEach
  void twoWorkshops() {
    valley = new Walker(mvc, "electrician");
    hill = new Walker(mvc, HILL);
    if (people.findBySignIn(HILL).isEmpty()) {
      Workshop here = people.findBySignIn("electrician").orElseThrow().workshop();
      Workshop there =
          workshops.save(
              new Workshop("Hill yard", here.zone(), here.tongueBand(), Workshop.WireStock.METRIC));
      sql.update(
          "update workshop h join workshop v on v.id = ? set h.wire_stock = v.wire_stock,"
              + " h.breakaway_from_kg = v.breakaway_from_kg,"
              + " h.breakaway_proof_months = v.breakaway_proof_months where h.id = ?",
          here.id(),
          there.id());
      people.save(new Person(there, HILL, "Hilda", "none", Role.OWNER));
    }
  }

  private byte[] file(Walker of, String ref) throws Exception {
    MockHttpServletResponse answer = of.answer("/api/jobs/" + ref + "/job.json");
    assertThat(answer.getStatus()).isEqualTo(200);
    return answer.getContentAsByteArray();
  }

  private MockHttpServletResponse send(byte[] file) throws Exception {
    return mvc.perform(
            post("/api/jobs")
                .with(user(HILL).roles("OWNER"))
                .contentType(MediaType.APPLICATION_JSON)
                .content(file))
        .andReturn()
        .getResponse();
  }

  private String brought(byte[] file) throws Exception {
    MockHttpServletResponse answer = send(file);
    assertThat(answer.getStatus()).as(answer.getContentAsString()).isBetween(200, 201);
    return json.readTree(answer.getContentAsString()).get("ref").asText();
  }

  @ParameterizedTest
  @ValueSource(strings = {"J1001", "J1002", "J1003", "J1004", "J1005", "J1006"})
  void everyJobComesBackByteForByte(String ref) throws Exception {
    byte[] file = file(valley, ref);
    String copy = brought(file);
    assertThat(file(hill, copy)).isEqualTo(file);
    assertThat(send(file).getStatus()).as("the same file again").isEqualTo(200);
  }

  @ParameterizedTest
  @ValueSource(strings = {"J1003", "J1005", "J1006"})
  void everyPageOfTheCopyShowsWhatTheOriginalShows(String ref) throws Exception {
    String copy = brought(file(valley, ref));
    // What another test has typed here and not given stays here.
    sql.update("delete from draft where job_id = (select id from job where ref = ?)", ref);
    Walker owner = new Walker(mvc, "owner");
    for (String path : Walker.whole(ref)) {
      // A sheet's bytes hold its time.
      if (path.startsWith("/jobs/") && OF_THE_WORKSHOP.stream().noneMatch(path::endsWith)) {
        String there = path.replace(ref, copy);
        String before = words(owner.answer(path), ref);
        String after = words(hill.answer(there), copy);
        int same = 0;
        while (same < Math.min(before.length(), after.length())
            && before.charAt(same) == after.charAt(same)) {
          same++;
        }
        assertThat(after.substring(Math.max(0, same - 100), Math.min(after.length(), same + 200)))
            .as(there)
            .isEqualTo(
                before.substring(Math.max(0, same - 100), Math.min(before.length(), same + 200)));
      }
    }
  }

  /** What a page says of the job, without who reads it where. */
  private static String words(MockHttpServletResponse answer, String ref) throws Exception {
    assertThat(answer.getStatus()).isEqualTo(200);
    return Walker.oneLine(answer.getContentAsString().replaceAll("(?m)^\\d+,", ""))
        .replace(ref, "Jn")
        .replaceAll("(?s)<header.*?</header>", "")
        .replaceAll("name=\"(requestKey|_csrf|units|[^\"]*seen)\" value=\"[^\"]*\"", "")
        .replaceAll("<select (id=\"cab-model\"|name=\"to\").*?</select>", "")
        .replaceAll("(corrects=|/load/|/photographs/|#p|\"p|caption-)\\d+", "$1n")
        .replaceAll("Sign as [^<]*", "")
        .replaceAll("(Hill yard|Valley Trailer Workshop)", "workshop")
        .replaceAll("<p[^>]*>Begun as [^<]*</p>", "")
        .replaceAll("\\s+", " ");
  }

  private ObjectNode document(String ref) throws Exception {
    return (ObjectNode) json.readTree(file(valley, ref));
  }

  private Map<String, Long> rows() {
    Map<String, Long> rows = new TreeMap<>();
    for (String table :
        sql.queryForList(
            "select table_name from information_schema.tables where table_schema = database()"
                + " and table_name not like 'SPRING%' and table_name not like 'sign_in%'",
            String.class)) {
      rows.put(table, sql.queryForObject("select count(*) from " + table, Long.class));
    }
    return rows;
  }

  private void refused(String because, String words, byte[] file) throws Exception {
    Map<String, Long> before = rows();
    MockHttpServletResponse answer = send(file);
    assertThat(answer.getStatus()).as(because + ": " + answer.getContentAsString()).isEqualTo(400);
    assertThat(json.readTree(answer.getContentAsString()).get("error").asText())
        .as(because)
        .contains(words);
    assertThat(rows()).as(because).isEqualTo(before);
  }

  private void refused(String because, String words, Consumer<ObjectNode> broken) throws Exception {
    ObjectNode document = document("J1006");
    document.remove("sha256");
    broken.accept((ObjectNode) document.get("job"));
    refused(because, words, json.writeValueAsBytes(document));
  }

  private static ObjectNode first(JsonNode job, String path) {
    return (ObjectNode) job.at(path);
  }

  @Test
  void whatCannotBeTakenIsSaidAndNothingOfItIsKept() throws Exception {
    byte[] sound = file(valley, "J1006");
    String text = new String(sound, StandardCharsets.UTF_8);
    refused("cut off", "no JSON", text.substring(0, 9000).getBytes(StandardCharsets.UTF_8));
    refused("another format", "no job file", "{\"format\":\"jexel-controllers 1\"}".getBytes());
    refused("newer", "version 2", text.replace("jexel-job 1", "jexel-job 2").getBytes());
    refused(
        "one letter changed",
        "hash is another",
        text.replaceFirst("\"alone\" : (true|false)", "\"alone\" : true ")
            .replaceFirst("\"title\" : \"", "\"title\" : \"x")
            .getBytes(StandardCharsets.UTF_8));
    refused("twice", "no JSON", text.replace("\"format\"", "\"format\":1,\"format\"").getBytes());
    refused(
        "unknown field",
        "colourOfMood",
        job -> first(job, "/bench/readings/0").put("colourOfMood", 1));
    refused("missing", "valueSi", job -> first(job, "/bench/readings/3").remove("valueSi"));
    refused(
        "a word for a figure",
        "valueSi",
        job -> first(job, "/bench/readings/3").put("valueSi", "x"));
    refused(
        "a person that is none", "names 99", job -> first(job, "/bench/readings/0").put("by", 99));
    refused("a later row", "names 2", job -> first(job, "/bench/readings/0").put("corrects", 2));
    refused(
        "a check that is none",
        "stands at place 1",
        job -> first(job, "/bench/readings/0").put("number", 2));
    refused(
        "a word of another version",
        "no word of this version",
        job -> first(job, "/road/stops/0").put("outcome", "FLEW"));
    refused(
        "a wish that is none",
        "no word of this version",
        job -> ((ObjectNode) job).put("wish", "FLY"));
    refused(
        "a day that is none",
        "takenAt",
        job -> first(job, "/bench/readings/0").put("takenAt", "2026-02-30T10:00:00Z"));
    refused(
        "larger than any figure",
        "figure",
        job ->
            first(job, "/bench/readings/0")
                .set(
                    "valueSi",
                    JsonNodeFactory.instance.numberNode(new java.math.BigDecimal("1e999"))));
    refused(
        "longer than its place",
        "typed",
        job -> first(job, "/bench/readings/0").put("typed", "9".repeat(61)));
    refused(
        "a signed report altered",
        "not what was signed",
        job -> first(job, "/handover/editions/0").put("content", "{}"));
    refused(
        "a figure and a choice",
        "no place",
        job ->
            first(job, "/trailer/figures/0")
                .put("si", 1.0)
                .put("choice", "x")
                .put("cleared", false));
    refused("a part of itself", "label", job -> ((ObjectNode) job.get("tow")).remove("label"));
  }

  /**
   * Every table that belongs to a job or a part goes, or is known to stay: by the database's word.
   */
  @Test
  void noTableOfAJobIsForgotten() {
    Set<String> reached = sheets.all().stream().map(Sheet::table).collect(Collectors.toSet());
    Set<String> belong = new java.util.HashSet<>(List.of("job", "rig_part"));
    for (int before = 0; before < belong.size(); ) {
      before = belong.size();
      for (String owner : List.copyOf(belong)) {
        belong.addAll(
            sql.queryForList(
                "select table_name from information_schema.key_column_usage where table_schema ="
                    + " database() and referenced_table_name = ?",
                String.class,
                owner));
      }
    }
    belong.removeAll(Set.of("job", "rig_part"));
    assertThat(belong).contains("reading", "care_found", "report_paper", "meter_log_part");
    Set<String> known = new java.util.HashSet<>(reached);
    known.addAll(STAYS);
    assertThat(known).containsExactlyInAnyOrderElementsOf(belong);
  }

  /**
   * Whatever one value of a file is changed to: it is refused, or the job opens and tells it again.
   */
  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3})
  void aFileWithOneOtherValueIsRefusedOrEveryStationOpens(int seed) throws Exception {
    Random dice = new Random(seed);
    ObjectNode document = document(seed % 2 == 0 ? "J1003" : "J1006");
    document.remove("sha256");
    int taken = 0;
    for (int i = 0; i < 4 || taken == 0 && i < MOST_REFUSED; i++) {
      ObjectNode other = document.deepCopy();
      String place = mutate((ObjectNode) other.get("job"), dice);
      MockHttpServletResponse answer = send(json.writeValueAsBytes(other));
      assertThat(answer.getStatus()).as(place).isIn(200, 201, 400);
      if (answer.getStatus() != 400) {
        taken++;
        String ref = json.readTree(answer.getContentAsString()).get("ref").asText();
        assertThat(json.readTree(file(hill, ref)).get("job").toString())
            .as(place)
            .isEqualTo(other.get("job").toString());
        assertThat(hill.broken(ref)).as(place).isEmpty();
      }
    }
    assertThat(taken).as("some were taken").isPositive();
  }

  /** Changes one leaf, not of a packed file or a frozen report, and says which. */
  private String mutate(ObjectNode job, Random dice) {
    List<String> leaves = new ArrayList<>();
    leaves(job, "", leaves);
    String place = leaves.get(dice.nextInt(leaves.size()));
    JsonNode at = job.at(place);
    int cut = place.lastIndexOf('/');
    JsonNode parent = cut == 0 ? job : job.at(place.substring(0, cut));
    Object[] others =
        at.isNumber()
            ? new Object[] {0.0, -1.0, at.asDouble() * 1000, 1e300, at.asDouble() + 1}
            : at.isBoolean()
                ? new Object[] {!at.booleanValue()}
                : new Object[] {"", "FAILS", "x".repeat(30), "2026-01-01T00:00:00Z", "🚚"};
    JsonNode other = json.valueToTree(others[dice.nextInt(others.length)]);
    if (at.isIntegralNumber()) {
      other = JsonNodeFactory.instance.numberNode((long) other.asDouble());
    }
    ((ObjectNode) parent).set(place.substring(cut + 1), other);
    return place + " " + at + " → " + other;
  }

  private static void leaves(JsonNode node, String path, List<String> into) {
    if (node instanceof ObjectNode object) {
      object
          .fields()
          .forEachRemaining(
              e -> {
                if (!NOT_CHANGED.contains(e.getKey())) {
                  leaves(e.getValue(), path + "/" + e.getKey(), into);
                }
              });
    } else if (node instanceof ArrayNode array) {
      for (int i = 0; i < array.size(); i++) {
        if (array.get(i).isContainerNode()) {
          leaves(array.get(i), path + "/" + i, into);
        }
      }
    } else {
      into.add(path);
    }
  }

  @Test
  void nobodyHereIsTakenForAnybodyInTheFile() throws Exception {
    ObjectNode document = document("J1006");
    document.remove("sha256");
    String people = hill.page("/people").replaceAll("value=\"[^\"]*\"", "");
    ((ObjectNode) document.get("job")).put("title", "A sauna with Hilda’s name under it");
    first(document, "/job/people/0").put("name", "Hilda");
    String ref = brought(json.writeValueAsBytes(document));
    assertThat(
            sql.queryForList(
                "select distinct p.sign_in from reading r join person p on p.id = r.person_id"
                    + " join job j on j.id = r.job_id where j.ref = ? and p.name = 'Hilda'",
                String.class,
                ref))
        .isNotEmpty()
        .doesNotContain(HILL);
    assertThat(hill.page("/people").replaceAll("value=\"[^\"]*\"", "")).isEqualTo(people);
    assertThat(hill.page("/jobs/" + ref + "/handover")).contains("Begun as J1006 at");
  }

  @Test
  void aPersonTakesAFileInOnAPageOfItsOwn() throws Exception {
    assertThat(hill.page("/jobs/new")).contains("/jobs/file");
    assertThat(hill.page("/jobs/file")).contains("Whole or not at all");
    assertThat(valley.page("/jobs/J1002/handover")).contains("/jobs/J1002/job.json");
    assertThat(valley.answer("/jobs/J1002/job.json").getContentAsByteArray())
        .isEqualTo(file(valley, "J1002"));
    MockHttpServletResponse viewer =
        mvc.perform(
                post("/api/jobs")
                    .with(user("viewer").roles("VIEWER"))
                    .contentType(MediaType.APPLICATION_JSON)
                    .content(file(valley, "J1002")))
            .andReturn()
            .getResponse();
    assertThat(viewer.getStatus()).isEqualTo(403);
  }

  @Test
  void whatIsLongerThanAnyJobIsNotReadToItsEnd() throws Exception {
    MockHttpServletResponse answer = send(new byte[(128 << 20) + 1]);
    assertThat(answer.getStatus()).isEqualTo(413);
    assertThat(answer.getContentAsString()).contains("at most 128 MB");
  }

  /** To an empty Jexel with a database of its own, on there, and back. */
  @Test
  void aJobMovesToASecondJexelAndBack() throws Exception {
    byte[] file = file(valley, "J1006");
    String database = "jexel_second" + System.getenv().getOrDefault("JEXEL_DB", "");
    String url = "jdbc:mariadb://127.0.0.1:" + System.getenv("JEXEL_DB_PORT") + "/" + database;
    byte[] there;
    try (var second =
        new SpringApplicationBuilder(JexelApplication.class)
            .run(
                "--server.port=0",
                "--spring.datasource.url=" + url,
                "--spring.flyway.url=" + url + "?createDatabaseIfNotExist=true",
                "--jexel.data=target/second-data")) {
      Workshop ridge =
          second
              .getBean(WorkshopRepository.class)
              .save(
                  new Workshop(
                      "Ridge",
                      ZoneOffset.UTC,
                      TongueBand.LIGHT_COUPLINGS,
                      Workshop.WireStock.METRIC));
      Person owner =
          second
              .getBean(PersonRepository.class)
              .save(new Person(ridge, "owner", "Runa", "none", Role.OWNER));
      JobDocuments ridges = second.getBean(JobDocuments.class);
      String ref = ridges.bring(file, owner).ref();
      assertThat(ref).isEqualTo("J1001");
      assertThat(ridges.write(ref, owner)).isEqualTo(file);
      JobFiles files = second.getBean(JobFiles.class);
      files.change(ref, owner, job -> files.alone(job, true));
      there = ridges.write(ref, owner);
    } finally {
      sql.execute("drop database if exists " + database);
    }
    String back = brought(there);
    assertThat(file(hill, back)).isEqualTo(there);
    JsonNode job = json.readTree(there).get("job");
    assertThat(job.at("/begun/ref").asText()).isEqualTo("J1006");
    assertThat(job.get("alone").booleanValue()).isTrue();
    assertThat(job.has("signedAt")).as("nobody signed it so").isFalse();
  }

  /**
   * A meter's file of some megabytes goes along, in its parts, and what was read from it names it.
   */
  @Test
  void filesOfInstrumentsGoAlongAndAreWhatTheirHashSays() throws Exception {
    String ref = valley.newJob("Logged", "ELECTRIC", "1");
    valley.read(ref, "supply.battery", "12.6");
    long job = sql.queryForObject("select id from job where ref = ?", Long.class, ref);
    byte[] log = new byte[3_000_000];
    new Random(5).nextBytes(log);
    new TransactionTemplate(transactions)
        .executeWithoutResult(
            any -> {
              MockMultipartFile sent = new MockMultipartFile("file", "log.csv", "text/csv", log);
              kept.keep(KeptFile.Kind.DRIVE, job, 1L, sent);
              KeptFile recorded = kept.keep(KeptFile.Kind.METER, job, 1L, sent);
              kept.recorded(recorded);
              sql.update(
                  "insert into reading (job_id, check_id, title, measure, value_si, typed,"
                      + " expected_si, low_si, high_si, verdict, person_id, taken_at, request_key,"
                      + " source, log_id, row_count, least_si, greatest_si) select job_id, check_id,"
                      + " title, measure, 12.5, '12.5', expected_si, low_si, high_si, verdict,"
                      + " person_id, now(3), 'log', 'FILE', ?, 7, 12.4, 12.7 from reading where"
                      + " job_id = ?",
                  recorded.id(),
                  job);
            });
    byte[] file = file(valley, ref);
    JsonNode told = json.readTree(file).get("job");
    assertThat(told.at("/instruments/files")).as("what nobody recorded is passing").hasSize(1);
    assertThat(told.at("/instruments/files/0/parts").size()).isGreaterThan(1);
    assertThat(told.at("/bench/readings/1/log").longValue()).isEqualTo(1);
    String copy = brought(file);
    assertThat(file(hill, copy)).isEqualTo(file);
    Long there = sql.queryForObject("select id from job where ref = ?", Long.class, copy);
    assertThat(kept.content(kept.all(KeptFile.Kind.METER, there).get(0)).readAllBytes())
        .isEqualTo(log);
    ObjectNode other = (ObjectNode) json.readTree(file);
    other.remove("sha256");
    first(other, "/job/instruments/files/0").put("bytes", 2_999_999);
    refused("more than it says", "not what was sent", json.writeValueAsBytes(other));
  }

  /** Somebody's file may hold a drawing that is a page, and the right hash of it. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "<form action='/jobs/J1001/next' method='post'><button>Go on</button></form>",
        "<svg xmlns='http://www.w3.org/2000/svg'><script>1</script></svg>",
        "<svg xmlns='http://www.w3.org/2000/svg' onload='1'/>",
        "<svg xmlns='http://www.w3.org/2000/svg'><a href='https://elsewhere.example/'>1</a></svg>",
        "<svg xmlns='http://www.w3.org/2000/svg'><path style='x'/></svg>",
        "<svg xmlns='http://www.w3.org/2000/svg'><rect fill='url(https://a.example)'/></svg>",
        "<svg xmlns='http://www.w3.org/2000/svg'><foreignObject/></svg>",
        "<!DOCTYPE svg [<!ENTITY e SYSTEM 'file:///etc/passwd'>]><svg>&e;</svg>"
      })
  void aDrawingThatIsMoreThanOneStaysOutside(String drawing) throws Exception {
    refused(
        drawing,
        "more than a drawing",
        job -> {
          ObjectNode edition = first(job, "/handover/editions/0");
          try {
            ObjectNode content = (ObjectNode) json.readTree(edition.get("content").textValue());
            content.put("drawing", drawing);
            String text = json.writeValueAsString(content);
            edition.put("content", text);
            edition.put("sha256", Sha256.of(text.getBytes(StandardCharsets.UTF_8)));
          } catch (java.io.IOException e) {
            throw new java.io.UncheckedIOException(e);
          }
        });
  }

  /** A file may say that it is signed; what shows it is a name under the newest edition. */
  @Test
  void nobodySignedWhatHasNoSignature() throws Exception {
    refused(
        "no editions",
        "nobody signed",
        job -> {
          JsonNode signature = job.at("/handover/editions/0/signatures/0");
          ((ObjectNode) job).put("signedAt", signature.get("signedAt").textValue());
          first(job, "/handover").remove("editions");
        });
    refused(
        "signed at another time",
        "nobody signed",
        job -> ((ObjectNode) job).put("signedAt", "2026-01-01T00:00:00Z"));
    refused(
        "no name", "signatures", job -> first(job, "/handover/editions/0").remove("signatures"));
    refused(
        "no sheet",
        "papers",
        job -> first(job, "/handover/editions/0/signatures/0").putArray("papers"));
    refused(
        "the seventh, of one",
        "number 7 stands at place 1",
        job -> first(job, "/handover/editions/0").put("number", 7));
  }

  /** What a file calls a picture is shown to everybody who opens the job. */
  @Test
  void aPictureIsPlainAndHasItsHash() throws Exception {
    byte[] withItsPlace = Shot.jpeg(6, 64, 48);
    byte[] page = "<script>1</script>".getBytes(StandardCharsets.US_ASCII);
    for (String size : List.of("large", "small")) {
      for (byte[] none : List.of(withItsPlace, page)) {
        refused(
            size,
            "more than a picture, or none",
            job -> first(job, "/trailer/carePictures/0").put(size, none));
      }
    }
    refused(
        "another",
        "its hash is another one",
        job -> first(job, "/trailer/carePictures/0").put("sha256", "0".repeat(64)));
    refused(
        "of no picture",
        "carePrints 1",
        job -> first(job, "/trailer/carePrints/0").put("picture", 7));
  }

  @Test
  void aSheetIsAPdf() throws Exception {
    refused(
        "a page for a sheet",
        "no PDF",
        job ->
            first(job, "/handover/editions/0/signatures/0/papers/0")
                .put("pdf", "<html>".getBytes(StandardCharsets.UTF_8)));
  }
}
