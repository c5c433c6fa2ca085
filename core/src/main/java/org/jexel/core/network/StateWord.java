package org.jexel.core.network;

import java.util.Arrays;
import java.util.Collection;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;

/** What may be switched on, held or pulled, in any combination. */
public enum StateWord {
  TAIL,
  LEFT,
  RIGHT,
  STOP,
  REVERSE,
  HAZARD,
  PEDAL,
  LEVER,
  RUNNING,
  BREAKAWAY,
  /** Coupler off the ball, or a card between. */
  LIFTED,
  UNPLUGGED;

  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** Every word, as people type them. */
  public static String list() {
    return Arrays.stream(values()).map(StateWord::word).collect(Collectors.joining(" "));
  }

  /**
   * @throws IllegalArgumentException for an unknown word; the message has the list
   */
  public static Set<StateWord> parse(Collection<String> words) {
    Set<StateWord> parsed = EnumSet.noneOf(StateWord.class);
    for (String typed : words) {
      String word = typed.strip();
      if (word.isEmpty()) {
        continue;
      }
      parsed.add(
          Arrays.stream(values())
              .filter(known -> known.word().equalsIgnoreCase(word))
              .findFirst()
              .orElseThrow(
                  () ->
                      new IllegalArgumentException(
                          "“%s” is no state. Known: %s.".formatted(word, list()))));
    }
    return parsed;
  }
}
