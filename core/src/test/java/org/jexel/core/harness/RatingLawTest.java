package org.jexel.core.harness;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.jexel.core.Rigs;
import org.jexel.core.connector.Connector;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.network.RigState;
import org.jexel.core.network.Solution;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.LampRole;
import org.jexel.core.rig.LampTechnology;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.Side;
import org.junit.jupiter.api.Test;

/**
 * Nothing holds past a rating. The judge is the solved network, which knows neither the planner's
 * currents nor its law, and the connector's data as they stand in their file.
 */
class RatingLawTest {
  private static Rig random(Random dice) {
    String brakes = pick(dice, "ELECTRIC", "ELECTRIC", "ELECTRIC_HYDRAULIC", "NONE");
    String plug =
        brakes.equals("NONE")
            ? pick(dice, "flat-4", "flat-5", "blade-7", "flat-7")
            : pick(dice, "blade-7", "round-6", "flat-7");
    return Rigs.rig(
        Rigs.sheet(
            RigField.AXLE_COUNT,
            1 + dice.nextInt(3),
            RigField.BRAKE_TYPE,
            brakes,
            RigField.TOW_CONNECTOR,
            plug,
            RigField.TRAILER_CONNECTOR,
            plug,
            RigField.MAGNET_OHMS,
            1 + 4 * dice.nextDouble(),
            RigField.RUNNING_VOLTS,
            12.5 + 2.5 * dice.nextDouble(),
            RigField.FEED_RUN,
            1 + 12 * dice.nextDouble(),
            RigField.CHARGE_AMPS,
            1 + 35 * dice.nextDouble(),
            RigField.OVERALL_LENGTH,
            4.5 + 8 * dice.nextDouble(),
            RigField.BRAKE_FEED,
            pick(dice, "TRUNK", "PER_SIDE", "RING"),
            RigField.BREAKAWAY_KIT,
            pick(dice, "OWN_BATTERY", "NONE"),
            RigField.HOUSE_BATTERY,
            pick(dice, "YES", "NO"),
            RigField.LAMP_TECHNOLOGY,
            pick(dice, "LED", "FILAMENT"),
            RigField.LAMP_RETURN,
            pick(dice, "FRAME", "OWN_CONDUCTOR")));
  }

  private static String pick(Random dice, String... of) {
    return of[dice.nextInt(of.length)];
  }

  @Property(tries = 150)
  void nothingHoldsPastARating(@ForAll Random dice) {
    Rig rig = random(dice);
    List<WireSize> stock = dice.nextBoolean() ? WireSize.GAUGES : WireSize.METRIC;
    int thinnest = dice.nextInt(stock.size());
    int sizes = 1 + dice.nextInt(stock.size() - thinnest);
    Harness harness = HarnessPlanner.plan(rig, stock.subList(thinnest, thinnest + sizes));
    Solution all = everythingOn(rig, harness);
    for (Circuit circuit : harness.circuits()) {
      if (circuit.verdict() == Verdict.HOLDS) {
        for (Span span : harness.spans()) {
          if (span.branch().equals(circuit.branch())) {
            boolean shared = span.duty() == Duty.VEHICLE || span.duty() == Duty.CORD;
            double amps = amps(all, span) + (shared ? charge(harness, all, span.function()) : 0);
            assertThat(amps).as(circuit.name()).isLessThanOrEqualTo(span.size().amps() + 1e-6);
            assertThat(harness.protection(circuit.function()))
                .as("fuse of " + circuit.name())
                .isLessThanOrEqualTo(span.size().amps());
            if (shared) {
              pinHolds(rig, circuit.function(), amps, harness.protection(circuit.function()));
            }
          }
        }
        assertThat(circuit.drop()).isLessThanOrEqualTo(circuit.limit());
      } else {
        assertThat(circuit.reason()).as(circuit.name()).isNotBlank();
      }
    }
  }

  private static void pinHolds(Rig rig, PinFunction function, double amps, double fuse) {
    for (Connector half : List.of(rig.connector(), rig.towConnector())) {
      double rating = half.pin(function).orElseThrow().ratingAmps();
      assertThat(amps).as(function + " pin").isLessThanOrEqualTo(rating + 1e-6);
      assertThat(fuse).as("fuse of " + function).isLessThanOrEqualTo(rating);
    }
  }

  private static Solution everythingOn(Rig rig, Harness harness) {
    RigState state =
        RigState.of(
            StateWord.TAIL,
            StateWord.LEFT,
            StateWord.RIGHT,
            StateWord.STOP,
            StateWord.REVERSE,
            StateWord.LEVER,
            StateWord.RUNNING);
    return RigNetwork.of(rig, harness, state).network().solve();
  }

  /** A charge feed takes what its plate says, whatever the network has in its place. */
  private static double charge(Harness harness, Solution all, PinFunction function) {
    if (function != PinFunction.EARTH && function != PinFunction.CHARGE) {
      return 0;
    }
    double plate =
        harness.loads().stream()
            .filter(load -> load.kind() == Load.Kind.CHARGE)
            .mapToDouble(Load::amps)
            .sum();
    return plate - harness.feed(PinFunction.CHARGE).map(feed -> amps(all, feed)).orElse(0.0);
  }

  private static double amps(Solution all, Span span) {
    return Math.abs(all.volts(span.from(), span.to())) / span.ohms();
  }

  private static Circuit circuit(Harness harness, String name) {
    return harness.circuits().stream().filter(c -> c.name().equals(name)).findFirst().orElseThrow();
  }

  /**
   * Two axles: 4 · 12.8 V / 3.2 Ω = 16 A, lamps 7.7 A and a charge feed of 10 A meet in a 30 A pin.
   */
  @Test
  void theEarthPinCarriesTheSumOfAllReturns() {
    Harness assumed = HarnessPlanner.plan(Rigs.twoAxles(), WireSize.GAUGES);
    assertThat(circuit(assumed, "earth").amps()).isBetween(33.7, 33.8);
    assertThat(circuit(assumed, "earth").verdict()).isEqualTo(Verdict.WATCH);
    assertThat(circuit(assumed, "earth").reason())
        .contains("the earth pin, which carries 30 A", "10 A of it is the charge feed");
    Harness read = HarnessPlanner.plan(Rigs.twoAxles(RigField.CHARGE_AMPS, 10), WireSize.GAUGES);
    assertThat(circuit(read, "earth").verdict()).isEqualTo(Verdict.FAILS);
    Harness small = HarnessPlanner.plan(Rigs.twoAxles(RigField.CHARGE_AMPS, 5), WireSize.GAUGES);
    assertThat(circuit(small, "earth").verdict()).isEqualTo(Verdict.HOLDS);
  }

  /** 16 A, lamps 7.7 A and 6 A are 29.7 A at 12.8 V, and past 30 A at the volts of a drive. */
  @Test
  void loadsAreHeldToTheirRatingsWithTheEngineRunning() {
    for (double volts : new double[] {12.8, 14.5}) {
      Rig rig = Rigs.twoAxles(RigField.CHARGE_AMPS, 6, RigField.RUNNING_VOLTS, volts);
      assertThat(circuit(HarnessPlanner.plan(rig, WireSize.GAUGES), "earth").verdict())
          .isEqualTo(volts < 13 ? Verdict.HOLDS : Verdict.FAILS);
    }
  }

  /**
   * 18 AWG carries 8 A: more than any lamp's fuse, less than what all lamps bring back together.
   */
  @Test
  void aWireCarriesNoMoreThanItMayHoweverSmallTheFusesAreAheadOfIt() {
    Rig rig = Rigs.rig(Rigs.sheet(RigField.TRAILER_KIND, "STALL", RigField.RUNNING_VOLTS, 14.4));
    Circuit back = circuit(HarnessPlanner.plan(rig, WireSize.GAUGES.subList(0, 1)), "return");
    assertThat(back.rulings()).extracting(Ruling::law).containsOnlyOnce(Ruling.Law.WIRE);
    assertThat(back.rulings()).extracting(Ruling::law).doesNotContain(Ruling.Law.FUSE);
    assertThat(back.verdict()).isEqualTo(Verdict.FAILS);
    assertThat(back.reason()).contains("carries 8 A");
  }

  /**
   * 2 · 12.8 V / 2.8 Ω = 9.1 A want 15 A, which 16 AWG (12 A) does not stand: 10 A is left, and may
   * open.
   */
  @Test
  void aThinShelfMakesASmallerBreakerAndSaysWhatThatMeans() {
    Harness harness =
        HarnessPlanner.plan(
            Rigs.twoAxles(RigField.AXLE_COUNT, 1, RigField.MAGNET_OHMS, 2.8),
            WireSize.GAUGES.subList(1, 2));
    BreakerChoice breaker = harness.breakers().get(PinFunction.BRAKE);
    assertThat(breaker.load()).isBetween(9.1, 9.2);
    assertThat(breaker.chosen()).isEqualTo(10);
    assertThat(breaker.verdict()).isEqualTo(Verdict.WATCH);
    assertThat(breaker.limit().part()).contains("16 AWG");
  }

  @Test
  void threeAxlesAreTooMuchForARoundSix() {
    Rig rig =
        Rigs.twoAxles(
            RigField.AXLE_COUNT, 3,
            RigField.TOW_CONNECTOR, "round-6",
            RigField.TRAILER_CONNECTOR, "round-6");
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    assertThat(circuit(harness, "brake").reason()).contains("the brake pin, which carries 20 A");
    assertThat(circuit(harness, "earth").reason()).contains("the earth pin, which carries 20 A");
    assertThat(harness.breakers().get(PinFunction.BRAKE).verdict()).isEqualTo(Verdict.FAILS);
  }

  /** A pump of 30 A would want 40 A, which neither 10 AWG (35 A) nor the pin (30 A) stands. */
  @Test
  void noFuseIsAbovePinOrWire() {
    Rig rig = Rigs.twoAxles(RigField.AXLE_COUNT, 3, RigField.BRAKE_TYPE, "ELECTRIC_HYDRAULIC");
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    assertThat(harness.protection(PinFunction.CHARGE)).isEqualTo(30);
    assertThat(circuit(harness, "charge").reason()).contains("may open in a long stop");
  }

  /** A socket that does not take the planned plug is to be replaced: its earth binds nothing. */
  @Test
  void ofTwoHalvesThatMateTheWeakerBinds() {
    Rig replaced = Rigs.twoAxles(RigField.TOW_CONNECTOR, "flat-4", RigField.CHARGE_AMPS, 1);
    assertThat(circuit(HarnessPlanner.plan(replaced, WireSize.GAUGES), "earth").verdict())
        .isEqualTo(Verdict.HOLDS);
    Ratings ratings =
        Ratings.of(
            Rigs.rig(
                Rigs.sheet(
                    RigField.TOW_CONNECTOR, "flat-5", RigField.TRAILER_CONNECTOR, "flat-4")));
    assertThat(ratings.pin(PinFunction.EARTH)).isEqualTo(20);
    assertThat(ratings.pin(PinFunction.TAIL)).isEqualTo(10);
    assertThat(ratings.pin(PinFunction.BRAKE)).isInfinite();
  }

  /** Thirty markers of 4 W and two tails of 8 W at 12.8 V: 10.6 A; a 4-way's pin carries 10 A. */
  @Test
  void aNewSocketsLampsAreHeldToTheOldSocketTheyComeFrom() {
    Rig direct = manyMarkers(30, RigField.TOW_CONNECTOR, "flat-4");
    assertThat(tail(direct))
        .anySatisfy(r -> assertThat(r.words()).contains("the tail pin, which carries 10 A"));
    Rig mated = manyMarkers(30, RigField.TOW_CONNECTOR, "blade-7");
    assertThat(tail(mated)).noneMatch(r -> r.law() == Ruling.Law.PIN);
  }

  /** Eighteen markers and two tails: 6.9 A running; with 30: 10.6 A and more. */
  @Test
  void aModulesOutputGivesSixToEightAmperes() {
    assertThat(outputs(manyMarkers(18, RigField.LAMP_FEED, "MODULE")))
        .containsExactly(Verdict.WATCH);
    assertThat(outputs(manyMarkers(30, RigField.LAMP_FEED, "BUS"))).containsExactly(Verdict.FAILS);
    assertThat(outputs(manyMarkers(6, RigField.LAMP_FEED, "MODULE"))).isEmpty();
    assertThat(outputs(manyMarkers(30, RigField.LAMP_FEED, "DIRECT"))).isEmpty();
  }

  /** Two rear lamps and so many side markers, all filaments, behind a 7-way. */
  private static Rig manyMarkers(int markers, Object... more) {
    List<Lamp> lamps = new ArrayList<>();
    for (int i = 0; i < markers + 2; i++) {
      LampRole role = i < 2 ? LampRole.COMBINED : LampRole.SIDE_MARKER;
      Side side = i % 2 == 0 ? Side.LEFT : Side.RIGHT;
      lamps.add(
          new Lamp(
              "lamp-" + i,
              role,
              side,
              4,
              side == Side.LEFT ? 0.9 : -0.9,
              LampTechnology.FILAMENT,
              Lamp.State.PRESENT,
              "",
              true));
    }
    return new Rig(Rigs.twoAxles(more).sheet(), lamps, List.of());
  }

  private static List<Ruling> tail(Rig rig) {
    return circuit(HarnessPlanner.plan(rig, WireSize.GAUGES), "tail").rulings();
  }

  private static List<Verdict> outputs(Rig rig) {
    return tail(rig).stream()
        .filter(ruling -> ruling.law() == Ruling.Law.OUTPUT)
        .map(Ruling::verdict)
        .toList();
  }

  /** 2.5 mm² carries 18 A, so it is no branch behind a breaker of 20 A and more. */
  @Test
  void aBranchGrowsToTheBreakerAheadOfIt() {
    Harness harness = HarnessPlanner.plan(Rigs.twoAxles(), WireSize.METRIC);
    double breaker = harness.protection(PinFunction.BRAKE);
    assertThat(breaker).isGreaterThanOrEqualTo(20);
    assertThat(harness.spans().stream().filter(s -> s.duty() == Duty.ACROSS))
        .isNotEmpty()
        .allSatisfy(span -> assertThat(span.size().amps()).isGreaterThanOrEqualTo(breaker));
  }

  /** Wire that no terminal takes is never the answer: 10 AWG at a pin, 8 AWG at a stud. */
  @Test
  void noWireIsThickerThanItsTerminalsTake() {
    Rig far = Rigs.twoAxles(RigField.AXLE_COUNT, 3, RigField.OVERALL_LENGTH, 14);
    for (Span span : HarnessPlanner.plan(far, WireSize.GAUGES).spans()) {
      boolean pin = span.duty() == Duty.VEHICLE || span.duty() == Duty.CORD;
      assertThat(span.size().area()).isLessThanOrEqualTo(pin ? 6e-6 : 10e-6);
    }
    assertThat(circuit(HarnessPlanner.plan(far, WireSize.GAUGES), "brake").rulings())
        .anyMatch(r -> r.law() == Ruling.Law.DROP && r.words().contains("relay at the trailer"));
  }
}
