package org.jexel.core.harness;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.connector.WireColour;
import org.jexel.core.quantity.Must;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.rig.BreakawayKit;
import org.jexel.core.rig.LeadColour;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.YesNo;

/**
 * A breakaway kit lead by lead: what each does, in which colour, what it is joined to and where. A
 * kit's colours follow its maker, not the cord's convention.
 *
 * @param kit that is there or planned
 * @param leads in the order in which current passes them
 * @param clashes where a colour of the kit does another job in cord or trailer
 */
public record KitWiring(BreakawayKit kit, List<Lead> leads, List<Clash> clashes) {

  /**
   * @param lead what it does
   * @param colour as somebody saw it
   * @param stud of the box that it lands on; empty within the kit, and where no box is
   * @param meets colour of the conductor that it is joined to, as far as it is known
   */
  public record Lead(
      KitLead lead,
      Optional<WireColour> colour,
      Optional<Integer> stud,
      Optional<WireColour> meets) {
    /** Where its end goes. */
    public String end() {
      return lead.joins()
          .map(function -> stud.map(n -> Phrase.of("stud %d, ", n)).orElse("") + function.label())
          .orElse(
              switch (lead) {
                case PLUS -> KitLead.SWITCH_IN.label();
                default -> KitLead.PLUS.label();
              });
    }
  }

  /**
   * @param where the cord or the trailer, within a sentence
   * @param other what the colour does there
   */
  public record Clash(KitLead lead, WireColour colour, String where, PinFunction other) {
    public String words() {
      return "The kit’s %s is its %s; in the %s %s is %s."
          .formatted(colour.label(), lead.label(), where, colour.label(), other.label());
    }
  }

  /**
   * @param walk colours of cord and trailer, planned and as found
   */
  public static KitWiring of(Rig rig, Harness harness, Crosswalk walk) {
    BreakawayKit kit = rig.sheet().choice(RigField.PLANNED_BREAKAWAY, BreakawayKit.class);
    StudPlan studs = StudPlan.of(rig, harness);
    boolean box = rig.sheet().choice(RigField.PLANNED_BOX, YesNo.class) == YesNo.YES;
    List<Lead> leads = new ArrayList<>();
    List<Clash> clashes = new ArrayList<>();
    for (KitLead lead : KitLead.values()) {
      boolean there = lead != KitLead.CHARGE || kit.charged() && harness.has(PinFunction.CHARGE);
      if (kit == BreakawayKit.NONE || !there) {
        continue;
      }
      Optional<WireColour> colour = rig.sheet().choice(lead.field(), LeadColour.class).colour();
      leads.add(
          new Lead(
              lead,
              colour,
              box ? lead.joins().flatMap(function -> stud(studs, function)) : Optional.empty(),
              lead.joins().flatMap(function -> shown(walk, Segment.TRAILER, function))));
      colour.ifPresent(c -> clashes.addAll(clashes(walk, lead, c)));
    }
    return new KitWiring(kit, List.copyOf(leads), List.copyOf(clashes));
  }

  /** The kit's own leads that land on a stud, beside what the harness runs there. */
  public List<Lead> at(PinFunction function) {
    return leads.stream()
        .filter(lead -> lead.lead() != KitLead.SWITCH_OUT)
        .filter(lead -> lead.lead().joins().equals(Optional.of(function)))
        .toList();
  }

  private static Optional<Integer> stud(StudPlan plan, PinFunction function) {
    return plan.studs().stream()
        .filter(stud -> stud.function() == function)
        .map(StudPlan.Stud::number)
        .findFirst();
  }

  private static Optional<WireColour> shown(Crosswalk walk, Segment segment, PinFunction function) {
    return walk.rows().stream()
        .filter(row -> row.pin().function() == function)
        .findFirst()
        .flatMap(row -> Must.have(row.cells(), segment).shown());
  }

  private static List<Clash> clashes(Crosswalk walk, KitLead lead, WireColour colour) {
    Map<Segment, String> where = Map.of(Segment.CORD, "cord", Segment.TRAILER, "trailer");
    List<Clash> clashes = new ArrayList<>();
    for (Segment segment : List.of(Segment.CORD, Segment.TRAILER)) {
      Arrays.stream(PinFunction.values())
          .filter(function -> !lead.joins().equals(Optional.of(function)))
          .filter(function -> shown(walk, segment, function).equals(Optional.of(colour)))
          .filter(function -> clashes.stream().noneMatch(said -> said.other() == function))
          .forEach(
              function ->
                  clashes.add(new Clash(lead, colour, Must.have(where, segment), function)));
    }
    return clashes;
  }
}
