package org.jexel.core.job;

import java.util.Optional;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.road.GainAdvice;

/** What is next of a job that is driven: the gate, a stop, the setting, or the cause. */
final class RoadNext {
  private static final NextAct LOOK_ROUND =
      new NextAct(
          Station.ROAD,
          new Aim.OpenGate(),
          "Look round before a wheel turns",
          "tyres, wheel nuts, place");

  private final Work work;

  RoadNext(Work work) {
    this.work = work;
  }

  Optional<NextAct> next() {
    if (!isDriven() || work.road().gains().holding().isPresent()) {
      return Optional.empty();
    }
    return Optional.of(
        asksForAStop() && !work.road().gate().open() ? gate() : drive(work.road().advice()));
  }

  /** To look round, or what no look and no reason opens. */
  private NextAct gate() {
    return work.road()
        .gate()
        .barred()
        .map(
            line ->
                new NextAct(
                    Station.ROAD,
                    new Aim.OpenGate(),
                    "The gate is shut: " + line.title(),
                    line.verdict() == Verdict.FAILS ? "the repair" : "its reading"))
        .orElse(LOOK_ROUND);
  }

  private boolean asksForAStop() {
    return switch (work.road().advice().act()) {
      case TRY, CONFIRM, REPEAT -> true;
      case SETTLE, LOOK_FOR_FAULT -> false;
    };
  }

  /** A gain is wanted where brakes or their controller were worked on, or are checked. */
  boolean isDriven() {
    boolean wanted =
        switch (work.record().wish()) {
          case NEW_BUILD, CONVERT, NEW_CONTROLLER, ANNUAL -> true;
          case REPAIR, REPLACE_CORD, ADD_LAMPS, ADD_BREAKAWAY ->
              !work.record().stops().isEmpty() || work.bench().brakesWereMended();
        };
    return work.record().rig().hasElectricBrakes() && wanted;
  }

  private static NextAct drive(GainAdvice advice) {
    String gain = Measure.GAIN.number(advice.gain(), UnitSystem.METRIC);
    return switch (advice.act()) {
      case LOOK_FOR_FAULT ->
          new NextAct(
              Station.ROAD,
              new Aim.LookForCause(),
              "Look for the fault: " + advice.reason(),
              "the cause");
      case SETTLE -> NextActs.act(Station.ROAD, new Aim.Settle(), "Settle on gain " + gain);
      case TRY, CONFIRM, REPEAT ->
          new NextAct(
              Station.ROAD,
              new Aim.DriveStop(),
              advice.act().label() + " a stop at gain " + gain,
              "a level, dry, empty stretch");
    };
  }
}
