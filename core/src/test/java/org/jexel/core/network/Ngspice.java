package org.jexel.core.network;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;

/** Runs a deck in stock ngspice and reads what it found. */
public final class Ngspice {
  private final Map<String, Double> values;

  private Ngspice(Map<String, Double> values) {
    this.values = values;
  }

  public static Ngspice run(String deck) {
    try {
      Path folder = Files.createTempDirectory("jexel-spice");
      Path file = Files.writeString(folder.resolve("deck.cir"), deck);
      Path raw = folder.resolve("deck.raw");
      Path log = folder.resolve("log");
      Process process =
          new ProcessBuilder("ngspice", "-b", "-r", raw.toString(), file.toString())
              .redirectErrorStream(true)
              .redirectOutput(log.toFile())
              .start();
      int code = process.waitFor();
      if (code != 0 || !Files.exists(raw)) {
        throw new IllegalStateException(Files.readString(log) + "\n" + deck);
      }
      Map<String, Double> values = read(Files.readAllBytes(raw));
      for (Path each : new Path[] {file, raw, log, folder}) {
        Files.deleteIfExists(each);
      }
      return new Ngspice(values);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  /** A raw file: a header of lines, then one double for each variable. */
  private static Map<String, Double> read(byte[] raw) throws IOException {
    String text = new String(raw, StandardCharsets.ISO_8859_1);
    int data = text.indexOf("Binary:\n") + "Binary:\n".length();
    String[] lines = text.substring(text.indexOf("Variables:") + 11, data).split("\n");
    ByteBuffer doubles =
        ByteBuffer.wrap(raw, data, raw.length - data).order(ByteOrder.LITTLE_ENDIAN);
    Map<String, Double> values = new HashMap<>();
    for (String line : lines) {
      String[] parts = line.strip().split("\t");
      if (parts.length == 3) {
        values.put(parts[1], doubles.getDouble());
      }
    }
    return values;
  }

  public double volts(String node) {
    return value("v(" + node + ")");
  }

  public double amps(String element) {
    return element.startsWith("v_")
        ? value("i(" + element + ")")
        : value("i(@" + element + (element.startsWith("d_") ? "[id])" : "[i])"));
  }

  private double value(String name) {
    Double value = values.get(name);
    if (value == null) {
      throw new IllegalArgumentException(
          "ngspice told no " + name + "; it told " + values.keySet());
    }
    return value;
  }
}
