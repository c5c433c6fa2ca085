package org.jexel.core.road;

import java.util.OptionalDouble;

/**
 * What a stop says about the gain.
 *
 * @param gain at which it was made
 * @param outcome what the wheels did
 * @param share of the trailer's own weight that it braked with; empty where it was not measured
 * @param cold whether the linings were not warmed: that it did not lock then says half as much
 */
public record GainStop(double gain, Outcome outcome, OptionalDouble share, boolean cold) {
  public GainStop(double gain, Outcome outcome) {
    this(gain, outcome, OptionalDouble.empty(), false);
  }
}
