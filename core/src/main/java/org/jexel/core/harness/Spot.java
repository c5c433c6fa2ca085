package org.jexel.core.harness;

import java.util.Optional;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.Side;

/**
 * What a load is a part of: a lamp, a wheel's brake, or something at the box.
 *
 * @param lamp the lamp; empty for anything else
 * @param axle the braked axle, from 0; −1 for anything else
 * @param side of the lamp or the wheel; empty at the box
 */
public record Spot(Optional<Lamp> lamp, int axle, Optional<Side> side) {
  /** Something at the junction box. */
  public static final Spot BOX = new Spot(Optional.empty(), -1, Optional.empty());

  static Spot of(Lamp lamp) {
    return new Spot(Optional.of(lamp), -1, Optional.of(lamp.side()));
  }

  static Spot wheel(int axle, Side side) {
    return new Spot(Optional.empty(), axle, Optional.of(side));
  }

  /** The wheel, as it is told. */
  public String wheelLabel() {
    return "axle " + (axle + 1) + " " + side.map(Side::label).orElse("");
  }

  public boolean isLeft() {
    return side.equals(Optional.of(Side.LEFT));
  }

  /** Whether it is this lamp. */
  public boolean is(Lamp other) {
    return lamp.isPresent() && lamp.get().slot().equals(other.slot());
  }
}
