package org.jexel.core.road;

import org.jexel.core.braking.Control;
import org.jexel.core.braking.Drive;
import org.jexel.core.braking.StopRun;
import org.jexel.core.braking.Surface;
import org.jexel.core.braking.Train;
import org.jexel.core.rig.ControllerKind;

/**
 * A stop that is tried in the computer before anybody drives it.
 *
 * @param gain on the controller's scale
 * @param speed at its start, m/s
 * @param slope rise in the direction of travel, m for a metre
 * @param way lever or pedal
 * @param pedal deceleration that the pedal asks the vehicle for, m/s²; nothing to a lever
 * @param law what the controller goes by
 * @param yaw of the controller, turned away from the direction of travel, rad
 * @param pitch of the controller, nose up, rad
 * @param trailerMass with load, kg
 */
public record StopTrial(
    double gain,
    double speed,
    Surface surface,
    double slope,
    TestStop.Way way,
    double pedal,
    Control.Law law,
    double yaw,
    double pitch,
    double trailerMass) {
  /** A firm stop, as the pedal asks for it, m/s². */
  public static final double FIRM = 4;

  /** A firm stop on the level, with a controller that is mounted well. */
  public static StopTrial of(
      double gain,
      double speed,
      Surface surface,
      TestStop.Way way,
      ControllerKind kind,
      double trailerMass) {
    return new StopTrial(gain, speed, surface, 0, way, FIRM, law(kind), 0, 0, trailerMass);
  }

  /** What a kind of controller goes by. */
  public static Control.Law law(ControllerKind kind) {
    return switch (kind) {
      case BUILT_IN, PRESSURE -> Control.Law.PEDAL;
      case TIMED -> Control.Law.TIMED;
      case UNDER_DASH, REMOTE_KNOB, WIRELESS, NONE -> Control.Law.INERTIA;
    };
  }

  /** The same at another gain, by the pedal. */
  StopTrial at(double other) {
    return new StopTrial(
        other, speed, surface, slope, TestStop.Way.PEDAL, pedal, law, yaw, pitch, trailerMass);
  }

  public StopRun run(Train train, GainScale scale) {
    return run(train, way, scale.share(gain));
  }

  /** The same stop by the vehicle alone: the pedal, whatever the way, and no trailer brakes. */
  public StopRun unbraked(Train train) {
    return run(train, TestStop.Way.PEDAL, 0);
  }

  private StopRun run(Train train, TestStop.Way by, double share) {
    boolean lever = by == TestStop.Way.LEVER;
    return StopRun.of(
        train.laden(trailerMass),
        new Drive(
            speed,
            surface,
            surface,
            Math.atan(slope),
            lever ? 0 : pedal,
            lever ? 1 : 0,
            new Control(law, share, 0, yaw, pitch)));
  }
}
