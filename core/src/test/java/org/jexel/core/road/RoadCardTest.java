package org.jexel.core.road;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.jexel.core.braking.Surface;
import org.junit.jupiter.api.Test;

/** The search on a card, where nothing computes. */
class RoadCardTest {
  private static final GainScale HALVES = new GainScale(0, 10, 0.5);
  private static final BrakeCurve CURVE =
      BrakeCurve.of(RigTrain.ofPlates(2300, 1900, 2, 2, 1600), HALVES);

  private static final RoadCard CARD = RoadCard.of(HALVES, CURVE, Surface.DRY_ASPHALT, List.of());

  private static GainAdvice advise(List<GainStop> stops) {
    return GainFinder.advise(HALVES, CURVE, Surface.DRY_ASPHALT, stops);
  }

  /** Whoever follows the card drives what the station would have said. */
  @Property(tries = 30)
  void itLeadsWhereTheFinderWouldLead(@ForAll @IntRange(min = 3, max = 12) int locksFrom) {
    List<GainStop> stops = new ArrayList<>();
    RoadCard.Row row = CARD.rows().get(0);
    while (true) {
      GainAdvice advice = advise(stops);
      assertThat(row.advice()).isEqualTo(advice);
      if (!row.asks()) {
        break;
      }
      boolean locks = advice.gain() >= locksFrom * 0.5;
      stops.add(new GainStop(advice.gain(), locks ? Outcome.LOCKED : Outcome.FIRM));
      Optional<Integer> next = locks ? row.locked() : row.held();
      if (next.isEmpty()) {
        return;
      }
      row = CARD.rows().get(next.get() - 1);
    }
    assertThat(row.advice().act()).isEqualTo(GainAdvice.Act.SETTLE);
  }

  @Test
  void itIsShortReachesItsEndsAndNoRowLeadsNowhere() {
    assertThat(CARD.rows()).hasSizeLessThanOrEqualTo(40);
    assertThat(CARD.rows()).extracting(RoadCard.Row::number).isSorted().startsWith(1, 2);
    assertThat(CARD.rows()).anyMatch(row -> row.advice().act() == GainAdvice.Act.SETTLE);
    for (RoadCard.Row row : CARD.rows()) {
      for (Optional<Integer> next : List.of(row.locked(), row.verge(), row.held())) {
        next.ifPresent(to -> assertThat(to).isBetween(1, CARD.rows().size()));
        assertThat(row.asks() || next.isEmpty()).as("row %d", row.number()).isTrue();
      }
    }
    long reached =
        CARD.rows().stream()
            .filter(
                row ->
                    row.number() == 1
                        || CARD.rows().stream()
                            .anyMatch(
                                from ->
                                    List.of(from.locked(), from.verge(), from.held())
                                        .contains(Optional.of(row.number()))))
            .count();
    assertThat(reached).isEqualTo(CARD.rows().size());
  }

  /** The first stop hardly ever locks: what follows when it held comes before the rest. */
  @Test
  void likelyWaysComeFirst() {
    RoadCard.Row first = CARD.rows().get(0);
    double locks =
        first.advice().chances().stream()
            .filter(chance -> chance.gain() == first.advice().gain())
            .findFirst()
            .orElseThrow()
            .locks();
    assertThat(locks).isLessThan(0.2);
    assertThat(first.held()).contains(2);
    assertThat(first.locked().orElse(CARD.rows().size())).isGreaterThan(3);
  }

  /** From where a search stands, with most of it behind. */
  @Test
  void afterStopsTheCardIsShorter() {
    List<GainStop> stops =
        List.of(
            new GainStop(4, Outcome.FIRM),
            new GainStop(6, Outcome.LOCKED),
            new GainStop(5, Outcome.FIRM));
    RoadCard rest = RoadCard.of(HALVES, CURVE, Surface.DRY_ASPHALT, stops);
    assertThat(rest.rows().get(0).advice()).isEqualTo(advise(stops));
    assertThat(rest.rows().size()).isLessThan(CARD.rows().size());
  }
}
