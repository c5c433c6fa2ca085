package org.jexel.core.braking;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

class StopTest {
  private static final Drag NONE = new Drag(0, true);

  @Test
  void fortyKilometresAnHourInThirtyMetres() {
    Stop stop = Stop.leverOnly(Stop.fromDistance(40 / 3.6, 30.0), 2400, 2600, 40 / 3.6, NONE);
    assertThat(stop.deceleration()).isCloseTo(2.058, within(5e-4));
    assertThat(stop.trailerForce()).isCloseTo(10_290, within(5.0));
    assertThat(stop.share()).isCloseTo(0.4035, within(5e-4));
    assertThat(stop.doubtful()).isFalse();
    // The same in a third of the distance: 1.2 of its own weight.
    Stop tooShort = Stop.leverOnly(Stop.fromDistance(40 / 3.6, 10), 2400, 2600, 40 / 3.6, NONE);
    assertThat(tooShort.share()).isGreaterThan(1);
    assertThat(tooShort.doubtful()).isTrue();
  }

  @Property
  void distanceAndTimeOfOneEvenStopAgree(
      @ForAll @DoubleRange(min = 3, max = 20) double speed,
      @ForAll @DoubleRange(min = 0.5, max = 9) double a) {
    assertThat(Stop.fromDistance(speed, speed * speed / (2 * a)).si()).isCloseTo(a, within(1e-9));
    assertThat(Stop.fromTime(speed, speed / a).si()).isCloseTo(a, within(1e-9));
  }

  @Property
  void dragIsNotTheTrailersWork(@ForAll @DoubleRange(min = 0, max = 4) double times) {
    var a = Stop.fromDistance(11, 30);
    double without = Stop.leverOnly(a, 2000, 2000, 11, NONE).trailerForce();
    // 0.012 · 4 000 kg · g and 0.6 · 2.2 m² · v²/2
    double usual = 0.012 * 4000 * 9.80665 + 0.6 * 2.2 * 121 / 2;
    assertThat(Stop.leverOnly(a, 2000, 2000, 11, new Drag(times, true)).trailerForce())
        .isCloseTo(without - times * usual, within(1e-6));
  }

  @Test
  void aPedalStopDoesNotTellTheTrailersShare() {
    Stop stop = Stop.withPedal(Stop.fromTime(11, 4));
    assertThat(stop.deceleration()).isEqualTo(2.75);
    assertThat(stop.share()).isNaN();
  }

  @Test
  void aStopThatNoTyreCouldMakeIsNotBelieved() {
    assertThat(StopLimits.possible(40 / 3.6, 30)).isTrue();
    assertThat(StopLimits.possible(40 / 3.6, 5)).isFalse();
    assertThat(StopLimits.SPEED.believes(40 / 3.6)).isTrue();
    assertThat(StopLimits.SPEED.believes(130 / 3.6)).isFalse();
  }

  @Test
  void aStopFromNothingIsRefused() {
    assertThatThrownBy(() -> Stop.fromDistance(0, 30)).hasMessageContaining("speed");
    assertThatThrownBy(() -> Stop.fromDistance(11, -1)).hasMessageContaining("distance");
    assertThatThrownBy(() -> Stop.fromTime(11, 0)).hasMessageContaining("time");
    assertThatThrownBy(() -> Stop.leverOnly(Stop.fromTime(11, 4), 2000, 0, 11, NONE))
        .hasMessageContaining("trailer mass");
  }
}
