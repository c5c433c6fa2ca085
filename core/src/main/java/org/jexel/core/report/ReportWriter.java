package org.jexel.core.report;

import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import org.jexel.core.care.CarePlan;
import org.jexel.core.care.LookedOver;
import org.jexel.core.job.InShort;
import org.jexel.core.job.Photo;
import org.jexel.core.job.Work;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.Rig;

/** Tells a job from its beginning to how it is left, for the owner first and the next workshop. */
public final class ReportWriter {
  private static final DateTimeFormatter WHEN =
      DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ROOT);

  private ReportWriter() {}

  /**
   * What is kept beside the record of a job.
   *
   * @param beforeTow the newest list that was walked before a journey
   * @param asFound the rig as it was first entered, or as the job before left it
   * @param care what is cared for over the years
   * @param photos of the job, and of the care
   */
  public record Beside(
      Optional<LookedOver> beforeTow, Rig asFound, CarePlan care, List<Photo> photos) {}

  /**
   * @param head which job, whose, of what
   * @param units in which its figures are written
   * @param zone of the workshop
   */
  public static Report of(
      List<String> head, Work work, Beside beside, UnitSystem units, ZoneId zone) {
    Function<Instant, String> when = at -> moment(at, zone);
    RigTold rig = new RigTold(work, units);
    WorkTold wiring = new WorkTold(work, units, tick -> when.apply(tick.at()));
    ReadingsTold readings = new ReadingsTold(work, units, when);
    RoadTold road = new RoadTold(work, units, when);
    InShort brief = work.inShort(beside.beforeTow());
    List<Section> sections = new ArrayList<>();
    sections.add(Section.ofLines("In short", List.of(String.join(" ", brief.words()))));
    sections.add(Section.ofLines("Open", brief.open()));
    sections.add(road.settings());
    sections.add(readings.asLeft());
    sections.add(readings.asFound());
    sections.add(readings.repairs());
    sections.add(Section.ofLines("Breakaway", work.breakaway().told()));
    sections.add(road.stops());
    sections.add(road.volts());
    sections.add(rig.ratings());
    sections.add(rig.findings());
    sections.add(rig.asFound(beside.asFound()));
    sections.add(CareTold.of(beside.care(), units));
    sections.add(wiring.steps());
    sections.add(wiring.materials());
    sections.add(wiring.circuits());
    sections.add(wiring.colours());
    sections.add(wiring.box());
    sections.add(rig.entered());
    sections.add(rig.assumed());
    sections.add(Section.ofLines("Cautions", cautions(work)));
    sections.removeIf(section -> section.lines().isEmpty() && section.rows().isEmpty());
    return new Report(head, "", sections, new PhotosTold(work, when).prints(beside.photos()));
  }

  /** A moment as a report says it. */
  public static String moment(Instant at, ZoneId zone) {
    return WHEN.format(at.atZone(zone));
  }

  private static List<String> cautions(Work work) {
    String law =
        "Local law and licensed practice decide what this rig needs; this report does not say that it is legal.";
    String ratings = "Never exceed a rating, and keep the tongue share inside its band.";
    if (!work.record().rig().hasElectricBrakes()) {
      return List.of(ratings, law);
    }
    return List.of(
        ratings,
        "Trailer brakes have no anti-lock: re-set the gain when load, surface, tyres, brakes or vehicle change.",
        "If the trailer sways, ease the manual lever on gently; never brake hard with the vehicle.",
        "Test the breakaway with the wheels chocked; the magnets get hot.",
        law);
  }
}
