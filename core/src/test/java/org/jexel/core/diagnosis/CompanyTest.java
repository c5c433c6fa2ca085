package org.jexel.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import org.jexel.core.check.Check;
import org.jexel.core.network.Fault;
import org.jexel.core.network.KnownFault;
import org.junit.jupiter.api.Test;

/** Faults that each move a check of their own from 12 V to 6 V, unless a case says otherwise. */
class CompanyTest {
  private final List<Check> checks = new ArrayList<>();
  private final List<Row> singles = new ArrayList<>();
  private final Map<Integer, Double> seen = new HashMap<>();
  private final List<Hypothesis> asked = new ArrayList<>();

  /** So many of weight 1, beside a sound rig of weight 10. */
  private void faults(int count) {
    for (int c = 0; c < count; c++) {
      checks.add(Made.volts("v" + c));
    }
    singles.add(row(Made.healthy(10), count, -1, 12));
    for (int f = 0; f < count; f++) {
      singles.add(row(Made.open("part" + f, 1), count, f, 6));
    }
  }

  private static Row row(Hypothesis hypothesis, int checks, int own, double volts) {
    double[] both = new double[2 * checks];
    for (int c = 0; c < checks; c++) {
      both[2 * c] = c == own ? volts : 12;
      both[2 * c + 1] = 0.1;
    }
    return Made.row(hypothesis, both);
  }

  private List<Row> pairs(Function<Hypothesis, Optional<Row>> solver) {
    Function<Hypothesis, Optional<Row>> noted =
        both -> {
          asked.add(both);
          return solver.apply(both);
        };
    Map<Integer, Reading> read = new HashMap<>();
    seen.forEach((place, si) -> read.put(place, Reading.first(checks.get(place), si)));
    return new Company(new Predicted(checks, singles, noted), read).pairs();
  }

  /** As each does alone. */
  private Optional<Row> asGuessed(Hypothesis both) {
    double[] means = new double[2 * checks.size()];
    for (int c = 0; c < checks.size(); c++) {
      String own = "part" + c;
      means[2 * c] = parts(both).contains(own) ? 6 : 12;
      means[2 * c + 1] = 0.1;
    }
    return Optional.of(Made.row(both, means));
  }

  private static List<String> parts(Hypothesis both) {
    return both.faults().stream().map(Fault::part).toList();
  }

  @Test
  void oneFaultHasNoCompany() {
    faults(1);
    seen.put(0, 6.0);
    assertThat(pairs(this::asGuessed)).isEmpty();
  }

  /** A fifth of the rigs with one fault have a second: 1 · 1 · 0.2 / 13. */
  @Test
  void thePairThatExplainsBothReadingsStandsFirst() {
    faults(3);
    seen.putAll(Map.of(0, 6.0, 1, 12.0, 2, 6.0));
    List<Row> pairs = pairs(this::asGuessed);
    assertThat(parts(asked.get(0))).containsExactlyInAnyOrder("part0", "part2");
    assertThat(pairs).hasSize(3).allMatch(Row::solved);
    assertThat(parts(pairs.get(0).hypothesis())).containsExactlyInAnyOrder("part0", "part2");
    assertThat(pairs.get(0).hypothesis().weight()).isCloseTo(0.2 / 13, within(1e-12));
    assertThat(pairs.get(0).means()).containsExactly(6, 12, 6);
  }

  /** By what practice meets: of three that explain nothing, the two common ones. */
  @Test
  void whatIsCommonIsSolvedFirst() {
    faults(2);
    singles.add(row(Made.open("common", 5), 2, -1, 12));
    singles.add(row(Made.open("usual", 3), 2, -1, 12));
    seen.put(0, 12.0);
    pairs(this::asGuessed);
    assertThat(parts(asked.get(0))).containsExactlyInAnyOrder("common", "usual");
    assertThat(parts(asked.get(1))).containsExactlyInAnyOrder("common", "part1");
  }

  /** Of 40, 16 lead: all pairs but those among the other 24. */
  @Test
  void sixteenLeadersArePairedWithAllOthers() {
    faults(40);
    seen.put(39, 6.0);
    List<Row> pairs = pairs(this::asGuessed);
    assertThat(pairs).hasSize(40 * 39 / 2 - 24 * 23 / 2);
    assertThat(parts(pairs.get(0).hypothesis())).contains("part39");
    assertThat(pairs.stream().map(row -> List.copyOf(row.hypothesis().known())).distinct())
        .hasSize(pairs.size());
  }

  /** 110 · 109 / 2 − 94 · 93 / 2 = 1 624. */
  @Test
  void fifteenHundredAreKept() {
    faults(110);
    seen.put(0, 6.0);
    List<Row> pairs = pairs(this::asGuessed);
    assertThat(pairs).hasSize(1500);
    assertThat(pairs)
        .as("all that explain the reading")
        .filteredOn(row -> parts(row.hypothesis()).contains("part0"))
        .hasSize(109);
  }

  @Test
  void twentyFourNearTheTopAreSolvedWhereTheyStayThere() {
    faults(12);
    seen.putAll(Map.of(0, 6.0, 1, 6.0));
    List<Row> pairs = pairs(this::asGuessed);
    assertThat(pairs).hasSize(66);
    assertThat(asked).hasSize(24);
    assertThat(pairs.subList(0, 24)).allMatch(Row::solved);
    assertThat(pairs.subList(24, 66)).noneMatch(Row::solved);
  }

  /** Whatever falls makes room for the next, four times. */
  @Test
  void whereTheSolvedFallTheNextAreSolved() {
    faults(17);
    singles.remove(17);
    seen.put(16, 12.0);
    List<Row> pairs = pairs(both -> Optional.of(row(both, 17, 16, 6)));
    assertThat(asked).hasSize(4 * 24);
    assertThat(pairs).hasSize(120);
    assertThat(pairs.subList(0, 24)).noneMatch(Row::solved);
  }

  @Test
  void aPairThatNoRigCanStandWithIsNone() {
    faults(3);
    seen.putAll(Map.of(0, 6.0, 2, 6.0));
    List<Row> pairs =
        pairs(both -> parts(both).contains("part1") ? Optional.empty() : asGuessed(both));
    assertThat(pairs).hasSize(1);
    assertThat(parts(pairs.get(0).hypothesis())).containsExactlyInAnyOrder("part0", "part2");
  }

  @Test
  void twoFaultsOfOnePartAreOneFault() {
    faults(2);
    singles.add(row(Made.fault(Fault.of(Fault.Kind.OHMS, "part0"), Made.family("x"), 1), 2, 0, 9));
    singles.add(
        row(
            Made.fault(Fault.between(Fault.Kind.BRIDGE, "part3", "part1"), Made.family("y"), 1),
            2,
            1,
            3));
    seen.put(0, 6.0);
    assertThat(pairs(both -> Optional.empty())).isEmpty();
    assertThat(asked.stream().map(CompanyTest::parts))
        .containsExactlyInAnyOrder(
            List.of("part0", "part1"),
            List.of("part0", "part3"),
            List.of("part1", "part0"),
            List.of("part0", "part3"));
  }

  /** The best leads in each of its severities, any other in its best alone. */
  @Test
  void aFamilyLeadsOnceAndTheBestInEverySeverity() {
    faults(17);
    for (double amount : new double[] {1, 2, 4}) {
      Fault more = Fault.of(Fault.Kind.OHMS, "part0", amount);
      singles.add(
          row(
              new Hypothesis(
                  List.of(new KnownFault(more, Made.family("part0"), OptionalDouble.empty(), 0.5)),
                  0.5),
              17,
              0,
              12 - amount));
    }
    seen.put(0, 6.0);
    List<Row> pairs = pairs(both -> asGuessed(both));
    for (double amount : new double[] {1, 2, 4}) {
      assertThat(pairs)
          .filteredOn(row -> row.hypothesis().faults().stream().anyMatch(f -> f.amount() == amount))
          .as("%s Ω beside each other part", amount)
          .hasSize(16);
    }
    seen.put(0, 12.0);
    seen.put(16, 6.0);
    assertThat(pairs(both -> asGuessed(both)))
        .as("part16 leads, with 15 others each in its best; three more severities have all 15")
        .hasSize(17 * 16 / 2 + 3 * 15);
  }

  /** Where both move a check, what they make of it together is weighed: 6 · 8 / 12 = 4 V. */
  @Test
  void whatBothMoveIsWeighedTogether() {
    checks.add(Made.volts("v"));
    singles.add(Made.row(Made.healthy(10), 12, 0.1));
    singles.add(Made.row(Made.open("a", 1), 6, 0.1));
    singles.add(Made.row(Made.open("b", 1), 8, 0.1));
    singles.add(Made.row(Made.open("c", 1), 11, 0.1));
    seen.put(0, 4.0);
    List<Row> pairs = pairs(both -> Optional.of(Made.row(both, 4, 0.1)));
    assertThat(parts(asked.get(0))).containsExactlyInAnyOrder("a", "b");
    assertThat(pairs).hasSize(3);
  }
}
