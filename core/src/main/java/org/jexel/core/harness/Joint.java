package org.jexel.core.harness;

import java.util.Optional;
import org.jexel.core.connector.PinFunction;

/**
 * A healthy contact or joint between two named points.
 *
 * @param name a node-safe name
 * @param label for people
 * @param function of the conductors that it joins
 * @param duty of the conductor that it leads to
 * @param towards where what it begins leads to; empty at the connector and at the cord's end
 * @param a nearer side
 * @param b farther side
 * @param ohms Ω
 * @param kind what it is
 */
public record Joint(
    String name,
    String label,
    PinFunction function,
    Duty duty,
    Optional<FramePoint> towards,
    String a,
    String b,
    double ohms,
    Kind kind) {

  /** Whether somebody crimped or screwed it together for good: no plug, no sheet metal. */
  public boolean made() {
    return kind == Kind.SPLICE || kind == Kind.RING;
  }

  /** Kinds of joints. */
  public enum Kind {
    PIN("pin of the connector"),
    RING("ring on a stud"),
    SPLICE("splice"),
    SCREW("screw to the frame"),
    FRAME("joint of the frame");

    private final String label;

    Kind(String label) {
      this.label = label;
    }

    public String label() {
      return label;
    }
  }
}
