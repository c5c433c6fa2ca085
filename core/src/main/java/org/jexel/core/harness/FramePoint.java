package org.jexel.core.harness;

import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;

/**
 * A named place on the trailer's frame.
 *
 * @param id lower-case letters, digits and _, unlike that of any other place
 * @param member what it lies on
 * @param label for people
 * @param x behind the ball, m
 * @param y left of the middle, m
 */
public record FramePoint(String id, Member member, String label, double x, double y) {

  /** What of a trailer a loom can run on. */
  public enum Member {
    LEG("drawbar"),
    RAIL("rail"),
    FRONT("front member"),
    CROSS("frame"),
    /** A part beside the frame: box, switch, hole, lamp or backing plate. */
    PART("frame");

    private final String label;

    Member(String label) {
      this.label = label;
    }

    public String label() {
      return label;
    }
  }

  double to(FramePoint other) {
    return Math.abs(x - other.x) + Math.abs(y - other.y);
  }

  /** Where somebody finds it. */
  public String words(UnitSystem units) {
    return member == Member.PART
        ? label
        : "%s, %s behind the ball".formatted(label, Measure.LENGTH.text(x, units));
  }
}
