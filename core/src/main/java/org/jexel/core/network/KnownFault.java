package org.jexel.core.network;

import java.util.OptionalDouble;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;

/**
 * A fault that can occur on a rig, in one severity.
 *
 * @param fault the edit of the network
 * @param family what it is at which place, however bad
 * @param loses share of the volts that is lost there, for one that can be slight or bad
 * @param weight how often practice meets it, against the others
 * @param opened what is opened to mend it: the part, or the end of the run that a joint belongs to
 */
public record KnownFault(
    Fault fault, FaultFamily family, OptionalDouble loses, double weight, String opened) {
  /** Of a part that is mended by itself. */
  public KnownFault(Fault fault, FaultFamily family, OptionalDouble loses, double weight) {
    this(fault, family, loses, weight, fault.part());
  }

  /**
   * The severity half way to another of the same fault, by their ratio. Of three in a row it stands
   * for the middle half of what lies between the outer two, and takes that much of their weight.
   */
  public KnownFault halfWay(KnownFault other) {
    double amount = Math.sqrt(fault.amount() * other.fault.amount());
    return new KnownFault(
        new Fault(fault.kind(), fault.part(), fault.other(), amount),
        family,
        loses.isPresent() && other.loses.isPresent()
            ? OptionalDouble.of(halfWay(loses.getAsDouble(), other.loses.getAsDouble()))
            : OptionalDouble.empty(),
        (weight + other.weight) / 4,
        opened);
  }

  /** Of losses s, by what is lost for each volt that is left: s / (1 − s). */
  private static double halfWay(double one, double two) {
    double ratio = Math.sqrt(one / (1 - one) * (two / (1 - two)));
    return ratio / (1 + ratio);
  }

  /** With its severity, for people. */
  public String words(UnitSystem units) {
    String where = family.place().words(units);
    return family.trouble().label() + severity(units) + (where.isEmpty() ? "" : ": " + where);
  }

  private String severity(UnitSystem units) {
    if (loses.isPresent()) {
      return Phrase.of(", loses %.0f %%", 100 * loses.getAsDouble());
    }
    return switch (fault.kind()) {
      case DRAWS, MAGNETS, REAR_LAMPS -> Phrase.of(", draws %.0f %%", 100 * fault.amount());
      case OTHER_KIND -> ", " + Measure.AMPS.text(fault.amount(), units);
      case FLAT, LOW -> ", " + Measure.VOLTS.text(fault.amount(), units);
      case ON_BALL -> ", the ball carries through " + Measure.OHMS.text(fault.amount(), units);
      case SHORT, BRIDGE, PULLED -> ", " + Measure.OHMS.text(fault.amount(), units);
      default -> "";
    };
  }

  /** The same on every page of one rig, for a form to post. */
  public String key() {
    if (loses.isPresent()) {
      return family.key() + "@" + Math.round(100 * loses.getAsDouble());
    }
    return switch (fault.kind()) {
      case DRAWS, OTHER_KIND, MAGNETS, REAR_LAMPS, FLAT, LOW, SHORT, BRIDGE, PULLED, ON_BALL ->
          family.key() + "@" + Math.round(100 * fault.amount());
      default -> family.key();
    };
  }
}
