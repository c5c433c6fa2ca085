package org.jexel.app.breakaway;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jexel.app.job.JobFile;
import org.jexel.core.breakaway.BreakawayBattery;
import org.jexel.core.breakaway.BreakawayLoad;
import org.jexel.core.breakaway.BreakawayRule;
import org.jexel.core.breakaway.SharedCharge;
import org.jexel.core.quantity.CalendarDay;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.Unit;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.RigField;

/** What is said of a kit and its battery. */
final class KitWords {
  private KitWords() {}

  /** How long it holds: for what age and cold, and where that ends. */
  static List<String> of(JobFile file) {
    UnitSystem units = file.units();
    BreakawayLoad load = file.work().breakaway().load();
    BreakawayBattery battery = load.battery();
    List<String> lines = new ArrayList<>();
    String cold = celsius(battery.coldest(), units);
    lines.add(
        battery
            .made()
            .map(
                made ->
                    "From %s, so %s old; at %s."
                        .formatted(
                            Measure.DATE.text(CalendarDay.si(made), units),
                            Measure.YEARS.text(Unit.YEAR.toSi(battery.years()), units),
                            cold))
            .orElse(
                "Its date is not known, so it is reckoned as new, at %s: an old one holds less."
                    .formatted(cold)));
    OptionalDouble tooCold = battery.tooCold(load.amps());
    if (tooCold.isEmpty()) {
      lines.add("As old as it is, it holds for 15 min in any frost.");
    } else if (tooCold.getAsDouble() > BreakawayBattery.RATED_CELSIUS) {
      lines.add("It does not hold for 15 min at any temperature: a larger or a new one is needed.");
    } else {
      lines.add(
          "Below %s it holds for less than 15 min."
              .formatted(celsius(tooCold.getAsDouble(), units)));
    }
    double tooOld = battery.tooOld(load.amps());
    if (tooOld > 0) {
      lines.add(Phrase.of("At %s it holds for 15 min until it is %.1f years old.", cold, tooOld));
    }
    return lines;
  }

  private static String celsius(double celsius, UnitSystem units) {
    return Measure.TEMPERATURE.text(Unit.CELSIUS.toSi(celsius), units);
  }

  /** What the battery loses to what it is joined to. */
  static List<String> shared(JobFile file) {
    List<String> lines = new ArrayList<>();
    UnitSystem units = file.units();
    file.work()
        .breakaway()
        .shared()
        .ifPresent(
            shared -> {
              lines.add(
                  "Without the diode %s flow out of it into a vehicle whose starter turns; with it %s."
                      .formatted(
                          Measure.AMPS.text(shared.back(), units),
                          Measure.AMPS.text(shared.kept(), units)));
              shared
                  .night()
                  .ifPresent(
                      left ->
                          lines.add(
                              Phrase.of(
                                  "Lamps and a pump of %s left on for a night of %.0f h: it then holds %s.",
                                  Measure.AMPS.text(SharedCharge.NIGHT_AMPS, units),
                                  SharedCharge.NIGHT_HOURS,
                                  Measure.MINUTES.text(left.seconds(), units))));
            });
    return lines;
  }

  /** What the place asks for, where somebody has entered it and this trailer is above it. */
  static Optional<String> asked(JobFile file) {
    double permitted = file.rig().sheet().si(RigField.TRAILER_PERMITTED_MASS);
    return file.record().shop().breakaway().asksFor(permitted)
        ? Optional.of(
            "By this workshop’s rule a trailer of %s must have one."
                .formatted(Measure.MASS.text(permitted, file.units())))
        : Optional.empty();
  }

  /** The rule itself. */
  static String rule(JobFile file) {
    BreakawayRule rule = file.record().shop().breakaway();
    String from =
        rule.requiredFrom().isPresent()
            ? "A breakaway from a permitted mass of %s on."
                .formatted(Measure.MASS.text(rule.requiredFrom().getAsDouble(), file.units()))
            : "Nobody has entered from which mass on a breakaway is asked for.";
    return Phrase.of(
        "%s Pull test every %d months, battery every %d years. Whether one is required depends on the place.",
        from, rule.proofMonths(), rule.batteryYears());
  }
}
