package org.jexel.app.care;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.ParameterList;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.Name;
import net.fortuna.ical4j.model.property.RefreshInterval;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableTransp;

/**
 * What is due as a calendar (RFC 5545): an event of a whole day each. What is past due stands on
 * today, since nobody looks at last month.
 */
final class CareCalendar {
  private static final Duration REFRESH = Duration.ofHours(12);

  private static final int MOST_OCTETS = 75;
  private static final int UNFOLDED = 1 << 20;

  private CareCalendar() {}

  /**
   * Something that is due.
   *
   * @param id by which a program knows it again
   * @param due the day by which it is
   */
  record Entry(String id, LocalDate due, String title, String words) {}

  static String text(String name, List<Entry> entries, LocalDate today, Instant now) {
    Calendar calendar =
        new Calendar().withProdId("-//Jexel//Care//EN").withDefaults().getFluentTarget();
    calendar.add(new Name(name));
    calendar.add(new RefreshInterval(new ParameterList(), REFRESH));
    for (Entry entry : entries) {
      boolean over = entry.due().isBefore(today);
      VEvent event =
          new VEvent(over ? today : entry.due(), (over ? "Past due: " : "") + entry.title());
      event.add(new Uid(entry.id()));
      event.replace(new DtStamp(now));
      event.add(new Description(entry.words()));
      event.add(ImmutableTransp.TRANSPARENT);
      calendar.add(event);
    }
    StringWriter text = new StringWriter();
    try {
      new CalendarOutputter(true, UNFOLDED).output(calendar, text);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return folded(text.toString());
  }

  /** Lines of 75 octets at most, as RFC 5545 §3.1 wants them; the library counts letters. */
  private static String folded(String text) {
    StringBuilder folded = new StringBuilder();
    int octets = 0;
    for (int letter : text.codePoints().toArray()) {
      String one = Character.toString(letter);
      int more = one.getBytes(StandardCharsets.UTF_8).length;
      if (letter == '\r') {
        octets = -1 - more;
      } else if (octets + more > MOST_OCTETS) {
        folded.append("\r\n ");
        octets = 1;
      }
      folded.append(one);
      octets += more;
    }
    return folded.toString();
  }
}
