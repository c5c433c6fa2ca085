package org.jexel.app.cab;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.jexel.core.cab.StopSignal;
import org.jexel.core.check.Plausible;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Parsed;
import org.jexel.core.quantity.QuantityParser;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.YesNo;
import org.jspecify.annotations.Nullable;

/**
 * The stop-signal finder's form, and what it found.
 *
 * @param rows one for each candidate wire
 * @param found over the rows that could be read
 */
record SignalCard(List<Row> rows, StopSignal found) {
  private static final int ROWS = 5;

  /**
   * @param number from 1
   * @param typed its fields by name
   * @param problem why it could not be read; null if it could
   * @param kind what the wire is; null without readings
   */
  record Row(
      int number,
      Map<String, String> typed,
      @Nullable String problem,
      StopSignal.@Nullable Kind kind) {
    public String text(String field) {
      return typed.getOrDefault(field, "");
    }
  }

  static SignalCard of(Rig rig, Map<String, String> typed) {
    double supply = rig.sheet().si(RigField.ENGINE_OFF_VOLTS);
    boolean monitored = rig.sheet().choice(RigField.LAMPS_MONITORED, YesNo.class) == YesNo.YES;
    List<StopSignal.Reading> readings = new ArrayList<>();
    Map<Integer, String> problems = new LinkedHashMap<>();
    Map<Integer, StopSignal.Reading> byRow = new LinkedHashMap<>();
    for (int i = 1; i <= ROWS; i++) {
      Map<String, String> row = row(typed, i);
      if (row.isEmpty()) {
        continue;
      }
      try {
        StopSignal.Reading reading = reading(row, i, supply);
        readings.add(reading);
        byRow.put(i, reading);
      } catch (IllegalArgumentException e) {
        problems.put(i, e.getMessage());
      }
    }
    StopSignal found = StopSignal.of(readings, supply, monitored);
    List<Row> rows = new ArrayList<>();
    for (int i = 1; i <= ROWS; i++) {
      StopSignal.Reading own = byRow.get(i);
      StopSignal.Kind kind =
          found.wires().stream()
              .filter(w -> w.reading() == own)
              .map(StopSignal.Wire::kind)
              .findFirst()
              .orElse(null);
      rows.add(new Row(i, row(typed, i), problems.get(i), kind));
    }
    return new SignalCard(rows, found);
  }

  private static Map<String, String> row(Map<String, String> typed, int i) {
    Map<String, String> row = new LinkedHashMap<>();
    for (String field : List.of("wire", "up", "down", "upKey", "downKey", "flashes")) {
      String text = typed.getOrDefault(field + i, "").strip();
      if (!text.isEmpty()) {
        row.put(field, text);
      }
    }
    return row;
  }

  private static StopSignal.Reading reading(Map<String, String> row, int number, double supply) {
    boolean up = row.containsKey("up") || row.containsKey("upKey");
    boolean down = row.containsKey("down") || row.containsKey("downKey");
    if (!up || !down) {
      throw new IllegalArgumentException("Read it with the pedal up and with the pedal down.");
    }
    return new StopSignal.Reading(
        row.getOrDefault("wire", "wire " + number),
        volts(row.get("up"), supply),
        volts(row.get("down"), supply),
        volts(row.get("upKey"), supply),
        volts(row.get("downKey"), supply),
        row.containsKey("flashes"));
  }

  private static double volts(@Nullable String text, double supply) {
    if (text == null) {
      return Double.NaN;
    }
    OptionalDouble lamp = StopSignal.lamp(text, supply);
    if (lamp.isPresent()) {
      return lamp.getAsDouble();
    }
    Parsed parsed = QuantityParser.parse(text, Measure.VOLTS, UnitSystem.METRIC);
    if (parsed instanceof Parsed.Misread) {
      throw new IllegalArgumentException(
          "“" + text + "” is not understood. Type volts, or on, off, dim.");
    }
    double si = ((Parsed.Value) parsed).si();
    Plausible.problem(Measure.VOLTS, si)
        .ifPresent(
            problem -> {
              throw new IllegalArgumentException(problem);
            });
    return si;
  }
}
