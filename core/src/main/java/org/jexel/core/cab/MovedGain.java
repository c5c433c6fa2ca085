package org.jexel.core.cab;

import java.util.Comparator;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.jexel.core.road.GainScale;

/**
 * A settled gain on another controller, by equal volts at the connector: the volts that the settled
 * gain gave by the old one's measured curve, and of the new one's marks the highest that gives no
 * more.
 *
 * @param volts at the connector
 * @param gain on the new controller's scale; empty where even its lowest measured mark gives more,
 *     or none of its measured ones gives as much
 * @param most that the new one's curve gives, V
 */
public record MovedGain(double volts, OptionalDouble gain, double most) {
  /** Volts nearer than this are the same, V. */
  private static final double SAME = 1e-9;

  /** Empty where one of the two has no curve there. */
  public static Optional<MovedGain> of(ControllerModel from, double gain, ControllerModel to) {
    OptionalDouble volts = from.volts(gain);
    if (volts.isEmpty() || to.curve().size() < 2) {
      return Optional.empty();
    }
    double most = to.curve().stream().mapToDouble(ControllerModel.Point::volts).max().orElseThrow();
    double wanted = volts.getAsDouble();
    return Optional.of(
        new MovedGain(
            wanted, most + SAME < wanted ? OptionalDouble.empty() : mark(to, wanted), most));
  }

  private static OptionalDouble mark(ControllerModel to, double volts) {
    GainScale scale = to.scale();
    int marks = (int) Math.round((scale.greatest() - scale.least()) / scale.step());
    return IntStream.rangeClosed(0, marks)
        .mapToDouble(i -> scale.least() + i * scale.step())
        .filter(mark -> mark > 0 && to.volts(mark).orElse(Double.NaN) <= volts + SAME)
        .boxed()
        .max(Comparator.naturalOrder())
        .map(OptionalDouble::of)
        .orElse(OptionalDouble.empty());
  }
}
