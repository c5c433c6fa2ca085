package org.jexel.core.diagnosis;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import org.jexel.core.check.Check;
import org.jexel.core.check.FaultyRig;
import org.jexel.core.check.Setup;
import org.jexel.core.harness.Harness;
import org.jexel.core.network.Fault;
import org.jexel.core.network.FaultSolver;
import org.jexel.core.network.Network;
import org.jexel.core.network.NetworkException;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.NoFigure;
import org.jexel.core.rig.Rig;

/**
 * What every check reads on a rig with given faults, by low-rank changes of each setup's factored
 * healthy network. Ohms are told as asinh R, so that open is far from whole but not from another
 * open. For any number of threads.
 */
final class Means {
  private final Rig rig;
  private final Harness harness;
  private final List<Check> checks;

  /** Their places, those with the same around them together. */
  private final int[] bySetup;

  private final Network whole;
  private final Map<Setup, FaultSolver> solvers = new ConcurrentHashMap<>();
  private final Map<Setup, Map<List<Fault>, FaultSolver>> signalled = new ConcurrentHashMap<>();

  /** What a sound rig reads. */
  private final double[] sound;

  /** With each setup's network factored, on as many cores as there are. */
  Means(Rig rig, Harness harness, List<Check> checks) {
    this.rig = rig;
    this.harness = harness;
    this.checks = checks;
    List<Setup> setups = checks.stream().map(check -> check.probing().setup()).distinct().toList();
    this.bySetup =
        IntStream.range(0, checks.size())
            .boxed()
            .sorted(Comparator.comparing(c -> setups.indexOf(checks.get(c).probing().setup())))
            .mapToInt(c -> c)
            .toArray();
    this.whole = RigNetwork.whole(rig, harness);
    setups.parallelStream().forEach(this::solver);
    FaultyRig faultless = new FaultyRig(whole, harness, List.of(), this::solver);
    this.sound =
        checks.stream().mapToDouble(check -> leaning(check, faultless.read(check))).toArray();
  }

  /** Not to be written to. */
  double[] sound() {
    return sound;
  }

  /** Solves the network with a hypothesis's faults; empty where no rig can stand so. */
  Optional<double[]> of(Hypothesis hypothesis) {
    double[] mean = sound.clone();
    try {
      List<Fault> faults = hypothesis.faults();
      List<Fault> signal = faults.stream().filter(f -> f.kind() == Fault.Kind.SIGNAL).toList();
      FaultyRig faulty = new FaultyRig(whole, harness, faults, setup -> solver(setup, signal));
      for (int c : bySetup) {
        Check check = checks.get(c);
        // With a wrong signal a network of its own may stand as it is.
        if (!signal.isEmpty() || !faulty.asSound(check)) {
          mean[c] = leaning(check, faulty.read(check));
        }
      }
      return Optional.of(mean);
    } catch (NetworkException cannot) {
      // Two stiff sources against each other and the like.
      return Optional.empty();
    }
  }

  private FaultSolver solver(Setup setup) {
    return solvers.computeIfAbsent(setup, s -> new FaultSolver(s.network(rig, harness).network()));
  }

  /** Where a wrong stop signal changes what the controller gives, it has networks of its own. */
  private FaultSolver solver(Setup setup, List<Fault> signal) {
    boolean same =
        setup.kind() != Setup.Kind.RIG
            || RigNetwork.output(setup.state(), signal) == setup.state().output();
    return signal.isEmpty() || same
        ? solver(setup)
        : signalled
            .computeIfAbsent(setup, s -> new ConcurrentHashMap<>())
            .computeIfAbsent(
                signal, wrong -> new FaultSolver(setup.network(rig, harness, wrong).network()));
  }

  /**
   * Where readings lie in the mean: contacts and modules are worse than new more often than better,
   * so that a band reaches farther to one side. What is left of a reading keeps as much of that; a
   * word, and what is said instead of a figure, leans nowhere.
   */
  private static double leaning(Check check, double value) {
    double seen = seen(check, value);
    boolean word = !check.measure().words().isEmpty();
    if (word || NoFigure.of(check.measure(), value).isPresent()) {
      return seen;
    }
    double expected = seen(check, check.band().expected());
    double middle = (seen(check, check.band().low()) + seen(check, check.band().high())) / 2;
    double left = expected == 0 ? 0 : Math.min(1, Math.abs(seen / expected));
    return seen + (middle - expected) * left;
  }

  /** A reading on the scale on which it is compared. */
  static double seen(Check check, double value) {
    if (check.measure() != Measure.OHMS) {
      return value;
    }
    double ohms = Math.min(value, NoFigure.OPEN.si());
    return Math.signum(ohms) * Math.log(Math.abs(ohms) + Math.sqrt(ohms * ohms + 1));
  }
}
