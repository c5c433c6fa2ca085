package org.jexel.core.road;

import org.jexel.core.braking.Stop;
import org.jexel.core.braking.Train;

/**
 * What a train's trailer brakes do at full lever over its controller's scale, with brakes as rated,
 * and how much of a wheel's grip that asks for.
 *
 * <pre>
 * z = Σ T/r / (m_t·g)                     share of the trailer's own weight
 * N = W·g − relief · Σ T/r                 of all its wheels, by {@link Train#relief()}
 * u = max T/r / (N / wheels)               a wheel locks where u exceeds the road's μ
 * </pre>
 *
 * @param marks of the scale above off
 * @param shares z at each mark
 * @param uses T/r over the standing load of the wheel that locks first, at each mark
 * @param reliefs share of the wheels' load that the stop takes off them, at each mark
 */
public record BrakeCurve(double[] marks, double[] shares, double[] uses, double[] reliefs) {
  public static BrakeCurve of(Train train, GainScale scale) {
    int n = scale.steps();
    int first = scale.least() > 0 ? 0 : 1;
    double[] marks = new double[n + 1 - first];
    double[] shares = new double[marks.length];
    double[] uses = new double[marks.length];
    double[] reliefs = new double[marks.length];
    for (int i = 0; i < marks.length; i++) {
      marks[i] = scale.least() + (i + first) * scale.step();
      double output = scale.share(marks[i]);
      double force = 0;
      for (Train.Brake brake : train.brakes()) {
        double one = brake.forceAt(brake.driveAt(output));
        force += one;
        uses[i] = Math.max(uses[i], one / train.wheelLoad());
      }
      shares[i] = force / (train.trailerMass() * Stop.G);
      reliefs[i] = train.relief() * force / (train.axleGroup() * Stop.G);
    }
    return new BrakeCurve(marks, shares, uses, reliefs);
  }

  /**
   * Where the first wheel locks, in marks from the first one; beyond the last where none does.
   *
   * @param strength of the brakes against rated ones
   * @param grip of the road, μ
   */
  double locksAt(double strength, double grip) {
    double before = 0;
    for (int i = 0; i < marks.length; i++) {
      double use = use(i, strength);
      if (use > grip) {
        return use == before ? i : i - (use - grip) / (use - before);
      }
      before = use;
    }
    return marks.length - 1 + marks.length * (grip / Math.max(1e-6, before) - 1);
  }

  private double use(int i, double strength) {
    double left = 1 - strength * reliefs[i];
    return left <= 0 ? Double.MAX_VALUE : strength * uses[i] / left;
  }

  int marksCount() {
    return marks.length;
  }

  /** The place of a mark, rounded. */
  int place(double gain) {
    int nearest = 0;
    for (int i = 1; i < marks.length; i++) {
      if (Math.abs(marks[i] - gain) < Math.abs(marks[nearest] - gain)) {
        nearest = i;
      }
    }
    return nearest;
  }
}
