package org.jexel.core.report;

import java.util.List;
import java.util.stream.Collectors;
import org.jexel.core.care.CarePlan;
import org.jexel.core.quantity.CalendarDay;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;

/** What of the trailer was cared for, and what is due again. */
final class CareTold {
  private CareTold() {}

  static Section of(CarePlan plan, UnitSystem units) {
    Section.Table table = new Section.Table("Care").words("Part", "Last", "Found", "Due");
    List<CarePlan.Line> never = plan.lines().stream().filter(l -> l.last().isEmpty()).toList();
    if (never.size() == plan.lines().size()) {
      return table.say("Nobody has recorded any care of this trailer.").section();
    }
    if (!never.isEmpty()) {
      table.say(
          never.stream()
              .map(line -> Phrase.within(line.part().label()))
              .collect(Collectors.joining(", ", "Never recorded: ", ".")));
    }
    for (CarePlan.Line line : plan.lines()) {
      line.last()
          .ifPresent(
              last ->
                  table.judged(
                      line.verdict(),
                      true,
                      line.part().label(),
                      CalendarDay.text(last.day()),
                      line.said(last, units),
                      line.dueWords(units)));
    }
    return table.section();
  }
}
