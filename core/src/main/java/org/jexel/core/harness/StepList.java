package org.jexel.core.harness;

import java.util.ArrayList;
import java.util.List;
import org.jexel.core.harness.Step.Phase;

/** Steps in the order in which they are made. */
final class StepList {
  private final List<Step> steps = new ArrayList<>();

  /** Every act waits for the acts of the phase before it. */
  void add(
      Phase phase,
      String id,
      String title,
      String detail,
      List<String> tools,
      List<String> materials,
      double minutes,
      String caution) {
    add(phase, id, title, detail, tools, materials, minutes, caution, List.of());
  }

  /**
   * @param minutes for all items together
   */
  void add(
      Phase phase,
      String id,
      String title,
      String detail,
      List<String> tools,
      List<String> materials,
      double minutes,
      String caution,
      List<Step.Item> items) {
    Phase before =
        steps.stream()
            .map(Step::phase)
            .filter(p -> p.compareTo(phase) < 0)
            .reduce((a, b) -> b)
            .orElse(null);
    List<String> needs =
        steps.stream().filter(step -> step.phase() == before).map(Step::id).toList();
    steps.add(
        new Step(
            id, phase, title, detail, tools, materials, Math.ceil(minutes), caution, needs, items));
  }

  List<Step> steps() {
    return List.copyOf(steps);
  }
}
