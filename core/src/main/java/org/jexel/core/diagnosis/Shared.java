package org.jexel.core.diagnosis;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.decomposition.TriangularSolver_DDRM;
import org.ejml.dense.row.factory.DecompositionFactory_DDRM;
import org.ejml.interfaces.decomposition.CholeskyDecomposition_F64;
import org.jexel.core.check.Check;
import org.jexel.core.check.Meter;

/**
 * What the figures of one rig have in common. Each part lies somewhere within its tolerance, and in
 * the same place for every check: magnets of few ohms raise each current of the brakes, and are no
 * news the third time.
 *
 * <p>With s_ik what part k moves figure i by at its worst, and m_i the meter's error, ρ_ij = Σ_k
 * s_ik·s_jk / √((Σ_k s_ik² + m_i²)·(Σ_k s_jk² + m_j²)).
 */
final class Shared {
  /** Of what the stated tolerances explain, so much is taken for common. */
  private static final double STATED = 0.9;

  /** So many deviations off a figure is a slip or another fault, which has nothing in common. */
  private static final double REACH = 4;

  private final List<Check> checks;
  private final Map<Pair, Double> correlations = new ConcurrentHashMap<>();

  private record Pair(int one, int two) {}

  /** For any number of threads. */
  Shared(List<Check> checks) {
    this.checks = checks;
  }

  /** ρ of the figures of two checks, by their places. */
  double correlation(int one, int two) {
    return correlations.computeIfAbsent(
        new Pair(Math.min(one, two), Math.max(one, two)),
        pair -> correlation(checks.get(pair.one()), checks.get(pair.two())));
  }

  private static double correlation(Check one, Check two) {
    Map<String, Double> shifts = new HashMap<>();
    one.influences().forEach(influence -> shifts.put(influence.element(), influence.shift()));
    double both = 0;
    for (Check.Influence influence : two.influences()) {
      both += influence.shift() * shifts.getOrDefault(influence.element(), 0.0);
    }
    return both / Math.sqrt(variance(one) * variance(two));
  }

  private static double variance(Check check) {
    double meter = Meter.error(check.band().expected(), check.measure());
    double sum = meter * meter;
    for (Check.Influence influence : check.influences()) {
      sum += influence.shift() * influence.shift();
    }
    return sum;
  }

  /** ρ of each of these figures with each. */
  double[][] correlations(int[] places) {
    double[][] rho = new double[places.length][places.length];
    for (int i = 0; i < places.length; i++) {
      for (int j = 0; j < places.length; j++) {
        rho[i][j] = i == j ? 1 : correlation(places[i], places[j]);
      }
    }
    return rho;
  }

  /**
   * Logarithm of how much likelier figures are together than each by itself: ½·(Σ z² − zᵀ·R⁻¹·z −
   * ln |R|), R_ij = 0.9·ρ_ij·c_i·c_j beside a diagonal of ones.
   *
   * @param rho of the figures
   * @param z how many deviations each is off
   * @param c share of each deviation that comes from the tolerances of parts, 0 to 1
   */
  static double log(double[][] rho, double[] z, double[] c) {
    int[] near = new int[z.length];
    int n = 0;
    for (int i = 0; i < z.length; i++) {
      if (c[i] > 0 && Math.abs(z[i]) < REACH) {
        near[n++] = i;
      }
    }
    if (n < 2) {
      return 0;
    }
    DMatrixRMaj r = new DMatrixRMaj(n, n);
    double[] y = new double[n];
    double apart = 0;
    for (int i = 0; i < n; i++) {
      r.set(i, i, 1);
      for (int j = 0; j < i; j++) {
        r.set(i, j, STATED * rho[near[i]][near[j]] * c[near[i]] * c[near[j]]);
        r.set(j, i, r.get(i, j));
      }
      y[i] = z[near[i]];
      apart += y[i] * y[i];
    }
    CholeskyDecomposition_F64<DMatrixRMaj> root = DecompositionFactory_DDRM.chol(n, true);
    if (!root.decompose(r)) {
      return 0;
    }
    DMatrixRMaj l = root.getT(null);
    TriangularSolver_DDRM.solveL(l.data, y, n);
    double together = 0;
    for (int i = 0; i < n; i++) {
      together += y[i] * y[i] + 2 * Math.log(l.get(i, i));
    }
    return (apart - together) / 2;
  }
}
