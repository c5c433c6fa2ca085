package org.jexel.core.braking;

import java.util.Map;
import org.jexel.core.quantity.Measure;

/**
 * What can be the matter with a drum brake, its wheel or its load that no meter shows.
 *
 * <p>The shares of pull are starting values: linings that are wet lose 30 % and unburnished ones 35
 * %, and what is worn or greasy is worse than either.
 */
public enum BrakeCondition {
  /** The adjuster holds the shoes on the drum. */
  SET_TIGHT(1, 1, Map.of(Measure.ADJUSTING, 0.0)),
  /** The lever uses up its travel before the shoes press. */
  SET_SLACK(0.3, 0, Map.of(Measure.ADJUSTING, 2.0)),
  /** An adjuster that was kept up hides it until the drum is off. */
  SHOES_THIN(0.5, 0, Map.of(Measure.ADJUSTING, 1.5, Measure.LININGS, 2.0)),
  SHOES_GREASY(0.4, 0, Map.of(Measure.LININGS, 3.0)),
  SHOES_GLAZED(0.5, 0, Map.of(Measure.LININGS, 1.0)),
  /** The magnet pulls, and its lever does not move. */
  LEVER_SEIZED(0, 0, Map.of(Measure.LEVER, 1.0)),
  /** Lever or shoes stay where the last stop left them. */
  BRAKE_SEIZED(1.3, 1, Map.of(Measure.LEVER, 1.0)),
  /** The magnet hums on its post and does not reach the drum. */
  MAGNET_STUCK(0, 0, Map.of(Measure.MAGNET_FACE, 2.0)),
  MAGNET_WORN(0.5, 0, Map.of(Measure.MAGNET_FACE, 1.0)),
  /** Of an actuator: air in the lines, or no fluid. */
  AIR_IN_LINES(0, 0, Map.of(Measure.PRESSING, 0.0)),
  /** Of an actuator: pressure that does not stay. */
  FLUID_LEAKS(0.5, 0, Map.of(Measure.PRESSING, 1.0)),
  BEARING(1, 0.5, Map.of(Measure.PLAY, 1.0)),
  /** A tyre that drags pulls to its own side. */
  TYRE_SOFT(1, 0, Map.of(Measure.TYRE, 1.0)),
  /** More of the load on this side: brakes alike turn the trailer away from it. */
  LOAD_ASIDE(1, 0, Map.of());

  private final double pull;
  private final double drag;
  private final Map<Measure, Double> shows;

  BrakeCondition(double pull, double drag, Map<Measure, Double> shows) {
    this.pull = pull;
    this.drag = drag;
    this.shows = shows;
  }

  /** Share of the torque that the magnet's current would make of a sound brake. */
  public double pull() {
    return pull;
  }

  /**
   * Whether the wheel drags with everything off: 1 does, 0 does not, between either may be said.
   */
  public double drag() {
    return drag;
  }

  /** Whether it is an actuator's and its lines', not a drum's. */
  public boolean ofAnActuator() {
    return this == AIR_IN_LINES || this == FLUID_LEAKS;
  }

  /**
   * What a look at the wheel says.
   *
   * @param sound place of the word of a sound wheel
   * @return place of the word on the measure's scale
   */
  public double shows(Measure look, double sound) {
    return shows.getOrDefault(look, sound);
  }
}
