package org.jexel.core.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.jexel.core.Rigs;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.Load;
import org.jexel.core.harness.Nodes;
import org.jexel.core.harness.WireSize;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Low-rank changes give what a factorisation of the faulty network gives. */
class FaultSolverTest {
  private static final double CLOSE = 1e-9;

  private static final double HELD = 100;

  /** One fault in so many may need a full factorisation. */
  private static final int SELDOM = 300;

  /** Amperes that either solution may leave at a node. */
  private static final double LEFT = 5e-9;

  static Stream<Arguments> rigs() {
    List<Arguments> all = new ArrayList<>();
    for (String lamps : List.of("FILAMENT", "LED")) {
      for (String back : List.of("OWN_CONDUCTOR", "FRAME")) {
        Rig rig =
            Rigs.rig(
                Rigs.sheet(
                    RigField.AXLE_COUNT, 2,
                    RigField.BRAKE_TYPE, "ELECTRIC",
                    RigField.TOW_CONNECTOR, "blade-7",
                    RigField.TRAILER_CONNECTOR, "blade-7",
                    RigField.BREAKAWAY_KIT, "OWN_BATTERY",
                    RigField.LAMP_TECHNOLOGY, lamps,
                    RigField.LAMP_RETURN, back));
        all.add(Arguments.of(lamps + ", " + back, rig));
      }
    }
    return all.stream();
  }

  /** A meter put into the network takes a solution for each pair: one pair of so many has one. */
  private static final int EACH_METERED = 5;

  private static final List<RigState> STATES =
      List.of(
          RigState.of(),
          RigState.of(StateWord.TAIL, StateWord.LEFT),
          RigState.of(StateWord.STOP, StateWord.TAIL),
          RigState.of(StateWord.LEVER),
          RigState.of(StateWord.UNPLUGGED, StateWord.REVERSE));

  @ParameterizedTest(name = "{0}")
  @MethodSource("rigs")
  void everySingleFaultAgreesWithItsOwnFactorisation(String name, Rig rig) {
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    Network whole = RigNetwork.whole(rig, harness);
    List<Fault> faults =
        FaultCatalog.of(rig, harness).stream()
            .map(KnownFault::fault)
            .filter(fault -> fault.kind() != Fault.Kind.SIGNAL)
            .toList();
    int full = 0;
    for (RigState state : STATES) {
      FaultSolver solver = new FaultSolver(RigNetwork.of(rig, harness, state).network());
      faults.forEach(fault -> agree(rig, harness, state, solver, whole, List.of(fault)));
      full += solver.fullSolutions();
    }
    assertThat(full).isLessThan(faults.size() * STATES.size() / SELDOM);
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("rigs")
  void pairsOfFaultsAgreeAsWell(String name, Rig rig) {
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    Network whole = RigNetwork.whole(rig, harness);
    List<KnownFault> faults =
        FaultCatalog.of(rig, harness).stream()
            .filter(f -> f.fault().kind() != Fault.Kind.SIGNAL)
            .toList();
    Random dice = new Random(7);
    RigState state = RigState.of(StateWord.TAIL, StateWord.RIGHT, StateWord.LEVER);
    FaultSolver solver = new FaultSolver(RigNetwork.of(rig, harness, state).network());
    for (int i = 0; i < 60; i++) {
      Fault one = faults.get(dice.nextInt(faults.size())).fault();
      Fault two = faults.get(dice.nextInt(faults.size())).fault();
      if (Collections.disjoint(one.parts(), two.parts())) {
        agree(rig, harness, state, solver, whole, List.of(one, two));
      }
    }
  }

  /** Whoever asks first, and however many at a time. */
  @RepeatedTest(3)
  void manyThreadsReadWhatOneReads() {
    Rig rig = Rigs.twoAxles(RigField.ENGINE_OFF_VOLTS, 12.6);
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    Network whole = RigNetwork.whole(rig, harness);
    Network network = RigNetwork.of(rig, harness, RigState.of(StateWord.TAIL)).network();
    List<List<FaultSolver.Change>> all =
        FaultCatalog.of(rig, harness).stream()
            .map(known -> FaultSolver.changes(whole, List.of(known.fault())))
            .toList();
    FaultSolver own = new FaultSolver(network);
    FaultSolver shared = new FaultSolver(network);
    assertThat(all.parallelStream().map(changes -> volts(shared, network, changes)).toList())
        .isEqualTo(all.stream().map(changes -> volts(own, network, changes)).toList());
  }

  private static List<Double> volts(
      FaultSolver solver, Network network, List<FaultSolver.Change> changes) {
    Readout readout = solver.solve(changes);
    return network.nodes().stream().map(node -> readout.volts(node, network.ground())).toList();
  }

  /** Each end answers with a million megohms, and both together with the contact between them. */
  @Test
  void whatHangsOnALeakKeepsTheOhmsOfItsContact() {
    Network network = new Network("ground");
    network.add(new Element.Source("battery", "plus", "ground", 12.6, 0.02));
    network.add(new Element.Resistor("contact", "one", "two", 0.005));
    network.add(new Element.Resistor("lead", "two", "three", 0.010));
    Linearised whole = new Linearised(network);
    int one = whole.place("one");
    int two = whole.place("two");
    double[] answer = whole.columns(one, two);
    assertThat(answer[one] - answer[two]).isCloseTo(0.005, withinPercentage(1e-6));
  }

  /** With its switch off, a fuse is the only way to what hangs free behind it. */
  @ParameterizedTest(name = "{0}")
  @MethodSource("rigs")
  void aChafeWithTheFuseThatItBlewAgreesAndTakesNoFactorisation(String name, Rig rig) {
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    Network whole = RigNetwork.whole(rig, harness);
    for (RigState state : STATES) {
      FaultSolver solver = new FaultSolver(RigNetwork.of(rig, harness, state).network());
      for (KnownFault fault : FaultCatalog.of(rig, harness)) {
        String fuse = Nodes.fuse(PinFunction.TAIL);
        if (fault.fault().kind() == Fault.Kind.SHORT && fault.fault().part().contains("tail")) {
          agree(
              rig,
              harness,
              state,
              solver,
              whole,
              List.of(fault.fault(), Fault.of(Fault.Kind.OPEN, fuse)));
        }
      }
      assertThat(solver.fullSolutions()).as("%s", state.on()).isZero();
    }
  }

  /** An open part that carries nothing by itself counts once a bridge feeds what hangs on it. */
  @ParameterizedTest(name = "{0}")
  @MethodSource("rigs")
  void anOpenPartThatOnlyABridgeWouldFeedAgrees(String name, Rig rig) {
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    Network whole = RigNetwork.whole(rig, harness);
    List<Fault> opened =
        FaultCatalog.of(rig, harness).stream()
            .map(KnownFault::fault)
            .filter(fault -> fault.kind() == Fault.Kind.OPEN && fault.part().contains("tail"))
            .toList();
    assertThat(opened).isNotEmpty();
    Fault bridge = Fault.between(Fault.Kind.BRIDGE, "box_tail", "box_left");
    RigState state = RigState.of(StateWord.LEFT);
    FaultSolver solver = new FaultSolver(RigNetwork.of(rig, harness, state).network());
    opened.forEach(fault -> agree(rig, harness, state, solver, whole, List.of(fault, bridge)));
  }

  /** Low-rank ohms against a full factorisation, and this one against a meter put into it. */
  @ParameterizedTest(name = "{0}")
  @MethodSource("rigs")
  void ohmsAgreeWithAFullFactorisationAndWithAnOhmmeterInTheNetwork(String name, Rig rig) {
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    Network whole = RigNetwork.whole(rig, harness);
    FaultSolver solver = new FaultSolver(RigNetwork.dead(rig, harness).network());
    int pair = name.length();
    for (KnownFault fault : FaultCatalog.of(rig, harness)) {
      List<FaultSolver.Change> changes = FaultSolver.changes(whole, List.of(fault.fault()));
      Readout quick = solver.solve(changes);
      Solution full = solver.factored(changes);
      for (Load load : harness.loads()) {
        String pin = "plug_" + Nodes.id(load.function());
        for (List<String> leads :
            List.of(List.of(pin, load.feed()), List.of("plug_earth", load.back()))) {
          if (solver.network().hasNode(leads.get(0)) && solver.network().hasNode(leads.get(1))) {
            double ohms = full.ohms(leads.get(0), leads.get(1));
            assertThat(Math.min(1e6, quick.ohms(leads.get(0), leads.get(1))))
                .as("%s at %s", fault.fault(), leads)
                .isCloseTo(Math.min(1e6, ohms), withinPercentage(1e-4));
            if (pair++ % EACH_METERED == 0) {
              new Probe(full.network())
                  .ohms(leads.get(0), leads.get(1))
                  .ifPresent(
                      met ->
                          assertThat(Math.min(1e4, met))
                              .as("%s at %s", fault.fault(), leads)
                              .isCloseTo(Math.min(1e4, ohms), withinPercentage(1)));
            }
          }
        }
        assertThat(quick.ohms(load.name())).isEqualTo(full.ohms(load.name()));
      }
    }
  }

  private static void agree(
      Rig rig,
      Harness harness,
      RigState state,
      FaultSolver solver,
      Network whole,
      List<Fault> faults) {
    Readout quick = solver.solve(FaultSolver.changes(whole, faults));
    Network faulty = RigNetwork.of(rig, harness, state, faults).network();
    // A solution may leave 1e-9 A, which is volts where only leaks hold a node: one step more.
    FaultSolver own = new FaultSolver(faulty);
    Readout full = own.solve(List.of());
    for (String node : faulty.nodes()) {
      if (solver.network().hasNode(node)) {
        double volts = full.volts(node, faulty.ground());
        double off = Math.abs(quick.volts(node, faulty.ground()) - volts);
        // What hangs on leaks alone may be anywhere within the amperes that a solution leaves.
        if (!(off <= CLOSE) && own.resistance(node) < HELD) {
          assertThat(off)
              .as("%s with %s at %s", faults, state.on(), node)
              .isLessThanOrEqualTo(CLOSE + LEFT * own.resistance(node));
        }
      }
    }
  }
}
