package org.jexel.core;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.jexel.core.connector.Connector;
import org.jexel.core.connector.ConnectorCatalog;
import org.jexel.core.connector.Convention;
import org.jexel.core.quantity.Provenance;
import org.jexel.core.rig.Entry;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.LampOffer;
import org.jexel.core.rig.LoadItem;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;

/** Rigs for tests, made the way the application makes them. */
public final class Rigs {
  public static final ConnectorCatalog CATALOG =
      new ConnectorCatalog(
          read("connectors", Connector.class), read("conventions", Convention.class));

  private Rigs() {}

  private static <T> List<T> read(String folder, Class<T> type) {
    List<T> all = new ArrayList<>();
    File[] files = new File("src/main/resources/org/jexel/core/connector/" + folder).listFiles();
    for (File file : files) {
      try {
        all.add(new ObjectMapper().readValue(file, type));
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
    return all;
  }

  /** A sheet from pairs of field (or field code) and value: a number, or the name of a choice. */
  public static RigSheet sheet(Object... pairs) {
    Map<FieldKey, Entry> entries = new HashMap<>();
    for (int i = 0; i < pairs.length; i += 2) {
      FieldKey key =
          pairs[i] instanceof RigField field ? FieldKey.of(field) : FieldKey.of((String) pairs[i]);
      Object value = pairs[i + 1];
      entries.put(
          key,
          value instanceof Number n
              ? Entry.number(n.doubleValue(), Provenance.MEASURED)
              : Entry.choice((String) value, Provenance.MEASURED));
    }
    return new RigSheet(entries, CATALOG);
  }

  public static Rig rig(RigSheet sheet, LoadItem... load) {
    return new Rig(sheet, LampOffer.with(sheet, List.of()), List.of(load));
  }

  /**
   * Two braked axles, 7-way blade on both halves.
   *
   * @param more pairs of field and value
   */
  public static Rig twoAxles(Object... more) {
    Object[] braked = {
      RigField.AXLE_COUNT, 2,
      RigField.BRAKE_TYPE, "ELECTRIC",
      RigField.TOW_CONNECTOR, "blade-7",
      RigField.TRAILER_CONNECTOR, "blade-7",
      RigField.CONTROLLER_KIND, "UNDER_DASH"
    };
    return rig(sheet(Stream.of(braked, more).flatMap(Stream::of).toArray()));
  }

  /** One braked axle. */
  public static Rig oneAxle() {
    return rig(
        sheet(
            RigField.AXLE_COUNT, 1,
            RigField.BRAKE_TYPE, "ELECTRIC",
            RigField.TOW_CONNECTOR, "blade-7",
            RigField.TRAILER_CONNECTOR, "blade-7"));
  }

  /** A small trailer without brakes on a 4-way connector. */
  public static Rig unbraked() {
    return rig(sheet(RigField.TRAILER_KIND, "STALL"));
  }
}
