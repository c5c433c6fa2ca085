package org.jexel.app.cab;

import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jexel.core.cab.Clearance;
import org.jexel.core.cab.ControllerModel;
import org.jexel.core.cab.Fitting;
import org.jexel.core.cab.Mounting;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;

/** Reads what was typed on the cards of the cab into what the core judges. */
final class CabFound {
  private CabFound() {}

  /**
   * @param typed by card and field
   * @param model of the controller, from the library
   */
  static Fitting.Found of(
      Rig rig, Map<String, Map<String, String>> typed, Optional<ControllerModel> model) {
    double breaker = rig.sheet().si(RigField.BREAKER_FITTED);
    Map<String, String> mounting = typed.getOrDefault("mounting", Map.of());
    return new Fitting.Found(
        model,
        Double.isNaN(breaker) ? OptionalDouble.empty() : OptionalDouble.of(breaker),
        Optional.of(SignalCard.of(rig, typed.getOrDefault("signal", Map.of())).found()),
        Optional.ofNullable(plug(model, typed.getOrDefault("plug", Map.of())).match()),
        Optional.ofNullable(mounting(model, mounting).mounting()),
        clear(mounting));
  }

  static PlugCard plug(Optional<ControllerModel> model, Map<String, String> typed) {
    return PlugCard.of(typed, model.map(ControllerModel::cavities).orElseGet(TreeMap::new));
  }

  static MountingCard mounting(Optional<ControllerModel> model, Map<String, String> typed) {
    return MountingCard.of(
        typed, model.map(ControllerModel::limits).orElse(Mounting.Limits.UNSTATED));
  }

  private static Set<Clearance> clear(Map<String, String> typed) {
    return Arrays.stream(Clearance.values())
        .filter(place -> typed.containsKey("clear" + place.name()))
        .collect(Collectors.toSet());
  }
}
