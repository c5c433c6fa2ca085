package org.jexel.core.road;

import java.util.List;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Sum;
import org.jexel.core.quantity.Term;
import org.jexel.core.quantity.Unit;
import org.jexel.core.rig.LoadSheet;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;

/**
 * How far the rig runs when only the vehicle brakes: its brake force has to stop both masses, d =
 * d0·(m_v + m_t)/m_v, level, dry, the same effort at the pedal, and no driver's delay.
 *
 * @param alone the vehicle alone from 100 km/h, m
 * @param train with this trailer and no brakes on it, m
 * @param sum how it was found
 */
public record UnbrakedStop(double alone, double train, Sum sum) {
  /** Speed of the solo stop, m/s. */
  public static final double SPEED_MPS = Unit.KILOMETRE_PER_HOUR.toSi(100);

  public static UnbrakedStop of(Rig rig, LoadSheet load) {
    double alone = rig.sheet().si(RigField.SOLO_STOP);
    double vehicle = rig.sheet().si(RigField.KERB_MASS);
    double train = alone * (vehicle + load.mass()) / vehicle;
    return new UnbrakedStop(
        alone,
        train,
        new Sum(
            "Stop from 100 km/h (62 mph) without trailer brakes",
            "d = d0 · (m_v + m_t) / m_v",
            List.of(
                Term.of(
                    "d0",
                    "the vehicle alone",
                    rig.sheet().figure(RigField.SOLO_STOP),
                    Measure.DISTANCE),
                Term.of("m_v", "vehicle", rig.sheet().figure(RigField.KERB_MASS), Measure.MASS),
                Term.computed("m_t", "trailer as loaded", load.mass(), Measure.MASS)),
            train,
            Measure.DISTANCE));
  }
}
