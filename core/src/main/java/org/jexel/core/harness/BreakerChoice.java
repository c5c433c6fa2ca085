package org.jexel.core.harness;

import java.util.List;
import java.util.Optional;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Sum;
import org.jexel.core.quantity.Term;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;

/**
 * The fuse or breaker of a function's feed.
 *
 * <p>Two schools size it: by braked axles (1 → 20 A, 2 → 30 A, 3 or more → 40 A), and by load, the
 * least standard size of 1.25 × the continuous load or more. The rule by axles is kept where what
 * lies behind it allows that, else the load decides. Never is it above what a wire or a pin behind
 * it carries; where that leaves less than 1.25 × the load, it may open in a long stop, and says so.
 *
 * @param load continuous load with the engine running, A
 * @param byAxles by braked axles, A; 0 where the rule does not speak
 * @param byLoad by load, A
 * @param chosen what to fit, A; by load where nothing fits
 * @param limit the most that what is behind it allows
 * @param verdict holds, watch where it may open in a long stop, fails where nothing fits
 */
public record BreakerChoice(
    double load, double byAxles, double byLoad, double chosen, Limit limit, Verdict verdict) {

  /**
   * The weakest part behind a fuse.
   *
   * @param amps what it carries, A
   * @param part what it is, for people
   */
  public record Limit(double amps, String part) {}

  /**
   * @param load continuous load, A, above 0
   * @param magnetAxles axles braked by magnets, 0 where the rule by axles does not speak
   */
  public static BreakerChoice of(double load, int magnetAxles, Limit limit) {
    if (!(load > 0)) {
      throw new IllegalArgumentException("load " + load + " A");
    }
    double byAxles = byAxles(magnetAxles);
    double byLoad = Protection.leastFor(load);
    double carries = Protection.MARGIN * load;
    if (byAxles >= carries && byAxles <= limit.amps()) {
      return new BreakerChoice(load, byAxles, byLoad, byAxles, limit, Verdict.HOLDS);
    }
    if (byLoad >= carries && byLoad <= limit.amps()) {
      return new BreakerChoice(load, byAxles, byLoad, byLoad, limit, Verdict.HOLDS);
    }
    double most = Protection.mostFor(limit.amps());
    return most >= load && most <= limit.amps()
        ? new BreakerChoice(load, byAxles, byLoad, most, limit, Verdict.WATCH)
        : new BreakerChoice(load, byAxles, byLoad, byLoad, limit, Verdict.FAILS);
  }

  private static double byAxles(int axles) {
    return switch (axles) {
      case 0 -> 0;
      case 1 -> 20;
      case 2 -> 30;
      default -> 40;
    };
  }

  /** Why it is no simple matter; empty where it holds. */
  public Optional<String> reason() {
    return switch (verdict) {
      case HOLDS, NOT_YET -> Optional.empty();
      case WATCH ->
          mayOpen(chosen)
              .map(
                  words ->
                      "%s More is not allowed: %s carries %s."
                          .formatted(words, limit.part(), amps(limit.amps())));
      case FAILS ->
          Optional.of(
              "No breaker fits: the load is %s, and %s behind it carries %s only."
                  .formatted(amps(load), limit.part(), amps(limit.amps())));
    };
  }

  /** Why a breaker that is there cannot stay; empty if it can. */
  public Optional<String> against(double fitted) {
    return over(fitted)
        .or(
            () ->
                fitted < load
                    ? Optional.of(
                        "A breaker of %s opens under the %s of full load."
                            .formatted(amps(fitted), amps(load)))
                    : Optional.empty());
  }

  /** What may happen to a breaker that carries the load, but not for good; else empty. */
  public Optional<String> mayOpen(double fitted) {
    return fitted >= load && fitted < Protection.MARGIN * load
        ? Optional.of(
            "%s carries the %s, but not for good: it may open in a long stop."
                .formatted(amps(fitted), amps(load)))
        : Optional.empty();
  }

  /** Why a breaker is above what is behind it; empty if it is not. */
  public Optional<String> over(double fitted) {
    return fitted <= limit.amps()
        ? Optional.empty()
        : Optional.of(
            "%s is above the %s that %s carries: that would burn first. At most %s here."
                .formatted(
                    amps(fitted),
                    amps(limit.amps()),
                    limit.part(),
                    amps(Protection.mostFor(limit.amps()))));
  }

  /** How the school by load comes to its figure. */
  public Sum sum() {
    return new Sum(
        "Breaker by load: the least standard size above",
        "B ≥ 1.25 · I",
        List.of(Term.computed("I", "full load, engine running", load, Measure.AMPS)),
        Protection.MARGIN * load,
        Measure.AMPS);
  }

  private static String amps(double amps) {
    return Measure.RATING.text(amps, UnitSystem.METRIC);
  }
}
