package org.jexel.core.harness;

import java.util.Optional;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.rig.RigField;

/** A lead of a breakaway kit, by what it does. */
public enum KitLead {
  CHARGE("charge feed, to fuse and diode", PinFunction.CHARGE, RigField.LEAD_CHARGE),
  PLUS("battery plus, to the switch", null, RigField.LEAD_PLUS),
  MINUS("battery minus", PinFunction.EARTH, RigField.LEAD_MINUS),
  SWITCH_IN("switch, the battery’s side", null, RigField.LEAD_SWITCH_IN),
  SWITCH_OUT("switch, the brakes’ side", PinFunction.BRAKE, RigField.LEAD_SWITCH_OUT);

  private final String label;
  private final Optional<PinFunction> joins;
  private final RigField field;

  KitLead(String label, @org.jspecify.annotations.Nullable PinFunction joins, RigField field) {
    this.label = label;
    this.joins = Optional.ofNullable(joins);
    this.field = field;
  }

  public String label() {
    return label;
  }

  /** The trailer's conductor that it is joined to; empty for those within the kit. */
  public Optional<PinFunction> joins() {
    return joins;
  }

  /** Where its colour is entered. */
  public RigField field() {
    return field;
  }
}
