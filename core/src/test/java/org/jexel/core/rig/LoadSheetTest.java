package org.jexel.core.rig;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.jexel.core.Rigs;
import org.jexel.core.quantity.Verdict;
import org.junit.jupiter.api.Test;

class LoadSheetTest {
  private static Rig loaded(LoadItem... items) {
    return Rigs.rig(
        Rigs.sheet(
            RigField.EMPTY_MASS, 600, RigField.EMPTY_BALANCE, 2.7, RigField.AXLE_CENTRE, 3.0),
        items);
  }

  @Test
  void momentsAboutTheBallWorkedByHand() {
    // 600·2.7 + 300·2.0 + 100·4.0 = 2620 kg·m; over 3.0 m that is 873.33 kg on the axles.
    LoadSheet load =
        LoadSheet.of(loaded(new LoadItem("front", 300, 2), new LoadItem("rear", 100, 4)));
    assertThat(load.mass()).isEqualTo(1000);
    assertThat(load.axleGroup()).isCloseTo(873.3333, within(1e-3));
    assertThat(load.tongue()).isCloseTo(126.6667, within(1e-3));
    assertThat(load.tongueShare()).isCloseTo(0.12667, within(1e-5));
  }

  @Property
  void nothingIsLostBetweenTongueAndAxles(
      @ForAll @DoubleRange(min = 0, max = 2000) double mass,
      @ForAll @DoubleRange(min = 1, max = 5) double x) {
    LoadSheet load = LoadSheet.of(loaded(new LoadItem("x", mass, x)));
    assertThat(load.tongue() + load.axleGroup()).isCloseTo(600 + mass, within(1e-9));
  }

  @Property
  void loadMovedForwardNeverLightensTheTongue(
      @ForAll @DoubleRange(min = 1, max = 5) double x,
      @ForAll @DoubleRange(min = 0, max = 1) double forward) {
    double before = LoadSheet.of(loaded(new LoadItem("x", 500, x))).tongue();
    double after = LoadSheet.of(loaded(new LoadItem("x", 500, x - forward))).tongue();
    assertThat(after).isGreaterThanOrEqualTo(before - 1e-9);
  }

  @Property
  void loadAboveTheAxlesDoesNotTouchTheTongue(
      @ForAll @DoubleRange(min = 0, max = 3000) double mass) {
    assertThat(LoadSheet.of(loaded(new LoadItem("x", mass, 3.0))).tongue())
        .isCloseTo(60, within(1e-9));
  }

  @Test
  void weighedFiguresReplaceComputedOnes() {
    Rig rig = loaded(new LoadItem("x", 400, 3));
    LoadSheet tongueOnly =
        LoadSheet.of(rig.with(rig.sheet().with(FieldKey.of(RigField.WEIGHED_TONGUE), 95)));
    assertThat(tongueOnly.tongue()).isEqualTo(95);
    assertThat(tongueOnly.axleGroup()).isEqualTo(905);
    RigSheet both =
        rig.sheet()
            .with(FieldKey.of(RigField.WEIGHED_TONGUE), 95)
            .with(FieldKey.of(RigField.WEIGHED_AXLES), 940);
    LoadSheet weighed = LoadSheet.of(rig.with(both));
    assertThat(weighed.mass()).isEqualTo(1035);
    assertThat(weighed.tongueShare()).isCloseTo(95.0 / 1035, within(1e-12));
    LoadSheet axlesOnly =
        LoadSheet.of(rig.with(rig.sheet().with(FieldKey.of(RigField.WEIGHED_AXLES), 920)));
    assertThat(axlesOnly.tongue()).isEqualTo(80);
  }

  @Test
  void everyFigureShowsItsSum() {
    LoadSheet load = LoadSheet.of(loaded(new LoadItem("x", 400, 3)));
    assertThat(load.sums()).hasSize(4);
    assertThat(load.sums()).allSatisfy(sum -> assertThat(sum.terms()).isNotEmpty());
    assertThat(load.sums().get(0).si()).isEqualTo(load.mass());
    assertThat(load.sums().get(3).si()).isEqualTo(load.tongueShare());
  }

  @Test
  void aRatingHoldsIsWatchedOrFails() {
    assertThat(verdict(800, 1000)).isEqualTo(Verdict.HOLDS);
    assertThat(verdict(960, 1000)).isEqualTo(Verdict.WATCH);
    assertThat(verdict(1001, 1000)).isEqualTo(Verdict.FAILS);
  }

  private static Verdict verdict(double mass, double permitted) {
    Rig rig =
        Rigs.rig(Rigs.sheet(RigField.EMPTY_MASS, mass, RigField.TRAILER_PERMITTED_MASS, permitted));
    return RatingCheck.of(rig, LoadSheet.of(rig), TongueBand.NORTH_AMERICA).get(0).verdict();
  }

  @Test
  void aRatingThatIsOnlyAssumedNeverHolds() {
    Rig rig = Rigs.unbraked();
    assertThat(RatingCheck.of(rig, LoadSheet.of(rig), TongueBand.NORTH_AMERICA))
        .filteredOn(check -> !check.title().equals("Tongue share"))
        .allSatisfy(check -> assertThat(check.verdict()).isNotEqualTo(Verdict.HOLDS));
  }

  @Test
  void theTongueShareIsJudgedByTheRegionsBand() {
    Rig rig = loaded(); // a tenth on the tongue when empty
    assertThat(share(rig, TongueBand.NORTH_AMERICA)).isEqualTo(Verdict.HOLDS);
    assertThat(share(loaded(new LoadItem("front", 200, 1.8)), TongueBand.LIGHT_COUPLINGS))
        .isEqualTo(Verdict.WATCH);
    assertThat(share(loaded(new LoadItem("tail", 400, 4.5)), TongueBand.NORTH_AMERICA))
        .isEqualTo(Verdict.FAILS);
  }

  private static Verdict share(Rig rig, TongueBand band) {
    return RatingCheck.of(rig, LoadSheet.of(rig), band).stream()
        .filter(check -> check.title().equals("Tongue share"))
        .findFirst()
        .orElseThrow()
        .verdict();
  }
}
