package org.jexel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.Executors;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jexel.app.bench.ReadingRepository;
import org.jexel.app.entry.LoadLineRepository;
import org.jexel.app.job.JobRepository;
import org.jexel.app.road.StopLineRepository;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/** What becomes of input: good, bad, twice, and from two people at once. */
@AppTest
class EntryTest {
  @Autowired private MockMvc mvc;
  @Autowired private JobRepository jobs;
  @Autowired private ReadingRepository readings;
  @Autowired private LoadLineRepository loads;
  @Autowired private StopLineRepository stops;

  private Walker electrician;
  private Walker owner;

  @BeforeEach
  void walkers() {
    electrician = new Walker(mvc, "electrician");
    owner = new Walker(mvc, "owner");
  }

  private static Map<String, String> field(String code, String text) {
    return Map.of(code, text, code + ".was", "", code + ".seen", "0");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "vehicle; KERB_MASS.0; heavy; Not understood",
        "vehicle; KERB_MASS.0; -1200; cannot be negative",
        "vehicle; KERB_MASS.0; 99999999; not plausible",
        "vehicle; KERB_MASS.0; 1,200; could be",
        "vehicle; KERB_MASS.0; 12 V; Not understood",
        "trailer; OVERALL_LENGTH.0; 3/0 in; cannot have 0 below",
        "trailer; DRAWBAR_LENGTH.0; 3.99; must be shorter",
        "axles; AXLE_COUNT.0; 1.5; not a part of one",
        "controller; GAIN_STEP.0; 0; not plausible",
        "connection; TRAILER_CONNECTOR.0; teapot; Choose one"
      })
  void whatCannotBeTakenKeepsItsTextBesideAPlainMessage(
      String card, String code, String text, String message) throws Exception {
    String ref = electrician.newJob("Bad input", "NONE", "1");
    electrician.post("/jobs/" + ref + "/figures/trailer", field("OVERALL_LENGTH.0", "3.9"));
    electrician.post("/jobs/" + ref + "/figures/" + card, field(code, text));
    String page =
        electrician.page(
            "/jobs/" + ref + (card.equals("controller") ? "/cab" : "/rig?card=" + card));
    assertThat(page).contains(message);
    if (!code.contains("CONNECTOR")) {
      assertThat(page).contains("value=\"" + text + "\"");
    }
  }

  @Test
  void aDraftIsThePersonsOwnAndGoesWhenItIsMended() throws Exception {
    String ref = electrician.newJob("Draft", "NONE", "1");
    electrician.post("/jobs/" + ref + "/figures/vehicle", field("KERB_MASS.0", "lots"));
    assertThat(electrician.page("/jobs/" + ref + "/rig?card=vehicle")).contains("value=\"lots\"");
    assertThat(owner.page("/jobs/" + ref + "/rig?card=vehicle")).doesNotContain("value=\"lots\"");
    electrician.post(
        "/jobs/" + ref + "/figures/vehicle",
        Map.of("KERB_MASS.0", "2100", "KERB_MASS.0.was", "lots", "KERB_MASS.0.seen", "0"));
    assertThat(electrician.page("/jobs/" + ref + "/rig?card=vehicle"))
        .contains("value=\"2100\"")
        .contains("from the plate, Tamo Berin")
        .doesNotContain("Not understood");
  }

  @Test
  void anUntouchedFieldIsNotTaken() throws Exception {
    String ref = electrician.newJob("Untouched", "NONE", "1");
    electrician.post(
        "/jobs/" + ref + "/figures/vehicle",
        Map.of(
            "KERB_MASS.0", "", "KERB_MASS.0.was", "", "WHEELBASE.0", "2.6", "WHEELBASE.0.was", ""));
    assertThat(electrician.page("/jobs/" + ref + "/rig?card=vehicle"))
        .contains("assumed: a mid-sized tow vehicle")
        .contains("value=\"2.60\"");
  }

  @Test
  void aClearedFieldGoesBackToItsDefault() throws Exception {
    String ref = electrician.newJob("Cleared", "NONE", "1");
    electrician.post("/jobs/" + ref + "/figures/vehicle", field("KERB_MASS.0", "2500"));
    electrician.post(
        "/jobs/" + ref + "/figures/vehicle", Map.of("KERB_MASS.0", "", "KERB_MASS.0.was", "2500"));
    assertThat(electrician.page("/jobs/" + ref + "/rig?card=vehicle"))
        .contains("placeholder=\"1900\"");
  }

  @Test
  void theSecondOfTwoSeesTheFirstsValueAndDecides() throws Exception {
    String ref = electrician.newJob("Two people", "NONE", "1");
    String url = "/jobs/" + ref + "/figures/vehicle";
    owner.post(url, field("TOW_RATING.0", "2000"));
    electrician.post(url, field("TOW_RATING.0", "2000 kg"));
    assertThat(electrician.page("/jobs/" + ref + "/rig?card=vehicle"))
        .as("two who say the same have nothing to settle")
        .doesNotContain("Keep theirs");
    electrician.post(url, field("TOW_RATING.0", "2700"));
    String asked = electrician.page("/jobs/" + ref + "/rig?card=vehicle");
    assertThat(asked)
        .contains("Runa Feldt entered 2000 kg")
        .contains("value=\"2700\"")
        .contains("Keep theirs")
        .contains("Use mine");
    assertThat(owner.page("/jobs/" + ref + "/rig?card=vehicle")).contains("value=\"2000\"");

    Map<String, String> mine = new HashMap<>();
    mine.put("TOW_RATING.0", "2700");
    mine.put("TOW_RATING.0.was", "2700");
    mine.put("settle", "TOW_RATING.0:mine");
    electrician.post(url, mine);
    assertThat(owner.page("/jobs/" + ref + "/rig?card=vehicle")).contains("value=\"2700\"");

    owner.post(url, field("TOW_RATING.0", "1800"));
    assertThat(owner.page("/jobs/" + ref + "/rig?card=vehicle")).contains("Tamo Berin entered");
    owner.post(
        url,
        Map.of(
            "TOW_RATING.0", "1800", "TOW_RATING.0.was", "1800", "settle", "TOW_RATING.0:theirs"));
    assertThat(owner.page("/jobs/" + ref + "/rig?card=vehicle"))
        .contains("value=\"2700\"")
        .doesNotContain("Keep theirs");
  }

  @Test
  void aReadingIsJudgedAndACorrectionKeepsTheOldOne() throws Exception {
    String ref = electrician.newJob("Readings", "ELECTRIC", "1");
    electrician.read(ref, "supply.battery", "12,6 V");
    electrician.read(ref, "supply.battery", "12.48");
    String page = electrician.page("/jobs/" + ref + "/bench?card=supply.battery");
    assertThat(page).contains("12.48 V", "12.60 V", "corrected", "stands");
    var rows = readings.ofJob(jobs.find(1L, ref).orElseThrow().id());
    assertThat(rows).hasSize(2);
    assertThat(rows.get(1).correctsId()).isEqualTo(rows.get(0).id());
    assertThat(rows.get(0).correctsId()).isNull();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "supply.battery; 40; More than 30 V",
        "supply.battery; soup; Not understood",
        "supply.battery; ''; Type what the meter shows",
        "supply.battery; 3 ohm; Not understood",
        "brake.resistance; -2; cannot be negative",
        "brake.amps; 400; past this rig"
      })
  void anImpossibleReadingIsNotRecorded(String check, String text, String message)
      throws Exception {
    String ref = electrician.newJob("Impossible", "ELECTRIC", "1");
    electrician.read(ref, check, text);
    assertThat(electrician.page("/jobs/" + ref + "/bench?card=" + check)).contains(message);
    assertThat(readings.ofJob(jobs.find(1L, ref).orElseThrow().id())).isEmpty();
  }

  @Test
  void aTypedReadingIsJudgedBeforeItIsRecordedAndSurvives() throws Exception {
    String ref = electrician.newJob("Judged", "ELECTRIC", "1");
    electrician.post(
        "/jobs/" + ref + "/bench/supply.battery/draft", Map.of("reading", "11.2", "seen", "0"));
    assertThat(electrician.page("/jobs/" + ref + "/bench?card=supply.battery"))
        .contains("as typed. Enter records it.")
        .contains("value=\"11.2\"");
    assertThat(readings.ofJob(jobs.find(1L, ref).orElseThrow().id())).isEmpty();
  }

  @Test
  void twoPeopleOnOneCheckSeeEachOther() throws Exception {
    String ref = electrician.newJob("Two at a socket", "ELECTRIC", "1");
    String key = UUID.randomUUID().toString();
    owner.read(ref, "supply.battery", "12.5");
    electrician.post(
        "/jobs/" + ref + "/bench/supply.battery",
        Map.of("reading", "12.7", "seen", "0", "requestKey", key));
    assertThat(electrician.page("/jobs/" + ref + "/bench?card=supply.battery"))
        .contains("Runa Feldt read 12.50 V while you had this open")
        .contains("value=\"12.7\"");
    assertThat(readings.ofJob(jobs.find(1L, ref).orElseThrow().id())).hasSize(1);
  }

  @Test
  void aDoublePostMakesOneRow() throws Exception {
    String key = UUID.randomUUID().toString();
    String first = electrician.newJob("Twice", "ELECTRIC", "1", key);
    assertThat(electrician.newJob("Twice", "ELECTRIC", "1", key)).isEqualTo(first);

    String reading = UUID.randomUUID().toString();
    for (int i = 0; i < 3; i++) {
      electrician.post(
          "/jobs/" + first + "/bench/supply.battery",
          Map.of("reading", "12.6", "seen", "0", "requestKey", reading));
    }
    Long job = jobs.find(1L, first).orElseThrow().id();
    assertThat(readings.ofJob(job)).hasSize(1);

    String item = UUID.randomUUID().toString();
    for (int i = 0; i < 2; i++) {
      electrician.post(
          "/jobs/" + first + "/rig/load",
          Map.of("name", "Sand", "mass", "300", "place", "2.5", "requestKey", item));
    }
    assertThat(loads.findByJobIdAndRemovedFalseOrderById(job)).hasSize(1);
  }

  @Test
  void aPostRepeatedAtTheSameMomentMakesOneRow() throws Exception {
    String ref = electrician.newJob("At once", "ELECTRIC", "1");
    String key = UUID.randomUUID().toString();
    Callable<Integer> post =
        () ->
            new Walker(mvc, "electrician")
                .post(
                    "/jobs/" + ref + "/bench/supply.battery",
                    Map.of("reading", "12.6", "seen", "0", "requestKey", key))
                .getStatus();
    var pool = Executors.newFixedThreadPool(4);
    try {
      for (var answer : pool.invokeAll(java.util.Collections.nCopies(4, post))) {
        assertThat(answer.get()).isLessThan(400);
      }
    } finally {
      pool.shutdown();
    }
    assertThat(readings.ofJob(jobs.find(1L, ref).orElseThrow().id())).hasSize(1);
  }

  @Test
  void aLoadIsGivenByMassOrByVolumeAndDensity() throws Exception {
    String ref = electrician.newJob("Load", "NONE", "1");
    Map<String, String> gravel =
        new HashMap<>(Map.of("name", "Gravel", "volume", "0,5", "density", "1600", "place", "2.4"));
    gravel.put("requestKey", UUID.randomUUID().toString());
    electrician.post("/jobs/" + ref + "/rig/load", gravel);
    assertThat(electrician.page("/jobs/" + ref + "/rig?card=load"))
        .contains("800 kg", "1600 kg/m³");
    electrician.post(
        "/jobs/" + ref + "/rig/load",
        Map.of("name", "Nothing", "place", "99", "requestKey", UUID.randomUUID().toString()));
    assertThat(electrician.page("/jobs/" + ref + "/rig?card=load"))
        .contains("Give its mass, or a volume and a density.")
        .contains("not plausible here")
        .contains("value=\"Nothing\"");
  }

  @Test
  void lampsAreChangedLeftOutAndAdded() throws Exception {
    String ref = electrician.newJob("Lamps", "NONE", "1");
    electrician.post(
        "/jobs/" + ref + "/rig/lamps",
        Map.of("plate.state", "LEFT_OUT", "rear-left.technology", "LED"));
    String page = electrician.page("/jobs/" + ref + "/rig?card=lamps");
    assertThat(page).contains("value=\"LEFT_OUT\" selected");
    electrician.post(
        "/jobs/" + ref + "/rig/lamps/add",
        Map.of("role", "SIDE_MARKER", "side", "LEFT", "place", "2.5"));
    assertThat(electrician.page("/jobs/" + ref + "/rig?card=lamps"))
        .contains("One lamp to be fitted");
    electrician.post(
        "/jobs/" + ref + "/rig/lamps/add",
        Map.of("role", "SIDE_MARKER", "side", "LEFT", "place", "30"));
    assertThat(electrician.page("/jobs/" + ref + "/rig?card=lamps")).contains("off the frame");
  }

  @Test
  void aLampIsMovedByHandAndAPlaceOffTheFrameStaysAsTyped() throws Exception {
    String ref = electrician.newJob("Moved", "NONE", "1");
    String page = electrician.page("/jobs/" + ref + "/rig?card=lamps");
    assertThat(page).contains("name=\"rear-left.x\"");
    Map<String, String> to =
        Map.of("rear-left.x", "3.5", "rear-left.x.was", "4.12", "rear-left.y", "0.7");
    electrician.post("/jobs/" + ref + "/rig/lamps", to);
    assertThat(electrician.page("/jobs/" + ref + "/rig?card=lamps"))
        .contains("value=\"3.50\"")
        .contains("moved by hand");
    electrician.post(
        "/jobs/" + ref + "/rig/lamps",
        Map.of("rear-left.x", "30 m", "rear-left.x.was", "3.50", "rear-left.y", "0.7"));
    assertThat(electrician.page("/jobs/" + ref + "/rig?card=lamps"))
        .contains("value=\"30 m\"")
        .contains("off the frame. It ends");
  }

  private void stop(String ref, String gain, String outcome, String distance) throws Exception {
    electrician.post(
        "/jobs/" + ref + "/road/stops",
        Map.of(
            "gain",
            gain,
            "speed",
            "40",
            "way",
            "LEVER",
            "surface",
            "DRY_ASPHALT",
            "outcome",
            outcome,
            "distance",
            distance,
            "requestKey",
            UUID.randomUUID().toString()));
  }

  @Test
  void theGateKeepsStopsBackUntilTheBrakesAreChecked() throws Exception {
    String ref = electrician.newJob("Gate", "ELECTRIC", "1");
    stop(ref, "5", "FIRM", "30");
    assertThat(electrician.page("/jobs/" + ref + "/road?card=stop"))
        .contains("The gate is shut")
        .contains("value=\"30\"");
    assertThat(stops.ofJob(jobs.find(1L, ref).orElseThrow().id())).isEmpty();
  }

  /** The gain of the next stop; NaN where none is asked for. */
  private double advised(String ref) throws Exception {
    Matcher advice =
        Pattern.compile("(?:Try|Confirm|Repeat) gain ([0-9.]+)")
            .matcher(electrician.page("/jobs/" + ref + "/road"));
    return advice.find() ? Double.parseDouble(advice.group(1)) : Double.NaN;
  }

  @Test
  void theStopsThatAreAskedForFindTheGainAndSettleIt() throws Exception {
    String ref = electrician.readyForTheRoad("Road", "1");
    double gain = advised(ref);
    for (int i = 0; i < 12 && !Double.isNaN(gain); i++) {
      stop(ref, String.valueOf(gain), gain > 6.1 ? "LOCKED" : "FIRM", "");
      gain = advised(ref);
    }
    String page = electrician.page("/jobs/" + ref + "/road");
    assertThat(page).contains("How likely each gain locks");
    Matcher settle = Pattern.compile("Settle on ([0-9.]+)<").matcher(page);
    assertThat(settle.find()).isTrue();
    assertThat(Double.parseDouble(settle.group(1))).isBetween(5.0, 6.0);
    electrician.post(
        "/jobs/" + ref + "/road/settle", Map.of("requestKey", UUID.randomUUID().toString()));
    assertThat(electrician.page("/jobs/" + ref + "/road"))
        .contains("Settled on gain " + settle.group(1) + ", on dry asphalt with ");
    assertThat(Walker.oneLine(electrician.page("/jobs/" + ref + "/handover")))
        .contains("set to gain " + settle.group(1) + " on dry asphalt", "Tamo Berin");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "5.3; 30; FIRM; No such mark",
        "fast; 30; FIRM; Not understood",
        "5; 3; FIRM; No tyre stops that short",
        "5; 3000; FIRM; Not plausible for a test stop",
        "5; 30; MAYBE; Choose one"
      })
  void aStopThatCannotBeIsNotRecordedAndStaysTyped(
      String gain, String distance, String outcome, String message) throws Exception {
    String ref = electrician.readyForTheRoad("Road", "1");
    stop(ref, gain, outcome, distance);
    assertThat(electrician.page("/jobs/" + ref + "/road"))
        .contains(message)
        .contains("value=\"" + distance + "\"");
    assertThat(stops.ofJob(jobs.find(1L, ref).orElseThrow().id())).isEmpty();
  }

  @Test
  void whatIsWrongWithAChoiceStandsBesideIt() throws Exception {
    String ref = electrician.readyForTheRoad("Road", "1");
    electrician.post(
        "/jobs/" + ref + "/road/stops",
        Map.of(
            "gain", "5",
            "speed", "40",
            "way", "PRAYER",
            "surface", "LAVA",
            "outcome", "FIRM",
            "requestKey", UUID.randomUUID().toString()));
    assertThat(electrician.page("/jobs/" + ref + "/road"))
        .contains("aria-describedby=\"p-way\"", "id=\"p-way\"")
        .contains("aria-describedby=\"p-surface\"", "id=\"p-surface\"")
        .doesNotContain("id=\"p-gain\"");
    assertThat(stops.ofJob(jobs.find(1L, ref).orElseThrow().id())).isEmpty();
  }

  @Test
  void aCorrectedStopNoLongerCounts() throws Exception {
    String ref = electrician.readyForTheRoad("Road", "1");
    stop(ref, "5", "LOCKED", "30");
    assertThat(electrician.page("/jobs/" + ref + "/road")).contains("2.06 m/s²");
    double lower = advised(ref);
    Long wrong = stops.ofJob(jobs.find(1L, ref).orElseThrow().id()).get(0).id();
    electrician.post(
        "/jobs/" + ref + "/road/stops",
        Map.of(
            "gain", "5",
            "speed", "40",
            "way", "LEVER",
            "surface", "DRY_ASPHALT",
            "outcome", "FIRM",
            "distance", "30",
            "corrects", wrong.toString(),
            "requestKey", UUID.randomUUID().toString()));
    assertThat(stops.ofJob(jobs.find(1L, ref).orElseThrow().id())).hasSize(2);
    assertThat(advised(ref)).as("no lock any more").isGreaterThan(lower);
  }

  @Test
  void theNewJobFormSaysWhatIsMissingAndKeepsTheRest() throws Exception {
    var response =
        electrician.post(
            "/jobs", Map.of("requestKey", "k", "trailer", "Half filled", "axles", "9"));
    assertThat(response.getStatus()).isEqualTo(422);
    assertThat(response.getContentAsString())
        .contains("value=\"Half filled\"")
        .contains("One, two or three.")
        .contains("Choose one.");
  }

  @Test
  void oneBrakedAxleOfTwoIsSaidAtOnce() throws Exception {
    Map<String, String> typed =
        new HashMap<>(
            Map.of("kind", "GOOSENECK", "wish", "CONVERT", "brakes", "ELECTRIC", "braked", "last"));
    typed.put("requestKey", UUID.randomUUID().toString());
    assertThat(electrician.post("/jobs", typed).getContentAsString())
        .contains("Say first how many axles there are");
    typed.put("axles", "2");
    String at = electrician.post("/jobs", typed).getRedirectedUrl();
    String ref = at.replaceAll(".*/(J\\d+)/.*", "$1");
    assertThat(electrician.page("/api/jobs/" + ref + "/checks"))
        .contains("hums.magnet_axle2_left")
        .doesNotContain("magnet_axle1");
    assertThat(electrician.broken(ref)).isEmpty();
  }

  /** Whatever else is left out is assumed, and a fault is looked for at once. */
  @Test
  void anOutlineAndAWishStartAJobAtItsFirstAct() throws Exception {
    var started =
        electrician.post(
            "/jobs",
            Map.of("requestKey", UUID.randomUUID().toString(), "kind", "BOX", "wish", "REPAIR"));
    String at = started.getRedirectedUrl();
    assertThat(at).endsWith("/bench?card=finder");
    assertThat(electrician.page(at))
        .contains("Box: find and mend a fault")
        .contains("Say what is wrong with it, or take the first look")
        .contains("name=\"start\"");
  }

  private Map<String, String> names(String was, String title, String wish) {
    Map<String, String> typed = new HashMap<>();
    typed.put("title.was", was);
    typed.put("title", title);
    typed.put("wish.was", "ANNUAL");
    typed.put("wish", wish);
    return typed;
  }

  @Test
  void namesAndWishAreChangedLaterAndNobodyOverwritesUnseen() throws Exception {
    String ref = electrician.newJob("Renamed", "ELECTRIC", "1");
    String url = "/jobs/" + ref + "/rig/job";
    String card = "/jobs/" + ref + "/rig?card=job";
    String was = "Renamed: annual check";
    electrician.post(url, names(was, "Hay wagon: looked over", "REPAIR"));
    assertThat(electrician.page(card))
        .contains("Hay wagon: looked over", "Find and mend a fault, for Test yard")
        .contains("Say what is wrong with it");
    owner.post(url, names(was, "Wagon", "ANNUAL"));
    assertThat(owner.page(card))
        .contains("value=\"Wagon\"")
        .contains("Changed meanwhile to “Hay wagon: looked over”");
    assertThat(electrician.page("/")).contains("Hay wagon: looked over");
    owner.post(url, names("Hay wagon: looked over", "Wagon", "ANNUAL"));
    assertThat(electrician.page(card)).contains("value=\"Wagon\"").doesNotContain("Changed mean");
    electrician.post(url, names("Wagon", " ", "NONSENSE"));
    assertThat(electrician.page(card)).contains("A job needs one: now it is “Wagon”");
  }
}
