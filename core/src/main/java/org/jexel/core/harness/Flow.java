package org.jexel.core.harness;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.CommonOps_DDRM;
import org.jexel.core.quantity.Must;

/**
 * How a current divides between the conductors that can carry it, by mesh currents: a spanning tree
 * gives one way for every load, each link outside it closes a mesh, and the mesh currents c make
 * the loss least, (Bᵀ·R·B)·c = −Bᵀ·R·t. Reference: Maxwell's method of cyclic currents.
 */
final class Flow {
  /**
   * @param from nearer end
   * @param to farther end
   * @param ohms Ω
   */
  record Link(String from, String to, double ohms) {}

  private final List<Link> links;
  private final Map<String, double[]> ways = new HashMap<>();
  private final List<double[]> meshes = new ArrayList<>();

  /**
   * @param links told from their root on; a point that no link leads to is a root
   */
  Flow(List<Link> links) {
    this.links = links;
    Map<String, List<Integer>> at = new LinkedHashMap<>();
    Set<String> fed = new HashSet<>();
    for (int i = 0; i < links.size(); i++) {
      at.computeIfAbsent(links.get(i).from(), n -> new ArrayList<>()).add(i);
      at.computeIfAbsent(links.get(i).to(), n -> new ArrayList<>()).add(i);
      fed.add(links.get(i).to());
    }
    Set<Integer> used = new HashSet<>();
    for (String node : at.keySet()) {
      if (!fed.contains(node)) {
        spread(node, at, used);
      }
    }
    for (int i = 0; i < links.size(); i++) {
      if (!used.contains(i)) {
        meshes.add(mesh(i));
      }
    }
  }

  private void spread(String root, Map<String, List<Integer>> at, Set<Integer> used) {
    ways.put(root, new double[links.size()]);
    Deque<String> next = new ArrayDeque<>(List.of(root));
    while (!next.isEmpty()) {
      String node = next.poll();
      for (int i : Must.have(at, node)) {
        boolean along = links.get(i).from().equals(node);
        String end = along ? links.get(i).to() : links.get(i).from();
        if (!ways.containsKey(end)) {
          double[] way = Must.have(ways, node).clone();
          way[i] += along ? 1 : -1;
          ways.put(end, way);
          used.add(i);
          next.add(end);
        }
      }
    }
  }

  private double[] mesh(int chord) {
    double[] loop = Must.have(ways, links.get(chord).from()).clone();
    double[] back = Must.have(ways, links.get(chord).to());
    for (int i = 0; i < loop.length; i++) {
      loop[i] -= back[i];
    }
    loop[chord] += 1;
    return loop;
  }

  /** Whether some current has more than one way. */
  boolean meshed() {
    return !meshes.isEmpty();
  }

  /** Current in every link when 1 A flows from the root to a node; along the link is positive. */
  double[] unit(String node) {
    double[] way = ways.get(node);
    if (way == null) {
      throw new IllegalArgumentException("nothing leads to " + node);
    }
    double[] flow = way.clone();
    if (meshes.isEmpty()) {
      return flow;
    }
    int m = meshes.size();
    DMatrixRMaj a = new DMatrixRMaj(m, m);
    DMatrixRMaj b = new DMatrixRMaj(m, 1);
    DMatrixRMaj c = new DMatrixRMaj(m, 1);
    for (int p = 0; p < m; p++) {
      for (int q = 0; q < m; q++) {
        a.set(p, q, weighted(meshes.get(p), meshes.get(q)));
      }
      b.set(p, 0, -weighted(meshes.get(p), way));
    }
    CommonOps_DDRM.solve(a, b, c);
    for (int p = 0; p < m; p++) {
      for (int i = 0; i < flow.length; i++) {
        flow[i] += c.get(p, 0) * meshes.get(p)[i];
      }
    }
    return flow;
  }

  private double weighted(double[] one, double[] two) {
    double sum = 0;
    for (int i = 0; i < one.length; i++) {
      if (one[i] != 0 && two[i] != 0) {
        sum += one[i] * two[i] * links.get(i).ohms();
      }
    }
    return sum;
  }
}
