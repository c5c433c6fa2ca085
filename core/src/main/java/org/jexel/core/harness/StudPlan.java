package org.jexel.core.harness;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jexel.core.connector.Pin;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.rig.Rig;

/**
 * The junction box, stud by stud.
 *
 * @param studs in the order of the connector's pins
 */
public record StudPlan(List<Stud> studs) {
  /** From this cross-section on a stud of 6 mm is taken, m². */
  private static final double THICK_M2 = 5e-6;

  /**
   * @param number from the cord's side
   * @param function its job
   * @param millimetres of its thread
   * @param landings what lands on it, the first at the bottom
   * @param why the reason for a stud that only an unused core lands on; else empty
   */
  public record Stud(
      int number, PinFunction function, int millimetres, List<Landing> landings, String why) {}

  /**
   * @param conductor what ends here
   * @param ring stud × wire, as on the bag
   */
  public record Landing(Span conductor, String ring) {
    public String what() {
      return conductor.duty() == Duty.CORD ? "cord" : conductor.circuit();
    }
  }

  public static StudPlan of(Rig rig, Harness harness) {
    List<Stud> studs = new ArrayList<>();
    for (Pin pin : rig.connector().pins()) {
      studs.add(stud(studs.size() + 1, pin.function(), harness));
    }
    return new StudPlan(List.copyOf(studs));
  }

  /** What a job lands: every conductor on a new box, else the new ones alone. */
  List<Landing> toLand(Scope scope) {
    return studs.stream()
        .flatMap(stud -> stud.landings().stream())
        .filter(landing -> scope.newBox() || scope.isNew(landing.conductor()))
        .toList();
  }

  private static Stud stud(int number, PinFunction function, Harness harness) {
    String node = Nodes.box(function);
    List<Span> landing = new ArrayList<>();
    for (Joint joint : harness.joints()) {
      boolean here = joint.kind() == Joint.Kind.RING;
      for (Span span : harness.spans()) {
        boolean in = joint.b().equals(node) && span.to().equals(joint.a());
        boolean out = joint.a().equals(node) && span.from().equals(joint.b());
        if (here && (in || out)) {
          landing.add(span);
        }
      }
    }
    harness.spans().stream().filter(span -> span.to().equals(node)).forEach(landing::add);
    landing.sort(Comparator.comparingDouble((Span span) -> span.size().area()).reversed());
    boolean thick = landing.stream().anyMatch(span -> span.size().area() > THICK_M2);
    int millimetres = thick ? 6 : 5;
    return new Stud(
        number,
        function,
        millimetres,
        landing.stream()
            .map(span -> new Landing(span, Phrase.of("M%d × %s", millimetres, span.size().label())))
            .toList(),
        landing.isEmpty()
            ? "This trailer does not use it: the core lands here alone, so that it never hangs loose."
            : "");
  }
}
