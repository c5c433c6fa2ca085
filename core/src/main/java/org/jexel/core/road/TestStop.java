package org.jexel.core.road;

import java.time.Instant;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jexel.core.braking.Drag;
import org.jexel.core.braking.Stop;
import org.jexel.core.braking.StopRun;
import org.jexel.core.braking.Surface;
import org.jexel.core.quantity.Sum;
import org.jspecify.annotations.Nullable;

/**
 * One test stop, as it was driven.
 *
 * @param gain on the controller's scale
 * @param way how the brakes were asked for
 * @param speed at the start, m/s
 * @param surface it was driven on
 * @param outcome what the trailer's wheels did
 * @param distance to stand, m; null if it was not taken
 * @param seconds to stand, s; null if they were not taken
 * @param deceleration mean once the brakes were on, m/s², from an instrument; null if none told it.
 *     It goes before distance and time
 * @param vehicleMass kg
 * @param trailerMass with load, kg
 * @param note in the driver's words; empty for none
 * @param observed what else was seen
 * @param cold whether it was driven before the linings were warm
 * @param at when it was driven
 */
public record TestStop(
    double gain,
    Way way,
    double speed,
    Surface surface,
    Outcome outcome,
    @Nullable Double distance,
    @Nullable Double seconds,
    @Nullable Double deceleration,
    double vehicleMass,
    double trailerMass,
    String note,
    Observed observed,
    boolean cold,
    Instant at) {

  /** One of which nothing else was said. */
  public TestStop(
      double gain,
      Way way,
      double speed,
      Surface surface,
      Outcome outcome,
      @Nullable Double distance,
      @Nullable Double seconds,
      double vehicleMass,
      double trailerMass,
      String note) {
    this(
        gain,
        way,
        speed,
        surface,
        outcome,
        distance,
        seconds,
        null,
        vehicleMass,
        trailerMass,
        note,
        Observed.NOTHING,
        false,
        Instant.EPOCH);
  }

  /** How the brakes were asked for. */
  public enum Way {
    LEVER("Full lever"),
    PEDAL("Pedal");

    private final String label;

    Way(String label) {
      this.label = label;
    }

    public String label() {
      return label;
    }
  }

  /** Whether nobody drove it: the simulated road filled it in. */
  public boolean practised() {
    return observed.place().equals(SimulatedRoad.PLACE);
  }

  /** As told anew of a stop that was driven before: when, with what and how warm stays. */
  public TestStop inPlaceOf(TestStop old) {
    return new TestStop(
        gain,
        way,
        speed,
        surface,
        outcome,
        distance,
        seconds,
        deceleration,
        old.vehicleMass,
        old.trailerMass,
        note,
        observed,
        old.cold,
        old.at);
  }

  /** What it says about the gain; only a stop at full lever says anything. */
  public Optional<GainStop> gainStop(Drag drag) {
    return way == Way.LEVER
        ? Optional.of(new GainStop(gain, outcome, share(drag), cold))
        : Optional.empty();
  }

  /**
   * The share of its own weight that the trailer braked with, once its brakes had come on; empty
   * where it was not measured, or says more than tyres give.
   */
  private OptionalDouble share(Drag drag) {
    double onset = StopRun.LAG_S;
    if (deceleration != null) {
      return share(Stop.read(deceleration), drag);
    }
    if (distance != null && distance > speed * onset) {
      return share(Stop.fromDistance(speed, distance - speed * onset), drag);
    } else if (distance == null && seconds != null && seconds > onset) {
      return share(Stop.fromTime(speed, seconds - onset), drag);
    }
    return OptionalDouble.empty();
  }

  private OptionalDouble share(Sum deceleration, Drag drag) {
    Stop told = lever(deceleration, drag);
    return told.doubtful() ? OptionalDouble.empty() : OptionalDouble.of(told.share());
  }

  private Stop lever(Sum deceleration, Drag drag) {
    return Stop.leverOnly(deceleration, vehicleMass, trailerMass, speed, drag);
  }

  /**
   * What it tells; empty when neither deceleration nor distance nor time was taken.
   *
   * @throws IllegalArgumentException if speed, distance, time or a mass is not above zero
   */
  public Optional<Stop> analysed(Drag drag) {
    Sum a;
    if (deceleration != null) {
      a = Stop.read(deceleration);
    } else if (distance != null) {
      a = Stop.fromDistance(speed, distance);
    } else if (seconds != null) {
      a = Stop.fromTime(speed, seconds);
    } else {
      return Optional.empty();
    }
    return Optional.of(way == Way.LEVER ? lever(a, drag) : Stop.withPedal(a));
  }
}
