package org.jexel.core.road;

import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jexel.core.braking.RatedBrake;
import org.jexel.core.braking.Train;
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
 * A rig as a train: its masses from the load sheet, each magnet's current from the solved network
 * with the engine running, its torque as rated.
 */
public final class RigTrain {
  /** The network is solved at so many outputs; between them current goes straight. */
  private static final int SOLVED = 8;

  /** An actuator's pressure goes with its signal. */
  private static final double[] STRAIGHT = {0, 1};

  /** Of a train that nobody measured: running volts less what controller and leads take, V. */
  private static final double USUAL_VOLTS = 11.5;

  /** One magnet of a usual drum, Ω. */
  private static final double USUAL_OHMS = 3.2;

  /** On the tongue of a trailer that nobody weighed. */
  private static final double USUAL_TONGUE = 0.12;

  /** From the ball to the axles of a trailer that nobody measured, m. */
  private static final double USUAL_WAY = 3.5;

  private RigTrain() {}

  public static Train of(Rig rig, Harness harness, LoadSheet load) {
    return of(rig, brakes(rig, harness), load);
  }

  /**
   * @param brakes of {@link #brakes}
   */
  public static Train of(Rig rig, List<Train.Brake> brakes, LoadSheet load) {
    return new Train(
        rig.sheet().si(RigField.KERB_MASS),
        load.mass(),
        load.axleGroup(),
        rig.sheet().si(RigField.AXLE_CENTRE),
        2 * rig.axleCount(),
        brakes);
  }

  /** Its brakes as rated, whatever it carries. */
  public static List<Train.Brake> brakes(Rig rig, Harness harness) {
    return rig.hasMagnets() ? magnets(rig, harness) : hydraulic(rig);
  }

  /**
   * A train of which only the plates are known.
   *
   * @param vehicleMass kg
   * @param trailerMass with load, kg
   * @param axleRating of each axle, kg
   */
  public static Train ofPlates(
      double vehicleMass, double trailerMass, int axles, int brakedAxles, double axleRating) {
    double[] amps = {0, USUAL_VOLTS / USUAL_OHMS};
    return new Train(
        vehicleMass,
        trailerMass,
        trailerMass * (1 - USUAL_TONGUE),
        USUAL_WAY,
        2 * axles,
        IntStream.range(0, 2 * brakedAxles)
            .mapToObj(
                i -> new Train.Brake(i / 2, i % 2 == 0, amps, true, RatedBrake.force(axleRating)))
            .toList());
  }

  private static List<Train.Brake> magnets(Rig rig, Harness harness) {
    List<Load> magnets =
        harness.loads().stream().filter(l -> l.kind() == Load.Kind.MAGNET).toList();
    double[][] amps = new double[magnets.size()][SOLVED + 1];
    for (int k = 1; k <= SOLVED; k++) {
      RigState held = new RigState(Set.of(StateWord.LEVER), (double) k / SOLVED, 1, 1);
      Solution solved = RigNetwork.of(rig, harness, held).network().solve();
      for (int m = 0; m < magnets.size(); m++) {
        amps[m][k] = Math.abs(solved.amps(magnets.get(m).name()));
      }
    }
    return IntStream.range(0, magnets.size())
        .mapToObj(
            m ->
                brake(
                    rig,
                    magnets.get(m).spot().axle(),
                    magnets.get(m).spot().isLeft(),
                    amps[m],
                    true))
        .toList();
  }

  private static List<Train.Brake> hydraulic(Rig rig) {
    return Arrays.stream(rig.brakedAxles())
        .boxed()
        .flatMap(
            axle -> Stream.of(true, false).map(left -> brake(rig, axle, left, STRAIGHT, false)))
        .toList();
  }

  private static Train.Brake brake(
      Rig rig, int axle, boolean left, double[] drive, boolean magnet) {
    double rating = rig.sheet().si(new FieldKey(RigField.AXLE_RATING, axle));
    return new Train.Brake(axle, left, drive, magnet, RatedBrake.force(rating));
  }
}
