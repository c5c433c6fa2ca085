package org.jexel.app.road;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * A column of a recording, by the name in its first line: what it is, then its unit in brackets or
 * behind a blank or an underline, as in {@code time (ms)}, {@code speed_kmh}, {@code ax [g]}.
 *
 * @param what it holds
 * @param scale to SI; null where no unit is named
 */
record TraceHead(What what, @Nullable Double scale) {
  /** What a column can hold. */
  enum What {
    TIME,
    SPEED,
    DECELERATION,
    ALONG,
    X,
    Y,
    Z
  }

  private static final Pattern NAMED =
      Pattern.compile(
          "(?<name>.*?)[ _]*[\\[(]?(?<unit>km/?h|kph|mph|m/s/s|m/s[2²]|m/s\\^2|m/s|ms|[uµ]s|ns|sec|s|g)?[\\])]?");

  private static final Pattern AXIS =
      Pattern.compile("(.*[^a-z])?(a|acc|accel|acceleration)?([xyz])");

  /** Columns of other instruments that have three axes too. */
  private static final Pattern OTHER = Pattern.compile(".*(gyro|rot|mag|angle|gravity).*");

  private static final Map<String, Double> UNITS =
      Map.ofEntries(
          Map.entry("s", 1.0),
          Map.entry("sec", 1.0),
          Map.entry("ms", 1e-3),
          Map.entry("us", 1e-6),
          Map.entry("µs", 1e-6),
          Map.entry("ns", 1e-9),
          Map.entry("km/h", 1 / 3.6),
          Map.entry("kmh", 1 / 3.6),
          Map.entry("kph", 1 / 3.6),
          Map.entry("mph", 0.44704),
          Map.entry("m/s", 1.0),
          Map.entry("m/s2", 1.0),
          Map.entry("m/s²", 1.0),
          Map.entry("m/s^2", 1.0),
          Map.entry("m/s/s", 1.0),
          Map.entry("g", 9.80665));

  /** Empty for a column that nobody needs. */
  static Optional<TraceHead> of(String written) {
    String text = written.strip().toLowerCase(Locale.ROOT);
    Matcher named = NAMED.matcher(text);
    if (!named.matches()) {
      return Optional.empty();
    }
    String unit = named.group("unit");
    String name = named.group("name").strip();
    if (name.isEmpty()) {
      // A column that is called by its unit alone.
      return unit == null ? Optional.empty() : alone(unit);
    }
    return what(name).map(what -> new TraceHead(what, unit == null ? null : UNITS.get(unit)));
  }

  private static Optional<TraceHead> alone(String unit) {
    Double scale = UNITS.get(unit);
    return switch (unit) {
      case "s", "sec", "ms" -> Optional.of(new TraceHead(What.TIME, scale));
      case "km/h", "kmh", "kph", "mph", "m/s" -> Optional.of(new TraceHead(What.SPEED, scale));
      default -> Optional.empty();
    };
  }

  private static Optional<What> what(String name) {
    return switch (name) {
      case "time", "t", "seconds", "second", "timestamp", "elapsed" -> Optional.of(What.TIME);
      case "speed", "v", "velocity" -> Optional.of(What.SPEED);
      case "deceleration", "braking" -> Optional.of(What.DECELERATION);
      case "a", "acceleration", "acc" -> Optional.of(What.ALONG);
      default -> axis(name);
    };
  }

  private static Optional<What> axis(String name) {
    Matcher axis = AXIS.matcher(name);
    return !axis.matches() || OTHER.matcher(name).matches()
        ? Optional.empty()
        : Optional.of(What.valueOf(axis.group(3).toUpperCase(Locale.ROOT)));
  }
}
