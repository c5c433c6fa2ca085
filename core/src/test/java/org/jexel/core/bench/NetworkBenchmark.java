package org.jexel.core.bench;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.TreeMap;
import java.util.concurrent.TimeUnit;
import org.jexel.core.Rigs;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.WireSize;
import org.jexel.core.network.Element;
import org.jexel.core.network.Network;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.network.RigState;
import org.jexel.core.network.Solution;
import org.jexel.core.network.StateWord;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.LampRole;
import org.jexel.core.rig.LampTechnology;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.Side;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/** Times the network and the planner as the rig grows, and prints how they grow. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 3, time = 1)
public class NetworkBenchmark {
  /** Lamps on the trailer; 30 is the two-axle rig of the stated figures. */
  @Param({"4", "14", "30", "60", "125"})
  public int lamps;

  private Rig rig;
  private Network lampsAndDiodes;
  private Network linear;

  static Rig rig(int lamps) {
    Rig base =
        Rigs.rig(
            Rigs.sheet(
                RigField.AXLE_COUNT, 2,
                RigField.BRAKE_TYPE, "ELECTRIC",
                RigField.TOW_CONNECTOR, "blade-7",
                RigField.TRAILER_CONNECTOR, "blade-7",
                RigField.OVERALL_LENGTH, 12,
                RigField.OVERALL_WIDTH, 2.4,
                RigField.BREAKAWAY_KIT, "OWN_BATTERY"));
    List<Lamp> all = new ArrayList<>();
    for (int i = 0; i < lamps; i++) {
      boolean rear = i < 2;
      Side side = i % 2 == 0 ? Side.LEFT : Side.RIGHT;
      double x = rear ? 11.9 : 1.5 + 10.2 * i / lamps;
      all.add(
          new Lamp(
              "l" + i,
              rear ? LampRole.COMBINED : LampRole.SIDE_MARKER,
              side,
              x,
              side.sign() * 1.1,
              i % 3 == 0 ? LampTechnology.LED : LampTechnology.FILAMENT,
              Lamp.State.PRESENT,
              "bench",
              true));
    }
    return new Rig(base.sheet(), all, List.of());
  }

  static Network network(Rig rig) {
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    return RigNetwork.of(
            rig,
            harness,
            RigState.of(StateWord.TAIL, StateWord.STOP, StateWord.LEVER, StateWord.RUNNING))
        .network();
  }

  /** The same network with every lamp and diode a resistor of its usual conductance. */
  private static Network linear(Network network) {
    Network linear = new Network(network.ground());
    for (Element element : network.elements()) {
      boolean bent =
          element instanceof Element.TwoPole p && p.slope(0) != p.slope(9) && p.start() > 0;
      linear.add(
          bent
              ? new Element.Resistor(
                  element.name(),
                  ((Element.TwoPole) element).a(),
                  ((Element.TwoPole) element).b(),
                  1 / ((Element.TwoPole) element).start())
              : element);
    }
    return linear;
  }

  @Setup
  public void wire() {
    rig = rig(lamps);
    lampsAndDiodes = network(rig);
    linear = linear(lampsAndDiodes);
  }

  @Benchmark
  public Solution linear() {
    return linear.solve();
  }

  @Benchmark
  public Solution lampsAndDiodes() {
    return lampsAndDiodes.solve();
  }

  @Benchmark
  public Harness plan() {
    return HarnessPlanner.plan(rig, WireSize.GAUGES);
  }

  /** Runs every benchmark and prints nodes, times, and the exponent from size to size. */
  public static void main(String[] arguments) throws RunnerException {
    Collection<RunResult> results =
        new Runner(new OptionsBuilder().include(NetworkBenchmark.class.getSimpleName()).build())
            .run();
    TreeMap<String, TreeMap<Integer, Double>> table = new TreeMap<>();
    for (RunResult result : results) {
      String name = result.getParams().getBenchmark();
      table
          .computeIfAbsent(name.substring(name.lastIndexOf('.') + 1), k -> new TreeMap<>())
          .put(
              Integer.parseInt(result.getParams().getParam("lamps")),
              result.getPrimaryResult().getScore());
    }
    System.out.printf("%n%-16s %6s %6s %12s %9s%n", "what", "lamps", "nodes", "µs", "exponent");
    table.forEach(
        (name, times) -> {
          double lastNodes = 0;
          double lastTime = 0;
          for (var entry : times.entrySet()) {
            int nodes = network(rig(entry.getKey())).size();
            double exponent =
                lastNodes == 0
                    ? Double.NaN
                    : Math.log(entry.getValue() / lastTime) / Math.log(nodes / lastNodes);
            System.out.printf(
                Locale.ROOT,
                "%-16s %6d %6d %12.1f %9.2f%n",
                name,
                entry.getKey(),
                nodes,
                entry.getValue(),
                exponent);
            lastNodes = nodes;
            lastTime = entry.getValue();
          }
        });
  }
}
