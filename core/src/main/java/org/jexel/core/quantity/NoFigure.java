package org.jexel.core.quantity;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What a meter shows that is no figure, and the value that stands for it. */
public enum NoFigure {
  /** Nothing flows: above what a workshop meter tells from an open circuit. */
  OPEN(Measure.OHMS, "open", 1e6, List.of("ol", "o.l", "o.l.", "0l", "∞")),
  /**
   * Something else feeds the circuit, so that ohms would be a lie. As far below nothing as open is
   * above it: no resistance is near.
   */
  LIVE(Measure.OHMS, "live", -1e6, List.of("alive", "fed")),
  /** More than the fuse of the lead bears: above anything that an ammeter is put to. */
  BLOWN(Measure.AMPS, "blown", 1e6, List.of("blows", "fuse"));

  private static final NoFigure[] ALL = values();

  private final Measure measure;
  private final String word;
  private final double si;
  private final List<String> spellings;

  NoFigure(Measure measure, String word, double si, List<String> spellings) {
    this.measure = measure;
    this.word = word;
    this.si = si;
    this.spellings = spellings;
  }

  public String word() {
    return word;
  }

  /** The value that stands for it, Ω or A. */
  public double si() {
    return si;
  }

  /** What this value stands for; nothing if it is a figure. */
  public static Optional<NoFigure> of(Measure measure, double si) {
    // A loop: the finder asks this of every figure of every hypothesis.
    for (NoFigure f : ALL) {
      if (f.measure == measure && (f == LIVE ? si == f.si : si >= f.si)) {
        return Optional.of(f);
      }
    }
    return Optional.empty();
  }

  /** What was said instead of a figure; more may follow, as in “open circuit” or “OL ohm”. */
  static Optional<NoFigure> said(Measure measure, String typed) {
    String first = typed.split("\\s+", 2)[0].toLowerCase(Locale.ROOT);
    return Arrays.stream(values())
        .filter(f -> f.measure == measure)
        .filter(f -> f.word.equals(first) || f.spellings.contains(first))
        .findFirst();
  }
}
