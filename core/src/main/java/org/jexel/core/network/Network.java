package org.jexel.core.network;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.CommonOps_DDRM;
import org.ejml.dense.row.NormOps_DDRM;
import org.ejml.dense.row.factory.LinearSolverFactory_DDRM;
import org.ejml.interfaces.linsol.LinearSolverDense;

/**
 * A linear network and its solution by modified nodal analysis.
 *
 * <p>A·x = b with x = (node voltages against ground, branch currents of sources and converters).
 * Source row: V₊ − V₋ − R·i = E. Converter row: d·V_in − V_out = d·U₀. Both stamp A symmetrically,
 * so one factorisation also serves the adjoint systems from which sensitivities come. Every node
 * has a leak of 1e-12 S to ground so that floating parts are defined. Reference: Ho, Ruehli,
 * Brennan, "The modified nodal approach to network analysis", IEEE Trans. CAS 22 (1975).
 */
public final class Network {
  /** Leak from every node to ground, S. */
  static final double GMIN = 1e-12;

  /** Greatest residual that is taken for a solution, A and V, for voltages of the order of 1 V. */
  private static final double RESIDUAL = 1e-9;

  private final String ground;
  private final Map<String, Integer> nodes = new LinkedHashMap<>();
  private final Map<String, Element> elements = new LinkedHashMap<>();

  public Network(String ground) {
    this.ground = ground;
  }

  public Network add(Element element) {
    if (elements.put(element.name(), element) != null) {
      throw new IllegalArgumentException("element " + element.name() + " stands twice");
    }
    if (element instanceof Element.Resistor r) {
      node(r.a());
      node(r.b());
    } else if (element instanceof Element.Source s) {
      node(s.plus());
      node(s.minus());
    } else if (element instanceof Element.Converter c) {
      node(c.in());
      node(c.out());
    }
    return this;
  }

  private void node(String name) {
    if (!name.equals(ground)) {
      nodes.putIfAbsent(name, nodes.size());
    }
  }

  public List<Element> elements() {
    return List.copyOf(elements.values());
  }

  public int size() {
    return nodes.size();
  }

  public boolean hasNode(String name) {
    return name.equals(ground) || nodes.containsKey(name);
  }

  /**
   * @throws NetworkException if the network has no unique solution; it names a part
   */
  public Solution solve() {
    Map<String, Integer> branches = new HashMap<>();
    for (Element element : elements.values()) {
      if (!(element instanceof Element.Resistor)) {
        branches.put(element.name(), nodes.size() + branches.size());
      }
    }
    int n = nodes.size() + branches.size();
    DMatrixRMaj a = new DMatrixRMaj(n, n);
    DMatrixRMaj b = new DMatrixRMaj(n, 1);
    for (int i = 0; i < nodes.size(); i++) {
      a.set(i, i, GMIN);
    }
    for (Element element : elements.values()) {
      stamp(element, branches, a, b);
    }
    LinearSolverDense<DMatrixRMaj> solver = LinearSolverFactory_DDRM.lu(n);
    if (!solver.setA(a.copy())) {
      throw new NetworkException("The network has no unique solution near " + suspect());
    }
    DMatrixRMaj x = new DMatrixRMaj(n, 1);
    solver.solve(b, x);
    if (!(residual(a, x, b) <= RESIDUAL * Math.max(1, NormOps_DDRM.normPInf(x)))) {
      throw new NetworkException("The network has no unique solution near " + suspect());
    }
    return new Solution(this, branches, solver, x);
  }

  /** Greatest violation of any node or branch equation; NaN when the solution is no number. */
  private static double residual(DMatrixRMaj a, DMatrixRMaj x, DMatrixRMaj b) {
    DMatrixRMaj r = b.copy();
    CommonOps_DDRM.multAdd(-1, a, x, r);
    double worst = 0;
    for (int i = 0; i < r.numRows; i++) {
      worst = Double.isNaN(r.get(i)) ? Double.NaN : Math.max(worst, Math.abs(r.get(i)));
    }
    return worst;
  }

  private void stamp(Element element, Map<String, Integer> branches, DMatrixRMaj a, DMatrixRMaj b) {
    if (element instanceof Element.Resistor r) {
      double g = 1 / r.ohms();
      int p = index(r.a());
      int q = index(r.b());
      add(a, p, p, g);
      add(a, q, q, g);
      add(a, p, q, -g);
      add(a, q, p, -g);
      return;
    }
    int k = branches.get(element.name());
    if (element instanceof Element.Source s) {
      couple(a, index(s.plus()), k, 1);
      couple(a, index(s.minus()), k, -1);
      a.set(k, k, -s.ohms());
      b.set(k, 0, s.volts());
    } else if (element instanceof Element.Converter c) {
      couple(a, index(c.in()), k, c.share());
      couple(a, index(c.out()), k, -1);
      b.set(k, 0, c.share() * c.drop());
    }
  }

  private static void couple(DMatrixRMaj a, int node, int branch, double value) {
    add(a, node, branch, value);
    add(a, branch, node, value);
  }

  private static void add(DMatrixRMaj a, int row, int column, double value) {
    if (row >= 0 && column >= 0) {
      a.add(row, column, value);
    }
  }

  /** Row of a node; −1 for ground. */
  int index(String node) {
    if (node.equals(ground)) {
      return -1;
    }
    Integer index = nodes.get(node);
    if (index == null) {
      throw new IllegalArgumentException("no node " + node);
    }
    return index;
  }

  Element element(String name) {
    Element element = elements.get(name);
    if (element == null) {
      throw new IllegalArgumentException("no element " + name);
    }
    return element;
  }

  /**
   * Two sources without resistance on the same posts are the usual cause; else the first source.
   */
  private String suspect() {
    List<Element.Source> stiff =
        elements.values().stream()
            .filter(e -> e instanceof Element.Source s && s.ohms() == 0)
            .map(Element.Source.class::cast)
            .toList();
    for (Element.Source one : stiff) {
      for (Element.Source two : stiff) {
        if (one != two && one.plus().equals(two.plus()) && one.minus().equals(two.minus())) {
          return one.name() + " and " + two.name();
        }
      }
    }
    return stiff.isEmpty()
        ? elements.keySet().stream().findFirst().orElse("nothing")
        : stiff.get(0).name();
  }
}
