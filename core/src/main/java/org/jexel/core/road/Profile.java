package org.jexel.core.road;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A settled gain beside what the rig is now. It holds for the load, the surface, the vehicle and
 * the brakes with which it was found, and for half a year.
 *
 * @param setting as it was settled
 * @param stale why it holds no longer; empty where it does
 * @param soundForItsLoad whether it holds once its own load is on the trailer again
 */
public record Profile(Setting setting, List<String> stale, boolean soundForItsLoad) {
  /** A trailer heavier or lighter by more is another one to its brakes. */
  private static final double SAME_LOAD = 0.1;

  /** A vehicle that differs by more is another one. */
  private static final double SAME_VEHICLE = 0.05;

  private static final int MONTHS = 6;

  public Profile {
    stale = List.copyOf(stale);
  }

  /** Whether a stop or a setting with one load says anything of another. */
  public static boolean sameLoad(double one, double other) {
    return Math.abs(one / other - 1) <= SAME_LOAD;
  }

  /**
   * @param vehicleMass of now, kg
   * @param trailerMass of now, kg
   * @param mended when brakes or their wiring were last worked on
   * @param practised whether a stop that led to it was driven on the simulated road
   * @param day on which it is asked
   */
  public static Profile of(
      Setting setting,
      double vehicleMass,
      double trailerMass,
      Optional<Instant> mended,
      boolean practised,
      LocalDate day) {
    List<String> stale = new ArrayList<>();
    if (Math.abs(vehicleMass / setting.vehicleMass() - 1) > SAME_VEHICLE) {
      stale.add("another vehicle");
    }
    if (practised) {
      stale.add("found on the simulated road");
    }
    if (mended.filter(at -> at.isAfter(setting.at())).isPresent()) {
      stale.add("brakes or wiring worked on since");
    }
    if (until(setting).isBefore(day)) {
      stale.add("older than six months");
    }
    boolean sound = stale.isEmpty();
    if (!sameLoad(trailerMass, setting.trailerMass())) {
      stale.add(0, "another load");
    }
    return new Profile(setting, stale, sound);
  }

  /** The day after which it is to be found anew, whatever stayed as it was. */
  public LocalDate until() {
    return until(setting);
  }

  private static LocalDate until(Setting setting) {
    return LocalDate.ofInstant(setting.at(), ZoneOffset.UTC).plusMonths(MONTHS);
  }

  public boolean holds() {
    return stale.isEmpty();
  }
}
