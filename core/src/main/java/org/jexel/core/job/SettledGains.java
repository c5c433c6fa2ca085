package org.jexel.core.job;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jexel.core.braking.Surface;
import org.jexel.core.rig.RigField;
import org.jexel.core.road.Profile;
import org.jexel.core.road.Setting;
import org.jexel.core.road.TestStop;

/**
 * Every settled gain of a job beside what its rig is now.
 *
 * @param all newest first
 * @param surface of the newest stop; empty while none was driven
 */
public record SettledGains(List<Profile> all, Optional<Surface> surface) {
  static SettledGains of(
      JobRecord record, double mass, Optional<Instant> mended, Optional<Surface> surface) {
    double vehicle = record.rig().sheet().si(RigField.KERB_MASS);
    return new SettledGains(
        record.settings().stream()
            .map(
                setting ->
                    Profile.of(
                        setting,
                        vehicle,
                        mass,
                        mended,
                        practised(record.stops(), setting),
                        record.day()))
            .sorted(Comparator.comparing((Profile p) -> p.setting().at()).reversed())
            .toList(),
        surface);
  }

  /** Whether a stop that may have led to it was driven on the simulated road. */
  private static boolean practised(List<TestStop> stops, Setting setting) {
    return stops.stream()
        .filter(stop -> stop.surface() == setting.surface() && !stop.at().isAfter(setting.at()))
        .filter(stop -> Profile.sameLoad(setting.trailerMass(), stop.trailerMass()))
        .anyMatch(TestStop::practised);
  }

  /**
   * The newest that holds for the rig of now on the surface of the newest stop; on any while none
   * was driven.
   */
  public Optional<Setting> here() {
    return thatHold()
        .map(Profile::setting)
        .filter(setting -> surface.orElse(setting.surface()) == setting.surface())
        .findFirst();
  }

  /** What a report tells: each that holds, else the newest one with what is stale of it. */
  public List<Profile> told() {
    List<Profile> hold = thatHold().toList();
    return hold.isEmpty() ? newest().stream().toList() : hold;
  }

  /**
   * What a driver sets: for each surface and load the newest setting of those that hold once that
   * load is on the trailer. That of the load of now comes first.
   */
  public List<Profile> forTheDriver() {
    List<Profile> newest = new ArrayList<>();
    for (Profile profile : all) {
      if (profile.soundForItsLoad()
          && newest.stream().noneMatch(kept -> kept.setting().isLike(profile.setting()))) {
        newest.add(profile);
      }
    }
    newest.sort(Comparator.comparing(profile -> !profile.holds()));
    return newest;
  }

  /** The newest, whether it still holds or not. */
  public Optional<Profile> newest() {
    return all.stream().findFirst();
  }

  /** The newest that holds for the rig of now. */
  public Optional<Setting> holding() {
    return thatHold().findFirst().map(Profile::setting);
  }

  private Stream<Profile> thatHold() {
    return all.stream().filter(Profile::holds);
  }
}
