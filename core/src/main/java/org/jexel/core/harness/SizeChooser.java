package org.jexel.core.harness;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.quantity.Must;
import org.jspecify.annotations.Nullable;

/**
 * Chooses wire sizes: the smallest stocked size that satisfies the least size of its duty, the
 * current, its fuse, and the drop at full load along the whole loop.
 *
 * <p>Every stretch (a circuit's spans of one duty) starts at the least size of its duty and grows
 * to its current and to the fuse that its load needs; then, while a circuit's farthest load loses
 * more than its limit, the stretch that wastes most volts grows by one size. The last rule that
 * made a stretch grow is its binding reason. No stretch grows past what its terminals take.
 *
 * <p>Contacts are left out here, since no wire makes them better; the network has them.
 */
final class SizeChooser {
  /** What a terminal of a 7-way connector takes, m²: 10 AWG or 6 mm². */
  private static final double MOST_AT_A_PIN_M2 = 6.0e-6;

  /** What a stud or a splice takes, m²: 8 AWG or 10 mm². */
  private static final double MOST_AT_A_STUD_M2 = 10.0e-6;

  private static final String THICKEST_IN_STOCK = "thickest in stock, and still too thin";
  private static final String THICKEST_TERMINAL = "thickest that its terminals take";

  private record Stretch(Branch branch, Duty duty) {}

  private final List<WireSize> sizes;
  private final Wiring wiring;
  private final List<Span> spans;
  private final Map<Stretch, String> binding = new HashMap<>();
  private final FullLoad fullLoad;
  private @Nullable Currents now;

  private SizeChooser(Wiring wiring, List<WireSize> sizes) {
    this.spans = new ArrayList<>(wiring.spans);
    this.wiring = wiring;
    this.sizes = sizes;
    this.fullLoad = new FullLoad(wiring.loads);
  }

  static Harness choose(Wiring wiring, List<WireSize> stock) {
    SizeChooser chooser = new SizeChooser(wiring, stock).grown();
    Map<Branch, String> buy =
        chooser.binding.containsValue(THICKEST_IN_STOCK) ? toBuy(wiring, stock) : Map.of();
    RatingLaw law = new RatingLaw(chooser.spans, chooser.currents(), wiring.ratings);
    return new Harness(
        chooser.spans,
        wiring.joints,
        wiring.loads,
        new CircuitTable(chooser.currents(), chooser.fullLoad, law, chooser::binding)
            .lines(chooser.spans, buy),
        law.breakers(),
        wiring.problems);
  }

  /** What would fit if it could be bought: by circuit, the sizes beyond the shelf. */
  private static Map<Branch, String> toBuy(Wiring wiring, List<WireSize> stock) {
    WireSize thickest = stock.get(stock.size() - 1);
    List<WireSize> all = new ArrayList<>(stock);
    WireSize.GAUGES.stream().filter(size -> size.area() > thickest.area()).forEach(all::add);
    Map<Branch, Set<String>> buy = new HashMap<>();
    for (Span span : new SizeChooser(wiring, all).grown().spans) {
      if (span.size().area() > thickest.area()) {
        buy.computeIfAbsent(span.branch(), c -> new LinkedHashSet<>()).add(span.size().label());
      }
    }
    Map<Branch, String> words = new HashMap<>();
    buy.forEach((branch, labels) -> words.put(branch, String.join(" and ", labels)));
    return words;
  }

  private SizeChooser grown() {
    byDuty();
    byCurrent();
    do {
      byDrop();
    } while (byFuse());
    return this;
  }

  /** Least cross-section of a duty, m²: 16 AWG or 1.0 mm², 14 AWG or 2.0 mm², 12 AWG or 3.3 mm². */
  private static double leastArea(Span span) {
    boolean thick =
        span.function() == PinFunction.BRAKE
            || span.function() == PinFunction.EARTH
            || span.function() == PinFunction.CHARGE;
    return switch (span.duty()) {
      case TRUNK, BREAKAWAY -> 3.3e-6;
      case ACROSS -> 2.0e-6;
      case VEHICLE, CORD -> thick ? 3.3e-6 : 1.0e-6;
      case RUN -> 1.0e-6;
    };
  }

  private void byDuty() {
    for (int i = 0; i < spans.size(); i++) {
      Span span = spans.get(i);
      WireSize size =
          sizes.stream()
              .filter(candidate -> candidate.area() >= leastArea(span))
              .findFirst()
              .orElse(thickest());
      spans.set(i, span.with(size));
      binding.put(stretch(span), "least size for this run");
    }
  }

  private Currents currents() {
    now = now == null ? new Currents(spans, wiring.joints, wiring.loads) : now.resized(spans);
    return now;
  }

  private void byCurrent() {
    boolean grown = true;
    while (grown) {
      grown = false;
      for (Map.Entry<Span, Double> entry : currents().of(wiring.loads).entrySet()) {
        Span span = entry.getKey();
        if (entry.getValue() > span.size().amps() && mayGrow(span)) {
          grow(stretch(span), "current");
          grown = true;
          break;
        }
      }
    }
  }

  /** Every wire behind a fuse carries what the fuse lets through. */
  private boolean byFuse() {
    boolean any = false;
    RatingLaw law = new RatingLaw(spans, currents(), wiring.ratings);
    for (PinFunction function : law.breakers().keySet()) {
      double fuse = law.wanted(function);
      Set<Stretch> thin = new LinkedHashSet<>();
      for (Span span : law.behind(function)) {
        if (span.size().amps() < fuse) {
          thin.add(stretch(span));
        }
      }
      for (Stretch stretch : thin) {
        while (spans.stream()
            .anyMatch(s -> stretch(s).equals(stretch) && s.size().amps() < fuse && mayGrow(s))) {
          grow(stretch, "its fuse");
          any = true;
        }
      }
    }
    return any;
  }

  private void byDrop() {
    for (PinFunction function : PinFunction.values()) {
      List<Load> fed = fullLoad.fed(function);
      while (!fed.isEmpty()) {
        Currents now = currents();
        Load far = fullLoad.farthest(now, fed);
        List<Load> on = fullLoad.together(far);
        if (now.loss(far, on, FullLoad.counts(far)) <= FullLoad.limit(function)) {
          break;
        }
        List<Span> way =
            spans.stream()
                .filter(span -> now.passes(far, span) && FullLoad.counts(far).test(span))
                .toList();
        Map<Stretch, Double> waste = new LinkedHashMap<>();
        way.stream()
            .filter(this::mayGrow)
            .forEach(span -> waste.merge(stretch(span), now.waste(far, on, span), Double::sum));
        if (waste.isEmpty()) {
          way.forEach(span -> binding.put(stretch(span), thickest(span)));
          break;
        }
        grow(waste.entrySet().stream().max(Map.Entry.comparingByValue()).get().getKey(), "drop");
      }
    }
  }

  private void grow(Stretch stretch, String reason) {
    for (int i = 0; i < spans.size(); i++) {
      Span span = spans.get(i);
      if (stretch(span).equals(stretch) && mayGrow(span)) {
        spans.set(i, span.with(next(span)));
      }
    }
    binding.put(stretch, reason);
  }

  private WireSize next(Span span) {
    return sizes.get(sizes.indexOf(span.size()) + 1);
  }

  private boolean mayGrow(Span span) {
    double most =
        span.duty() == Duty.VEHICLE || span.duty() == Duty.CORD
            ? MOST_AT_A_PIN_M2
            : MOST_AT_A_STUD_M2;
    return span.size() != thickest() && next(span).area() <= most;
  }

  private String thickest(Span span) {
    return span.size() == thickest() ? THICKEST_IN_STOCK : THICKEST_TERMINAL;
  }

  private String binding(Span span) {
    return Must.have(binding, stretch(span));
  }

  private static Stretch stretch(Span span) {
    return new Stretch(span.branch(), span.duty());
  }

  private WireSize thickest() {
    return sizes.get(sizes.size() - 1);
  }
}
