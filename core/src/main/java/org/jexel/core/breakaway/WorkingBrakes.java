package org.jexel.core.breakaway;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Load;
import org.jexel.core.harness.Nodes;
import org.jexel.core.network.Fault;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.network.RigState;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.rig.Rig;

/**
 * How many brakes a clamp on the breakaway's lead tells of.
 *
 * <p>For each number k of working brakes the network gives the current I_k; what is read lies about
 * it as N(I_k, σ_k), σ_k = σ_n · I_k / I_n + meter. Each brake is dead one time in twenty before
 * anything is read, and one time in fifty the current is made by something else, anywhere up to one
 * and a half times I_n. By Bayes each number gets its share.
 *
 * @param of how many magnets the trailer has
 * @param working the likeliest number
 * @param certainty its share; what else may be has the rest
 * @param fits whether a number of working brakes explains it better than something else does
 */
public record WorkingBrakes(int of, int working, double certainty, boolean fits) {
  private static final double DEAD = 0.05;
  private static final double SOMETHING_ELSE = 0.02;

  /** Clamps read no current finer, A. */
  private static final double METER_AMPS = 0.03;

  private static final double MOST_TOLD = 0.99;

  /** From here on a number is said. */
  private static final double SAID = 0.8;

  /**
   * @param read by the clamp, A
   * @param deviation of the whole current on sound rigs, standard, A
   * @return empty where the trailer has no magnets on a breakaway
   */
  public static Optional<WorkingBrakes> of(
      Rig rig, Harness harness, double read, double deviation) {
    List<String> magnets =
        harness.loads().stream()
            .filter(load -> load.kind() == Load.Kind.MAGNET)
            .map(Load::name)
            .toList();
    if (magnets.isEmpty()) {
      return Optional.empty();
    }
    int n = magnets.size();
    double whole = amps(rig, harness, List.of());
    double likeliest = 0;
    int working = 0;
    double all = SOMETHING_ELSE / (1.5 * whole);
    double other = all;
    for (int k = 0; k <= n; k++) {
      double expected = amps(rig, harness, magnets.subList(k, n));
      double sigma = METER_AMPS + deviation * expected / whole;
      double likely = prior(n, k) * normal(Math.abs(read) - expected, sigma);
      all += likely;
      if (likely > likeliest) {
        likeliest = likely;
        working = k;
      }
    }
    return Optional.of(new WorkingBrakes(n, working, likeliest / all, likeliest > other));
  }

  private static double amps(Rig rig, Harness harness, List<String> dead) {
    List<Fault> faults = new ArrayList<>();
    dead.forEach(magnet -> faults.add(Fault.of(Fault.Kind.OPEN, magnet)));
    return Math.abs(
        RigNetwork.of(rig, harness, RigState.of(StateWord.UNPLUGGED, StateWord.BREAKAWAY), faults)
            .network()
            .solve()
            .amps(Nodes.wire(Harness.SWITCH_IN)));
  }

  /** Of n brakes k work: C(n, k) · 0.95^k · 0.05^(n − k). */
  private static double prior(int n, int k) {
    double ways = 1;
    for (int i = 0; i < k; i++) {
      ways = ways * (n - i) / (i + 1);
    }
    return (1 - SOMETHING_ELSE) * ways * Math.pow(1 - DEAD, k) * Math.pow(DEAD, n - k);
  }

  private static double normal(double off, double sigma) {
    double z = off / sigma;
    return Math.exp(-z * z / 2) / (sigma * Math.sqrt(2 * Math.PI));
  }

  /** Whether it is certain enough to be told. */
  public boolean said() {
    return fits && certainty >= SAID;
  }

  /** A figure never says that nothing else can be. */
  private String told() {
    return certainty > MOST_TOLD ? "over 99 %" : Phrase.of("%.0f %%", 100 * certainty);
  }

  public String words() {
    if (!fits) {
      return Phrase.of("No number of its %d brakes explains this current.", of);
    }
    String number =
        working == of
            ? Phrase.of("All %d brakes draw their current", of)
            : Phrase.of("%d of %d brakes draw their current", working, of);
    return certainty >= SAID
        ? Phrase.of("%s, %s sure.", number, told())
        : Phrase.of("%s, at %.0f %% only: clamp each wheel.", number, 100 * certainty);
  }
}
