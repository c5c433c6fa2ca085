package org.jexel.core.network;

import java.util.function.Supplier;
import org.ejml.data.DMatrixRMaj;
import org.ejml.data.DMatrixSparseCSC;
import org.ejml.interfaces.linsol.LinearSolverSparse;
import org.ejml.sparse.FillReducing;
import org.ejml.sparse.csc.factory.LinearSolverFactory_DSCC;
import org.jspecify.annotations.Nullable;

/**
 * Newton's method with a step that is halved until the residual falls. The elements' currents never
 * fall with their voltage, so that the Jacobian is regular and its step always leads downhill.
 */
final class Newton {
  /** Greatest residual that is taken for a solution, A and V, for values of the order of 1. */
  static final double RESIDUAL = 1e-9;

  /** A few units in the last place. */
  private static final double ROUNDING = 1e-15;

  private static final int MOST_STEPS = 200;
  private static final int MOST_HALVINGS = 40;
  private static final double ENOUGH = 1e-4;

  private final Equations equations;
  private final Supplier<String> suspect;
  private final LinearSolverSparse<DMatrixSparseCSC, DMatrixRMaj> solver =
      LinearSolverFactory_DSCC.lu(FillReducing.NONE);

  Newton(Equations equations, Supplier<String> suspect) {
    this.equations = equations;
    this.suspect = suspect;
  }

  /**
   * @throws NetworkException if no solution is found; it names a part
   */
  double[] solve() {
    int n = equations.size();
    double[] x = new double[n];
    double[] f = new double[n];
    double[] step = new double[n];
    double[] trial = new double[n];
    equations.residual(x, f);
    for (int i = 0; i < MOST_STEPS; i++) {
      if (i > 0 && worst(f) < RESIDUAL + rounding(x)) {
        polish(x, f, step);
        return x;
      }
      direction(i == 0 ? null : x, f, step);
      double t = 1;
      double before = norm(f);
      for (int halving = 0; ; halving++) {
        for (int j = 0; j < n; j++) {
          trial[j] = x[j] - t * step[j];
        }
        equations.residual(trial, f);
        // The first step starts from the usual conductances, not from a slope: it is taken as it
        // is.
        if (i == 0 || halving == MOST_HALVINGS || norm(f) <= (1 - ENOUGH * t) * before) {
          break;
        }
        t /= 2;
      }
      System.arraycopy(trial, 0, x, 0, n);
    }
    int row = 0;
    for (int j = 0; j < n; j++) {
      row = Math.abs(f[j]) > Math.abs(f[row]) ? j : row;
    }
    throw new NetworkException(
        "The network does not settle at "
            + equations.nameAt(row)
            + ": what it carries still changes by "
            + Math.abs(f[row]));
  }

  /** One step more along the last slope, which costs no new factorisation, if it mends anything. */
  private void polish(double[] x, double[] f, double[] step) {
    double before = norm(f);
    solver.solve(Equations.column(f), Equations.column(step));
    double[] nearer = new double[x.length];
    for (int j = 0; j < x.length; j++) {
      nearer[j] = x[j] - step[j];
    }
    equations.residual(nearer, f);
    if (norm(f) < before) {
      System.arraycopy(nearer, 0, x, 0, x.length);
    }
  }

  private void direction(double @Nullable [] x, double[] f, double[] step) {
    if (!solver.setA(equations.jacobian(x))) {
      throw new NetworkException("The network cannot be solved at " + suspect.get());
    }
    solver.solve(Equations.column(f), Equations.column(step));
    for (double s : step) {
      if (!Double.isFinite(s)) {
        throw new NetworkException("The network cannot be solved at " + suspect.get());
      }
    }
  }

  private static double worst(double[] f) {
    double worst = 0;
    for (double value : f) {
      worst = Math.max(worst, Math.abs(value));
    }
    return worst;
  }

  /** What rounding alone leaves: it matters for conductors of a few micro-ohms only. */
  private double rounding(double[] x) {
    return ROUNDING * equations.stiffest() * worst(x);
  }

  private static double norm(double[] f) {
    double sum = 0;
    for (double value : f) {
      sum += value * value;
    }
    return Math.sqrt(sum);
  }
}
