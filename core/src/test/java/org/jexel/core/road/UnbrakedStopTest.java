package org.jexel.core.road;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.jexel.core.Rigs;
import org.jexel.core.rig.LoadSheet;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.junit.jupiter.api.Test;

class UnbrakedStopTest {
  /** 48 m alone are 8.04 m/s²; 2 000 kg of force on 3 200 kg leave 5.02 m/s², so 76.8 m. */
  @Test
  void theVehiclesBrakesHaveBothMassesToStop() {
    Rig rig =
        Rigs.rig(
            Rigs.sheet(
                RigField.KERB_MASS, 2000, RigField.EMPTY_MASS, 1200, RigField.SOLO_STOP, 48));
    UnbrakedStop stop = UnbrakedStop.of(rig, LoadSheet.of(rig));
    double force = 2000 * UnbrakedStop.SPEED_MPS * UnbrakedStop.SPEED_MPS / (2 * 48);
    double deceleration = force / 3200;
    assertThat(stop.train())
        .isCloseTo(
            UnbrakedStop.SPEED_MPS * UnbrakedStop.SPEED_MPS / (2 * deceleration), within(1e-9));
    assertThat(stop.alone()).isEqualTo(48);
  }
}
