package org.jexel.core.road;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
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

  /** Whatever the order of its stops, a state is one row, and a row one state. */
  @Test
  void waysThatMeetAreOneRow() {
    Map<Map<String, Integer>, Integer> rows = new HashMap<>();
    Map<Integer, Map<String, Integer>> states = new HashMap<>();
    follow(CARD.rows().get(0), new TreeMap<>(), rows, states);
    assertThat(states).hasSize(CARD.rows().size());
    assertThat(rows).hasSize(CARD.rows().size());
  }

  private static void follow(
      RoadCard.Row row,
      Map<String, Integer> stops,
      Map<Map<String, Integer>, Integer> rows,
      Map<Integer, Map<String, Integer>> states) {
    assertThat(rows.computeIfAbsent(stops, s -> row.number())).isEqualTo(row.number());
    assertThat(states.computeIfAbsent(row.number(), n -> stops)).isEqualTo(stops);
    for (Map.Entry<String, Optional<Integer>> way : ways(row).entrySet()) {
      way.getValue()
          .ifPresent(
              to -> {
                Map<String, Integer> more = new TreeMap<>(stops);
                more.merge(row.advice().gain() + way.getKey(), 1, Integer::sum);
                follow(CARD.rows().get(to - 1), more, rows, states);
              });
    }
  }

  private static Map<String, Optional<Integer>> ways(RoadCard.Row row) {
    return Map.of(" locked", row.locked(), " verge", row.verge(), " held", row.held());
  }

  /**
   * By the belief at each row: a lock at its gain, half of what one mark more adds for the verge,
   * the rest holds. What is likelier stands above what is less so, what comes about in fewer than
   * one of a hundred is left out, and whatever else is not on the card found no room on it.
   */
  @Test
  void rowsStandInTheOrderInWhichTheyAreLikely() {
    for (RoadCard card : List.of(CARD, small())) {
      double[] likely = new double[card.rows().size() + 1];
      likely[1] = 1;
      double leastOnIt = 1;
      List<Double> leftOut = new ArrayList<>();
      for (RoadCard.Row row : card.rows()) {
        int own = row.number();
        for (int later = own + 1; later < likely.length; later++) {
          assertThat(likely[later]).isLessThanOrEqualTo(likely[own] + 1e-12);
        }
        leastOnIt = likely[own];
        if (row.asks()) {
          double locks = locks(row, row.advice().gain());
          double verge = (locks(row, row.advice().gain() + step(card)) - locks) / 2;
          List<Double> chances = List.of(locks, verge, 1 - locks - verge);
          List<Optional<Integer>> next = List.of(row.locked(), row.verge(), row.held());
          for (int way = 0; way < 3; way++) {
            double reached = likely[own] * chances.get(way);
            if (reached < 0.01) {
              assertThat(next.get(way)).as("row %d", own).isEmpty();
            } else if (next.get(way).isPresent()) {
              likely[next.get(way).get()] += reached;
            } else {
              leftOut.add(reached);
            }
          }
        }
      }
      if (card.rows().size() < 40) {
        assertThat(leftOut).isEmpty();
      }
      double least = leastOnIt;
      assertThat(leftOut).allMatch(one -> one <= least + 1e-12);
    }
  }

  /** Of five marks, so that all of it has room. */
  private static RoadCard small() {
    GainScale scale = new GainScale(0, 10, 2);
    BrakeCurve curve = BrakeCurve.of(RigTrain.ofPlates(2300, 1900, 2, 2, 1600), scale);
    return RoadCard.of(scale, curve, Surface.DRY_ASPHALT, List.of());
  }

  private static double step(RoadCard card) {
    List<GainAdvice.Chance> chances = card.rows().get(0).advice().chances();
    return chances.get(1).gain() - chances.get(0).gain();
  }

  /** Beyond the last mark all lock. */
  private static double locks(RoadCard.Row row, double gain) {
    return row.advice().chances().stream()
        .filter(chance -> Math.abs(chance.gain() - gain) < 1e-9)
        .mapToDouble(GainAdvice.Chance::locks)
        .findFirst()
        .orElse(1);
  }
}
