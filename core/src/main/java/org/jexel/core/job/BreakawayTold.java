package org.jexel.core.job;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jexel.core.breakaway.BreakawayBattery;
import org.jexel.core.breakaway.WorkingBrakes;
import org.jexel.core.quantity.CalendarDay;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Unit;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.BreakawayKit;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;

/** A breakaway as a report tells it: what it is, what was proved of it, and when it is due. */
final class BreakawayTold {
  private BreakawayTold() {}

  static List<String> of(Rig rig, BreakawayWork work, UnitSystem units) {
    List<String> lines = new ArrayList<>();
    BreakawayKit kit = rig.sheet().choice(RigField.BREAKAWAY_KIT, BreakawayKit.class);
    if (kit == BreakawayKit.NONE) {
      lines.add("No kit: nothing brakes this trailer if it comes off.");
      return lines;
    }
    if (work.isIndoors()) {
      lines.add("Its battery is indoors: not to be towed until it is back.");
    }
    work.load().holding().ifPresent(time -> lines.add(held(kit, work, time.seconds(), units)));
    lines.add("Cable: " + work.cable().worst().words());
    PullTest pull = work.pull();
    pulled(pull, lines);
    Due due = work.due();
    due(due.proof(), "Pull test", due, units).ifPresent(lines::add);
    due(due.battery(), "New battery", due, units).ifPresent(lines::add);
    return lines;
  }

  private static void pulled(PullTest pull, List<String> lines) {
    if (pull.isPractised()) {
      lines.add("Pull test: only practised, with the simulated meter, so nothing is proved by it.");
      return;
    }
    lines.add(
        pull.isRead()
            ? "Pull test: read to its end, it %s.".formatted(InShort.stands(pull.worst()))
            : "Pull test: not read to its end, so nothing is proved by it.");
    pull.working().map(WorkingBrakes::words).ifPresent(lines::add);
    pull.sag().map(sag -> "Battery: " + sag.words()).ifPresent(lines::add);
  }

  private static String held(
      BreakawayKit kit, BreakawayWork work, double seconds, UnitSystem units) {
    BreakawayBattery battery = work.load().battery();
    return "%s, %s, %s: computed to hold all brakes for %s at %s."
        .formatted(
            kit.label(),
            Measure.CAPACITY.text(battery.capacity(), units),
            battery
                .made()
                .map(day -> "from " + Measure.DATE.text(CalendarDay.si(day), units))
                .orElse("of unknown age"),
            Measure.MINUTES.text(seconds, units),
            Measure.TEMPERATURE.text(Unit.CELSIUS.toSi(battery.coldest()), units));
  }

  private static Optional<String> due(
      Optional<LocalDate> date, String what, Due due, UnitSystem units) {
    return date.map(
        day ->
            "%s %s %s."
                .formatted(
                    what,
                    due.isOver(date) ? "was due" : "due",
                    Measure.DATE.text(CalendarDay.si(day), units)));
  }
}
