package org.jexel.core.cab;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeSet;
import org.jexel.core.connector.WireColour;
import org.jexel.core.quantity.Phrase;

/**
 * Two ends of a plug, cavity by cavity: a bought harness against the vehicle.
 *
 * @param lines every cavity of either end
 * @param release cavities whose terminal has to come out
 * @param insert where each released terminal goes, from cavity to cavity
 */
public record CavityMatch(List<Line> lines, List<Integer> release, Map<Integer, Integer> insert) {
  private static final int MOST = 40;

  /** How a cavity stands. */
  public enum Kind {
    AGREE("agree"),
    EXCHANGE("exchange"),
    EMPTY("leave empty"),
    UNKNOWN("unknown: measure");

    private final String words;

    Kind(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /**
   * @param cavity number
   * @param vehicle function there; empty if nothing
   * @param harness function of the bought end; empty if nothing
   * @param kind what to do
   */
  public record Line(int cavity, String vehicle, String harness, Kind kind) {}

  /**
   * Reads a list of {@code cavity function}, one a line.
   *
   * @throws IllegalArgumentException with the line and what would be understood
   */
  public static Map<Integer, String> parse(String text) {
    Map<Integer, String> cavities = new LinkedHashMap<>();
    int line = 0;
    for (String raw : text.split("\n", MOST + 2)) {
      line++;
      String words = raw.strip();
      if (words.isEmpty()) {
        continue;
      }
      if (line > MOST) {
        throw new IllegalArgumentException("More than " + MOST + " lines; this is no plug.");
      }
      String[] parts = words.split("[\\s,;:=]+", 2);
      if (!parts[0].matches("\\d{1,2}")) {
        throw new IllegalArgumentException(
            Phrase.of(
                "Line %d: “%s” does not start with a cavity number, such as “1 stop”.",
                line, words.length() > 30 ? words.substring(0, 30) + "…" : words));
      }
      int cavity = Integer.parseInt(parts[0]);
      String function = parts.length < 2 ? "" : parts[1].strip().toLowerCase(Locale.ROOT);
      if (cavities.put(cavity, plain(function)) != null) {
        throw new IllegalArgumentException(
            Phrase.of("Line %d: cavity %d stands twice.", line, cavity));
      }
    }
    return cavities;
  }

  private static String plain(String function) {
    return switch (function) {
      case "-", "–", "none", "empty", "open", "" -> "";
      case "ground", "gnd" -> "earth";
      case "brake output", "output" -> "brake";
      case "battery", "charge", "12 v", "12v" -> "supply";
      case "stop signal", "stop lamp", "stoplight" -> "stop";
      default -> WireColour.of(function).map(WireColour::label).orElse(function);
    };
  }

  public static CavityMatch of(Map<Integer, String> vehicle, Map<Integer, String> harness) {
    List<Line> lines = new ArrayList<>();
    TreeSet<Integer> all = new TreeSet<>(vehicle.keySet());
    all.addAll(harness.keySet());
    Map<String, Integer> wanted = new LinkedHashMap<>();
    vehicle.forEach(
        (cavity, function) -> {
          if (!function.isEmpty()) {
            wanted.put(function, cavity);
          }
        });
    List<Integer> release = new ArrayList<>();
    Map<Integer, Integer> insert = new LinkedHashMap<>();
    for (int cavity : all) {
      String there = vehicle.getOrDefault(cavity, "");
      String bought = harness.getOrDefault(cavity, "");
      Kind kind;
      if (there.equals(bought)) {
        kind = there.isEmpty() ? Kind.EMPTY : Kind.AGREE;
      } else if (there.startsWith("?") || bought.startsWith("?")) {
        kind = Kind.UNKNOWN;
      } else if (bought.isEmpty()) {
        kind = harness.containsValue(there) ? Kind.EXCHANGE : Kind.EMPTY;
      } else {
        Integer home = wanted.get(bought);
        kind = home == null && there.isEmpty() ? Kind.EMPTY : Kind.EXCHANGE;
        release.add(cavity);
        if (home != null) {
          insert.put(cavity, home);
        }
      }
      lines.add(new Line(cavity, there, bought, kind));
    }
    return new CavityMatch(List.copyOf(lines), List.copyOf(release), insert);
  }

  /** Terminals that have to be moved: no fewer can do, since each wrong one must come out once. */
  public int moves() {
    return release.size();
  }

  public boolean agrees() {
    return release.isEmpty() && lines.stream().noneMatch(l -> l.kind() == Kind.UNKNOWN);
  }
}
