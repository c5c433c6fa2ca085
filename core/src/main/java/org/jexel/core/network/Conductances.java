package org.jexel.core.network;

import java.util.List;

/**
 * What leaves each node through all that keeps to Ohm's law: Σ g·(V_i − V_j) over its neighbours j.
 * Laid out node by node, each conductance at both of its ends, so that a node's sum is read in one
 * go; of differences, since a sum of products would lose the digits of what carries little.
 */
final class Conductances {
  /** Where each node's neighbours begin. */
  private final int[] from;

  /** Place of each neighbour; −1 for ground. */
  private final int[] neighbour;

  private final double[] siemens;

  /**
   * @param first places of each element's ends; −1 for ground
   * @param second the others
   */
  Conductances(List<Element> elements, int[] first, int[] second, int size) {
    from = new int[size + 1];
    for (int e = 0; e < first.length; e++) {
      if (elements.get(e) instanceof Element.Ohmic) {
        count(first[e]);
        count(second[e]);
      }
    }
    for (int i = 0; i < size; i++) {
      from[i + 1] += from[i];
    }
    neighbour = new int[from[size]];
    siemens = new double[from[size]];
    int[] next = from.clone();
    for (int e = 0; e < first.length; e++) {
      if (elements.get(e) instanceof Element.Ohmic ohmic) {
        put(next, first[e], second[e], 1 / ohmic.ohms());
        put(next, second[e], first[e], 1 / ohmic.ohms());
      }
    }
  }

  private void count(int node) {
    if (node >= 0) {
      from[node + 1]++;
    }
  }

  private void put(int[] next, int node, int other, double conductance) {
    if (node >= 0) {
      neighbour[next[node]] = other;
      siemens[next[node]++] = conductance;
    }
  }

  /** Of one node at these voltages, A. */
  double leaves(int node, double[] x) {
    double sum = 0;
    for (int k = from[node]; k < from[node + 1]; k++) {
      int other = neighbour[k];
      sum += siemens[k] * (x[node] - (other < 0 ? 0 : x[other]));
    }
    return sum;
  }
}
