package org.jexel.core.rig;

import java.util.List;
import java.util.stream.IntStream;
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
    return brakeType() != BrakeType.NONE
        && sheet.choice(new FieldKey(RigField.AXLE_BRAKED, axle), YesNo.class) == YesNo.YES;
  }

  public int[] brakedAxles() {
    return IntStream.range(0, axleCount()).filter(this::braked).toArray();
  }

  public BrakeType brakeType() {
    return sheet.choice(RigField.BRAKE_TYPE, BrakeType.class);
  }

  /** Brake magnets fed over the brake pin. */
  public boolean hasMagnets() {
    return brakeType() == BrakeType.ELECTRIC && brakedAxles().length > 0;
  }

  /** Brakes that answer to a controller, be it by magnets or by an actuator. */
  public boolean hasElectricBrakes() {
    return brakedAxles().length > 0
        && (brakeType() == BrakeType.ELECTRIC || brakeType() == BrakeType.ELECTRIC_HYDRAULIC);
  }

  public Connector towConnector() {
    return sheet.catalog().connector(sheet.choice(RigField.TOW_CONNECTOR).value());
  }

  public Connector trailerConnector() {
    return sheet.catalog().connector(sheet.choice(RigField.TRAILER_CONNECTOR).value());
  }

  /** The pair that this job ends with; harness and checks are made for it. */
  public Connector connector() {
    return sheet.catalog().connector(sheet.choice(RigField.PLANNED_CONNECTOR).value());
  }

  public Convention convention() {
    return sheet.catalog().convention(sheet.choice(RigField.TRAILER_CONVENTION).value());
  }

  public Convention towConvention() {
    return sheet.catalog().convention(sheet.choice(RigField.TOW_CONVENTION).value());
  }

  public boolean carries(PinFunction function) {
    return connector().has(function);
  }

  public List<Lamp> fittedLamps() {
    return lamps.stream().filter(Lamp::counts).toList();
  }
}
