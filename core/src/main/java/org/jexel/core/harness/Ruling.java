package org.jexel.core.harness;

import org.jexel.core.quantity.Verdict;

/**
 * What a law of the harness says of a circuit that does not keep it.
 *
 * @param law which law
 * @param verdict how grave
 * @param words what is past what, and a way on
 */
public record Ruling(Law law, Verdict verdict, String words) {
  /** The laws, in the order in which they bind. */
  public enum Law {
    /** No pin carries more than its rating. */
    PIN,
    /** No output of a module gives more than it can. */
    OUTPUT,
    /** No wire carries more than it may. */
    WIRE,
    /** No fuse or breaker is above what is behind it, and each carries its load. */
    FUSE,
    /** No load loses more than its limit. */
    DROP
  }
}
