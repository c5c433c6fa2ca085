package org.jexel.core.check;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import org.jexel.core.network.Element;
import org.jexel.core.network.Fault;
import org.jexel.core.network.FaultSolver;
import org.jexel.core.network.Fuse;
import org.jexel.core.network.Network;
import org.jexel.core.network.Readout;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.NoFigure;

/**
 * A rig with faults as every check finds it. Whatever was switched on before somebody came to look
 * has been on long enough for its fuse: one that its circuit overloads is open in every state, and
 * blows again when it is replaced.
 *
 * <p>Not for two threads at once.
 */
public final class FaultyRig {
  /** One fuse that opens can overload another. */
  private static final int ROUNDS = 3;

  /** What is used before somebody comes to look. */
  private static final List<StateWord> USED =
      List.of(
          StateWord.TAIL,
          StateWord.LEFT,
          StateWord.RIGHT,
          StateWord.STOP,
          StateWord.REVERSE,
          StateWord.LEVER);

  /** Places of the words of {@link Measure#FUSE}; one that blows again is first seen blown. */
  private static final double SOUND = 0;

  private static final double BLOWN = 1;
  private static final double BLOWS_AGAIN = 1.5;

  private final List<Fault> faults;
  private final Function<Setup, FaultSolver> solvers;
  private final Set<String> blown = new LinkedHashSet<>();
  private final Map<Setup, Readout> readouts = new HashMap<>();
  private List<FaultSolver.Change> changes;

  /**
   * @param whole every element of the rig
   * @param solvers of the rig without faults, in each setup
   */
  public FaultyRig(Network whole, List<Fault> faults, Function<Setup, FaultSolver> solvers) {
    this.faults = List.copyOf(faults);
    this.solvers = solvers;
    this.changes = FaultSolver.changes(whole, faults);
    for (int round = 0; round < ROUNDS && faults.stream().anyMatch(FaultyRig::draws); round++) {
      if (!blown.addAll(overloaded())) {
        break;
      }
      List<Fault> all = new ArrayList<>(faults);
      blown.forEach(fuse -> all.add(Fault.of(Fault.Kind.OPEN, fuse)));
      changes = FaultSolver.changes(whole, all);
      readouts.clear();
    }
  }

  /** Whether a fault can make a circuit draw more than it is made for. */
  private static boolean draws(Fault fault) {
    return switch (fault.kind()) {
      case SHORT, BRIDGE, EXCHANGED, DRAWS, BYPASSED, FLAT, LOW -> true;
      default -> false;
    };
  }

  private Set<String> overloaded() {
    Set<String> overloaded = new LinkedHashSet<>();
    for (StateWord word : USED) {
      Setup setup = Setup.rig(word);
      for (Element element : solvers.apply(setup).network().elements()) {
        if (element instanceof Fuse fuse && fuse.opens(solved(setup).amps(fuse.name()))) {
          overloaded.add(fuse.name());
        }
      }
    }
    return overloaded;
  }

  private Readout solved(Setup setup) {
    return readouts.computeIfAbsent(setup, s -> solvers.apply(s).solve(changes));
  }

  /** The reading, SI; for words their place in the measure's list. */
  public double read(Check check) {
    Probing probing = check.probing();
    if (probing.measure() == Measure.FUSE) {
      return blown.contains(probing.red()) ? BLOWS_AGAIN : isOpen(probing.red()) ? BLOWN : SOUND;
    }
    double value = probing.readOn(this::solved);
    return probing.red().equals(RigNetwork.BENCH) && blowsOnTheBench(probing.setup(), value)
        ? NoFigure.BLOWN.si()
        : value;
  }

  private boolean isOpen(String fuse) {
    return faults.stream()
        .anyMatch(fault -> fault.kind() == Fault.Kind.OPEN && fault.part().equals(fuse));
  }

  private boolean blowsOnTheBench(Setup setup, double amps) {
    return solvers.apply(setup).network().element(RigNetwork.BENCH_FUSE) instanceof Fuse fuse
        && fuse.opens(amps);
  }
}
