package org.jexel.core.connector;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jexel.core.quantity.Phrase;

/**
 * Reads a person's own connector from lines of {@code number function [rating A] [clock]}, such as
 * {@code 1 earth 30 5}. The letters stamped on round connectors are understood as functions too.
 */
public final class PinList {
  /** No connector of the trade has more contacts. */
  private static final int MOST_LINES = 64;

  private static final int LONGEST_LINE = 120;
  private static final double USUAL_AMPS = 15;
  private static final double MOST_AMPS = 100;

  private static final Map<String, PinFunction> WORDS = new HashMap<>();

  static {
    for (PinFunction function : PinFunction.values()) {
      WORDS.put(function.label(), function);
    }
    WORDS.put("ground", PinFunction.EARTH);
    WORDS.put("gd", PinFunction.EARTH);
    WORDS.put("tm", PinFunction.TAIL);
    WORDS.put("lt", PinFunction.LEFT);
    WORDS.put("rt", PinFunction.RIGHT);
    WORDS.put("s", PinFunction.BRAKE);
    WORDS.put("a", PinFunction.CHARGE);
  }

  /** A list that cannot be read; the line counts from 1, 0 is the list as a whole. */
  public static final class Unreadable extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;

    Unreadable(int line, String message) {
      super(line == 0 ? message : "Line " + line + ": " + message);
    }
  }

  private PinList() {}

  /**
   * @throws Unreadable with the line and what would be understood
   */
  public static Connector parse(String text, String convention) {
    List<Pin> pins = new ArrayList<>();
    Map<PinFunction, Integer> functions = new HashMap<>();
    int line = 0;
    int from = 0;
    while (from <= text.length()) {
      int end = text.indexOf('\n', from);
      end = end < 0 ? text.length() : end;
      line++;
      if (line > MOST_LINES) {
        throw new Unreadable(line, "more than " + MOST_LINES + " lines; this is no connector.");
      }
      if (end - from > LONGEST_LINE) {
        throw new Unreadable(line, "too long to be a pin.");
      }
      String words = text.substring(from, end).strip();
      if (!words.isEmpty() && !words.startsWith("#")) {
        Pin pin = pin(words.split("[\\s,;:]+"), line);
        int number = pin.number();
        if (pins.stream().anyMatch(p -> p.number() == number)) {
          throw new Unreadable(line, "pin " + number + " stands twice.");
        }
        Integer before = functions.put(pin.function(), line);
        if (before != null) {
          throw new Unreadable(
              line, pin.function().label() + " stands on line " + before + " already.");
        }
        pins.add(pin);
      }
      from = end + 1;
    }
    if (pins.isEmpty()) {
      throw new Unreadable(0, "No pin yet. Write one a line, such as “1 earth 30 5”.");
    }
    if (!functions.containsKey(PinFunction.EARTH)) {
      throw new Unreadable(0, "No earth pin: one line must say which pin is earth.");
    }
    return new Connector("own", "Own connector", convention, List.of(), pins);
  }

  private static Pin pin(String[] words, int line) {
    if (words.length < 2) {
      throw new Unreadable(line, "expected a number and a function, such as “1 earth”.");
    }
    int number = (int) number(words[0], 1, 99, "pin number", line);
    PinFunction function = WORDS.get(words[1].toLowerCase(Locale.ROOT));
    if (function == null) {
      throw new Unreadable(
          line,
          "“%s” is no function. Known: earth, tail, left, right, stop, reverse, brake, charge."
              .formatted(words[1]));
    }
    double rating =
        words.length > 2 ? number(words[2], 1, MOST_AMPS, "rating in A", line) : USUAL_AMPS;
    int clock = words.length > 3 ? (int) number(words[3], 0, 12, "clock position", line) : -1;
    return new Pin(number, function, rating, clock);
  }

  private static double number(String word, double least, double most, String what, int line) {
    try {
      double value = Double.parseDouble(word.replaceAll("[aA]$", ""));
      if (value >= least && value <= most) {
        return value;
      }
    } catch (NumberFormatException e) {
      // Told below, with what would be understood.
    }
    throw new Unreadable(
        line, Phrase.of("“%s” is no %s from %.0f to %.0f.", word, what, least, most));
  }
}
