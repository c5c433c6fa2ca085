package org.jexel.core.network;

import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/**
 * Newton's method on the ports of a network alone, by compensation: whatever differs from the
 * linearised whole network is injected at K ports, and the network answers through K × K numbers
 * (Tinney, "Compensation methods for network solutions by optimally ordered triangular
 * factorization", IEEE Transactions on Power Apparatus and Systems 91, 1972).
 *
 * <p>With u_p injected at port p it sees v = v₀ − Z·u. Sought is u = Δ(v), Δ_p being what the
 * port's element carries beyond the whole network's straight line: of a straight port Δ = β + b·(v
 * − v₀), β and b for good, of a curved one anything. Straight ports L are eliminated first: u_L =
 * M·(β − b·Z_LC·u_C) with M = (I + b·Z_LL)⁻¹, which leaves the curved ones C with Z' = Z_CC −
 * Z_CL·M·b·Z_LC. On these each step solves (I + B·Z')·du = Δ − u, B the bends of the slopes; only
 * ports that are bent need a dense system.
 */
final class Compensation {
  private static final int MOST_STEPS = 40;
  private static final int MOST_HALVINGS = 12;

  /** A slope that has changed by less than this share of what its port hangs on has not changed. */
  private static final double BENT = 1e-3;

  private static final double SINGULAR = 1e-12;

  /** An injection far below the residual that is looked at afterwards, A. */
  private static final double NOTHING = 1e-3 * Newton.RESIDUAL;

  private final Port[] ports;

  /** So many ports, the first, are curved; the others are straight. */
  private final int curved;

  /** Z; of the curved ports among themselves Z', once the straight ones are eliminated. */
  private final double[][] z;

  /** M; null where it cannot be told. */
  private final double @Nullable [][] straight;

  /** M·β. */
  private final double[] alone;

  /** M·b·Z_LC: what straight ports take back of one unit at a curved one. */
  private final double[][] back;

  /** What is injected and seen, of the curved ports, and how their slopes are bent there. */
  private final double[] u;

  private final double[] v;
  private final double[] bend;

  /**
   * @param curved so many of the first ports are curved
   * @param z what port p sees of one unit injected at port q; changed
   */
  Compensation(Port[] ports, int curved, double[][] z) {
    this.ports = ports;
    this.curved = curved;
    this.z = z;
    int others = ports.length - curved;
    u = new double[curved];
    v = new double[curved];
    bend = new double[curved];
    alone = new double[others];
    back = new double[others][curved];
    straight = inverse();
    for (int p = 0; p < curved; p++) {
      v[p] = ports[p].v0();
    }
    if (straight != null) {
      eliminateStraightOnes(straight);
    }
  }

  private double @Nullable [][] inverse() {
    int n = ports.length - curved;
    double[][] m = new double[n][2 * n];
    for (int r = 0; r < n; r++) {
      Port port = ports[curved + r];
      double slope = port.bend(port.v0());
      for (int c = 0; c < n; c++) {
        m[r][c] = slope * z[curved + r][curved + c] + (r == c ? 1 : 0);
      }
      m[r][n + r] = 1;
    }
    if (!eliminate(m, n)) {
      return null;
    }
    for (int r = 0; r < n; r++) {
      m[r] = Arrays.copyOfRange(m[r], n, 2 * n);
    }
    return m;
  }

  private void eliminateStraightOnes(double[][] m) {
    for (int s = 0; s < m.length; s++) {
      Port port = ports[curved + s];
      double slope = port.bend(port.v0());
      double beyond = port.beyond(port.v0());
      double[] row = z[curved + s];
      for (int r = 0; r < m.length; r++) {
        alone[r] += m[r][s] * beyond;
        for (int q = 0; q < curved; q++) {
          back[r][q] += m[r][s] * slope * row[q];
        }
      }
    }
    for (int p = 0; p < curved; p++) {
      for (int r = 0; r < m.length; r++) {
        double seen = z[p][curved + r];
        v[p] -= seen * alone[r];
        for (int q = 0; q < curved; q++) {
          z[p][q] -= seen * back[r][q];
        }
      }
    }
  }

  /** Walks as near to the root as it gets; whoever uses it looks at the residual. */
  void settle(double enough) {
    double[] gap = new double[curved];
    double[] du = new double[curved];
    double[] dv = new double[curved];
    double[] triedU = new double[curved];
    double[] triedV = new double[curved];
    start(gap, du);
    double norm = gap(u, v, gap);
    for (int i = 0; i < MOST_STEPS && norm > enough; i++) {
      if (straight == null || !step(gap, du)) {
        return;
      }
      for (int p = 0; p < curved; p++) {
        dv[p] = -product(z[p], du);
      }
      double t = 1;
      double next = norm;
      for (int halving = 0; halving <= MOST_HALVINGS; halving++) {
        for (int p = 0; p < curved; p++) {
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
      System.arraycopy(triedU, 0, u, 0, curved);
      System.arraycopy(triedV, 0, v, 0, curved);
      norm = next;
    }
  }

  /**
   * Where something moves far, Newton's first step along a tangent overshoots: a lamp that goes out
   * would come to −0.8 of its volts. Along its chord from nothing it comes to none.
   */
  private void start(double[] gap, double[] du) {
    boolean far = false;
    for (int p = 0; p < curved; p++) {
      far = far || Math.abs(v[p] - ports[p].v0()) > Math.abs(ports[p].v0());
      bend[p] = ports[p].chord();
      gap[p] = bend[p] * (v[p] - ports[p].v0());
    }
    if (far && straight != null && solve(gap, du)) {
      for (int p = 0; p < curved; p++) {
        u[p] += du[p];
        v[p] -= product(z[p], du);
      }
    }
  }

  private static double product(double[] row, double[] column) {
    double sum = 0;
    for (int q = 0; q < column.length; q++) {
      sum += row[q] * column[q];
    }
    return sum;
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

  /** One Newton step of the curved ports from the gap that they have; false if singular. */
  private boolean step(double[] gap, double[] du) {
    for (int p = 0; p < curved; p++) {
      bend[p] = ports[p].bend(v[p], gap[p] + u[p]);
    }
    return solve(gap, du);
  }

  /** du of (I + B·Z')·du = gap, B the bends; false if singular. */
  private boolean solve(double[] gap, double[] du) {
    int[] bent = new int[curved];
    int k = 0;
    for (int p = 0; p < curved; p++) {
      if (bend[p] != 0 && Math.abs(bend[p] * z[p][p]) > BENT) {
        bent[k++] = p;
        du[p] = 0;
      } else {
        du[p] = gap[p];
      }
    }
    double[][] m = new double[k][k + 1];
    for (int r = 0; r < k; r++) {
      int p = bent[r];
      double[] row = z[p];
      for (int c = 0; c < k; c++) {
        m[r][c] = bend[p] * row[bent[c]] + (r == c ? 1 : 0);
      }
      m[r][k] = gap[p] - bend[p] * product(row, du);
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
    for (int p = 0; p < curved; p++) {
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
    if (straight == null) {
      return null;
    }
    double[] theirs = new double[straight.length];
    for (int s = 0; s < theirs.length; s++) {
      Port port = ports[curved + s];
      double seen = port.bend(port.v0()) * port.sees(y);
      for (int r = 0; r < theirs.length; r++) {
        theirs[r] += straight[r][s] * seen;
      }
    }
    double[] gap = new double[curved];
    for (int p = 0; p < curved; p++) {
      double seen = ports[p].sees(y);
      for (int r = 0; r < theirs.length; r++) {
        seen -= z[p][curved + r] * theirs[r];
      }
      bend[p] = ports[p].bend(v[p]);
      gap[p] = bend[p] * seen;
    }
    double[] du = new double[curved];
    return solve(gap, du) ? together(du, theirs) : null;
  }

  /** Takes what the network makes of all injections from its solution. */
  void spread(double[] x) {
    double[] all = together(u, alone);
    for (int p = 0; p < all.length; p++) {
      if (Math.abs(all[p]) > NOTHING) {
        ports[p].lower(x, all[p]);
      }
    }
  }

  /**
   * Of all ports: the curved ones', and the straight ones' by themselves and in answer to these.
   */
  private double[] together(double[] ofCurved, double[] ofStraight) {
    double[] all = Arrays.copyOf(ofCurved, ports.length);
    for (int r = 0; r < ofStraight.length; r++) {
      all[curved + r] = ofStraight[r] - product(back[r], ofCurved);
    }
    return all;
  }

  /** Gauss's elimination with row pivots on k rows and their right sides; false if singular. */
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
      double[] row = m[c];
      for (int r = c + 1; r < k; r++) {
        double factor = m[r][c] / row[c];
        for (int j = c + 1; factor != 0 && j < row.length; j++) {
          m[r][j] -= factor * row[j];
        }
      }
    }
    for (int r = k - 1; r >= 0; r--) {
      for (int j = k; j < m[r].length; j++) {
        double sum = m[r][j];
        for (int c = r + 1; c < k; c++) {
          sum -= m[r][c] * m[c][j];
        }
        m[r][j] = sum / m[r][r];
      }
    }
    return true;
  }
}
