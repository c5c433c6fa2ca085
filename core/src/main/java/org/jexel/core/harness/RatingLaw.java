package org.jexel.core.harness;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.BreakerChoice.Limit;
import org.jexel.core.harness.Ruling.Law;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Must;
import org.jexel.core.quantity.Provenance;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;

/**
 * Ratings as laws, on every way from a source over its loads and back, with everything on at once
 * and the engine running:
 *
 * <ul>
 *   <li>load ≤ rating of every pin, that of the weaker half;
 *   <li>load ≤ what an output of a module gives, where one feeds the lamp pins;
 *   <li>load ≤ what every wire carries;
 *   <li>fuse or breaker ≤ every wire behind it, out and back, and ≤ its pin and the earth pin,
 *       since those have no fuse of their own;
 *   <li>fuse or breaker ≥ the load.
 * </ul>
 *
 * <p>Everything that says whether a circuit keeps its ratings asks here.
 */
final class RatingLaw {
  /** Volts of a breakaway battery with the brakes on it, V. */
  private static final double BREAKAWAY_VOLTS = 12;

  private static final String LESS_AT_ONCE =
      "Draw less at once: LED lamps, a smaller charge feed, or one that rests while the brakes are"
          + " on.";
  private static final String OTHER_WAY = "Another connector, or a relay at the trailer.";
  private static final String RELAYS =
      "Its own sheet decides; LED lamps, or relays fed from the battery.";
  private static final String SECOND_CONDUCTOR =
      "A second conductor beside it, or less load at once.";
  private static final String THICKER = "Thicker wire, or a run per side.";
  private static final String CHARGE_ASSUMED =
      "%s of it is the charge feed, which is only assumed: read what it takes at most, and enter it.";

  private final Currents running;

  /** What does not rest on an assumed charge feed. */
  private final List<Load> known;

  private final Ratings ratings;
  private final Map<PinFunction, List<Load>> fed;
  private final Map<PinFunction, Set<Span>> behind = new EnumMap<>(PinFunction.class);
  private final Map<PinFunction, BreakerChoice> breakers = new EnumMap<>(PinFunction.class);

  /** Current of every span, all of it and what does not rest on an assumed charge feed, A. */
  private Map<Span, Double> carried = Map.of();

  private Map<Span, Double> carriedSurely = Map.of();

  /**
   * @param spans every conductor
   * @param design currents of the wiring at nominal volts
   */
  RatingLaw(List<Span> spans, Currents design, Ratings ratings) {
    this.ratings = ratings;
    Map<PinFunction, List<Load>> on = byFunction(design);
    this.running =
        design.drawing(
            load -> {
              boolean magnet = load.kind() == Load.Kind.MAGNET;
              List<Load> together = Must.have(on, load.function());
              double drop = magnet ? design.drop(load, together, span -> true) : 0;
              return ratings.running(load, drop);
            });
    this.known =
        running.loads().stream()
            .filter(l -> l.kind() != Load.Kind.CHARGE || l.provenance() != Provenance.ASSUMED)
            .toList();
    this.fed = byFunction(running);
    for (PinFunction function : fed.keySet()) {
      Set<Span> carrying = running.carrying(fed(function));
      behind.put(
          function, function == PinFunction.BRAKE ? withBreakaway(carrying, spans) : carrying);
      double load = amps(function);
      if (load > 0) {
        breakers.put(
            function,
            BreakerChoice.of(
                load, function == PinFunction.BRAKE ? ratings.magnetAxles() : 0, limit(function)));
      }
    }
  }

  private static Map<PinFunction, List<Load>> byFunction(Currents currents) {
    Map<PinFunction, List<Load>> on = new EnumMap<>(PinFunction.class);
    for (Load load : currents.loads()) {
      on.computeIfAbsent(load.function(), function -> new ArrayList<>()).add(load);
    }
    return on;
  }

  /** Full load of a function with the engine running, A. */
  private double amps(PinFunction function) {
    return fed(function).stream().mapToDouble(Load::amps).sum();
  }

  private List<Load> fed(PinFunction function) {
    return fed.getOrDefault(function, List.of());
  }

  /** What protects each function that draws a current. */
  Map<PinFunction, BreakerChoice> breakers() {
    return Map.copyOf(breakers);
  }

  /** The least that every wire of a function has to carry so that its fuse may be what it needs. */
  double wanted(PinFunction function) {
    BreakerChoice chosen = BreakerChoice.of(amps(function), 0, pins(function));
    return chosen.verdict() == Verdict.FAILS ? amps(function) : chosen.chosen();
  }

  /** Conductors behind a function's fuse, out and back, by identity. */
  Set<Span> behind(PinFunction function) {
    return behind.getOrDefault(function, Set.of());
  }

  /** The breakaway's leads hang on the brake feed, so its breaker protects them as well. */
  private static Set<Span> withBreakaway(Set<Span> carrying, List<Span> spans) {
    spans.stream().filter(span -> span.duty() == Duty.BREAKAWAY).forEach(carrying::add);
    return carrying;
  }

  private Limit pins(PinFunction function) {
    double own = ratings.pin(function);
    double earth = ratings.pin(PinFunction.EARTH);
    return own <= earth
        ? new Limit(own, "the %s pin".formatted(function.label()))
        : new Limit(earth, "the earth pin");
  }

  private Limit limit(PinFunction function) {
    Stream<Limit> wires =
        behind(function).stream().map(span -> new Limit(span.size().amps(), wire(span)));
    return Stream.concat(Stream.of(pins(function)), wires)
        .min(Comparator.comparingDouble(Limit::amps))
        .orElseThrow();
  }

  private static String wire(Span span) {
    return "%s of “%s”".formatted(span.size().label(), span.circuit());
  }

  /**
   * What a circuit does not keep.
   *
   * @param own the circuit's conductors
   */
  List<Ruling> of(List<Span> own) {
    List<Ruling> rulings = new ArrayList<>();
    PinFunction function = own.get(0).function();
    boolean crosses = own.stream().anyMatch(span -> span.duty() == Duty.CORD);
    if (crosses) {
      pin(function).ifPresent(rulings::add);
      output(function).ifPresent(rulings::add);
    }
    wires(own).ifPresent(rulings::add);
    thinnerThanFuse(own).ifPresent(rulings::add);
    if (crosses && breakers.containsKey(function)) {
      BreakerChoice breaker = breakers.get(function);
      breaker
          .reason()
          .ifPresent(words -> rulings.add(new Ruling(Law.FUSE, breaker.verdict(), words)));
    }
    return rulings;
  }

  private Optional<Ruling> pin(PinFunction function) {
    return running.joints().stream()
        .filter(j -> j.kind() == Joint.Kind.PIN && j.function() == function)
        .map(
            joint ->
                past(
                    Law.PIN,
                    running.through(joint, running.loads()),
                    running.through(joint, known),
                    ratings.pin(function),
                    "the %s pin".formatted(function.label()),
                    function == PinFunction.EARTH ? LESS_AT_ONCE : OTHER_WAY))
        .flatMap(Optional::stream)
        .findFirst();
  }

  private Optional<Ruling> output(PinFunction function) {
    double load = amps(function);
    if (!ratings.module()
        || !PinFunction.LIGHTS.contains(function)
        || load <= Ratings.LEAST_OUTPUT) {
      return Optional.empty();
    }
    return Optional.of(
        new Ruling(
            Law.OUTPUT,
            load > Ratings.MOST_OUTPUT ? Verdict.FAILS : Verdict.WATCH,
            "%s at once from the module's %s output, which gives %s to %s by its make. %s"
                .formatted(
                    amps(load),
                    function.label(),
                    amps(Ratings.LEAST_OUTPUT),
                    amps(Ratings.MOST_OUTPUT),
                    RELAYS)));
  }

  private Optional<Ruling> wires(List<Span> own) {
    if (carried.isEmpty()) {
      carried = running.of(running.loads());
      carriedSurely = running.of(known);
    }
    return own.stream()
        .map(
            span -> {
              boolean pulled = span.duty() == Duty.BREAKAWAY;
              boolean shared = span.duty() == Duty.VEHICLE || span.duty() == Duty.CORD;
              return past(
                  Law.WIRE,
                  pulled ? pulled() : carried.get(span),
                  pulled ? pulled() : carriedSurely.get(span),
                  span.size().amps(),
                  wire(span),
                  shared ? SECOND_CONDUCTOR : THICKER);
            })
        .flatMap(Optional::stream)
        .findFirst();
  }

  /**
   * @param sure the part of the load that does not rest on an assumed charge feed, A
   */
  private static Optional<Ruling> past(
      Law law, double load, double sure, double rating, String part, String way) {
    if (load <= rating) {
      return Optional.empty();
    }
    boolean assumed = sure <= rating;
    return Optional.of(
        new Ruling(
            law,
            assumed ? Verdict.WATCH : Verdict.FAILS,
            "%s at once through %s, which carries %s. %s"
                .formatted(
                    amps(load),
                    part,
                    amps(rating),
                    assumed ? CHARGE_ASSUMED.formatted(amps(load - sure)) : way)));
  }

  /** All magnets on the breakaway's battery, A. */
  private double pulled() {
    return running.loads().stream()
        .filter(load -> load.kind() == Load.Kind.MAGNET)
        .mapToDouble(load -> BREAKAWAY_VOLTS / load.ohms())
        .sum();
  }

  private Optional<Ruling> thinnerThanFuse(List<Span> own) {
    for (Map.Entry<PinFunction, BreakerChoice> entry : breakers.entrySet()) {
      double fuse = entry.getValue().chosen();
      for (Span span : own) {
        if (span.size().amps() < fuse && behind(entry.getKey()).contains(span)) {
          return Optional.of(
              new Ruling(
                  Law.FUSE,
                  Verdict.FAILS,
                  "%s carries %s behind the %s of %s: it would burn first."
                      .formatted(
                          wire(span),
                          amps(span.size().amps()),
                          amps(fuse),
                          entry.getKey().label())));
        }
      }
    }
    return Optional.empty();
  }

  private static String amps(double amps) {
    return Measure.RATING.text(amps, UnitSystem.METRIC);
  }
}
