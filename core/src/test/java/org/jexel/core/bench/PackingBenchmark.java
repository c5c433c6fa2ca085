package org.jexel.core.bench;

import java.util.concurrent.TimeUnit;
import org.jexel.core.cab.CirclePacking;
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
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/** Times the hole for a bundle: equal cables, and cables of mixed thickness. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 3, time = 1)
public class PackingBenchmark {
  @Param({"2", "7", "12"})
  public int cables;

  private double[] equal;
  private double[] mixed;

  @Setup
  public void cut() {
    equal = new double[cables];
    mixed = new double[cables];
    for (int i = 0; i < cables; i++) {
      equal[i] = 0.006;
      mixed[i] = 0.003 + 0.0007 * i;
    }
  }

  @Benchmark
  public double equal() {
    return CirclePacking.around(equal);
  }

  @Benchmark
  public double mixed() {
    return CirclePacking.around(mixed);
  }

  public static void main(String[] arguments) throws RunnerException {
    new Runner(new OptionsBuilder().include(PackingBenchmark.class.getSimpleName()).build()).run();
  }
}
