package org.jexel.app.care;

import static org.assertj.core.api.Assertions.assertThat;

import biweekly.Biweekly;
import biweekly.ICalVersion;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.io.text.ICalReader;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jexel.app.AppTest;
import org.jexel.app.Walker;
import org.jexel.core.care.CarePart;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;

/** Calendars of what is due, read by a parser of another make. */
@AppTest
class CalendarTest {
  private static final Pattern ADDRESS = Pattern.compile("http://[^<]*(/c/[0-9a-f]{40}\\.ics)<");
  private static final LocalDate TODAY = LocalDate.now();

  @Autowired private MockMvc mvc;
  private Walker electrician;
  private String ref;
  private String name;
  private int programs;

  @BeforeEach
  void aTrailerWithALongName() throws Exception {
    electrician = new Walker(mvc, "electrician");
    name = "Bees 🐝🐝🐝🐝🐝🐝🐝🐝; of, a \\ hill “" + UUID.randomUUID() + "”";
    ref = electrician.newJob(name, "NONE", "1");
    done("LAMPS", TODAY, "place-0", "in order");
    done("CORD", TODAY.minusMonths(14), "place-0", "in order");
  }

  private void done(String part, LocalDate day, String field, String found) throws Exception {
    Map<String, String> fields = new HashMap<>();
    fields.put("requestKey", UUID.randomUUID().toString());
    fields.put("day", day.toString());
    fields.put(field, found);
    electrician.post("/jobs/" + ref + "/care/" + part, fields);
  }

  private MockHttpServletResponse read(String path, String from) throws Exception {
    return Walker.stranger(mvc, path, from);
  }

  private MockHttpServletResponse read(String path) throws Exception {
    return read(path, "198.51.100." + ++programs);
  }

  private String opened(String post, String page) throws Exception {
    electrician.post(post, new HashMap<>());
    Matcher address = ADDRESS.matcher(electrician.page(page));
    assertThat(address.find()).isTrue();
    return address.group(1);
  }

  /** Strictly: no warning of the parser, none of its check against RFC 5545, lines of 75 octets. */
  private static ICalendar strict(MockHttpServletResponse answer) throws Exception {
    assertThat(answer.getStatus()).isEqualTo(200);
    assertThat(answer.getContentType()).isEqualTo("text/calendar;charset=UTF-8");
    assertThat(answer.getCookies()).isEmpty();
    String text = answer.getContentAsString();
    for (String line : text.split("\r\n", -1)) {
      assertThat(line.getBytes(StandardCharsets.UTF_8).length).isLessThanOrEqualTo(75);
      assertThat(line).doesNotContain("\n", "\r");
    }
    try (ICalReader reader = new ICalReader(text)) {
      ICalendar calendar = reader.readNext();
      assertThat(reader.getWarnings()).isEmpty();
      assertThat(calendar.validate(ICalVersion.V2_0).isEmpty()).isTrue();
      assertThat(reader.readNext()).isNull();
      return calendar;
    }
  }

  private static Map<String, LocalDate> days(ICalendar calendar) {
    Map<String, LocalDate> days = new TreeMap<>();
    for (VEvent event : calendar.getEvents()) {
      assertThat(event.getDateStart().getValue().hasTime()).isFalse();
      days.put(
          event.getSummary().getValue(),
          event.getDateStart().getValue().toInstant().atZone(ZoneId.systemDefault()).toLocalDate());
    }
    return days;
  }

  @Test
  void aTrailersCalendarHoldsEachPartThatWasRecordedOnItsDay() throws Exception {
    String path = opened("/jobs/" + ref + "/calendar", "/jobs/" + ref + "/care");
    ICalendar calendar = strict(read(path));
    assertThat(days(calendar))
        .containsOnly(
            Map.entry("Lamps: " + name, TODAY.plusMonths(12)),
            Map.entry("Past due: Cord: " + name, TODAY));
    List<String> ids = calendar.getEvents().stream().map(e -> e.getUid().getValue()).toList();
    assertThat(ids).doesNotHaveDuplicates();
    assertThat(strict(read(path)).getEvents().stream().map(e -> e.getUid().getValue()))
        .as("the same events again")
        .containsExactlyElementsOf(ids);
    assertThat(Biweekly.parse(read(path).getContentAsString()).all()).hasSize(1);
  }

  @Test
  void theWorkshopsCalendarHoldsWhatIsDueFirstOfEachTrailer() throws Exception {
    String path = opened("/workshop/calendar", "/workshop/care");
    assertThat(days(strict(read(path))))
        .containsEntry("Past due: Care of " + name + ": cord", TODAY);
    done("CORD", TODAY, "place-0", "in order");
    assertThat(days(strict(read(path))))
        .containsEntry("Care of " + name + ": lamps", TODAY.plusMonths(12));
  }

  @Test
  void anAddressThatIsTakenBackOrGuessedReadsNothing() throws Exception {
    String page = "/jobs/" + ref + "/care";
    String first = opened("/jobs/" + ref + "/calendar", page);
    electrician.post("/jobs/" + ref + "/calendar", Map.of("end", "yes"));
    assertThat(read(first).getStatus()).isEqualTo(404);
    assertThat(electrician.page(page)).contains("Make the address");
    String second = opened("/jobs/" + ref + "/calendar", page);
    assertThat(second).isNotEqualTo(first);
    assertThat(read(first).getStatus()).isEqualTo(404);
    assertThat(read(second).getStatus()).isEqualTo(200);
    int tries = 0;
    while (read("/c/" + UUID.randomUUID() + ".ics", "203.0.113.77").getStatus() == 404
        && tries < 50) {
      tries++;
    }
    assertThat(tries).isBetween(1, 49);
    assertThat(read(second, "203.0.113.77").getStatus()).as("not even a right one").isEqualTo(429);
    Walker viewer = new Walker(mvc, "viewer");
    assertThat(viewer.post("/jobs/" + ref + "/calendar", Map.of()).getStatus()).isEqualTo(403);
    assertThat(viewer.post("/workshop/calendar", Map.of()).getStatus()).isEqualTo(403);
  }

  /** Who enters them is the owner; what is due goes by them at once; nonsense changes nothing. */
  @Test
  void theWorkshopsOwnIntervalsMoveWhatIsDue() throws Exception {
    Walker owner = new Walker(mvc, "owner");
    Map<String, String> typed = new HashMap<>();
    for (CarePart part : CarePart.values()) {
      typed.put(part.name() + ".months", "12");
    }
    typed.put("CORD.months", "0");
    typed.put("LAMPS.months", "");
    typed.put("TREAD.way", "3 km");
    String page = owner.post("/workshop/care", typed).getContentAsString();
    assertThat(Walker.oneLine(page))
        .contains("A whole number from 1 to 120", "id=\"p-LAMPS.months\"", "Not plausible")
        .contains("value=\"3 km\"");
    assertThat(electrician.post("/workshop/care", typed).getStatus()).isEqualTo(403);
    assertThat(electrician.page("/?q=" + ref)).contains("Care was due");
    typed.putAll(Map.of("CORD.months", "24", "LAMPS.months", "30", "TREAD.way", "9000 km"));
    assertThat(owner.post("/workshop/care", typed).getStatus()).isEqualTo(302);
    try {
      assertThat(electrician.page("/?q=" + ref)).doesNotContain("Care was due");
      assertThat(electrician.page("/jobs/" + ref + "/care/TREAD")).contains("12 months or 9000 km");
    } finally {
      typed.replaceAll((field, text) -> "");
      for (CarePart part : CarePart.values()) {
        typed.put(part.name() + ".months", "" + part.usual().months());
        part.usual().metres().ifPresent(m -> typed.put(part.name() + ".way", m / 1000 + " km"));
      }
      assertThat(owner.post("/workshop/care", typed).getStatus()).isEqualTo(302);
    }
    assertThat(electrician.page("/?q=" + ref)).contains("Care was due");
  }
}
