package org.jexel.core.report;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jexel.core.harness.Circuit;
import org.jexel.core.harness.Crosswalk;
import org.jexel.core.harness.Materials;
import org.jexel.core.harness.Segment;
import org.jexel.core.harness.Step;
import org.jexel.core.harness.StudPlan;
import org.jexel.core.job.HarnessWork;
import org.jexel.core.job.JobRecord;
import org.jexel.core.job.Ticked;
import org.jexel.core.job.Work;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Must;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.YesNo;

/** What was done to the wiring, with what, and how it is now. */
final class WorkTold {
  private final JobRecord record;
  private final HarnessWork work;
  private final UnitSystem units;
  private final Function<Ticked, String> when;

  WorkTold(Work work, UnitSystem units, Function<Ticked, String> when) {
    this.record = work.record();
    this.work = work.harness();
    this.units = units;
    this.when = when;
  }

  Section steps() {
    Map<String, Ticked> ticks =
        record.ticks().stream()
            .collect(Collectors.toMap(Ticked::step, Function.identity(), (old, last) -> last));
    Section.Table table = new Section.Table("Work done").words("Step", "By", "When");
    for (Step step : work.steps()) {
      for (String id : step.ticks()) {
        Optional<Ticked> tick = Optional.ofNullable(ticks.get(id));
        String other = work.done(step) ? "by its readings" : "open";
        table.row(
            step.title() + part(step, id),
            tick.map(Ticked::who).orElse(other),
            tick.map(when).orElse(""));
      }
    }
    Section told = table.section();
    return told.rows().isEmpty()
        ? Section.ofLines(told.title(), List.of("This job asks for no step of wiring."))
        : told;
  }

  private static String part(Step step, String id) {
    return step.items().stream()
        .filter(item -> item.id().equals(id))
        .map(item -> ": " + item.words())
        .findFirst()
        .orElse("");
  }

  Section materials() {
    Section.Table table =
        new Section.Table("Materials, as planned").words("What").figures("Pieces").words("For");
    Materials.of(work.scope(), units)
        .items()
        .forEach(item -> table.row(item.what(), String.valueOf(item.count()), item.why()));
    return table.section();
  }

  Section circuits() {
    Section.Table table =
        new Section.Table("Circuits")
            .words("Circuit")
            .figures("Length")
            .words("Size")
            .figures("Load", "Drop", "Fuse")
            .words("So");
    for (Circuit circuit : work.plan().circuits()) {
      table.judged(
          circuit.verdict(),
          false,
          circuit.name(),
          Measure.LENGTH.text(circuit.length(), units),
          String.join(" · ", circuit.sizes()),
          Measure.AMPS.text(circuit.amps(), units),
          Measure.VOLTS.text(circuit.drop(), units),
          circuit.protection() == 0 ? "–" : Measure.RATING.text(circuit.protection(), units),
          circuit.reason());
    }
    return table.section();
  }

  Section colours() {
    Section.Table table =
        new Section.Table("Colours, end to end")
            .words("Pin", "Job")
            .words(Stream.of(Segment.values()).map(Segment::label).toArray(String[]::new))
            .words("Unused");
    table.say("“Seen” is what somebody found there; everything else is as the convention says.");
    for (Crosswalk.Row row : work.crosswalk().rows()) {
      List<String> cells = new ArrayList<>();
      cells.add(row.pin().number() + "");
      cells.add(row.pin().function().label());
      for (Segment segment : Segment.values()) {
        cells.add(colour(Must.have(row.cells(), segment)));
      }
      cells.add(row.end());
      table.row(cells.toArray(String[]::new));
    }
    return table.section();
  }

  private static String colour(Crosswalk.Cell cell) {
    String colour = cell.shown().map(c -> c.code() + " " + c.label()).orElse("own choice");
    return cell.built().isPresent() ? colour + ", seen" : colour;
  }

  Section box() {
    Section.Table table = new Section.Table("Junction box").words("Stud", "Job", "Lands");
    boolean box = record.rig().sheet().choice(RigField.PLANNED_BOX, YesNo.class) == YesNo.YES;
    if (!box) {
      return table.section();
    }
    for (StudPlan.Stud stud : StudPlan.of(record.rig(), work.plan()).studs()) {
      String lands =
          stud.landings().stream()
              .map(landing -> landing.what() + " " + landing.ring())
              .collect(Collectors.joining(", "));
      table.row(
          String.valueOf(stud.number()),
          stud.function().label(),
          lands.isEmpty() ? stud.why() : lands);
    }
    return table.section();
  }
}
