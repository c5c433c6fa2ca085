package org.jexel.core.quantity;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What an ohmmeter shows that is no figure, and the value that stands for it. */
public enum NoFigure {
  /** Nothing flows: above what a workshop meter tells from an open circuit. */
  OPEN("open", 1e6, List.of("ol", "o.l", "o.l.", "0l", "∞")),
  /**
   * Something else feeds the circuit, so that ohms would be a lie. As far below nothing as open is
   * above it: no resistance is near.
   */
  LIVE("live", -1e6, List.of("alive", "fed"));

  private final String word;
  private final double si;
  private final List<String> spellings;

  NoFigure(String word, double si, List<String> spellings) {
    this.word = word;
    this.si = si;
    this.spellings = spellings;
  }

  public String word() {
    return word;
  }

  /** The value that stands for it, Ω. */
  public double si() {
    return si;
  }

  /** What this value stands for; nothing if it is a figure. */
  public static Optional<NoFigure> of(Measure measure, double si) {
    return measure != Measure.OHMS
        ? Optional.empty()
        : si >= OPEN.si ? Optional.of(OPEN) : si == LIVE.si ? Optional.of(LIVE) : Optional.empty();
  }

  /** What was said instead of a figure; more may follow, as in “open circuit” or “OL ohm”. */
  static Optional<NoFigure> said(Measure measure, String typed) {
    String first = typed.split("\\s+", 2)[0].toLowerCase(Locale.ROOT);
    return measure != Measure.OHMS
        ? Optional.empty()
        : Arrays.stream(values())
            .filter(f -> f.word.equals(first) || f.spellings.contains(first))
            .findFirst();
  }
}
