package org.jexel.app.cab;

import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jexel.app.job.JobFile;
import org.jexel.core.cab.Clearance;
import org.jexel.core.cab.ControllerModel;
import org.jexel.core.cab.Fitting;
import org.jexel.core.cab.Mounting;
import org.jexel.core.rig.RigField;

/** Reads what was typed on the cards of the cab into what the core judges. */
public final class CabFound {
  private CabFound() {}

  public static Fitting.Found of(JobFile file) {
    double breaker = file.rig().sheet().si(RigField.BREAKER_FITTED);
    return new Fitting.Found(
        file.model(),
        Double.isNaN(breaker) ? OptionalDouble.empty() : OptionalDouble.of(breaker),
        Optional.of(SignalCard.of(file, file.cabNote("signal")).found()),
        Optional.ofNullable(plug(file, file.cabNote("plug")).match()),
        Optional.ofNullable(mounting(file, file.cabNote("mounting")).mounting()),
        clear(file.cabNote("mounting")));
  }

  static PlugCard plug(JobFile file, Map<String, String> typed) {
    return PlugCard.of(typed, file.model().map(ControllerModel::cavities).orElseGet(TreeMap::new));
  }

  static MountingCard mounting(JobFile file, Map<String, String> typed) {
    Mounting.Limits limits =
        file.model().map(ControllerModel::limits).orElse(Mounting.Limits.UNSTATED);
    return MountingCard.of(typed, limits);
  }

  private static Set<Clearance> clear(Map<String, String> typed) {
    return Arrays.stream(Clearance.values())
        .filter(place -> typed.containsKey("clear" + place.name()))
        .collect(Collectors.toSet());
  }
}
