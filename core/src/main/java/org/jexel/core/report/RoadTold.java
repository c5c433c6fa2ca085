package org.jexel.core.report;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.jexel.core.braking.Stop;
import org.jexel.core.job.RoadWork;
import org.jexel.core.job.Work;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.Rig;
import org.jexel.core.road.Profile;
import org.jexel.core.road.Setting;
import org.jexel.core.road.TestStop;
import org.jexel.core.road.VoltsByGain;

/** What was set, and the stops and volts that it was set by. */
final class RoadTold {
  private final Rig rig;
  private final RoadWork road;
  private final List<TestStop> stops;
  private final UnitSystem units;
  private final Function<Instant, String> when;

  RoadTold(Work work, UnitSystem units, Function<Instant, String> when) {
    this.rig = work.record().rig();
    this.road = work.road();
    this.stops = work.record().stops();
    this.units = units;
    this.when = when;
  }

  Section settings() {
    Section.Table table =
        new Section.Table("Setting")
            .words("Gain")
            .words("On")
            .figures("Behind")
            .words("By", "Settled", "So");
    List<Profile> told = road.gains().told();
    if (told.isEmpty()) {
      table.say(
          rig.hasElectricBrakes() ? "No gain is settled yet." : "No electric brakes, so no gain.");
    }
    for (Profile profile : told) {
      Setting setting = profile.setting();
      String so =
          profile.holds()
              ? setting.school().label()
              : setting.school().label()
                  + "; holds no longer: "
                  + String.join(", ", profile.stale());
      table.row(
          Measure.GAIN.number(setting.gain(), units),
          setting.surface().label(),
          Measure.MASS.text(setting.trailerMass(), units),
          setting.who(),
          when.apply(setting.at()),
          so);
    }
    return table.section();
  }

  Section volts() {
    Section.Table table =
        new Section.Table("Volts by gain")
            .words("Gain")
            .figures("At the brake pin", "Off the line")
            .words("So");
    Optional<VoltsByGain> line = road.volts();
    for (int i = 0; line.isPresent() && i < line.get().readings().size(); i++) {
      VoltsByGain.Reading reading = line.get().readings().get(i);
      table.row(
          Measure.GAIN.number(reading.gain(), units),
          Measure.VOLTS.text(reading.volts(), units),
          Measure.VOLTS.text(line.get().residuals().get(i), units),
          line.get().odd(i) ? "does not belong to the others" : "");
    }
    return table.section();
  }

  Section stops() {
    Section.Table table =
        new Section.Table("Test stops")
            .words("Stop", "Gain", "Wheels", "Surface")
            .figures("From", "Deceleration", "Trailer force", "Share z")
            .words("When");
    if (stops.isEmpty()) {
      return Section.ofLines("Test stops", List.of("None made."));
    }
    for (int i = 0; i < stops.size(); i++) {
      TestStop stop = stops.get(i);
      Optional<Stop> told = stop.analysed(road.drag());
      table.row(
          Phrase.of("%d, %s", i + 1, Phrase.within(stop.way().label())),
          Measure.GAIN.number(stop.gain(), units),
          stop.outcome().label() + (stop.practised() ? ", simulated road" : ""),
          stop.surface().label(),
          Measure.SPEED.text(stop.speed(), units),
          figure(told.map(Stop::deceleration), Measure.DECELERATION),
          figure(told.map(Stop::trailerForce), Measure.FORCE),
          told.map(Stop::share)
              .filter(share -> !share.isNaN())
              .map(share -> Measure.FINE.number(share, units))
              .orElse("–"),
          when.apply(stop.at()));
    }
    return table.section();
  }

  private String figure(Optional<Double> si, Measure measure) {
    return si.filter(value -> !value.isNaN()).map(value -> measure.text(value, units)).orElse("–");
  }
}
