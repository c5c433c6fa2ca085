package org.jexel.app.road;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jexel.app.job.JobFile;
import org.jexel.core.road.Gate;

/** The card of what must hold before a wheel turns. */
final class GateCard {
  private GateCard() {}

  static void show(JobFile file, GateService gate, Map<String, Object> view) {
    Map<String, String> typed = new LinkedHashMap<>();
    Gate shut = file.work().road().gate();
    for (String field : fields(shut)) {
      typed.put(field, file.typed().text(GateService.FORM, field));
    }
    view.put("gate", shut);
    view.put("gateTyped", typed);
    view.put(
        "gateProblems",
        typed.values().stream().allMatch(String::isEmpty)
            ? Map.<String, String>of()
            : gate.problems(file, typed));
  }

  /** Every field that the card may have. */
  static List<String> fields(Gate gate) {
    List<String> fields = new ArrayList<>(List.of(GateService.WARMED, GateService.LOOKED));
    fields.addAll(GateService.COAST);
    for (Gate.Line line : gate.lines()) {
      fields.add(line.id());
      fields.add(GateService.why(line));
    }
    return fields;
  }
}
