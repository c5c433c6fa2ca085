package org.jexel.core.network;

import java.util.Map;
import org.ejml.data.DMatrixRMaj;
import org.ejml.interfaces.linsol.LinearSolverDense;

/** Voltages and currents of a solved network, and how they answer to each part. */
public final class Solution {
  private final Network network;
  private final Map<String, Integer> branches;
  private final LinearSolverDense<DMatrixRMaj> solver;
  private final DMatrixRMaj x;

  Solution(
      Network network,
      Map<String, Integer> branches,
      LinearSolverDense<DMatrixRMaj> solver,
      DMatrixRMaj x) {
    this.network = network;
    this.branches = branches;
    this.solver = solver;
    this.x = x;
  }

  /** Voltage of a node against ground, V. */
  public double volts(String node) {
    int i = network.index(node);
    return i < 0 ? 0 : x.get(i);
  }

  /** What a meter shows with its red lead on one node and its black lead on the other, V. */
  public double volts(String red, String black) {
    return volts(red) - volts(black);
  }

  /**
   * Current through an element, A: a resistor's from its first to its second node, a source's out
   * of its plus post, a converter's out of its output.
   */
  public double amps(String name) {
    Element element = network.element(name);
    if (element instanceof Element.Resistor r) {
      return volts(r.a(), r.b()) / r.ohms();
    }
    double i = x.get(branches.get(name));
    return element instanceof Element.Source ? -i : i;
  }

  /** How the voltage between two nodes answers to every element. */
  public Sensitivity ofVolts(String red, String black) {
    DMatrixRMaj c = new DMatrixRMaj(x.numRows, 1);
    set(c, network.index(red), 1);
    set(c, network.index(black), -1);
    return adjoint(c);
  }

  /** How the current out of a source answers to every element. */
  public Sensitivity ofSourceAmps(String source) {
    if (!(network.element(source) instanceof Element.Source)) {
      throw new IllegalArgumentException(source + " is not a source");
    }
    DMatrixRMaj c = new DMatrixRMaj(x.numRows, 1);
    c.set(branches.get(source), 0, -1);
    return adjoint(c);
  }

  private static void set(DMatrixRMaj c, int index, double value) {
    if (index >= 0) {
      c.set(index, 0, value);
    }
  }

  private Sensitivity adjoint(DMatrixRMaj c) {
    DMatrixRMaj lambda = new DMatrixRMaj(x.numRows, 1);
    solver.solve(c, lambda);
    return new Sensitivity(this, lambda);
  }

  double adjointAt(DMatrixRMaj lambda, String node) {
    int i = network.index(node);
    return i < 0 ? 0 : lambda.get(i);
  }

  /**
   * Derivative of one result to the parameter of one element, from the adjoint solution λ of A·λ =
   * c: dy/dp = λᵀ·(db/dp − dA/dp·x). A is symmetric, so no transposed system is needed.
   */
  public static final class Sensitivity {
    private final Solution solution;
    private final DMatrixRMaj lambda;

    private Sensitivity(Solution solution, DMatrixRMaj lambda) {
      this.solution = solution;
      this.lambda = lambda;
    }

    /** To a resistor's ohms, a source's volts, or a converter's drop. */
    public double to(String name) {
      Element element = solution.network.element(name);
      if (element instanceof Element.Resistor r) {
        double adjoint = solution.adjointAt(lambda, r.a()) - solution.adjointAt(lambda, r.b());
        return adjoint * solution.volts(r.a(), r.b()) / (r.ohms() * r.ohms());
      }
      double branch = lambda.get(solution.branches.get(name));
      return element instanceof Element.Converter c ? branch * c.share() : branch;
    }
  }
}
