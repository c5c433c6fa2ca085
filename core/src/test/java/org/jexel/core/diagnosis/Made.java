package org.jexel.core.diagnosis;

import java.util.List;
import java.util.OptionalDouble;
import org.jexel.core.braking.BrakeCondition;
import org.jexel.core.check.Band;
import org.jexel.core.check.Check;
import org.jexel.core.check.CheckId;
import org.jexel.core.check.Probing;
import org.jexel.core.check.Setup;
import org.jexel.core.network.Fault;
import org.jexel.core.network.FaultFamily;
import org.jexel.core.network.KnownFault;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Sum;

/** Checks, hypotheses and rows by hand, small enough that what comes of them is worked out so. */
final class Made {
  private Made() {}

  /** Near at hand: one minute, at the box. */
  static Check check(String reading, Measure measure, double low, double high) {
    return check(new CheckId(reading, "box"), measure, low, high);
  }

  static Check check(CheckId key, Measure measure, double low, double high) {
    Band band = new Band((low + high) / 2, low, high);
    return check(key, Check.Group.BOX, "at the box", measure, band, 1);
  }

  static Check check(
      CheckId key, Check.Group group, String place, Measure measure, Band band, double minutes) {
    Probing nowhere = new Probing(Setup.rig(), measure, "", "");
    return check(key, group, place, measure, band, minutes, nowhere);
  }

  /** A lamp that is bright on a sound rig, looked at with these on. */
  static Check lamp(String id, StateWord... on) {
    CheckId key = new CheckId("look." + id, id);
    Band bright = new Band(3, 3, 3);
    Probing look = new Probing(Setup.rig(on), Measure.GLOW, "", "");
    return check(key, Check.Group.SEEN, "round the rig", Measure.GLOW, bright, 1.5, look);
  }

  private static Check check(
      CheckId key,
      Check.Group group,
      String place,
      Measure measure,
      Band band,
      double minutes,
      Probing probing) {
    return new Check(
        key,
        key.text(),
        group,
        null,
        "",
        place,
        "",
        "",
        measure,
        band,
        "",
        new Sum("", "", List.of(), 0, measure),
        List.of(),
        minutes,
        probing);
  }

  /** The same, taken elsewhere or longer. */
  static Check at(String place, double minutes, Check check) {
    return check(check.key(), check.group(), place, check.measure(), check.band(), minutes);
  }

  /** A check of the proof. */
  static Check proving(Check check) {
    return check(
        check.key(),
        Check.Group.SOCKET,
        check.place(),
        check.measure(),
        check.band(),
        check.minutes());
  }

  static Check volts(String id) {
    return check(id, Measure.VOLTS, 12, 13);
  }

  static Hypothesis healthy(double weight) {
    return new Hypothesis(List.of(), weight);
  }

  static Hypothesis fault(Fault fault, FaultFamily family, double weight) {
    return new Hypothesis(
        List.of(new KnownFault(fault, family, OptionalDouble.empty(), weight)), weight);
  }

  static Hypothesis open(String part, double weight) {
    return fault(Fault.of(Fault.Kind.OPEN, part), family(part), weight);
  }

  /** A wheel that no meter sees. */
  static Hypothesis mechanical(String wheel, double weight) {
    return fault(Fault.of(BrakeCondition.BEARING, wheel), family(wheel), weight);
  }

  static FaultFamily family(String part) {
    return new FaultFamily(FaultFamily.Trouble.OPEN, new FaultFamily.OfWheel(part, part));
  }

  /** Of volts: means and deviations in turn. */
  static Row row(Hypothesis hypothesis, double... meansAndDeviations) {
    int checks = meansAndDeviations.length / 2;
    double[] means = new double[checks];
    double[] deviations = new double[checks];
    for (int c = 0; c < checks; c++) {
      means[c] = meansAndDeviations[2 * c];
      deviations[c] = meansAndDeviations[2 * c + 1];
    }
    return new Row(hypothesis, means, deviations, true);
  }
}
