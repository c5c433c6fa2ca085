package org.jexel.core.rig;

import java.util.ArrayList;
import java.util.List;
import org.jexel.core.quantity.Figure;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Sum;
import org.jexel.core.quantity.Term;

/**
 * Masses and their places, by moments about the coupling ball.
 *
 * <p>Axle-group load = Σ mᵢ·xᵢ / x_axle, tongue load = Σ m − axle group. Inside an equalised group
 * the load is shared evenly. A weighed figure replaces the computed one.
 *
 * @param mass whole trailer with load, kg
 * @param tongue on the coupling, kg
 * @param axleGroup on all axles together, kg
 * @param tongueShare tongue ÷ mass
 * @param sums how each was found: mass, axle group, tongue, share
 */
public record LoadSheet(
    double mass, double tongue, double axleGroup, double tongueShare, List<Sum> sums) {

  public static LoadSheet of(Rig rig) {
    RigSheet sheet = rig.sheet();
    Figure empty = sheet.figure(RigField.EMPTY_MASS);
    Figure balance = sheet.figure(RigField.EMPTY_BALANCE);
    Figure axle = sheet.figure(RigField.AXLE_CENTRE);
    double load = rig.load().stream().mapToDouble(LoadItem::mass).sum();
    double moment = rig.load().stream().mapToDouble(item -> item.mass() * item.x()).sum();

    double mass = empty.si() + load;
    Sum massSum =
        new Sum(
            "Trailer with load",
            "m = m_e + m_l",
            List.of(
                Term.of("m_e", "trailer, empty", empty, Measure.MASS),
                Term.computed("m_l", "everything on the bed", load, Measure.MASS)),
            mass,
            Measure.MASS);

    double group = (empty.si() * balance.si() + moment) / axle.si();
    Sum groupSum =
        new Sum(
            "Load on the axles, by moments about the ball",
            "W_a = (m_e · x_e + m_l · x_l) / x_a",
            List.of(
                Term.of("m_e", "trailer, empty", empty, Measure.MASS),
                Term.of("x_e", "its centre of mass behind the ball", balance, Measure.LENGTH),
                Term.computed("m_l", "everything on the bed", load, Measure.MASS),
                Term.computed(
                    "x_l", "its common middle", load > 0 ? moment / load : 0, Measure.LENGTH),
                Term.of("x_a", "middle of the axles", axle, Measure.LENGTH)),
            group,
            Measure.MASS);

    Figure weighedTongue = sheet.figure(RigField.WEIGHED_TONGUE);
    Figure weighedAxles = sheet.figure(RigField.WEIGHED_AXLES);
    boolean tongueKnown = Double.isFinite(weighedTongue.si());
    boolean axlesKnown = Double.isFinite(weighedAxles.si());
    List<Sum> sums = new ArrayList<>();
    if (axlesKnown) {
      group = weighedAxles.si();
      groupSum = weighed("Load on the axles, weighed", weighedAxles);
    }
    double tongue = tongueKnown ? weighedTongue.si() : mass - group;
    if (tongueKnown && axlesKnown) {
      mass = tongue + group;
      massSum =
          new Sum(
              "Trailer with load, weighed",
              "m = W_a + W_t",
              List.of(
                  Term.of("W_a", "on the axles", weighedAxles, Measure.MASS),
                  Term.of("W_t", "on the tongue", weighedTongue, Measure.MASS)),
              mass,
              Measure.MASS);
    } else if (tongueKnown) {
      group = mass - tongue;
      groupSum =
          difference("Load on the axles", "W_a = m − W_t", "W_t", "weighed tongue", mass, tongue);
    }
    sums.add(massSum);
    sums.add(groupSum);
    sums.add(
        tongueKnown
            ? weighed("Tongue load, weighed", weighedTongue)
            : difference("Tongue load", "W_t = m − W_a", "W_a", "on the axles", mass, group));
    double share = tongue / mass;
    sums.add(
        new Sum(
            "Tongue share",
            "s = W_t / m",
            List.of(
                Term.computed("W_t", "tongue load", tongue, Measure.MASS),
                Term.computed("m", "trailer with load", mass, Measure.MASS)),
            share,
            Measure.SHARE));
    return new LoadSheet(mass, tongue, group, share, List.copyOf(sums));
  }

  private static Sum weighed(String title, Figure figure) {
    return new Sum(
        title,
        "as read on the scale",
        List.of(Term.of("W", title, figure, Measure.MASS)),
        figure.si(),
        Measure.MASS);
  }

  private static Sum difference(
      String title, String formula, String symbol, String meaning, double mass, double other) {
    return new Sum(
        title,
        formula,
        List.of(
            Term.computed("m", "trailer with load", mass, Measure.MASS),
            Term.computed(symbol, meaning, other, Measure.MASS)),
        mass - other,
        Measure.MASS);
  }
}
