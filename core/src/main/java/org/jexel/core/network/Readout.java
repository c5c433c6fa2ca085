package org.jexel.core.network;

/** What can be read off a solved network, however it was solved. */
public interface Readout {
  /**
   * Whether it is known that all volts are those of the network without its faults, which may still
   * have changed parts that carry nothing.
   */
  default boolean stands() {
    return false;
  }

  /** Whether none of the faults is in this network, not even at a part that carries nothing. */
  default boolean isUntouched() {
    return false;
  }

  /** What a meter shows with its red lead on one node and its black lead on the other, V. */
  double volts(String red, String black);

  /**
   * Current through an element, A: a two-pole's from its first to its second node, a source's out
   * of its plus post, a converter's out of its output; 0 through one that is gone.
   */
  double amps(String element);

  /**
   * Small-signal resistance between two nodes, Ω.
   *
   * @throws IllegalStateException on a network that anything feeds, where ohms mean nothing
   */
  double ohms(String red, String black);

  /** Resistance of a part by itself, taken off its leads, Ω; infinite for one that is gone. */
  double ohms(String part);

  /** Whether a part is there. */
  boolean has(String element);

  /** Visible output of a lamp as a share of its rated one; 0 for one that is gone. */
  double brightness(String lamp);
}
