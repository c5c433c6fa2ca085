package org.jexel.core.cab;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.BiConsumer;
import org.jexel.core.connector.WireColour;
import org.jexel.core.quantity.Phrase;
import org.jspecify.annotations.Nullable;

/** Reads and writes the lists of a {@link ControllerModel} as lines of text. */
public final class ControllerLines {
  private static final int MOST = 60;
  private static final int LONGEST = 80;

  private ControllerLines() {}

  /**
   * Reads {@code lead colour}, one a line, such as {@code supply black}.
   *
   * @throws IllegalArgumentException with the line and what would be understood
   */
  public static Map<ControllerLead, WireColour> leads(String text) {
    Map<ControllerLead, WireColour> leads = new EnumMap<>(ControllerLead.class);
    lines(
        text,
        (number, words) -> {
          int last = words.lastIndexOf(' ');
          ControllerLead lead = last < 0 ? null : lead(words.substring(0, last).strip());
          WireColour colour =
              last < 0 ? null : WireColour.of(words.substring(last + 1)).orElse(null);
          if (lead == null || colour == null) {
            throw new IllegalArgumentException(
                Phrase.of(
                    "Line %d: “%s” is not understood. Write supply, earth, stop or brake and a colour, such as “supply black”.",
                    number, words));
          }
          if (leads.put(lead, colour) != null) {
            throw new IllegalArgumentException(
                Phrase.of("Line %d: %s stands twice.", number, lead.label()));
          }
        });
    return leads;
  }

  /** The lead of this name, a shorter word included; null for any other. */
  public static @Nullable ControllerLead lead(String name) {
    String plain = name.toLowerCase(Locale.ROOT);
    for (ControllerLead lead : ControllerLead.values()) {
      if (lead.label().equals(plain) || lead.name().toLowerCase(Locale.ROOT).equals(plain)) {
        return lead;
      }
    }
    return plain.equals("ground") ? ControllerLead.EARTH : null;
  }

  /**
   * Reads {@code gain volts}, one a line, such as {@code 2.5 3.1}.
   *
   * @throws IllegalArgumentException with the line and what would be understood
   */
  public static List<ControllerModel.Point> curve(String text) {
    List<ControllerModel.Point> points = new ArrayList<>();
    lines(
        text,
        (number, words) -> {
          String[] parts = words.replaceAll("(?i)\\s*v$", "").split("[\\s;:=]+");
          try {
            if (parts.length == 2) {
              points.add(new ControllerModel.Point(decimal(parts[0]), decimal(parts[1])));
              return;
            }
          } catch (NumberFormatException e) {
            // Told below, with what would be understood.
          }
          throw new IllegalArgumentException(
              Phrase.of(
                  "Line %d: “%s” is not understood. Write a gain and its volts, such as “2.5 3.1”.",
                  number, words));
        });
    return points;
  }

  private static double decimal(String word) {
    return Double.parseDouble(word.replace(',', '.'));
  }

  private static void lines(String text, BiConsumer<Integer, String> each) {
    String[] lines = text.split("\n", MOST + 2);
    for (int i = 0; i < lines.length; i++) {
      String words = lines[i].strip();
      if (i >= MOST || words.length() > LONGEST) {
        throw new IllegalArgumentException(
            Phrase.of("Line %d: at most %d lines of %d letters.", i + 1, MOST, LONGEST));
      }
      if (!words.isEmpty()) {
        each.accept(i + 1, words);
      }
    }
  }
}
