package org.jexel.app.job;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import org.jexel.core.braking.Train;
import org.jexel.core.check.Check;
import org.jexel.core.diagnosis.Predictions;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.WireSize;
import org.jexel.core.job.JobRecord;
import org.jexel.core.job.Planner;
import org.jexel.core.job.Progress;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.Entry;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.Rig;
import org.springframework.stereotype.Component;

/**
 * Remembers what the core worked out for a rig, by everything that it was worked out from: the same
 * rig on the next page is not planned again, and a changed one never meets an old plan.
 *
 * <p>Shared by all requests. What it hands out is immutable or safe for any number of threads; two
 * who ask for the same at once wait for one computation.
 */
@Component
class Plans implements Planner {
  private static final int REMEMBERED = 400;
  private static final int PREDICTED = 12;

  private record Wired(Map<FieldKey, Entry> entries, List<Lamp> lamps, List<WireSize> stock) {}

  private record Checked(Wired wired, OptionalDouble supply) {}

  private record Stood(JobRecord record, UnitSystem units) {}

  private final Cache<Wired, Harness> harnesses =
      Caffeine.newBuilder().maximumSize(REMEMBERED).build();
  private final Cache<Wired, List<Train.Brake>> brakes =
      Caffeine.newBuilder().maximumSize(REMEMBERED).build();
  private final Cache<Checked, List<Check>> checks =
      Caffeine.newBuilder().maximumSize(REMEMBERED).build();

  private final Cache<Stood, Progress> progress =
      Caffeine.newBuilder().maximumSize(REMEMBERED).build();

  /** Each holds the factored networks of a score of states: some megabytes. */
  private final Cache<Checked, Predictions> predictions =
      Caffeine.newBuilder().maximumSize(PREDICTED).build();

  @Override
  public Harness harness(Rig rig, List<WireSize> stock) {
    return harnesses.get(wired(rig, stock), key -> Planner.super.harness(rig, stock));
  }

  @Override
  public List<Check> checks(Rig rig, List<WireSize> stock, OptionalDouble supply) {
    return checks.get(
        new Checked(wired(rig, stock), supply), key -> Planner.super.checks(rig, stock, supply));
  }

  @Override
  public List<Train.Brake> brakes(Rig rig, List<WireSize> stock) {
    return brakes.get(wired(rig, stock), key -> Planner.super.brakes(rig, stock));
  }

  @Override
  public Predictions predictions(Rig rig, List<WireSize> stock, OptionalDouble supply) {
    return predictions.get(
        new Checked(wired(rig, stock), supply),
        key -> Planner.super.predictions(rig, stock, supply));
  }

  @Override
  public Progress progress(JobRecord record, UnitSystem units, Supplier<Progress> anew) {
    return progress.get(new Stood(record, units), key -> anew.get());
  }

  private static Wired wired(Rig rig, List<WireSize> stock) {
    return new Wired(rig.sheet().entries(), rig.lamps(), stock);
  }
}
