package org.jexel.core.harness;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jexel.core.connector.Convention;
import org.jexel.core.connector.Pin;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.connector.WireColour;
import org.jexel.core.quantity.Must;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.YesNo;

/**
 * What job each conductor does along each segment, in which colour: as planned, and as it is.
 *
 * @param rows one for each pin of the connector
 * @param clashes where the same colour does two jobs on both sides of a joint
 * @param bonded cables of two conductors with a shared tail on each side
 */
public record Crosswalk(List<Row> rows, List<Clash> clashes, List<String> bonded) {

  /**
   * @param pin the contact
   * @param cells by segment
   * @param used whether the trailer needs it
   * @param end what becomes of it when it is not used; else empty
   */
  public record Row(Pin pin, Map<Segment, Cell> cells, boolean used, String end) {}

  /**
   * @param planned colour of the convention; empty where it names none
   * @param built colour that is really there, if somebody looked
   */
  public record Cell(Optional<WireColour> planned, Optional<WireColour> built) {
    /** What to look for. */
    public Optional<WireColour> shown() {
      return built.or(() -> planned);
    }

    /** Somebody saw another colour than the plan says. */
    public boolean differs() {
      return built.isPresent() && !built.equals(planned);
    }
  }

  /**
   * @param joint where it stands: "connector" or "box"
   * @param colour that does two jobs
   * @param before its job on the side of the vehicle
   * @param after its job on the side of the trailer
   */
  public record Clash(String joint, WireColour colour, PinFunction before, PinFunction after) {
    public String words() {
      return "At the %s %s is %s towards the vehicle and %s towards the trailer."
          .formatted(joint, colour.label(), before.label(), after.label());
    }
  }

  /** The colours that people saw, by segment and function. */
  public record Seen(Segment segment, PinFunction function) {}

  public static Crosswalk of(Rig rig, Harness harness, Map<Seen, WireColour> built) {
    List<Row> rows = new ArrayList<>();
    boolean box = rig.sheet().choice(RigField.PLANNED_BOX, YesNo.class) == YesNo.YES;
    for (Pin pin : rig.connector().pins()) {
      Map<Segment, Cell> cells = new EnumMap<>(Segment.class);
      for (Segment segment : Segment.values()) {
        cells.put(
            segment,
            new Cell(
                segment.convention(rig).colour(pin.function()),
                Optional.ofNullable(built.get(new Seen(segment, pin.function())))));
      }
      boolean used = harness.has(pin.function());
      String end = used ? "" : box ? "landed on a stud of its own" : "capped and tied back";
      rows.add(new Row(pin, cells, used, end));
    }
    return new Crosswalk(List.copyOf(rows), clashes(rows), bonded(rig));
  }

  private static List<Clash> clashes(List<Row> rows) {
    List<Clash> clashes = new ArrayList<>();
    clashes.addAll(clashes(rows, Segment.VEHICLE, Segment.CORD, "connector"));
    clashes.addAll(clashes(rows, Segment.CORD, Segment.TRAILER, "box"));
    return List.copyOf(clashes);
  }

  private static List<Clash> clashes(List<Row> rows, Segment one, Segment two, String joint) {
    List<Clash> clashes = new ArrayList<>();
    for (Row before : rows) {
      for (Row after : rows) {
        Optional<WireColour> colour = Must.have(before.cells(), one).shown();
        boolean same = colour.isPresent() && colour.equals(Must.have(after.cells(), two).shown());
        if (same && before != after) {
          clashes.add(
              new Clash(joint, colour.get(), before.pin().function(), after.pin().function()));
        }
      }
    }
    return clashes;
  }

  /** Two-wire cables for the sides: both tails are one function, not a third circuit. */
  private static List<String> bonded(Rig rig) {
    Convention convention = Segment.TRAILER.convention(rig);
    List<String> bonded = new ArrayList<>();
    for (PinFunction side : List.of(PinFunction.LEFT, PinFunction.RIGHT)) {
      Optional<WireColour> tail = convention.colour(PinFunction.TAIL);
      Optional<WireColour> turn = convention.colour(side);
      if (tail.isPresent() && turn.isPresent()) {
        bonded.add(
            "%s with %s, on the %s: the %s is tail again, not a third circuit."
                .formatted(
                    tail.get().label(), turn.get().label(), side.label(), tail.get().label()));
      }
    }
    return bonded;
  }
}
