package org.jexel.core.check;

import java.util.List;
import java.util.stream.Stream;
import org.jexel.core.network.RigState;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Measure;

/**
 * Working without a helper in the cab: lamps and indicators stay on by themselves, a pedal and a
 * lever have to be held. What can be held alone is read first; the rest costs a prop and the walk.
 */
public final class Alone {
  /** To the cab, to prop the pedal and to look that it holds, and back, min. */
  private static final double WALK = 4;

  private Alone() {}

  /** Whether somebody in the cab has to hold something while this is read. */
  public static boolean needsHelper(Check check) {
    Setup setup = check.probing().setup();
    RigState state = setup.state();
    // Who looks at the controller sits at the pedal, and who drives has the lever.
    boolean inTheCab = check.measure() == Measure.WAKING || check.group() == Check.Group.DRIVEN;
    return setup.kind() == Setup.Kind.RIG
        && !inTheCab
        && Stream.of(StateWord.STOP, StateWord.PEDAL, StateWord.LEVER).anyMatch(state::is);
  }

  /** The same checks, those that need nobody else first. */
  public static List<Check> order(List<Check> checks) {
    return Stream.concat(
            checks.stream().filter(check -> !needsHelper(check)),
            checks.stream().filter(Alone::needsHelper))
        .toList();
  }

  /** Effort of a round for whoever works alone, min. */
  public static double minutes(Round round) {
    return round.minutes() + (round.checks().stream().anyMatch(Alone::needsHelper) ? WALK : 0);
  }
}
