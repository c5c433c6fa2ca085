package org.jexel.core.bench;

import java.util.concurrent.TimeUnit;
import org.jexel.core.Rigs;
import org.jexel.core.breakaway.CableFit;
import org.jexel.core.breakaway.CableWindow;
import org.jexel.core.breakaway.Coupling;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/** Times the window of one cable, and the search for a move where none fits. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 3, time = 1)
public class CableBenchmark {
  private static final RigSheet OPEN = Rigs.sheet(RigField.CABLE_LENGTH, 0.7);
  private static final RigSheet SHUT =
      Rigs.sheet(RigField.CABLE_LENGTH, 0.7, RigField.CHAIN_LENGTH, 0.55);

  @Benchmark
  public CableWindow window() {
    return CableWindow.of(Coupling.of(OPEN));
  }

  @Benchmark
  public CableFit fit() {
    return CableFit.of(OPEN, UnitSystem.METRIC);
  }

  @Benchmark
  public CableFit noCableFits() {
    return CableFit.of(SHUT, UnitSystem.METRIC);
  }

  public static void main(String[] arguments) throws RunnerException {
    new Runner(new OptionsBuilder().include(CableBenchmark.class.getSimpleName()).build()).run();
  }
}
