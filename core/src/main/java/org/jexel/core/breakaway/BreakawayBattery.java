package org.jexel.core.breakaway;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jexel.core.quantity.CalendarDay;
import org.jexel.core.quantity.Figure;
import org.jexel.core.quantity.Unit;
import org.jexel.core.rig.BatteryChemistry;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;

/**
 * What holds the brakes on once the trailer is off: capacity, kind, age and cold.
 *
 * <p>What is left of the capacity is 1 − 0.10·(years − 2) for its age, times 1 − 0.01·(25 °C − T)
 * for the cold, not under 0.40.
 *
 * @param capacity as rated, A·s
 * @param chemistry of its cells
 * @param made what its date says; empty while nobody read it
 * @param years its age; 0 while nobody knows it
 * @param coldest that it has to hold in, °C
 * @param coldEntered whether somebody said so
 */
public record BreakawayBattery(
    double capacity,
    BatteryChemistry chemistry,
    Optional<LocalDate> made,
    double years,
    double coldest,
    boolean coldEntered) {
  /** Temperature at which capacities are rated, °C. */
  public static final double RATED_CELSIUS = 25;

  /** Of a winter that nobody has told of, °C. */
  private static final double ASSUMED_FROST = -10;

  private static final double YEARLY = 0.10;
  private static final double GOOD_YEARS = 2;
  private static final double PER_KELVIN = 0.01;
  private static final double LEAST_COLD = 0.40;
  private static final double DAYS_A_YEAR = 365.25;

  public static BreakawayBattery of(RigSheet sheet, LocalDate day) {
    Figure made = sheet.figure(RigField.BREAKAWAY_MADE);
    Optional<LocalDate> date =
        Double.isFinite(made.si()) ? Optional.of(CalendarDay.of(made.si())) : Optional.empty();
    return new BreakawayBattery(
        sheet.si(RigField.BREAKAWAY_CAPACITY),
        sheet.choice(RigField.BREAKAWAY_CHEMISTRY, BatteryChemistry.class),
        date,
        date.map(from -> Math.max(0, ChronoUnit.DAYS.between(from, day) / DAYS_A_YEAR)).orElse(0.0),
        Unit.CELSIUS.fromSi(sheet.si(RigField.BREAKAWAY_COLD)),
        !sheet.figure(RigField.BREAKAWAY_COLD).assumed());
  }

  /**
   * How warm it is at a time of the year, °C: a cosine from the rated 25 °C at midsummer to the
   * coldest at midwinter.
   *
   * @param ofYear from midsummer, 0 to 1
   */
  public double celsius(double ofYear) {
    double fall = (1 - Math.cos(2 * Math.PI * ofYear)) / 2;
    return RATED_CELSIUS - (RATED_CELSIUS - midwinter()) * fall;
  }

  /** At midwinter, °C: the coldest that was entered, or an assumed frost. */
  public double midwinter() {
    return coldEntered ? Math.min(coldest, RATED_CELSIUS) : ASSUMED_FROST;
  }

  /** Why a battery cannot have a date, asked on a day; empty if it can. */
  public static Optional<String> impossible(double made, LocalDate day) {
    return made > CalendarDay.si(day)
        ? Optional.of("That day is still to come.")
        : Optional.empty();
  }

  public boolean ageKnown() {
    return made.isPresent();
  }

  /** Share of its capacity that is left at some age and temperature. */
  public static double share(double years, double celsius) {
    return forAge(years) * forCold(celsius);
  }

  private static double forAge(double years) {
    return Math.max(0, 1 - YEARLY * Math.max(0, years - GOOD_YEARS));
  }

  private static double forCold(double celsius) {
    return Math.max(LEAST_COLD, 1 - PER_KELVIN * Math.max(0, RATED_CELSIUS - celsius));
  }

  /** As old as it is, at its coldest. */
  public double share() {
    return share(years, coldest);
  }

  /** How long it holds so many amperes, as old as it is, at its coldest. */
  public HoldingTime holding(double amps) {
    return holding(amps, years, coldest);
  }

  public HoldingTime holding(double amps, double age, double celsius) {
    return HoldingTime.of(share(age, celsius) * capacity, amps, HoldingTime.exponent(chemistry));
  }

  /** The cold below which, as old as it is, it no longer holds for 15 min, °C; empty if in none. */
  public OptionalDouble tooCold(double amps) {
    double cold = needed(amps) / forAge(years);
    return cold <= LEAST_COLD
        ? OptionalDouble.empty()
        : OptionalDouble.of(RATED_CELSIUS - (1 - cold) / PER_KELVIN);
  }

  /** The age from which on it no longer holds for 15 min at its coldest, years; 0 if as new. */
  public double tooOld(double amps) {
    double age = needed(amps) / forCold(coldest);
    return age > 1 ? 0 : GOOD_YEARS + (1 - age) / YEARLY;
  }

  /** Share of its rated capacity that 15 min take. */
  private double needed(double amps) {
    return HoldingTime.needed(amps, HoldingTime.exponent(chemistry)) / capacity;
  }
}
