package org.jexel.core.network;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.ejml.data.DMatrixRMaj;
import org.ejml.data.DMatrixSparseCSC;
import org.jspecify.annotations.Nullable;

/**
 * The equations F(x) = 0 of a network, x = (node voltages against ground, branch currents of
 * sources and converters).
 *
 * <p>Node row: sum of the currents that leave it, with a leak of 1e-12 S to ground, = 0, A. Source
 * row: V₊ − V₋ − R·i − E = 0. Converter row: V_out(V_in) − V_out = 0, V. The pattern of the
 * Jacobian is laid out once; each iteration only fills in values.
 */
final class Equations {
  private final List<Element> elements;

  /** Places of the unknowns: of each node but ground, and of each branch current. */
  private final Map<String, Integer> nodes;

  private final Map<String, Integer> branches;

  /** Places of each element's ends and of its branch current; −1 for ground and for none. */
  private final int[] first;

  private final int[] second;
  private final int[] branch;

  /** Of what keeps to Ohm's law. */
  private final Conductances ohmic;

  /** Places in the list of what does not. */
  private final int[] others;

  private final boolean[] isNode;
  private final int size;
  private final DMatrixSparseCSC jacobian;

  private Equations(
      List<Element> elements, Map<String, Integer> nodes, Map<String, Integer> branches) {
    this.elements = elements;
    this.nodes = nodes;
    this.branches = branches;
    size = nodes.size() + branches.size();
    first = new int[elements.size()];
    second = new int[elements.size()];
    branch = new int[elements.size()];
    for (int e = 0; e < elements.size(); e++) {
      Element element = elements.get(e);
      String[] ends = element.ends();
      first[e] = nodes.getOrDefault(ends[0], -1);
      second[e] = nodes.getOrDefault(ends[1], -1);
      branch[e] = branches.getOrDefault(element.name(), -1);
    }
    isNode = new boolean[size];
    nodes.values().forEach(i -> isNode[i] = true);
    others =
        IntStream.range(0, elements.size())
            .filter(e -> !(elements.get(e) instanceof Element.Ohmic))
            .toArray();
    ohmic = new Conductances(elements, first, second, size);
    jacobian = pattern();
  }

  /**
   * Of elements between these nodes, ground left out, in an order that keeps the factors sparse.
   */
  static Equations of(List<Element> elements, Collection<String> nodes) {
    Map<String, Integer> asTold = new HashMap<>();
    nodes.forEach(node -> asTold.put(node, asTold.size()));
    Map<String, Integer> branches = new HashMap<>();
    for (Element element : elements) {
      if (hasBranch(element)) {
        branches.put(element.name(), asTold.size() + branches.size());
      }
    }
    int[] place = EliminationOrder.of(new Equations(elements, asTold, branches).adjacency());
    asTold.replaceAll((name, i) -> place[i]);
    branches.replaceAll((name, i) -> place[i]);
    return new Equations(elements, asTold, branches);
  }

  /**
   * Of other elements between the same nodes, each unknown in its old place.
   *
   * @return null if their branches are not the same
   */
  @Nullable Equations with(List<Element> others) {
    List<String> own = others.stream().filter(Equations::hasBranch).map(Element::name).toList();
    boolean same = own.size() == branches.size() && branches.keySet().containsAll(own);
    return same ? new Equations(others, nodes, branches) : null;
  }

  private static boolean hasBranch(Element element) {
    return !(element instanceof Element.TwoPole);
  }

  private List<BitSet> adjacency() {
    List<BitSet> neighbours = new ArrayList<>();
    for (int i = 0; i < size; i++) {
      neighbours.add(new BitSet(size));
    }
    for (int e = 0; e < first.length; e++) {
      join(neighbours, first[e], second[e]);
      join(neighbours, first[e], branch[e]);
      join(neighbours, second[e], branch[e]);
    }
    return neighbours;
  }

  private static void join(List<BitSet> neighbours, int i, int j) {
    if (i >= 0 && j >= 0) {
      neighbours.get(i).set(j);
      neighbours.get(j).set(i);
    }
  }

  private DMatrixSparseCSC pattern() {
    List<BitSet> columns = adjacency();
    int entries = 0;
    for (int i = 0; i < size; i++) {
      columns.get(i).set(i);
      entries += columns.get(i).cardinality();
    }
    DMatrixSparseCSC a = new DMatrixSparseCSC(size, size, entries);
    int k = 0;
    for (int column = 0; column < size; column++) {
      a.col_idx[column] = k;
      BitSet rows = columns.get(column);
      for (int row = rows.nextSetBit(0); row >= 0; row = rows.nextSetBit(row + 1)) {
        a.nz_rows[k++] = row;
      }
    }
    a.col_idx[size] = k;
    a.nz_length = k;
    a.indicesSorted = true;
    return a;
  }

  int size() {
    return size;
  }

  Map<String, Integer> nodes() {
    return nodes;
  }

  Map<String, Integer> branches() {
    return branches;
  }

  private static double at(double[] x, int i) {
    return i < 0 ? 0 : x[i];
  }

  /** F(x). */
  void residual(double[] x, double[] f) {
    for (int i = 0; i < size; i++) {
      f[i] = isNode[i] ? Network.GMIN_SIEMENS * x[i] + ohmic.leaves(i, x) : 0;
    }
    for (int e : others) {
      int a = first[e];
      int b = second[e];
      int k = branch[e];
      double va = at(x, a);
      double vb = at(x, b);
      double leavesA;
      double leavesB;
      if (elements.get(e) instanceof Element.TwoPole p) {
        leavesA = p.amps(va - vb);
        leavesB = -leavesA;
      } else if (elements.get(e) instanceof Element.Source s) {
        leavesA = x[k];
        leavesB = -x[k];
        f[k] = va - vb - s.ohms() * x[k] - s.volts();
      } else {
        Element.Converter c = (Element.Converter) elements.get(e);
        leavesA = c.share() * x[k];
        leavesB = -x[k];
        f[k] = c.output(va) - vb;
      }
      if (a >= 0) {
        f[a] += leavesA;
      }
      if (b >= 0) {
        f[b] += leavesB;
      }
    }
  }

  /**
   * dF/dx.
   *
   * @param x where; null for the start of an iteration, with every element at its usual conductance
   */
  DMatrixSparseCSC jacobian(double @Nullable [] x) {
    java.util.Arrays.fill(jacobian.nz_values, 0, jacobian.nz_length, 0);
    for (int i = 0; i < size; i++) {
      add(i, i, isNode[i] ? Network.GMIN_SIEMENS : 0);
    }
    for (int e = 0; e < first.length; e++) {
      int a = first[e];
      int b = second[e];
      int k = branch[e];
      Element element = elements.get(e);
      if (element instanceof Element.TwoPole p) {
        double g = x == null ? p.start() : p.slope(at(x, a) - at(x, b));
        add(a, a, g);
        add(b, b, g);
        add(a, b, -g);
        add(b, a, -g);
      } else if (element instanceof Element.Source s) {
        add(a, k, 1);
        add(b, k, -1);
        add(k, a, 1);
        add(k, b, -1);
        add(k, k, -s.ohms());
      } else {
        Element.Converter c = (Element.Converter) element;
        add(a, k, c.share());
        add(b, k, -1);
        add(k, a, x == null ? c.share() : c.slope(at(x, a)));
        add(k, b, -1);
      }
    }
    return jacobian;
  }

  /** Greatest conductance of the last Jacobian, S. */
  double stiffest() {
    double most = 0;
    for (int k = 0; k < jacobian.nz_length; k++) {
      most = Math.max(most, Math.abs(jacobian.nz_values[k]));
    }
    return most;
  }

  private void add(int row, int column, double value) {
    if (row >= 0 && column >= 0) {
      int k =
          java.util.Arrays.binarySearch(
              jacobian.nz_rows, jacobian.col_idx[column], jacobian.col_idx[column + 1], row);
      jacobian.nz_values[k] += value;
    }
  }

  /** The element whose equation, or whose node's, is the given row. */
  String nameAt(int row) {
    for (int e = 0; e < first.length; e++) {
      if (branch[e] == row || first[e] == row || second[e] == row) {
        return elements.get(e).name();
      }
    }
    return "nothing";
  }

  static DMatrixRMaj column(double[] values) {
    return DMatrixRMaj.wrap(values.length, 1, values);
  }
}
