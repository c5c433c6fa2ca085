package org.jexel.core.job;

import java.util.List;
import org.jexel.core.breakaway.BreakawayRule;
import org.jexel.core.harness.WireSize;
import org.jexel.core.rig.TongueBand;

/**
 * What the workshop decides for all of its jobs.
 *
 * @param stock wire on the shelf
 * @param tongueBand usual tongue share of its region
 * @param breakaway from when on one is asked for, and when it is due again
 */
public record Shop(List<WireSize> stock, TongueBand tongueBand, BreakawayRule breakaway) {
  public Shop {
    stock = List.copyOf(stock);
  }
}
