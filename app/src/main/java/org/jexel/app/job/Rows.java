package org.jexel.app.job;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Predicate;
import org.jexel.app.bench.Reading;
import org.jexel.app.cab.CabNote;
import org.jexel.app.harness.StepTick;
import org.jexel.app.rig.LampEntry;
import org.jexel.app.rig.LoadLine;
import org.jexel.app.rig.RigFigure;
import org.jexel.app.road.GainSetting;
import org.jexel.app.road.TestStop;
import org.jexel.core.connector.ConnectorCatalog;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.RigSheet;

/** The stored rows of one job, each list oldest first. */
record Rows(
    List<RigFigure> figures,
    List<LampEntry> lamps,
    List<LoadLine> loads,
    List<Reading> readings,
    List<TestStop> stops,
    List<GainSetting> settings,
    List<StepTick> ticks,
    List<CabNote> cabNotes) {

  /**
   * These rows without those that say nothing to the core any more, be they from an older version
   * or from outside.
   *
   * @param out takes what was left out
   */
  Rows digestible(ConnectorCatalog catalog, List<LeftOut> out) {
    return new Rows(
        keep(figures, Rows::name, row -> check(row, catalog), out),
        keep(lamps, Rows::name, LampEntry::lamp, out),
        keep(loads, Rows::name, LoadLine::item, out),
        keep(readings, Rows::name, Reading::digest, out),
        keep(stops, Rows::name, TestStop::digest, out),
        keep(settings, Rows::name, GainSetting::surface, out),
        ticks,
        keep(cabNotes, Rows::name, CabNote::fields, out));
  }

  private static void check(RigFigure row, ConnectorCatalog catalog) {
    FieldKey key = row.key();
    if (!row.cleared()) {
      RigSheet.check(key, row.entry(), catalog);
    }
  }

  private static <T> List<T> keep(
      List<T> rows, Function<T, String> name, Consumer<T> digest, List<LeftOut> out) {
    List<T> kept = new ArrayList<>(rows.size());
    for (T row : rows) {
      try {
        digest.accept(row);
        kept.add(row);
      } catch (RuntimeException cannot) {
        out.add(new LeftOut(name.apply(row), why(cannot)));
      }
    }
    return kept;
  }

  /** In the words of whoever reads the page: a word of another version is named as such. */
  private static String why(RuntimeException cannot) {
    String message = String.valueOf(cannot.getMessage());
    return message.startsWith("No enum constant")
        ? "“" + message.substring(message.lastIndexOf('.') + 1) + "” is no word of this version"
        : message;
  }

  /** Each row that can be left out, newest kinds first, with all the others. */
  Map<String, Rows> eachLeftOut() {
    Map<String, Rows> without = new LinkedHashMap<>();
    reversed(readings)
        .forEach(r -> without.put(name(r), with(figures, lamps, loads, but(readings, r), stops)));
    reversed(figures)
        .forEach(f -> without.put(name(f), with(but(figures, f), lamps, loads, readings, stops)));
    reversed(lamps)
        .forEach(l -> without.put(name(l), with(figures, but(lamps, l), loads, readings, stops)));
    reversed(loads)
        .forEach(l -> without.put(name(l), with(figures, lamps, but(loads, l), readings, stops)));
    reversed(stops)
        .forEach(s -> without.put(name(s), with(figures, lamps, loads, readings, but(stops, s))));
    return without;
  }

  /** Nothing but the work's ticks: what opens whatever the rest says. */
  Rows bare() {
    List<LampEntry> noLamps = List.of();
    return with(List.of(), noLamps, List.of(), List.of(), List.of());
  }

  private Rows with(
      List<RigFigure> someFigures,
      List<LampEntry> someLamps,
      List<LoadLine> someLoads,
      List<Reading> someReadings,
      List<TestStop> someStops) {
    return new Rows(
        someFigures, someLamps, someLoads, someReadings, someStops, settings, ticks, cabNotes);
  }

  private static <T> List<T> but(List<T> rows, T one) {
    return rows.stream().filter(Predicate.not(one::equals)).toList();
  }

  private static <T> List<T> reversed(List<T> rows) {
    List<T> turned = new ArrayList<>(rows);
    Collections.reverse(turned);
    return turned;
  }

  private static String name(RigFigure f) {
    return "figure " + f.code() + ", row " + f.id();
  }

  private static String name(LampEntry lamp) {
    return "lamp " + lamp.slot() + ", row " + lamp.id();
  }

  private static String name(LoadLine line) {
    return "load “" + line.name() + "”, row " + line.id();
  }

  private static String name(Reading reading) {
    return "reading “%s” of %s, row %d".formatted(reading.typed(), reading.title(), reading.id());
  }

  private static String name(TestStop stop) {
    return "test stop at gain %s, row %d".formatted(stop.gain(), stop.id());
  }

  private static String name(GainSetting setting) {
    return "settled gain %s, row %d".formatted(setting.gain(), setting.id());
  }

  private static String name(CabNote note) {
    return "cab card “" + note.card() + "”, row " + note.id();
  }
}
