package org.jexel.core.check;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jexel.core.harness.Spot;
import org.jexel.core.network.StateWord;

/**
 * Checks that are taken in one go: a walk round the rig in one state, one word for each lamp or
 * wheel; all that is seen of a wheel with its drum off. A figure is a round of its own.
 *
 * @param checks at least one, all with one setup and place
 */
public record Round(List<Check> checks) {
  public Round {
    checks = List.copyOf(checks);
  }

  /** The rounds of these checks, in the order in which each begins. */
  public static List<Round> of(Collection<Check> checks) {
    Map<String, List<Check>> rounds = new LinkedHashMap<>();
    checks.forEach(c -> rounds.computeIfAbsent(c.round(), id -> new ArrayList<>()).add(c));
    return rounds.values().stream().map(Round::new).toList();
  }

  public String id() {
    return first().round();
  }

  public Check first() {
    return checks.get(0);
  }

  /** Whether words are said, not figures read. */
  public boolean words() {
    return !first().measure().words().isEmpty();
  }

  /** What is done, in a few words. */
  public String title() {
    return switch (first().measure()) {
      case GLOW -> "Look round: " + LoadedChecks.holding(first().probing().setup().state().on());
      case TURNING -> "Turn each braked wheel by hand";
      case FUSE -> "Look at the fuses of the socket";
      case WAKING -> first().title();
      case HUMMING -> "Listen at the brakes";
      case GRIPPING ->
          first().probing().setup().state().is(StateWord.BREAKAWAY)
              ? "Pull the breakaway pin: each wheel must stand"
              : "Hold each braked wheel against its brake";
      case ADJUSTING -> "Count the notches at each adjuster";
      case PLAY -> "Rock each braked wheel, and hear it turn";
      case TYRE -> "Gauge the tyres";
      case HEAT -> "Feel each drum after gentle stops";
      case LININGS -> "Take the drum off: " + first().key().spot().map(Spot::wheelLabel).orElse("");
      case MOVING -> Reach.valueOf(first().probing().red()).act();
      default -> first().title();
    };
  }

  /** Effort without the way there, min. */
  public double minutes() {
    return first().minutes();
  }
}
