package org.jexel.app.library;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jexel.core.cab.CavityMatch;
import org.jexel.core.cab.ControllerLead;
import org.jexel.core.cab.ControllerLines;
import org.jexel.core.cab.ControllerModel;
import org.jexel.core.cab.Mounting;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Must;
import org.jexel.core.quantity.Parsed;
import org.jexel.core.quantity.QuantityParser;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.ControllerKind;
import org.jspecify.annotations.Nullable;

/**
 * The form of a controller model: what was typed, and what it says.
 *
 * @param typed fields as typed
 * @param problems by field
 * @param model what the fields say; null while one of them cannot stand
 */
record ControllerForm(
    Map<String, String> typed, Map<String, String> problems, @Nullable ControllerModel model) {
  private static final int LONGEST_NOTES = 2000;

  /** An empty form, with what is usual. */
  static ControllerForm blank() {
    return new ControllerForm(
        Map.of(
            "kind",
            "UNDER_DASH",
            "least",
            "0",
            "greatest",
            "10",
            "step",
            "0.5",
            "supplyLeast",
            "10",
            "supplyGreatest",
            "16",
            "outputAmps",
            "25",
            "yaw",
            "10",
            "pitch",
            "15",
            "roll",
            "180"),
        Map.of(),
        null);
  }

  /** The form as it would have been typed for this model. */
  static ControllerForm of(ControllerModel m) {
    Map<String, String> typed = new LinkedHashMap<>();
    typed.put("label", m.label());
    typed.put("kind", m.kind().name());
    typed.put("least", plain(m.least()));
    typed.put("greatest", plain(m.greatest()));
    typed.put("step", plain(m.step()));
    typed.put("supplyLeast", plain(m.supplyLeast()));
    typed.put("supplyGreatest", plain(m.supplyGreatest()));
    typed.put("outputAmps", plain(m.outputAmps()));
    typed.put("yaw", plain(Math.toDegrees(m.limits().yaw())));
    typed.put("pitch", plain(Math.toDegrees(m.limits().pitch())));
    typed.put("roll", plain(Math.toDegrees(m.limits().roll())));
    if (m.limits().levels()) {
      typed.put("levels", "yes");
    }
    typed.put("assist", String.join(", ", m.assist()));
    typed.put(
        "leads",
        Arrays.stream(ControllerLead.values())
            .filter(m.leads()::containsKey)
            .map(lead -> lead.label() + " " + Must.have(m.leads(), lead).label())
            .collect(Collectors.joining("\n")));
    typed.put(
        "cavities",
        m.cavities().entrySet().stream()
            .map(e -> e.getKey() + " " + (e.getValue().isEmpty() ? "–" : e.getValue()))
            .collect(Collectors.joining("\n")));
    typed.put(
        "curve",
        m.curve().stream()
            .map(p -> plain(p.gain()) + " " + plain(p.volts()))
            .collect(Collectors.joining("\n")));
    typed.put("notes", m.notes());
    return new ControllerForm(typed, Map.of(), m);
  }

  private static String plain(double value) {
    return Measure.GAIN.number(value, UnitSystem.METRIC);
  }

  static ControllerForm read(Map<String, String> typed) {
    Map<String, String> problems = new LinkedHashMap<>();
    Reader in = new Reader(typed, problems);
    ControllerModel model =
        new ControllerModel(
            in.text("label"),
            in.kind(),
            in.number("least", Measure.GAIN),
            in.number("greatest", Measure.GAIN),
            in.number("step", Measure.GAIN),
            in.number("supplyLeast", Measure.VOLTS),
            in.number("supplyGreatest", Measure.VOLTS),
            in.number("outputAmps", Measure.AMPS),
            new Mounting.Limits(
                in.degrees("yaw"),
                in.degrees("pitch"),
                in.degrees("roll"),
                typed.containsKey("levels")),
            Arrays.stream(in.text("assist").split(","))
                .map(String::strip)
                .filter(level -> !level.isEmpty())
                .toList(),
            in.lines("leads", ControllerLines::leads, Map.of()),
            new TreeMap<>(in.lines("cavities", CavityMatch::parse, Map.of())),
            in.lines("curve", ControllerLines::curve, List.of()),
            in.notes());
    for (ControllerModel.Problem problem : model.problems()) {
      problems.putIfAbsent(problem.field(), problem.message());
    }
    return new ControllerForm(typed, problems, problems.isEmpty() ? model : null);
  }

  public String text(String field) {
    return typed.getOrDefault(field, "");
  }

  /** Reads single fields and notes beside each why it cannot be read. */
  private record Reader(Map<String, String> typed, Map<String, String> problems) {
    String text(String field) {
      return typed.getOrDefault(field, "").strip();
    }

    String notes() {
      String notes = text("notes").replace("\r", "");
      if (notes.length() > LONGEST_NOTES) {
        problems.put("notes", "At most " + LONGEST_NOTES + " letters.");
      }
      return notes;
    }

    ControllerKind kind() {
      return Arrays.stream(ControllerKind.values())
          .filter(kind -> kind.name().equals(text("kind").toUpperCase(Locale.ROOT)))
          .findFirst()
          .orElse(ControllerKind.NONE);
    }

    double number(String field, Measure measure) {
      Parsed parsed = QuantityParser.parse(text(field), measure, UnitSystem.METRIC);
      if (parsed instanceof Parsed.Value value) {
        return value.si();
      }
      problems.put(field, ((Parsed.Misread) parsed).message());
      return Double.NaN;
    }

    double degrees(String field) {
      return Math.toRadians(number(field, Measure.GAIN));
    }

    <T> T lines(String field, Function<String, T> read, T otherwise) {
      try {
        return read.apply(text(field).replace("\r", ""));
      } catch (IllegalArgumentException e) {
        problems.put(field, e.getMessage());
        return otherwise;
      }
    }
  }
}
