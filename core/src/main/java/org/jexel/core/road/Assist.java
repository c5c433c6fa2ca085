package org.jexel.core.road;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.jexel.core.quantity.Phrase;

/**
 * The start-up assist of a controller that goes by inertia: what it gives before it feels anything.
 * First by the masses, a trailer well under its vehicle needing the least; then by feel, a level at
 * a time, each time logged.
 *
 * @param levels names, weakest first
 * @param byMass level to begin with
 * @param level to use now
 * @param right whether the last one was found right
 * @param why in a sentence
 */
public record Assist(List<String> levels, int byMass, int level, boolean right, String why) {
  /** Mass ratios below which a trailer is well under its vehicle, and about as heavy. */
  private static final double WELL_UNDER = 0.8;

  private static final double ABOUT = 1.2;

  public Assist {
    levels = List.copyOf(levels);
  }

  /** How the first moment of a stop by the pedal felt. */
  public enum Feel {
    LATE("It pushed at first", 1),
    RIGHT("It came with the pedal", 0),
    HARSH("It tugged at walking pace", -1);

    private final String label;
    private final int step;

    Feel(String label, int step) {
      this.label = label;
      this.step = step;
    }

    public String label() {
      return label;
    }
  }

  /** One trial of a level. */
  public record Felt(String level, Feel feel) {}

  /** As it is written down; empty for a word that is none. */
  public static Optional<Felt> felt(String level, String feel) {
    return Arrays.stream(Feel.values())
        .filter(word -> word.name().equals(feel))
        .map(word -> new Felt(level, word))
        .findFirst();
  }

  /**
   * @param levels of the model, weakest first; at least one
   * @param vehicleMass kg
   * @param trailerMass with load, kg
   * @param felt oldest first; levels that the model does not have count for nothing
   */
  public static Assist of(
      List<String> levels, double vehicleMass, double trailerMass, List<Felt> felt) {
    double ratio = trailerMass / vehicleMass;
    int byMass = Math.min(levels.size() - 1, ratio < WELL_UNDER ? 0 : ratio <= ABOUT ? 1 : 2);
    Optional<Felt> last =
        felt.stream().filter(one -> levels.contains(one.level)).reduce((a, b) -> b);
    if (last.isEmpty()) {
      return new Assist(levels, byMass, byMass, false, masses(ratio));
    }
    int tried = levels.indexOf(last.get().level);
    int next = Math.max(0, Math.min(levels.size() - 1, tried + last.get().feel.step));
    boolean between =
        next > tried && felt.contains(new Felt(levels.get(next), Feel.HARSH))
            || next < tried && felt.contains(new Felt(levels.get(next), Feel.LATE));
    if (between) {
      int weaker = Math.min(next, tried);
      return new Assist(
          levels,
          byMass,
          weaker,
          true,
          Phrase.of(
              "%s pushes at first and the next one tugs: the weaker of the two stays.",
              levels.get(weaker)));
    }
    return new Assist(
        levels,
        byMass,
        next,
        next == tried,
        Phrase.of("%s: %s.", last.get().level, said(last.get(), next == tried)));
  }

  private static String masses(double ratio) {
    return Phrase.of(
        "The trailer is %.0f %% of its vehicle: %s.",
        100 * ratio,
        ratio < WELL_UNDER
            ? "well under it, none or the least"
            : ratio <= ABOUT ? "about as heavy, one more" : "heavier, two more");
  }

  private static String said(Felt felt, boolean stays) {
    String label = Phrase.within(felt.feel.label);
    return stays && felt.feel != Feel.RIGHT ? label + ", and the model has no other" : label;
  }
}
