package org.jexel.core.road;

import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jexel.core.braking.BrakeTorque;
import org.jexel.core.braking.RatedBrake;
import org.jexel.core.braking.Stop;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Load;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.network.RigState;
import org.jexel.core.network.Solution;
import org.jexel.core.network.StateWord;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.LoadSheet;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;

/**
 * What this rig's trailer brakes do at full lever over its controller's scale, with brakes as
 * rated: the current of each magnet by the solved network, its torque, and how much of a wheel's
 * grip that asks for.
 *
 * <pre>
 * z = Σ T/r / (m_t·g)                                 share of the trailer's own weight
 * a = Σ T/r / (m_v + m_t)                             the trailer alone brakes both
 * N = W − m_t·a·h / x                                 of all its wheels, h above the coupling's pull
 * u = max T/r / (N / wheels)                          a wheel locks where u exceeds the road's μ
 * </pre>
 *
 * @param marks of the scale above off
 * @param shares z at each mark
 * @param uses T/r over the standing load of the wheel that locks first, at each mark
 * @param reliefs share of the wheels' load that the stop takes off them, at each mark
 */
public record BrakeCurve(double[] marks, double[] shares, double[] uses, double[] reliefs) {
  /** Centre of mass above the line of the coupling's pull, m: a starting value. */
  private static final double HEIGHT = 0.8;

  /** The network is solved at so many outputs; between them current goes straight. */
  private static final int SOLVED = 8;

  /** At a mark, one brake's force at the ground as rated, N. */
  private record Brake(double[] share, double rated) {}

  public static BrakeCurve of(Rig rig, Harness harness, LoadSheet load, GainScale scale) {
    int n = (int) Math.round((scale.greatest() - scale.least()) / scale.step());
    int first = scale.least() > 0 ? 0 : 1;
    double[] marks = new double[n + 1 - first];
    for (int i = 0; i < marks.length; i++) {
      marks[i] = scale.least() + (i + first) * scale.step();
    }
    List<Brake> brakes = rig.hasMagnets() ? magnets(rig, harness) : hydraulic(rig);
    double vehicle = rig.sheet().si(RigField.KERB_MASS);
    double wheel = load.axleGroup() * Stop.G / (2 * rig.axleCount());
    double lever = HEIGHT / rig.sheet().si(RigField.AXLE_CENTRE);
    double[] shares = new double[marks.length];
    double[] uses = new double[marks.length];
    double[] reliefs = new double[marks.length];
    for (int i = 0; i < marks.length; i++) {
      double output = scale.share(marks[i]);
      double force = 0;
      for (Brake brake : brakes) {
        double one = at(brake.share, output) * brake.rated;
        force += one;
        uses[i] = Math.max(uses[i], one / wheel);
      }
      shares[i] = force / (load.mass() * Stop.G);
      reliefs[i] =
          load.mass() * force / (vehicle + load.mass()) * lever / (load.axleGroup() * Stop.G);
    }
    return new BrakeCurve(marks, shares, uses, reliefs);
  }

  private static double at(double[] curve, double output) {
    double place = output * SOLVED;
    int low = Math.min(SOLVED - 1, (int) place);
    return curve[low] + (place - low) * (curve[low + 1] - curve[low]);
  }

  private static List<Brake> magnets(Rig rig, Harness harness) {
    List<Load> magnets =
        harness.loads().stream().filter(l -> l.kind() == Load.Kind.MAGNET).toList();
    double[][] shares = new double[magnets.size()][SOLVED + 1];
    for (int k = 1; k <= SOLVED; k++) {
      RigState held = new RigState(Set.of(StateWord.LEVER), (double) k / SOLVED, 1, 1);
      Solution solved = RigNetwork.of(rig, harness, held).network().solve();
      for (int m = 0; m < magnets.size(); m++) {
        shares[m][k] = BrakeTorque.share(solved.amps(magnets.get(m).name()));
      }
    }
    return IntStream.range(0, magnets.size())
        .mapToObj(
            m -> new Brake(shares[m], RatedBrake.force(rating(rig, magnets.get(m).spot().axle()))))
        .toList();
  }

  /** An actuator's pressure goes with its signal; each braked axle has two wheels. */
  private static List<Brake> hydraulic(Rig rig) {
    double[] straight = new double[SOLVED + 1];
    for (int k = 0; k <= SOLVED; k++) {
      straight[k] = (double) k / SOLVED;
    }
    return Arrays.stream(rig.brakedAxles())
        .boxed()
        .flatMap(
            axle ->
                Stream.generate(() -> new Brake(straight, RatedBrake.force(rating(rig, axle))))
                    .limit(2))
        .toList();
  }

  private static double rating(Rig rig, int axle) {
    return rig.sheet().si(new FieldKey(RigField.AXLE_RATING, axle));
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
