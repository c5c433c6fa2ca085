package org.jexel.core.rig;

import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jexel.core.connector.Connector;
import org.jexel.core.connector.Convention;
import org.jexel.core.connector.PinFunction;

/**
 * One rig: its sheet of figures, its lamps and its load.
 *
 * @param sheet every figure with its provenance
 * @param lamps lamps of the trailer, left-out ones included
 * @param load what stands on the bed
 */
public record Rig(RigSheet sheet, List<Lamp> lamps, List<LoadItem> load) {
  /** Stored choice of a place where no connector is. */
  public static final String NO_CONNECTOR = "none";

  /** The connector whose middle pin differs between makers. */
  private static final String MIDDLE_DIFFERS = "round-6";

  public Rig {
    lamps = List.copyOf(lamps);
    load = List.copyOf(load);
  }

  public Rig with(RigSheet newSheet) {
    return new Rig(newSheet, lamps, load);
  }

  public int axleCount() {
    return (int) sheet.si(RigField.AXLE_COUNT);
  }

  /**
   * Place of each axle behind the ball, m, front axle first, spread evenly about the group's
   * middle.
   */
  public double[] axlePlaces() {
    int n = axleCount();
    double centre = sheet.si(RigField.AXLE_CENTRE);
    double spacing = sheet.si(RigField.AXLE_SPACING);
    return IntStream.range(0, n).mapToDouble(i -> centre + (i - (n - 1) / 2.0) * spacing).toArray();
  }

  public boolean braked(int axle) {
    return sheet.choice(new FieldKey(RigField.BRAKE_TYPE, axle), BrakeType.class) != BrakeType.NONE
        && sheet.choice(new FieldKey(RigField.AXLE_BRAKED, axle), YesNo.class) == YesNo.YES;
  }

  public int[] brakedAxles() {
    return IntStream.range(0, axleCount()).filter(this::braked).toArray();
  }

  /** How the brakes are worked: as on the first braked axle; none if there is no such axle. */
  public BrakeType brakeType() {
    int[] braked = brakedAxles();
    return braked.length == 0
        ? BrakeType.NONE
        : sheet.choice(new FieldKey(RigField.BRAKE_TYPE, braked[0]), BrakeType.class);
  }

  /** Brake magnets fed over the brake pin. */
  public boolean hasMagnets() {
    return brakeType() == BrakeType.ELECTRIC;
  }

  /** Brakes that answer to a controller, be it by magnets or by an actuator. */
  public boolean hasElectricBrakes() {
    return hasMagnets() || brakeType() == BrakeType.ELECTRIC_HYDRAULIC;
  }

  /**
   * The vehicle's socket that this job uses: the one that takes the planned plug, else the first.
   */
  public Connector towConnector() {
    List<Connector> sockets = towConnectors();
    return sockets.stream()
        .filter(socket -> socket.takes(connector()))
        .findFirst()
        .orElse(sockets.get(0));
  }

  /** Every socket on the vehicle, one or two. */
  public List<Connector> towConnectors() {
    return Stream.of(RigField.TOW_CONNECTOR, RigField.SECOND_TOW_CONNECTOR)
        .map(field -> sheet.choice(field).value())
        .filter(id -> !id.equals(NO_CONNECTOR))
        .map(sheet.catalog()::connector)
        .toList();
  }

  public Connector trailerConnector() {
    return sheet.catalog().connector(sheet.choice(RigField.TRAILER_CONNECTOR).value());
  }

  /**
   * The pair that this job ends with, its middle pin as somebody read it; harness and checks are
   * made for it.
   */
  public Connector connector() {
    Connector connector =
        sheet.catalog().connector(sheet.choice(RigField.PLANNED_CONNECTOR).value());
    return connector.id().equals(MIDDLE_DIFFERS)
        ? connector.withMiddle(sheet.choice(RigField.MIDDLE_PIN, MiddlePin.class).function())
        : connector;
  }

  public Convention convention() {
    return sheet.catalog().convention(sheet.choice(RigField.TRAILER_CONVENTION).value());
  }

  public Convention towConvention() {
    return sheet.catalog().convention(sheet.choice(RigField.TOW_CONVENTION).value());
  }

  public ControllerKind controllerKind() {
    return sheet.choice(RigField.CONTROLLER_KIND, ControllerKind.class);
  }

  public boolean carries(PinFunction function) {
    return connector().has(function);
  }

  public List<Lamp> fittedLamps() {
    return lamps.stream().filter(Lamp::counts).toList();
  }

  /** What people call a lamp: those of one kind on one side are counted from the front. */
  public String name(Lamp lamp) {
    List<String> alike =
        fittedLamps().stream()
            .filter(l -> l.role() == lamp.role() && l.side() == lamp.side())
            .sorted(Comparator.comparingDouble(Lamp::x).thenComparing(Lamp::slot))
            .map(Lamp::slot)
            .toList();
    String number = alike.size() > 1 ? " " + (alike.indexOf(lamp.slot()) + 1) : "";
    return lamp.role().label() + number + ", " + lamp.side().label();
  }
}
