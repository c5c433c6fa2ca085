package org.jexel.core.care;

import java.time.LocalDate;
import org.jexel.core.quantity.CalendarDay;
import org.jexel.core.quantity.Measure;

/**
 * What is cared for over the years: what is recorded of it, within what such a figure can lie, and
 * after how long the usual handbooks have it looked at again. Its name is kept with the records.
 */
public enum CarePart {
  TYRE_AGE("Tyres, age", Of.WHEELS, Measure.DATE, 0, 0, CareInterval.of(12)),
  TREAD("Tyres, tread", Of.WHEELS, Measure.WEAR, 0, 0.03, CareInterval.of(12, 20e6)),
  INFLATION("Tyres, cold pressure", Of.WHEELS, Measure.PRESSURE, 0, 1.5e6, CareInterval.of(3, 5e6)),
  /** By the eye. Its name is older than the figure above, and stands in records and in files. */
  PRESSURE("Tyres, cuts and cracks", Of.WHEELS, Measure.TYRE_LOOK, 0, 1, CareInterval.of(3, 5e6)),
  NUTS("Wheel nuts", Of.WHEELS, Measure.TORQUE, 20, 1000, CareInterval.of(12, 20e6)),
  RIMS("Rims, cracks", Of.WHEELS, Measure.CONDITION, 0, 2, CareInterval.of(12, 20e6)),
  HUB_GREASE("Hub grease", Of.WHEELS, Measure.GREASE, 0, 1, CareInterval.of(3, 5e6)),
  BEARINGS("Wheel bearings", Of.WHEELS, Measure.PLAY, 0, 1, CareInterval.of(12, 20e6)),
  ADJUSTMENT("Brake adjustment", Of.BRAKES, Measure.ADJUSTING, 0, 2, CareInterval.of(12, 20e6)),
  SHOES("Brake shoes", Of.BRAKES, Measure.WEAR, 0, 0.03, CareInterval.of(12, 20e6)),
  DRUMS("Brake drums", Of.BRAKES, Measure.WEAR, 0.1, 0.5, CareInterval.of(12, 20e6)),
  MAGNETS("Brake magnets", Of.BRAKES, Measure.MAGNET_FACE, 0, 2, CareInterval.of(12, 20e6)),
  FLUID("Brake fluid", Of.TRAILER, Measure.CONDITION, 0, 2, CareInterval.of(24)),
  COUPLER("Coupler and its bolt", Of.TRAILER, Measure.CONDITION, 0, 2, CareInterval.of(12, 20e6)),
  CHAINS("Safety chains", Of.TRAILER, Measure.CONDITION, 0, 2, CareInterval.of(12, 20e6)),
  SWITCH("Breakaway switch", Of.TRAILER, Measure.CONDITION, 0, 2, CareInterval.of(12)),
  BATTERY("Breakaway battery", Of.TRAILER, Measure.VOLTS, 0, 16, CareInterval.of(3)),
  LAMPS("Lamps", Of.TRAILER, Measure.CONDITION, 0, 2, CareInterval.of(12)),
  CORD("Cord", Of.TRAILER, Measure.CONDITION, 0, 2, CareInterval.of(12)),
  PLUG("Connector", Of.TRAILER, Measure.CONDITION, 0, 2, CareInterval.of(12)),
  RAMP("Ramp and its spring", Of.TRAILER, Measure.CONDITION, 0, 2, CareInterval.of(12)),
  DOORS("Doors and locks", Of.TRAILER, Measure.CONDITION, 0, 2, CareInterval.of(12));

  /** How often a part is there. */
  public enum Of {
    /** Once: one figure. */
    TRAILER,
    /** At each wheel. */
    WHEELS,
    /** At each braked wheel. */
    BRAKES
  }

  /** No tyre on the road is older. */
  private static final LocalDate FIRST = LocalDate.of(2000, 1, 1);

  private final String label;
  private final Of of;
  private final Measure measure;
  private final double least;
  private final double greatest;
  private final CareInterval usual;

  CarePart(
      String label, Of of, Measure measure, double least, double greatest, CareInterval usual) {
    this.label = label;
    this.of = of;
    this.measure = measure;
    this.least = least;
    this.greatest = greatest;
    this.usual = usual;
  }

  public String label() {
    return label;
  }

  public Of of() {
    return of;
  }

  public Measure measure() {
    return measure;
  }

  /** After how long it is due again, where the workshop says nothing else. */
  public CareInterval usual() {
    return usual;
  }

  /** Whether the wheel comes off for it, so that its nuts are drawn up anew. */
  public boolean wheelOff() {
    return switch (this) {
      case BEARINGS, SHOES, DRUMS, MAGNETS -> true;
      default -> false;
    };
  }

  /** The least that a figure of it can be, whatever it says of the part, SI. */
  public double least() {
    return measure == Measure.DATE ? CalendarDay.si(FIRST) : least;
  }

  /**
   * The most that a figure of it can be, SI.
   *
   * @param day on which it was read: no date lies behind it
   */
  public double greatest(LocalDate day) {
    return measure == Measure.DATE ? CalendarDay.si(day) : greatest;
  }
}
