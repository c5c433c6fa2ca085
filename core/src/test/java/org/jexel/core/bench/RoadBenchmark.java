package org.jexel.core.bench;

import java.util.List;
import java.util.concurrent.TimeUnit;
import org.jexel.core.braking.Control;
import org.jexel.core.braking.StopRun;
import org.jexel.core.braking.Surface;
import org.jexel.core.braking.Train;
import org.jexel.core.road.BrakeCurve;
import org.jexel.core.road.GainAdvice;
import org.jexel.core.road.GainFinder;
import org.jexel.core.road.GainScale;
import org.jexel.core.road.GainStop;
import org.jexel.core.road.Outcome;
import org.jexel.core.road.RigTrain;
import org.jexel.core.road.RoadCard;
import org.jexel.core.road.StopTrial;
import org.jexel.core.road.TestStop;
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

/** Times a simulated stop, the next gain and a whole road card, of a float with two axles. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 3, time = 1)
public class RoadBenchmark {
  private static final GainScale HALVES = new GainScale(0, 10, 0.5);
  private static final Train TRAIN = RigTrain.ofPlates(2300, 1900, 2, 2, 1600);
  private static final BrakeCurve CURVE = BrakeCurve.of(TRAIN, HALVES);
  private static final List<GainStop> STOPS =
      List.of(
          new GainStop(4, Outcome.FIRM),
          new GainStop(6.5, Outcome.LOCKED),
          new GainStop(5, Outcome.FIRM));

  /** From 29 m/s with a pedal for 2.2 m/s²: about 20 s. */
  private static final StopTrial LONG =
      new StopTrial(
          5,
          29,
          Surface.DRY_ASPHALT,
          0,
          TestStop.Way.PEDAL,
          2.2,
          Control.Law.INERTIA,
          0.1,
          0,
          1900);

  @Benchmark
  public StopRun stopOfTwentySeconds() {
    return LONG.run(TRAIN, HALVES);
  }

  @Benchmark
  public GainAdvice nextGain() {
    return GainFinder.advise(HALVES, CURVE, Surface.DRY_ASPHALT, STOPS);
  }

  @Benchmark
  public RoadCard roadCard() {
    return RoadCard.of(HALVES, CURVE, Surface.DRY_ASPHALT, List.of());
  }

  public static void main(String[] arguments) throws RunnerException {
    System.out.printf("the stop takes %.1f s%n", LONG.run(TRAIN, HALVES).seconds());
    new Runner(new OptionsBuilder().include(RoadBenchmark.class.getSimpleName()).build()).run();
  }
}
