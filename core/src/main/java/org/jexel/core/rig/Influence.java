package org.jexel.core.rig;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.jexel.core.quantity.Figure;

/**
 * How far one assumed figure could move an answer: the thing worth measuring next.
 *
 * @param key the assumed figure
 * @param figure its present value
 * @param shift greatest change of the answer when the figure is off by its stated spread, SI
 */
public record Influence(FieldKey key, Figure figure, double shift) {

  /**
   * Assumed figures that move the answer, the strongest first.
   *
   * @param answer computes the answer from a rig
   */
  public static List<Influence> rank(Rig rig, ToDoubleFunction<Rig> answer, RigField... among) {
    double now = answer.applyAsDouble(rig);
    List<Influence> ranked = new ArrayList<>();
    for (RigField field : among) {
      FieldKey key = FieldKey.of(field);
      Figure figure = rig.sheet().figure(key);
      if (!figure.assumed() || !Double.isFinite(figure.si())) {
        continue;
      }
      double shift = 0;
      for (int sign = -1; sign <= 1; sign += 2) {
        double moved =
            Math.max(
                field.least(),
                Math.min(field.greatest(), figure.si() * (1 + sign * field.spread())));
        double then = answer.applyAsDouble(rig.with(rig.sheet().with(key, moved)));
        shift = Math.max(shift, Math.abs(then - now));
      }
      if (shift > 0) {
        ranked.add(new Influence(key, figure, shift));
      }
    }
    ranked.sort(Comparator.comparingDouble(Influence::shift).reversed());
    return ranked;
  }
}
