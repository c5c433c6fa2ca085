package org.jexel.core.job;

import java.util.List;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import org.jexel.core.braking.Train;
import org.jexel.core.check.Check;
import org.jexel.core.check.CheckSheet;
import org.jexel.core.diagnosis.Predictions;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.WireSize;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.Rig;
import org.jexel.core.road.RigTrain;

/**
 * The computations that are worth remembering. They depend on their arguments alone, so that
 * whoever remembers them may hand the same result to many threads.
 */
public interface Planner {
  /** Works everything out anew. */
  Planner ANEW = new Planner() {};

  /**
   * @param stock wire on the shelf
   */
  default Harness harness(Rig rig, List<WireSize> stock) {
    return HarnessPlanner.plan(rig, stock);
  }

  /**
   * @param supply battery volts as read at the bench
   */
  default List<Check> checks(Rig rig, List<WireSize> stock, OptionalDouble supply) {
    return CheckSheet.of(rig, harness(rig, stock), supply);
  }

  /** What its brakes draw over the controller's output, as rated. */
  default List<Train.Brake> brakes(Rig rig, List<WireSize> stock) {
    return RigTrain.brakes(rig, harness(rig, stock));
  }

  /**
   * How a job stands, with everything that its stations say worked out.
   *
   * @param anew works it out from this record for somebody with these units
   */
  default Progress progress(JobRecord record, UnitSystem units, Supplier<Progress> anew) {
    return anew.get();
  }

  /** What every fault of this rig would make every check read. */
  default Predictions predictions(Rig rig, List<WireSize> stock, OptionalDouble supply) {
    return Predictions.of(
        CheckSheet.asRead(rig, supply), harness(rig, stock), checks(rig, stock, supply));
  }
}
