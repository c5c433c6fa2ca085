package org.jexel.core.network;

import org.jspecify.annotations.Nullable;

/**
 * Newton's method on the ports of a network alone, by compensation: whatever differs from the
 * linearised whole network is injected at K ports, and the network answers through K × K numbers
 * (Tinney, "Compensation methods for network solutions by optimally ordered triangular
 * factorization", IEEE Transactions on Power Apparatus and Systems 91, 1972).
 *
 * <p>With u_p injected at port p it sees v = v₀ − Z·u. Sought is u = Δ(v), Δ_p being what the
 * port's element carries beyond the whole network's straight line. Each step solves (I + B·Z)·du =
 * Δ − u, B the bends of the slopes; only ports that are bent need a dense system.
 */
final class Compensation {
  private static final int MOST_STEPS = 40;
  private static final int MOST_HALVINGS = 12;

  /** A slope that has changed by less than this share of what its port hangs on has not changed. */
  private static final double BENT = 1e-3;

  private static final double SINGULAR = 1e-12;

  private final Port[] ports;
  private final double[][] z;
  private final double[] u;
  private final double[] v;

  /**
   * @param z what port p sees of one unit injected at port q
   */
  Compensation(Port[] ports, double[][] z) {
    this.ports = ports;
    this.z = z;
    u = new double[ports.length];
    v = new double[ports.length];
    for (int p = 0; p < ports.length; p++) {
      v[p] = ports[p].v0();
    }
  }

  /** Walks as near to the root as it gets; whoever uses it looks at the residual. */
  void settle(double enough) {
    int n = ports.length;
    double[] gap = new double[n];
    double[] du = new double[n];
    double[] dv = new double[n];
    double[] triedU = new double[n];
    double[] triedV = new double[n];
    double norm = gap(u, v, gap);
    for (int i = 0; i < MOST_STEPS && norm > enough; i++) {
      if (!step(gap, du)) {
        return;
      }
      for (int p = 0; p < n; p++) {
        dv[p] = 0;
      }
      for (int q = 0; q < n; q++) {
        for (int p = 0; du[q] != 0 && p < n; p++) {
          dv[p] -= z[p][q] * du[q];
        }
      }
      double t = 1;
      double next = norm;
      for (int halving = 0; halving <= MOST_HALVINGS; halving++) {
        for (int p = 0; p < n; p++) {
          triedU[p] = u[p] + t * du[p];
          triedV[p] = v[p] + t * dv[p];
        }
        next = gap(triedU, triedV, gap);
        if (next < norm) {
          break;
        }
        t /= 2;
      }
      if (!(next < norm)) {
        return;
      }
      System.arraycopy(triedU, 0, u, 0, n);
      System.arraycopy(triedV, 0, v, 0, n);
      norm = next;
    }
  }

  /** Δ(v) − u, and its norm. */
  private double gap(double[] atU, double[] atV, double[] gap) {
    double sum = 0;
    for (int p = 0; p < gap.length; p++) {
      gap[p] = ports[p].beyond(atV[p]) - atU[p];
      sum += gap[p] * gap[p];
    }
    return Math.sqrt(sum);
  }

  /** One Newton step; false if singular. */
  private boolean step(double[] gap, double[] du) {
    int n = ports.length;
    int[] bent = new int[n];
    double[] bend = new double[n];
    int k = 0;
    for (int p = 0; p < n; p++) {
      bend[k] = ports[p].bend(v[p]);
      if (bend[k] != 0 && Math.abs(bend[k] * z[p][p]) > BENT) {
        bent[k++] = p;
        du[p] = 0;
      } else {
        du[p] = gap[p];
      }
    }
    double[][] m = new double[k][k + 1];
    for (int r = 0; r < k; r++) {
      double[] row = z[bent[r]];
      double others = 0;
      for (int q = 0; q < n; q++) {
        others += row[q] * du[q];
      }
      for (int c = 0; c < k; c++) {
        m[r][c] = bend[r] * row[bent[c]] + (r == c ? 1 : 0);
      }
      m[r][k] = gap[bent[r]] - bend[r] * others;
    }
    if (!eliminate(m, k)) {
      return false;
    }
    for (int r = 0; r < k; r++) {
      du[bent[r]] = m[r][k];
    }
    return true;
  }

  /**
   * Turns the whole network's answer y to a residual into the faulty one's at x.
   *
   * @return false if it cannot be told
   */
  boolean bend(double[] x, double[] y) {
    for (int p = 0; p < v.length; p++) {
      v[p] = ports[p].sees(x);
    }
    double[] du = against(y);
    for (int p = 0; du != null && p < du.length; p++) {
      ports[p].lower(y, du[p]);
    }
    return du != null;
  }

  /**
   * What the ports inject against the whole network's answer y to something else.
   *
   * @return null if it cannot be told
   */
  double @Nullable [] against(double[] y) {
    double[] seen = new double[ports.length];
    for (int p = 0; p < seen.length; p++) {
      seen[p] = ports[p].bend(v[p]) * ports[p].sees(y);
    }
    double[] du = new double[seen.length];
    return step(seen, du) ? du : null;
  }

  /** Takes what the network makes of all injections from its solution. */
  void spread(double[] x) {
    for (int p = 0; p < ports.length; p++) {
      if (u[p] != 0) {
        ports[p].lower(x, u[p]);
      }
    }
  }

  /** Gauss's elimination with row pivots on k rows with one right side; false if singular. */
  private static boolean eliminate(double[][] m, int k) {
    for (int c = 0; c < k; c++) {
      int pivot = c;
      for (int r = c + 1; r < k; r++) {
        pivot = Math.abs(m[r][c]) > Math.abs(m[pivot][c]) ? r : pivot;
      }
      double[] swapped = m[c];
      m[c] = m[pivot];
      m[pivot] = swapped;
      if (!(Math.abs(m[c][c]) > SINGULAR)) {
        return false;
      }
      for (int r = 0; r < k; r++) {
        if (r != c && m[r][c] != 0) {
          double factor = m[r][c] / m[c][c];
          for (int j = c; j <= k; j++) {
            m[r][j] -= factor * m[c][j];
          }
        }
      }
    }
    for (int r = 0; r < k; r++) {
      m[r][k] /= m[r][r];
    }
    return true;
  }
}
