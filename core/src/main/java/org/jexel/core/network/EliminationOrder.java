package org.jexel.core.network;

import java.util.BitSet;
import java.util.List;

/**
 * Order in which unknowns are eliminated: always the one with the fewest neighbours left, which
 * keeps the factors of a tree-like network as sparse as the network. Reference: Tinney and Walker,
 * "Direct solutions of sparse network equations", Proc. IEEE 55 (1967), scheme 2.
 */
final class EliminationOrder {
  private EliminationOrder() {}

  /**
   * @param neighbours of each unknown, symmetric; consumed
   * @return the place of each unknown in the order
   */
  static int[] of(List<BitSet> neighbours) {
    int n = neighbours.size();
    int[] place = new int[n];
    int[] degree = new int[n];
    for (int i = 0; i < n; i++) {
      neighbours.get(i).clear(i);
      degree[i] = neighbours.get(i).cardinality();
    }
    for (int step = 0; step < n; step++) {
      int least = -1;
      for (int i = 0; i < n; i++) {
        if (degree[i] >= 0 && (least < 0 || degree[i] < degree[least])) {
          least = i;
        }
      }
      BitSet around = neighbours.get(least);
      for (int i = around.nextSetBit(0); i >= 0; i = around.nextSetBit(i + 1)) {
        BitSet of = neighbours.get(i);
        of.or(around);
        of.clear(i);
        of.clear(least);
        degree[i] = of.cardinality();
      }
      degree[least] = -1;
      place[least] = step;
    }
    return place;
  }
}
