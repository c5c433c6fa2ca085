package org.jexel.core.breakaway;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.jexel.core.Rigs;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;
import org.junit.jupiter.api.Test;

/**
 * The window of the breakaway cable. The judge turns a trailer by rotation matrices in random small
 * steps, and lets it roll back a millimetre at a time until a chain is taut: it knows neither the
 * formula for the slack nor the grid of turns.
 */
class CableWindowTest {
  private static final Object[] MEASURED = {
    RigField.CABLE_LENGTH, 0.75,
    RigField.CABLE_FIXING, "OWN_EYE",
    RigField.FIXING_X, 0.15,
    RigField.FIXING_Y, 0.1,
    RigField.FIXING_Z, -0.1,
    RigField.BREAKAWAY_X, 0.4,
    RigField.BREAKAWAY_Y, 0,
    RigField.SWITCH_Z, 0.05,
    RigField.GREATEST_TURN, Math.toRadians(90),
    RigField.CHAIN_LENGTH, 1.0,
    RigField.CHAIN_EYE_X, 0.15,
    RigField.CHAIN_EYE_Y, 0.12,
    RigField.CHAIN_EYE_Z, -0.1,
    RigField.CHAIN_END_X, 0.25,
    RigField.CHAIN_END_Y, 0.06,
    RigField.CHAIN_END_Z, -0.1
  };

  private static RigSheet sheet(Object... more) {
    List<Object> all = new ArrayList<>(List.of(MEASURED));
    all.addAll(List.of(more));
    return Rigs.sheet(all.toArray());
  }

  private static CableFit fit(Object... more) {
    return CableFit.of(sheet(more), UnitSystem.METRIC);
  }

  private static double[] times(double[][] matrix, double[] v) {
    double[] out = new double[3];
    for (int i = 0; i < 3; i++) {
      for (int k = 0; k < 3; k++) {
        out[i] += matrix[i][k] * v[k];
      }
    }
    return out;
  }

  private static double[] moved(Point point, double yaw, double pitch, double[] back) {
    double[][] tilted = {
      {Math.cos(pitch), 0, Math.sin(pitch)}, {0, 1, 0}, {-Math.sin(pitch), 0, Math.cos(pitch)}
    };
    double[][] turned = {
      {Math.cos(yaw), -Math.sin(yaw), 0}, {Math.sin(yaw), Math.cos(yaw), 0}, {0, 0, 1}
    };
    double[] at = times(turned, times(tilted, new double[] {point.x(), point.y(), point.z()}));
    return new double[] {at[0] + back[0], at[1] + back[1], at[2] + back[2]};
  }

  private static double distance(Point a, double[] b) {
    return Math.hypot(Math.hypot(a.x() - b[0], a.y() - b[1]), a.z() - b[2]);
  }

  /** Longest cable on the ball and shortest at the chains, over so many random turns. */
  private static double[] rolled(Coupling c, Random dice, int turns) {
    double reach = 0;
    double held = 100;
    for (int i = 0; i < turns; i++) {
      double yaw = share(dice) * c.turn();
      double pitch = share(dice) * Math.toRadians(10);
      double fall = Math.abs(share(dice)) * yaw;
      double[] back = new double[3];
      reach = Math.max(reach, distance(c.fixing(), moved(c.pin(), yaw, pitch, back)));
      while (slackEverywhere(c, yaw, pitch, back)) {
        back[0] -= 0.001 * Math.cos(fall);
        back[1] -= 0.001 * Math.sin(fall);
      }
      held = Math.min(held, distance(c.fixing(), moved(c.pin(), yaw, pitch, back)));
    }
    return new double[] {reach, held};
  }

  /** Of a range either way, its middle and its ends as often as all between. */
  private static double share(Random dice) {
    return dice.nextBoolean() ? dice.nextInt(3) - 1 : 2 * dice.nextDouble() - 1;
  }

  private static boolean slackEverywhere(Coupling c, double yaw, double pitch, double[] back) {
    return c.chains().stream()
        .allMatch(
            chain ->
                distance(chain.vehicle(), moved(chain.trailer(), yaw, pitch, back))
                    < chain.length());
  }

  private static double from(Random dice, double least, double greatest) {
    return least + (greatest - least) * dice.nextDouble();
  }

  @Property(tries = 12)
  void theWindowIsWhatATrailerThatTurnsAndRollsBackShows(@ForAll Random dice) {
    RigSheet sheet =
        sheet(
            RigField.FIXING_X, from(dice, -0.1, 0.5),
            RigField.FIXING_Y, from(dice, -0.4, 0.4),
            RigField.FIXING_Z, from(dice, -0.3, 0.3),
            RigField.BREAKAWAY_X, from(dice, 0.2, 0.9),
            RigField.SWITCH_Z, from(dice, -0.2, 0.3),
            RigField.CHAIN_LENGTH, from(dice, 0.7, 1.3),
            RigField.CHAINS_CROSSED, dice.nextBoolean() ? "YES" : "NO",
            RigField.GREATEST_TURN, from(dice, 0.6, 1.6));
    CableWindow window = CableWindow.of(Coupling.of(sheet));
    double[] rolled = rolled(Coupling.of(sheet), dice, 1500);
    assertThat(window.least()).isCloseTo(rolled[0] + 0.050, within(0.008));
    assertThat(window.least()).isGreaterThan(rolled[0] + 0.0495);
    assertThat(window.greatest()).isCloseTo(rolled[1] - 0.025, within(0.012));
    assertThat(window.greatest()).isLessThan(rolled[1] - 0.0235);
  }

  /**
   * Every tenth of a degree of turn and pitch; in each the trailer falls back in nine ways, by
   * halving the way until a chain is taut: no formula for the slack, no coarse grid.
   */
  private static double[] searched(Coupling c) {
    double reach = 0;
    double held = 100;
    int turns = (int) Math.round(Math.toDegrees(c.turn()) * 10);
    for (int t = -turns; t <= turns; t++) {
      double yaw = Math.toRadians(t / 10.0);
      for (int p = -100; p <= 100; p++) {
        double pitch = Math.toRadians(p / 10.0);
        double[] pin = moved(c.pin(), yaw, pitch, new double[3]);
        reach = Math.max(reach, distance(c.fixing(), pin));
        double[][] ends =
            c.chains().stream()
                .map(chain -> moved(chain.trailer(), yaw, pitch, new double[3]))
                .toArray(double[][]::new);
        for (int eighth = 0; eighth <= 8; eighth++) {
          double x = -Math.cos(eighth * yaw / 8);
          double y = -Math.sin(eighth * yaw / 8);
          double way = untilTaut(c, ends, x, y);
          held = Math.min(held, distance(c.fixing(), fallen(pin, x, y, way)));
        }
      }
    }
    return new double[] {reach, held};
  }

  private static double[] fallen(double[] at, double x, double y, double way) {
    return new double[] {at[0] + x * way, at[1] + y * way, at[2]};
  }

  private static double untilTaut(Coupling c, double[][] ends, double x, double y) {
    double low = 0;
    double high = 4;
    for (int i = 0; i < 14; i++) {
      double middle = (low + high) / 2;
      boolean slack = true;
      for (int k = 0; k < ends.length; k++) {
        Coupling.Chain chain = c.chains().get(k);
        slack &= distance(chain.vehicle(), fallen(ends[k], x, y, middle)) < chain.length();
      }
      if (slack) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return low;
  }

  @Test
  void theWindowIsWithinTwoMillimetresOfATenthOfADegree() {
    Coupling coupling =
        Coupling.of(
            sheet(
                RigField.CHAINS_CROSSED, "NO",
                RigField.FIXING_Y, -0.3,
                RigField.BREAKAWAY_Y, 0.12,
                RigField.CHAIN_LENGTH, 0.85));
    CableWindow window = CableWindow.of(coupling);
    double[] searched = searched(coupling);
    assertThat(window.least()).isCloseTo(searched[0] + 0.050, within(0.002));
    assertThat(window.greatest()).isCloseTo(searched[1] - 0.025, within(0.002));
  }

  /** On the line from eye to pin it is touched straight behind; far behind the pin never. */
  @Test
  void aCableThatCanLieAgainstTheJackIsWatched() {
    String says = "against the jack";
    assertThat(fit(RigField.JACK_X, 0.3, RigField.JACK_Y, 0.02).findings())
        .anyMatch(found -> found.words().contains(says));
    assertThat(fit(RigField.JACK_X, 0.9, RigField.JACK_Y, 0).findings())
        .noneMatch(found -> found.words().contains(says));
    assertThat(fit().findings()).as("nobody measured it").noneMatch(f -> f.words().contains(says));
  }

  @Test
  void aCouplingWithoutChainsAllowsAHandOfSlack() {
    CableFit fifth = fit(RigField.COUPLING, "FIFTH_WHEEL", RigField.CABLE_LENGTH, 1.4);
    assertThat(fifth.window().coupling().chains()).isEmpty();
    assertThat(fifth.window().greatest() - fifth.window().least()).isCloseTo(0.3, within(1e-9));
    assertThat(fifth.worst().words()).contains("no chain holds this trailer");
    assertThat(fifth.events())
        .extracting(CableFit.Event::what)
        .doesNotContain("the chains are taut");
  }

  /**
   * No chains' eyes apart, everything in one line: the greatest distance is straight behind, 0.40 +
   * 0.15 m; the chain of 1.0 m over 0.40 m gives 0.60 m of way back, so the cable is 1.15 m then.
   */
  @Test
  void aCouplingInOneLineByHand() {
    CableWindow window =
        CableWindow.of(
            Coupling.of(
                sheet(
                    RigField.FIXING_Y, 0,
                    RigField.FIXING_Z, 0,
                    RigField.SWITCH_Z, 0,
                    RigField.CHAIN_EYE_Y, 0,
                    RigField.CHAIN_END_Y, 0,
                    RigField.CHAIN_EYE_Z, 0,
                    RigField.CHAIN_END_Z, 0,
                    RigField.GREATEST_TURN, Math.toRadians(20))));
    assertThat(window.reach()).isCloseTo(0.55, within(1e-9));
    assertThat(window.coupling().slack(Point.Turn.STRAIGHT, new Point(-1, 0, 0)))
        .isCloseTo(0.60, within(1e-9));
    assertThat(window.greatest()).isBetween(1.10, 1.125);
  }

  /** 0.40 m apart along, 0.12 ± 0.06 m across: s = √(1.0² − across²) − 0.40. */
  @Test
  void crossedChainsHaveLessSlack() {
    Point back = new Point(-1, 0, 0);
    assertThat(Coupling.of(sheet(RigField.CHAINS_CROSSED, "YES")).slack(Point.Turn.STRAIGHT, back))
        .isCloseTo(0.5837, within(1e-4));
    assertThat(Coupling.of(sheet(RigField.CHAINS_CROSSED, "NO")).slack(Point.Turn.STRAIGHT, back))
        .isCloseTo(0.5982, within(1e-4));
  }

  @Test
  void aHandTooShortPullsInATurnAndAHandTooLongComesAfterTheChains() {
    double least = fit().window().least();
    double greatest = fit().window().greatest();
    assertThat(greatest - least).isGreaterThan(0.1);
    assertThat(fit().verdict()).isEqualTo(Verdict.HOLDS);
    CableFit tight = fit(RigField.CABLE_LENGTH, least - 0.1);
    assertThat(tight.verdict()).isEqualTo(Verdict.FAILS);
    assertThat(tight.worst().words()).startsWith("100 mm too short: turned by ");
    CableFit slack = fit(RigField.CABLE_LENGTH, greatest + 0.1);
    assertThat(slack.worst().words()).startsWith("100 mm too long: if the trailer comes off");
    assertThat(fit(RigField.CABLE_LENGTH, least + 0.01).verdict()).isEqualTo(Verdict.WATCH);
    CableFit far = fit(RigField.CABLE_LENGTH, greatest + 0.5);
    assertThat(far.events().get(3).what()).as("even straight behind").contains("brakes");
    assertThat(fit().events())
        .extracting(CableFit.Event::what)
        .containsExactly(
            "the ball lets go",
            "the cable is taut",
            "the pin is out, the brakes come on",
            "the chains are taut");
  }

  /** A cable far out to one side is dragged over the whole turn, and the chains are short. */
  @Test
  void whereNoCableFitsTheShortestMoveIsNamedAndOpensIt() {
    CableFit none = fit(RigField.FIXING_Y, 0.3, RigField.CHAIN_LENGTH, 0.8);
    assertThat(none.verdict()).isEqualTo(Verdict.FAILS);
    assertThat(none.worst().words())
        .startsWith("No cable fits")
        .contains("Moving the fixing point towards the middle by ", "or the chains longer by ");
    CableWindow.Move move = none.window().opening().orElseThrow();
    double y = 0.3 - move.metres();
    CableFit moved = fit(RigField.FIXING_Y, y, RigField.CHAIN_LENGTH, 0.8);
    assertThat(moved.window().least()).isLessThan(moved.window().greatest());
    CableFit almost = fit(RigField.FIXING_Y, y + 0.02, RigField.CHAIN_LENGTH, 0.8);
    assertThat(almost.window().open()).isFalse();
  }

  @Test
  void whatLeavesWithTheHitchIsRefusedWithItsReason() {
    for (String place : List.of("CHAIN", "BALL_MOUNT", "COUPLER", "BUMPER")) {
      assertThat(fit(RigField.CABLE_FIXING, place).verdict()).as(place).isEqualTo(Verdict.FAILS);
    }
    assertThat(fit(RigField.CABLE_FIXING, "BALL_MOUNT").worst().words())
        .contains("slip out of the vehicle");
    assertThat(fit(RigField.CABLE_FIXING, "FRAME").verdict()).isEqualTo(Verdict.HOLDS);
  }

  @Test
  void chainsThatAreTautOnTheBallAndASwitchThatIsPulledAslantAreSaid() {
    assertThat(fit(RigField.CHAIN_LENGTH, 0.42).findings())
        .anyMatch(f -> f.words().startsWith("A chain is taut at some turn"));
    CableFit aslant = fit(RigField.SWITCH_TURNED, Math.toRadians(40));
    assertThat(aslant.verdict()).isEqualTo(Verdict.WATCH);
    assertThat(aslant.worst().words()).contains("away from the way the pin comes out");
  }

  /** A length that fits says nothing of what the cable hangs on. */
  @Test
  void aCableOfWhichNobodySaidWhatItHangsOnDoesNotHold() {
    List<Object> unseen = new ArrayList<>(List.of(MEASURED));
    int at = unseen.indexOf(RigField.CABLE_FIXING);
    unseen.subList(at, at + 2).clear();
    CableFit fit = CableFit.of(Rigs.sheet(unseen.toArray()), UnitSystem.METRIC);
    assertThat(fit.verdict()).isEqualTo(Verdict.WATCH);
    assertThat(fit.worst().words()).contains("what the cable hangs on");
  }

  /** What nobody measured proves nothing, and condemns nothing. */
  @Test
  void assumedPlacesNeitherHoldNorFail() {
    CableFit assumed = CableFit.of(Rigs.sheet(RigField.CABLE_LENGTH, 0.1), UnitSystem.METRIC);
    assertThat(assumed.verdict()).isEqualTo(Verdict.WATCH);
    assertThat(assumed.worst().words()).contains("too short", "14 assumed figures: measure them");
    CableFit unknown = CableFit.of(Rigs.sheet(), UnitSystem.METRIC);
    assertThat(unknown.verdict()).isEqualTo(Verdict.NOT_YET);
    assertThat(unknown.worst().words()).startsWith("Measure the cable: it fits from ");
  }
}
