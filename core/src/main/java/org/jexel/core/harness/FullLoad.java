package org.jexel.core.harness;

import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import org.jexel.core.connector.PinFunction;

/**
 * Which loads are on together, and what each may lose.
 *
 * <p>Full load is every lamp at once for the lamps, and every brake at once for the brakes.
 *
 * <p>Limits, of 12.8 V: lamps 5 % from the socket on, since the vehicle's own loom is not this
 * job's; brakes 10 % and charge 4 % from the battery on. The trade accepts 11 to 11.5 V at a braked
 * wheel.
 */
final class FullLoad {
  static final double LAMP_LIMIT = 0.05;
  static final double BRAKE_LIMIT = 0.10;
  static final double CHARGE_LIMIT = 0.04;

  private final List<Load> loads;
  private final Map<PinFunction, List<Load>> groups = new EnumMap<>(PinFunction.class);

  FullLoad(List<Load> loads) {
    this.loads = loads;
  }

  List<Load> fed(PinFunction function) {
    return loads.stream().filter(load -> load.function() == function).toList();
  }

  /** The loads that are on together at the full load of one of them. */
  List<Load> together(Load one) {
    return groups.computeIfAbsent(
        one.lamp() ? PinFunction.TAIL : one.function(),
        key ->
            loads.stream()
                .filter(load -> one.lamp() ? load.lamp() : load.function() == one.function())
                .toList());
  }

  /** Of loads of one kind, the one that loses most. */
  Load farthest(Currents now, List<Load> among) {
    List<Load> on = together(among.get(0));
    return among.stream()
        .max(Comparator.comparingDouble(load -> now.loss(load, on, counts(load))))
        .orElseThrow();
  }

  /** Which spans' loss counts against a load's limit. */
  static Predicate<Span> counts(Load load) {
    return load.lamp() ? span -> span.duty() != Duty.VEHICLE : span -> true;
  }

  /** What a load of a function may lose, V. */
  static double limit(PinFunction function) {
    return LampLoad.NOMINAL_VOLTS
        * switch (function) {
          case BRAKE -> BRAKE_LIMIT;
          case CHARGE -> CHARGE_LIMIT;
          default -> LAMP_LIMIT;
        };
  }
}
