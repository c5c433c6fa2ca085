package org.jexel.core.care;

import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;

/**
 * To what the tyres of an axle are filled, cold: what stands on their walls, at which they carry
 * their load, or less by their maker's table for the load that they do carry.
 *
 * <p>The load that a tyre carries goes about with the 0.7th power of its pressure, as the load
 * tables of tyre makers have it: a tenth short carries a fourteenth less and runs hot. More than
 * what stands on its wall is past a rating.
 *
 * @param wall greatest pressure as it stands on the wall, Pa; NaN while nobody read it
 * @param table pressure by the maker's table, Pa; NaN where none is entered
 */
record TyrePressure(double wall, double table) {
  /** As near as a gauge and a cold morning let anybody come, a share of the pressure. */
  private static final double NEAR = 0.05;

  private static final double SHORT = 0.1;

  /**
   * @param axle from the front, 0 first
   */
  static TyrePressure of(Rig rig, int axle) {
    return new TyrePressure(
        rig.sheet().si(new FieldKey(RigField.TYRE_WALL, axle)),
        rig.sheet().si(new FieldKey(RigField.TYRE_TABLE, axle)));
  }

  /** As in “4.50 bar, as its wall says”; of axles that differ each, from the front. */
  static String words(Rig rig, UnitSystem units) {
    return IntStream.range(0, rig.axleCount())
        .mapToObj(axle -> of(rig, axle).words(units))
        .distinct()
        .collect(Collectors.joining("; "));
  }

  /** The figure of the rig that is filled to; empty while nobody knows one. */
  static Optional<FieldKey> rests(Rig rig, int axle) {
    TyrePressure tyre = of(rig, axle);
    return Double.isFinite(tyre.wanted())
        ? Optional.of(new FieldKey(tyre.tabled() ? RigField.TYRE_TABLE : RigField.TYRE_WALL, axle))
        : Optional.empty();
  }

  private boolean walled() {
    return Double.isFinite(wall);
  }

  /** Whether the table says less than the wall, which is the most. */
  private boolean tabled() {
    return Double.isFinite(table) && !(table > wall);
  }

  /** Pa; NaN while nobody knows. */
  private double wanted() {
    return tabled() ? table : wall;
  }

  /** Empty while nobody entered what stands on the wall or in the table: then nothing is judged. */
  Optional<CareLimit> limit() {
    if (!walled() && !tabled()) {
      return Optional.empty();
    }
    double wanted = wanted();
    double most = walled() ? wall : Double.POSITIVE_INFINITY;
    double watch = tabled() ? Math.min(wanted * (1 + SHORT), most) : most;
    return Optional.of(
        new CareLimit(
            wanted * (1 - SHORT), wanted * (1 - NEAR), watch, Math.max(watch, most * (1 + NEAR))));
  }

  private String words(UnitSystem units) {
    if (!walled() && !tabled()) {
      return "what its wall says";
    }
    return Phrase.of(
        "%s, as %s",
        Measure.PRESSURE.text(wanted(), units),
        tabled() ? "its maker’s table says" : "its wall says");
  }
}
