package org.jexel.core.road;

import java.time.Instant;
import org.jexel.core.braking.Surface;

/**
 * A settled gain, and what it holds for.
 *
 * @param gain on the controller's scale
 * @param school by which it was found
 * @param surface on which it was found
 * @param vehicleMass of the vehicle that drew, kg
 * @param trailerMass with load, kg
 * @param at when
 * @param who name of the person
 */
public record Setting(
    double gain,
    School school,
    Surface surface,
    double vehicleMass,
    double trailerMass,
    Instant at,
    String who) {

  /** Whether another one answers the same: by the same school, on that surface with that load. */
  public boolean isLike(Setting other) {
    return school == other.school
        && surface == other.surface
        && Profile.sameLoad(trailerMass, other.trailerMass);
  }

  /** What a setting answers. */
  public enum School {
    BELOW_LOCK("Just below lock-up"),
    EVEN_PULL("Even pull");

    private final String label;

    School(String label) {
      this.label = label;
    }

    public String label() {
      return label;
    }
  }
}
