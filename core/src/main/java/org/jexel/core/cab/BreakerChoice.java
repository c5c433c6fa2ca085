package org.jexel.core.cab;

import java.util.List;
import java.util.Optional;
import org.jexel.core.harness.Protection;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Sum;
import org.jexel.core.quantity.Term;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;

/**
 * The breaker of the controller's supply by both schools: by braked axles, and by computation. The
 * safer, that is the smaller that still carries the load, is taken.
 *
 * @param byAxles 1 braked axle 20 A, 2 30 A, 3 or more 40 A
 * @param byLoad least standard size of 1.25 × the continuous load or more
 * @param chosen what to fit, A
 * @param wireCarries whether the feed's wire is protected by it
 * @param sum how the load rule came out
 */
public record BreakerChoice(
    double byAxles, double byLoad, double chosen, boolean wireCarries, Sum sum) {

  /** Fails when the wire would burn before the breaker opens. */
  public Verdict verdict() {
    return wireCarries ? Verdict.HOLDS : Verdict.FAILS;
  }

  /** Why a breaker of this size cannot protect a wire that carries so much; empty if it can. */
  public static Optional<String> above(double breakerAmps, double wireAmps) {
    return breakerAmps <= wireAmps
        ? Optional.empty()
        : Optional.of(
            "%s is above the %s that the feed’s wire carries: the wire would burn first. At most %s here."
                .formatted(amps(breakerAmps), amps(wireAmps), amps(Protection.mostFor(wireAmps))));
  }

  private static String amps(double rating) {
    return Measure.RATING.text(rating, UnitSystem.METRIC);
  }

  /**
   * @param brakedAxles 1 or more
   * @param loadAmps continuous load at full output, A
   * @param wireAmps what the feed's wire carries, A
   */
  public static BreakerChoice of(int brakedAxles, double loadAmps, double wireAmps) {
    if (brakedAxles < 1) {
      throw new IllegalArgumentException("no braked axle");
    }
    double byAxles = brakedAxles == 1 ? 20 : brakedAxles == 2 ? 30 : 40;
    double byLoad = Protection.leastFor(loadAmps);
    double smaller = Math.min(byAxles, byLoad);
    double chosen = smaller >= Protection.MARGIN * loadAmps ? smaller : Math.max(byAxles, byLoad);
    return new BreakerChoice(
        byAxles,
        byLoad,
        chosen,
        chosen <= wireAmps,
        new Sum(
            "Breaker by load: the least standard size above",
            "B ≥ 1.25 · I",
            List.of(Term.computed("I", "brakes at full output", loadAmps, Measure.AMPS)),
            Protection.MARGIN * loadAmps,
            Measure.AMPS));
  }
}
