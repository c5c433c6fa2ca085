package org.jexel.core.care;

import java.time.LocalDate;
import java.util.Optional;
import org.jexel.core.quantity.CalendarDay;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.BatteryChemistry;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.Wheel;

/**
 * Between what a figure holds, and past what it fails; between those it is to be watched. Starting
 * values of the usual handbooks; a maker's own figure and the law of the place stand above them.
 *
 * @param least below it fails, SI
 * @param lowWatch below it is watched
 * @param highWatch above it is watched
 * @param greatest above it fails
 */
public record CareLimit(double least, double lowWatch, double highWatch, double greatest) {
  /** Age of a tyre from which on it is looked at, and at which it is out, years. */
  static final int TYRE_LOOK_YEARS = 5;

  static final int TYRE_OUT_YEARS = 6;

  private static final double NONE = Double.NEGATIVE_INFINITY;
  private static final double ALL = Double.POSITIVE_INFINITY;

  /** Between the words of a scale, which stand for 0, 1, 2. */
  private static final double FIRST = 0.5;

  private static final double SECOND = 1.5;

  /** A drum is turned or worn by so much and no more, m: 0.090 in, as cast into most of them. */
  private static final double DRUM_WORN = 2.286e-3;

  private static final double DRUM_WATCH = 1.5e-3;

  public CareLimit {
    if (!(least <= lowWatch && lowWatch <= highWatch && highWatch <= greatest)) {
      throw new IllegalArgumentException("limits in no order");
    }
  }

  /**
   * @param wheel for what is at one; any for what is not
   * @param day on which it is asked: what ages is judged by it
   * @return empty while nobody entered what it goes by
   */
  static Optional<CareLimit> of(CarePart part, Rig rig, Wheel wheel, LocalDate day) {
    return switch (part) {
      case INFLATION -> TyrePressure.of(rig, wheel.axle()).limit();
      case TYRE_AGE -> Optional.of(age(day));
      case TREAD -> Optional.of(new CareLimit(2e-3, 3e-3, ALL, ALL));
      case SHOES -> Optional.of(new CareLimit(1.6e-3, 2.5e-3, ALL, ALL));
      case DRUMS -> Optional.of(drum(rig, wheel));
      case NUTS -> Optional.of(nuts(rig, wheel));
      case BATTERY -> Optional.of(battery(rig));
      case ADJUSTMENT -> Optional.of(new CareLimit(FIRST, FIRST, SECOND, ALL));
      case PRESSURE, BEARINGS, MAGNETS -> Optional.of(new CareLimit(NONE, NONE, FIRST, FIRST));
      case HUB_GREASE -> Optional.of(new CareLimit(FIRST, FIRST, ALL, ALL));
      case RIMS, FLUID, COUPLER, CHAINS, SWITCH, LAMPS, CORD, PLUG, RAMP, DOORS ->
          Optional.of(new CareLimit(FIRST, SECOND, ALL, ALL));
    };
  }

  /** The figure of the rig by which a part is judged; empty where it is judged by its own alone. */
  static Optional<FieldKey> rests(CarePart part, Rig rig, Wheel wheel) {
    return switch (part) {
      case DRUMS -> Optional.of(new FieldKey(RigField.DRUM_DIAMETER, wheel.axle()));
      case INFLATION -> TyrePressure.rests(rig, wheel.axle());
      case NUTS -> Optional.of(new FieldKey(RigField.STUD_SIZE, wheel.axle()));
      case BATTERY -> Optional.of(FieldKey.of(RigField.BREAKAWAY_CHEMISTRY));
      default -> Optional.empty();
    };
  }

  private static CareLimit age(LocalDate day) {
    return new CareLimit(
        CalendarDay.si(day.minusYears(TYRE_OUT_YEARS).plusDays(1)),
        CalendarDay.si(day.minusYears(TYRE_LOOK_YEARS).plusDays(1)),
        ALL,
        ALL);
  }

  private static CareLimit drum(Rig rig, Wheel wheel) {
    double made = rig.sheet().si(new FieldKey(RigField.DRUM_DIAMETER, wheel.axle()));
    return new CareLimit(NONE, NONE, made + DRUM_WATCH, made + DRUM_WORN);
  }

  private static CareLimit nuts(Rig rig, Wheel wheel) {
    WheelNuts nuts = WheelNuts.of(rig, wheel.axle());
    return new CareLimit(nuts.least(), nuts.least(), nuts.greatest(), nuts.greatest());
  }

  /** At rest, a day off the charger: full, and about half. */
  private static CareLimit battery(Rig rig) {
    return switch (rig.sheet().choice(RigField.BREAKAWAY_CHEMISTRY, BatteryChemistry.class)) {
      case LEAD_ACID -> new CareLimit(12.2, 12.6, ALL, ALL);
      case LITHIUM_IRON -> new CareLimit(12.9, 13.2, ALL, ALL);
    };
  }

  public Verdict judge(double si) {
    if (!(si >= least && si <= greatest)) {
      return Verdict.FAILS;
    }
    return si >= lowWatch && si <= highWatch ? Verdict.HOLDS : Verdict.WATCH;
  }

  /** As in “2.0 mm or more; watched below 3.0 mm”; empty where words are said. */
  String words(Measure measure, UnitSystem units) {
    if (!measure.words().isEmpty()) {
      return "";
    }
    if (measure == Measure.DATE) {
      return Phrase.of(
          "Out at %d years, looked at from %d, by the four figures of week and year.",
          TYRE_OUT_YEARS, TYRE_LOOK_YEARS);
    }
    if (least > NONE && greatest < ALL) {
      String watched =
          lowWatch > least || highWatch < greatest
              ? Phrase.of(
                  "; watched below %s and above %s",
                  measure.text(lowWatch, units), measure.text(highWatch, units))
              : "";
      return Phrase.of(
          "%s to %s%s.", measure.number(least, units), measure.text(greatest, units), watched);
    }
    return least > NONE
        ? Phrase.of(
            "%s or more; watched below %s.",
            measure.text(least, units), measure.text(lowWatch, units))
        : Phrase.of(
            "%s at most; watched above %s.",
            measure.text(greatest, units), measure.text(highWatch, units));
  }
}
