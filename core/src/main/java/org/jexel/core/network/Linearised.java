package org.jexel.core.network;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicReferenceArray;
import org.ejml.data.DMatrixRMaj;
import org.ejml.data.DMatrixSparseCSC;
import org.ejml.interfaces.linsol.LinearSolverSparse;
import org.ejml.sparse.FillReducing;
import org.ejml.sparse.csc.factory.LinearSolverFactory_DSCC;
import org.jexel.core.quantity.Must;

/**
 * A network at its solution x₀, with the inverse of its Jacobian there, column by column as they
 * are needed. For any number of threads.
 */
final class Linearised {
  /** Residuals below this leave no mark, A. */
  private static final double NOTHING = 1e-14;

  /** The same as a share of the greatest; what is passed over the next residual shows. */
  private static final double LITTLE = 1e-5;

  /**
   * What hangs on more than this hangs on a leak, Ω: the columns of its two ends are alike in all
   * the digits that tell a contact.
   */
  private static final double LEAK_OHMS = 1e4;

  private final Network network;
  private final Map<String, Integer> places;
  private final Map<String, Integer> branches;
  private final double[] x0;
  private final AtomicReferenceArray<double[]> inverse;
  private final Map<Integer, double[]> across = new ConcurrentHashMap<>();
  private final int size;
  private final boolean dead;
  private final Equations equations;
  private final LinearSolverSparse<DMatrixSparseCSC, DMatrixRMaj> solver =
      LinearSolverFactory_DSCC.lu(FillReducing.NONE);

  Linearised(Network network) {
    this.network = network;
    Solution whole = network.solve();
    equations = whole.equations();
    places = equations.nodes();
    branches = equations.branches();
    size = equations.size();
    dead = network.isDead();
    x0 = whole.unknowns().clone();
    inverse = new AtomicReferenceArray<>(size);
    polish();
  }

  /** One more step to the root; the solver is left with J(x₀). */
  private void polish() {
    if (!solver.setA(equations.jacobian(x0))) {
      throw new NetworkException("The network cannot be solved again at its own solution");
    }
    double[] f = new double[size];
    equations.residual(x0, f);
    double[] step = new double[size];
    solver.solve(Equations.column(f), Equations.column(step));
    for (int i = 0; i < size; i++) {
      x0[i] -= step[i];
    }
    solver.setA(equations.jacobian(x0));
  }

  /** J⁻¹ · (unit residual in this row), solved when it is first asked for. */
  private double[] column(int row) {
    double[] column = inverse.get(row);
    if (column == null) {
      column = solved(row, -1);
      inverse.set(row, column);
    }
    return column;
  }

  /** The one solver has a memory of its own: one at a time. */
  private synchronized double[] solved(int in, int out) {
    double[] unit = new double[size];
    double[] answer = new double[size];
    if (in >= 0) {
      unit[in] += 1;
    }
    if (out >= 0) {
      unit[out] -= 1;
    }
    solver.solve(Equations.column(unit), Equations.column(answer));
    return answer;
  }

  /**
   * The same of a unit into one row and out of the other: as the difference of their columns, where
   * that keeps its digits.
   */
  double[] columns(int in, int out) {
    if (out < 0) {
      return in < 0 ? new double[size] : column(in);
    }
    if (Math.abs(rise(out, out)) > LEAK_OHMS) {
      return between(in, out);
    }
    double[] answer = in < 0 ? new double[size] : column(in).clone();
    double[] other = column(out);
    for (int i = 0; i < size; i++) {
      answer[i] -= other[i];
    }
    return answer;
  }

  /** J⁻¹ · (a unit into one row and out of the other): exact across parts that hang on a leak. */
  double[] between(int in, int out) {
    int rows = in * (size + 1) + out;
    double[] known = across.get(rows);
    return known != null ? known : across.computeIfAbsent(rows, r -> solved(in, out));
  }

  Network network() {
    return network;
  }

  void mustBeDead() {
    if (!dead) {
      network.mustBeDead();
    }
  }

  Equations equations() {
    return equations;
  }

  int size() {
    return size;
  }

  /** The solution itself, not to be written to. */
  double[] unmoved() {
    return x0;
  }

  /** The solution at an unknown; 0 at ground. */
  double at(int unknown) {
    return unknown < 0 ? 0 : x0[unknown];
  }

  /** Place of a node among the unknowns; −1 for ground and for one that is not there. */
  int place(String node) {
    return places.getOrDefault(node, -1);
  }

  /** Place of a source's or converter's current among the unknowns. */
  int branch(String element) {
    return Must.have(branches, element);
  }

  /** Rise of an unknown for a residual of 1 in a row; 0 where either is ground. */
  double rise(int unknown, int row) {
    return unknown < 0 || row < 0 ? 0 : column(row)[unknown];
  }

  /** J⁻¹·f; what is little beside the greatest is passed over. */
  double[] answer(double[] f) {
    double most = 0;
    for (double value : f) {
      most = Math.max(most, Math.abs(value));
    }
    double least = Math.max(NOTHING, LITTLE * most);
    double[] y = new double[size];
    for (int row = 0; row < size; row++) {
      if (Math.abs(f[row]) > least) {
        lower(y, row, -f[row]);
      }
    }
    return y;
  }

  /** x ← x − weight · J⁻¹ · (unit residual in this row); nothing where the row is ground. */
  void lower(double[] x, int row, double weight) {
    if (row >= 0 && weight != 0) {
      double[] column = column(row);
      for (int i = 0; i < size; i++) {
        x[i] -= column[i] * weight;
      }
    }
  }
}
