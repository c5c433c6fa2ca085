package org.jexel.app.job;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Function;
import org.jexel.app.bench.Reading;
import org.jexel.app.cab.CabNote;
import org.jexel.app.harness.StepTick;
import org.jexel.app.rig.LampEntry;
import org.jexel.app.rig.LoadLine;
import org.jexel.app.rig.RigFigure;
import org.jexel.app.road.GainSetting;
import org.jexel.app.road.TestStop;
import org.jexel.core.connector.ConnectorCatalog;
import org.jexel.core.quantity.Phrase;
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

  /** The same rows with other readings. */
  Rows with(List<Reading> others) {
    return new Rows(figures, lamps, loads, others, stops, settings, ticks, cabNotes);
  }

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

  /** Every row that may not go with the others, in the order in which they lean on each other. */
  List<Object> leaning() {
    List<Object> all = new ArrayList<>(figures);
    all.addAll(lamps);
    all.addAll(loads);
    all.addAll(stops);
    all.addAll(settings);
    all.addAll(cabNotes);
    all.addAll(readings);
    return all;
  }

  /** These rows, of those that lean on each other the given ones alone. */
  Rows only(Collection<Object> some) {
    Set<Object> kept = Collections.newSetFromMap(new IdentityHashMap<>());
    kept.addAll(some);
    return new Rows(
        in(figures, kept),
        in(lamps, kept),
        in(loads, kept),
        in(readings, kept),
        in(stops, kept),
        in(settings, kept),
        ticks,
        in(cabNotes, kept));
  }

  private static <T> List<T> in(List<T> rows, Set<Object> kept) {
    return rows.stream().filter(kept::contains).toList();
  }

  /** What the page calls a row. */
  static String name(Object row) {
    if (row instanceof RigFigure figure) {
      return name(figure);
    } else if (row instanceof LampEntry lamp) {
      return name(lamp);
    } else if (row instanceof LoadLine line) {
      return name(line);
    } else if (row instanceof TestStop stop) {
      return name(stop);
    } else if (row instanceof GainSetting setting) {
      return name(setting);
    } else if (row instanceof CabNote note) {
      return name(note);
    }
    return name((Reading) row);
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
    return Phrase.of("reading “%s” of %s, row %d", reading.typed(), reading.title(), reading.id());
  }

  private static String name(TestStop stop) {
    return Phrase.of("test stop at gain %s, row %d", stop.gain(), stop.id());
  }

  private static String name(GainSetting setting) {
    return Phrase.of("settled gain %s, row %d", setting.gain(), setting.id());
  }

  private static String name(CabNote note) {
    return "cab card “" + note.card() + "”, row " + note.id();
  }
}
