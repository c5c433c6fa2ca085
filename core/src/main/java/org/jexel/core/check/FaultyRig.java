package org.jexel.core.check;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Load;
import org.jexel.core.network.Fault;
import org.jexel.core.network.FaultSolver;
import org.jexel.core.network.Fuse;
import org.jexel.core.network.Network;
import org.jexel.core.network.Readout;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.NoFigure;
import org.jexel.core.rig.Rig;
import org.jspecify.annotations.Nullable;

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
  private static final List<Setup> USED =
      Stream.of(
              StateWord.TAIL,
              StateWord.LEFT,
              StateWord.RIGHT,
              StateWord.STOP,
              StateWord.REVERSE,
              StateWord.LEVER)
          .map(Setup::rig)
          .toList();

  private static final Setup UNPLUGGED = Setup.rig(StateWord.UNPLUGGED);

  /** Places of the words of {@link Measure#FUSE}; one that blows again is first seen blown. */
  private static final double SOUND = 0;

  private static final double BLOWN = 1;
  private static final double COMES_AND_GOES = 2;
  private static final double BLOWS_AGAIN = 1.5;

  /** Places of the words of {@link Measure#STAMP}. */
  private static final double AS_LISTED = 0;

  static final double OTHER_WATTS = 1;
  private static final double ANOTHER_KIND = 2;

  /** What an ohmmeter puts between its leads, Ω. */
  private static final double METER_OHMS = 1000;

  /**
   * What an ear, or an eye on a diode lamp, takes for steady: a current by less than this share.
   */
  private static final double STEADY = 0.25;

  /** Light goes with V^3.4 and a filament's current with V^0.55: by its sixth power, a quarter. */
  private static final double STEADY_FILAMENT = 0.05;

  /** A current that nothing shows, A. */
  private static final double UNSEEN_AMPS = 1e-3;

  private final Network whole;
  private final Harness harness;
  private final List<Fault> faults;
  private final boolean isWorn;
  private final boolean isLoose;
  private final Function<Setup, FaultSolver> solvers;
  private final Set<String> blown = new LinkedHashSet<>();
  private final Map<Setup, Readout> readouts = new HashMap<>();

  /** The same of one setup; the checks of a sheet that share one come one after the other. */
  private @Nullable Setup lastSetup;

  private @Nullable Readout last;

  /** What an ohmmeter would be put on. */
  private @Nullable Readout unplugged;

  private List<FaultSolver.Change> changes;
  private @Nullable AtTheWheels wheels;

  /** With one loose part off, in the one setup in which everything is moved. */
  private final Map<Fault, Readout> broken = new HashMap<>();

  /**
   * @param whole every element of the rig
   * @param harness what hangs on it, and where a hand reaches it
   * @param solvers of the rig without faults, in each setup
   */
  public FaultyRig(
      Network whole, Harness harness, List<Fault> faults, Function<Setup, FaultSolver> solvers) {
    this.whole = whole;
    this.harness = harness;
    this.faults = List.copyOf(faults);
    this.isWorn = faults.stream().anyMatch(fault -> fault.condition().isPresent());
    this.isLoose = faults.stream().anyMatch(fault -> fault.kind() == Fault.Kind.LOOSE);
    this.solvers = solvers;
    this.changes = FaultSolver.changes(whole, faults);
    for (int round = 0; round < ROUNDS && faults.stream().anyMatch(FaultyRig::draws); round++) {
      if (!blown.addAll(overloaded())) {
        break;
      }
      changes = FaultSolver.changes(whole, standing());
      readouts.clear();
      last = null;
    }
  }

  /** A rig of which nothing else is solved. */
  public static FaultyRig of(Rig rig, Harness harness, List<Fault> faults) {
    List<Fault> signal = faults.stream().filter(f -> f.kind() == Fault.Kind.SIGNAL).toList();
    Map<Setup, FaultSolver> solvers = new HashMap<>();
    return new FaultyRig(
        RigNetwork.whole(rig, harness),
        harness,
        faults,
        setup ->
            solvers.computeIfAbsent(
                setup, s -> new FaultSolver(s.network(rig, harness, signal).network())));
  }

  /** How it stands in a setup. */
  public Readout in(Setup setup) {
    return solved(setup);
  }

  /** The faults, and the fuses that they blew. */
  public List<Fault> standing() {
    List<Fault> all = new ArrayList<>(faults);
    blown.forEach(fuse -> all.add(Fault.of(Fault.Kind.OPEN, fuse)));
    return all;
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
    for (Setup setup : USED) {
      Readout solved = solved(setup);
      // No fuse of a sound rig opens.
      if (!solved.stands()) {
        for (Fuse fuse : solvers.apply(setup).fuses()) {
          if (fuse.opens(solved.amps(fuse.name()))) {
            overloaded.add(fuse.name());
          }
        }
      }
    }
    return overloaded;
  }

  private Readout solved(Setup setup) {
    if (setup != lastSetup || last == null) {
      last = readouts.computeIfAbsent(setup, s -> solvers.apply(s).solve(changes));
      lastSetup = setup;
    }
    return last;
  }

  /** Whether a check is sure to read what it reads on the sound rig. */
  public boolean asSound(Check check) {
    Probing probing = check.probing();
    return switch (probing.measure()) {
      // A part that is changed where everything stands carries nothing, as before.
      case VOLTS, WAKING, AMPS, GLOW -> solved(probing.setup()).stands();
      case OHMS -> solved(probing.setup()).isUntouched() && unplugged().stands();
      case FUSE, STAMP, KIND -> !isChanged(probing.red());
      case MOVING, COMING -> !isLoose;
      // What is felt at wheels comes of what their magnets draw and of what they are worn to.
      default -> !isWorn && solved(probing.setup()).stands();
    };
  }

  private boolean isChanged(String part) {
    for (FaultSolver.Change change : changes) {
      if (change.before() != null && change.before().name().equals(part)) {
        return true;
      }
    }
    return false;
  }

  private Readout unplugged() {
    if (unplugged == null) {
      unplugged = solved(UNPLUGGED);
    }
    return unplugged;
  }

  /** The reading, SI; for words their place in the measure's list. */
  public double read(Check check) {
    Probing probing = check.probing();
    if (probing.measure() == Measure.FUSE) {
      return blown.contains(probing.red()) ? BLOWS_AGAIN : isOpen(probing.red()) ? BLOWN : SOUND;
    }
    if (probing.measure() == Measure.MOVING) {
      return isLoose && moves(check) ? 1 : 0;
    }
    if (probing.measure() == Measure.COMING) {
      return isLoose ? COMES_AND_GOES : 0;
    }
    if (probing.measure() == Measure.STAMP) {
      return stamp(probing.red());
    }
    if (probing.measure() == Measure.KIND) {
      return stamp(probing.red()) == ANOTHER_KIND ? 1 : 0;
    }
    if (AtTheWheels.tells(probing.measure())) {
      return wheels().read(probing);
    }
    if (probing.measuresOhms() && isLive(probing)) {
      return NoFigure.LIVE.si();
    }
    double value = probing.read(solved(probing.setup()));
    return probing.red().equals(RigNetwork.BENCH) && blowsOnTheBench(probing.setup(), value)
        ? NoFigure.BLOWN.si()
        : value;
  }

  /**
   * Whether the unplugged trailer feeds it by itself, as a breakaway switch without its pin does.
   * An ohmmeter loads what it is put on: what leaks back through a diode is gone under it.
   */
  private boolean isLive(Probing probing) {
    if (!probing.isLive(unplugged())) {
      return false;
    }
    List<Fault> loaded = new ArrayList<>(standing());
    loaded.add(new Fault(Fault.Kind.BRIDGE, probing.red(), probing.black(), METER_OHMS));
    return probing.isLive(solvers.apply(UNPLUGGED).solve(FaultSolver.changes(whole, loaded)));
  }

  /**
   * What a brake makes of full lever, as a share of its rated torque: by its current and itself.
   */
  public double torque(String magnet) {
    return wheels().torque(magnet);
  }

  private AtTheWheels wheels() {
    if (wheels == null) {
      wheels = new AtTheWheels(harness, this::solved, faults);
    }
    return wheels;
  }

  /** Whether what hangs on the check's pin goes out when what is loose there breaks. */
  private boolean moves(Check check) {
    Setup setup = check.probing().setup();
    Reach reach = Reach.valueOf(check.probing().red());
    return faults.stream()
        .filter(fault -> fault.kind() == Fault.Kind.LOOSE)
        .filter(fault -> Reach.of(harness, fault.part()).equals(Optional.of(reach)))
        .map(fault -> broken.computeIfAbsent(fault, f -> broken(setup, f)))
        .anyMatch(
            readout ->
                harness.loads().stream()
                    .filter(load -> isWatched(load, check.function()))
                    .anyMatch(load -> apart(solved(setup), readout, load)));
  }

  /** A pump is heard to stop, whether its signal goes or its supply. */
  private static boolean isWatched(Load load, @Nullable PinFunction function) {
    boolean pump = function == PinFunction.BRAKE && load.name().equals(Load.ACTUATOR_SUPPLY);
    return load.function() == function || pump;
  }

  private Readout broken(Setup setup, Fault loose) {
    List<Fault> all = standing();
    all.add(Fault.of(Fault.Kind.OPEN, loose.part()));
    return solvers.apply(setup).solve(FaultSolver.changes(whole, all));
  }

  private static boolean apart(Readout made, Readout broken, Load load) {
    double amps = made.amps(load.name());
    double steady = load.kind() == Load.Kind.FILAMENT ? STEADY_FILAMENT : STEADY;
    double gone = Math.abs(broken.amps(load.name()) - amps);
    return gone > Math.max(UNSEEN_AMPS, steady * Math.abs(amps));
  }

  private double stamp(String lamp) {
    return faults.stream()
        .filter(fault -> fault.part().equals(lamp) || fault.kind() == Fault.Kind.REAR_LAMPS)
        .mapToDouble(
            fault ->
                switch (fault.kind()) {
                  case DRAWS, REAR_LAMPS -> OTHER_WATTS;
                  case OTHER_KIND -> ANOTHER_KIND;
                  default -> AS_LISTED;
                })
        .max()
        .orElse(AS_LISTED);
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
