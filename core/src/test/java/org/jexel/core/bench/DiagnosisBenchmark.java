package org.jexel.core.bench;

import java.util.List;
import java.util.concurrent.TimeUnit;
import org.jexel.core.check.Check;
import org.jexel.core.diagnosis.Diagnosis;
import org.jexel.core.diagnosis.Predictions;
import org.jexel.core.harness.Harness;
import org.jexel.core.rig.Rig;
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

/** Times every hypothesis in every state, and the choice of the next check, as the rig grows. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 4, time = 2)
public class DiagnosisBenchmark {
  /** Lamps on a two-axle trailer. */
  @Param({"8", "14", "30"})
  public int lamps;

  private Rig rig;
  private Harness harness;
  private List<Check> checks;
  private Predictions predictions;
  private List<Diagnosis.Seen> seen;

  @Setup
  public void wire() {
    rig = NetworkBenchmark.rig(lamps);
    harness = Stand.harness(rig);
    checks = Stand.checks(rig, harness);
    predictions = Predictions.of(rig, harness, checks);
    Check first = predictions.checks().get(0);
    seen = List.of(new Diagnosis.Seen(first.id(), first.band().expected()));
    System.out.printf(
        "%n%d hypotheses, %d checks%n",
        predictions.hypotheses().size(), predictions.checks().size());
  }

  @Benchmark
  public Predictions everyHypothesisInEveryState() {
    return Predictions.of(rig, harness, checks);
  }

  @Benchmark
  public Diagnosis nextCheck() {
    return Diagnosis.of(predictions, seen);
  }

  public static void main(String[] arguments) throws RunnerException {
    new Runner(new OptionsBuilder().include(DiagnosisBenchmark.class.getSimpleName()).build())
        .run();
  }
}
