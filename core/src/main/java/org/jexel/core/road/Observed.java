package org.jexel.core.road;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jexel.core.quantity.Phrase;

/**
 * What was seen of a stop besides its outcome.
 *
 * @param how it was seen
 * @param pull to which side the trailer pulled
 * @param feel at the coupling
 * @param wheels outcome of single wheels, where somebody saw them
 * @param place where it was driven; empty for none
 */
public record Observed(How how, Pull pull, Feel feel, List<Wheel> wheels, String place) {
  /** Nothing was said. */
  public static final Observed NOTHING =
      new Observed(How.UNSAID, Pull.UNSAID, Feel.UNSAID, List.of(), "");

  public Observed {
    wheels = List.copyOf(wheels);
  }

  /** All that was said, in a line; empty for nothing. */
  public String words() {
    Stream<String> seen =
        Stream.of(
            how == How.UNSAID ? "" : Phrase.within(how.label()),
            pull == Pull.UNSAID
                ? ""
                : pull == Pull.STRAIGHT ? "straight" : "pulled " + Phrase.within(pull.label()),
            feel == Feel.UNSAID
                ? ""
                : feel == Feel.EVEN ? "no push or tug" : Phrase.within(feel.label()),
            place);
    Stream<String> each =
        wheels.stream().map(w -> w.label() + " " + Phrase.within(w.outcome().label()));
    return Stream.concat(seen, each).filter(w -> !w.isEmpty()).collect(Collectors.joining(", "));
  }

  /**
   * One wheel.
   *
   * @param axle from the front, from 0
   */
  public record Wheel(int axle, boolean left, Outcome outcome) {
    public String label() {
      return "axle " + (axle + 1) + " " + (left ? "left" : "right");
    }
  }

  /** How an outcome was seen. */
  public enum How {
    UNSAID("Not said"),
    OUTSIDE("Somebody outside"),
    SQUEAL("Squeal"),
    SMOKE("Smoke or dust in the mirror"),
    FELT("Felt");

    private final String label;

    How(String label) {
      this.label = label;
    }

    public String label() {
      return label;
    }
  }

  /** To which side. */
  public enum Pull {
    UNSAID("Not said"),
    STRAIGHT("Straight"),
    LEFT("To the left"),
    RIGHT("To the right");

    private final String label;

    Pull(String label) {
      this.label = label;
    }

    public String label() {
      return label;
    }
  }

  /** What the coupling does to the vehicle. */
  public enum Feel {
    UNSAID("Not said"),
    PUSH("It pushes"),
    EVEN("Neither"),
    TUG("It tugs");

    private final String label;

    Feel(String label) {
      this.label = label;
    }

    public String label() {
      return label;
    }
  }
}
