package org.jexel.core.road;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.assertj.core.data.Offset;
import org.jexel.core.Rigs;
import org.jexel.core.bench.Stand;
import org.jexel.core.braking.BrakeCondition;
import org.jexel.core.braking.Train;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Load;
import org.jexel.core.network.Fault;
import org.jexel.core.rig.LoadItem;
import org.jexel.core.rig.LoadSheet;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.junit.jupiter.api.Test;

/** What becomes of plates, load sheet and harness on the road. */
class RigTrainTest {
  private static final Offset<Double> CLOSE = within(1e-6);
  private static final Rig RIG = Rigs.twoAxles(RigField.AXLE_RATING, 1600);
  private static final Harness HARNESS = Stand.harness(RIG);
  private static final Train TRAIN = RigTrain.of(RIG, HARNESS, LoadSheet.of(RIG));

  /** 1 900 kg, 12 % of it on the tongue; one braked axle of two, of 1 000 kg. */
  @Test
  void ofPlatesAloneTheUsualFiguresStandIn() {
    Train train = RigTrain.ofPlates(2300, 1900, 2, 1, 1000);
    assertThat(train.vehicleMass()).isEqualTo(2300);
    assertThat(train.trailerMass()).isEqualTo(1900);
    assertThat(train.axleGroup()).isCloseTo(1672, CLOSE);
    assertThat(train.wheels()).isEqualTo(4);
    assertThat(train.brakes()).hasSize(2);
    assertThat(train.brakes().get(0).left()).isTrue();
    assertThat(train.brakes().get(1).left()).isFalse();
    assertThat(train.brakes()).allMatch(brake -> brake.axle() == 0 && brake.magnet());
    assertThat(train.brakes().get(0).force()).isCloseTo(0.6 * 9.80665 * 500, CLOSE);
    assertThat(train.brakes().get(0).driveAt(1)).as("11.5 V, 3.2 Ω").isCloseTo(3.59375, CLOSE);
    assertThat(RigTrain.ofPlates(2300, 1900, 3, 2, 1000).brakes())
        .extracting(Train.Brake::axle)
        .containsExactly(0, 0, 1, 1);
  }

  @Test
  void magnetsTakeTheirCurrentsFromTheNetwork() {
    assertThat(TRAIN.wheels()).isEqualTo(4);
    assertThat(TRAIN.brakes()).extracting(Train.Brake::axle).containsExactlyInAnyOrder(0, 0, 1, 1);
    assertThat(TRAIN.brakes()).filteredOn(Train.Brake::left).hasSize(2);
    for (Train.Brake brake : TRAIN.brakes()) {
      assertThat(brake.magnet()).isTrue();
      assertThat(brake.force()).isCloseTo(0.6 * 9.80665 * 800, CLOSE);
      assertThat(brake.driveAt(0)).isZero();
      assertThat(brake.driveAt(1)).as("running volts over 3.2 Ω, less leads").isBetween(3.3, 4.3);
      assertThat(brake.driveAt(0.5)).isCloseTo(brake.driveAt(1) / 2, within(0.15));
    }
  }

  /** An actuator's pressure is the same at all wheels, and goes with its signal. */
  @Test
  void behindAnActuatorEveryBrakeGoesWithThePressure() {
    Rig rig = Rigs.twoAxles(RigField.BRAKE_TYPE, "ELECTRIC_HYDRAULIC", RigField.AXLE_RATING, 1600);
    Train train = RigTrain.of(rig, Stand.harness(rig), LoadSheet.of(rig));
    assertThat(train.brakes()).extracting(Train.Brake::axle).containsExactly(0, 0, 1, 1);
    assertThat(train.brakes())
        .extracting(Train.Brake::left)
        .containsExactly(true, false, true, false);
    assertThat(train.brakes()).noneMatch(Train.Brake::magnet);
    Train.Brake brake = train.brakes().get(3);
    assertThat(brake.forceAt(brake.driveAt(0.25))).isCloseTo(0.25 * 0.6 * 9.80665 * 800, CLOSE);
    assertThat(SimulatedRoad.left(rig, Stand.harness(rig), train, List.of()))
        .containsExactly(1, 1, 1, 1);
  }

  @Test
  void theLoadSheetGivesItsMasses() {
    Rig laden = new Rig(RIG.sheet(), RIG.lamps(), List.of(new LoadItem("hives", 600, 2.5)));
    LoadSheet load = LoadSheet.of(laden);
    Train train = RigTrain.of(laden, HARNESS, load);
    assertThat(train.trailerMass()).isCloseTo(TRAIN.trailerMass() + 600, CLOSE);
    assertThat(train.axleGroup()).isEqualTo(load.axleGroup()).isGreaterThan(TRAIN.axleGroup());
    assertThat(train.toAxle()).isEqualTo(RIG.sheet().si(RigField.AXLE_CENTRE));
  }

  /** An open coil leaves nothing, grease two fifths, and the others what they had. */
  @Test
  void faultsLeaveEachBrakeItsShare() {
    List<String> magnets =
        HARNESS.loads().stream()
            .filter(load -> load.kind() == Load.Kind.MAGNET)
            .map(Load::name)
            .toList();
    double[] left =
        SimulatedRoad.left(
            RIG,
            HARNESS,
            TRAIN,
            List.of(
                Fault.of(Fault.Kind.OPEN, magnets.get(1)),
                Fault.of(BrakeCondition.SHOES_GREASY, magnets.get(2))));
    assertThat(left).hasSize(4);
    assertThat(left[0]).isBetween(0.99, 1.05);
    assertThat(left[1]).isCloseTo(0, within(1e-3));
    assertThat(left[2]).isBetween(0.39, 0.42);
    assertThat(left[3]).isBetween(0.99, 1.05);
    assertThat(SimulatedRoad.left(RIG, HARNESS, TRAIN, List.of())).containsExactly(1, 1, 1, 1);
  }
}
