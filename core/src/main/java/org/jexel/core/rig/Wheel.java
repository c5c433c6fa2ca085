package org.jexel.core.rig;

import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A wheel of the trailer.
 *
 * @param axle from the front, 0 first
 */
public record Wheel(int axle, Side side) {
  public Wheel {
    if (axle < 0) {
      throw new IllegalArgumentException("no axle " + axle);
    }
  }

  /** From the front, left before right. */
  public static List<Wheel> all(Rig rig) {
    return of(IntStream.range(0, rig.axleCount()));
  }

  public static List<Wheel> braked(Rig rig) {
    return of(IntStream.of(rig.brakedAxles()));
  }

  private static List<Wheel> of(IntStream axles) {
    return axles
        .boxed()
        .flatMap(axle -> Stream.of(Side.values()).map(side -> new Wheel(axle, side)))
        .toList();
  }

  public String label() {
    return "axle " + (axle + 1) + " " + side.label();
  }
}
