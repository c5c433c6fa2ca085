package org.jexel.core.network;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Duty;
import org.jexel.core.harness.FramePoint;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.LampLoad;
import org.jexel.core.harness.Load;
import org.jexel.core.harness.Nodes;
import org.jexel.core.harness.Span;
import org.jexel.core.network.FaultFamily.AlongRun;
import org.jexel.core.network.FaultFamily.OfFeeds;
import org.jexel.core.network.FaultFamily.OfLamp;
import org.jexel.core.network.FaultFamily.OfVehicle;
import org.jexel.core.network.FaultFamily.Place;
import org.jexel.core.network.FaultFamily.Trouble;
import org.jexel.core.quantity.Provenance;
import org.jexel.core.rig.BrakeFeed;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;

/** What can be the matter with a lamp, the trailer's or the vehicle's own, beside its joints. */
final class LampFaults {
  /** A lamp of half the watts, or twice. */
  private static final double[] WRONG_WATTS = {0.5, 2};

  /** Bulbs of the trade that fit in each other's sockets: 5, 10 and 21 W. */
  private static final double[] BULBS_AMPS = {
    5 / LampLoad.NOMINAL_VOLTS, 10 / LampLoad.NOMINAL_VOLTS, 21 / LampLoad.NOMINAL_VOLTS
  };

  /** Diode lamps, from a marker's to a stop lamp's. */
  private static final double[] DIODES_AMPS = {0.05, 0.12, 0.25};

  /** Bulbs of 21/5 W where 27/8 W are assumed: three quarters, and five eighths. */
  private static final double[] SMALLER_BULBS = {0.7};

  private static final double[] OTHER_DIODES = {0.5, 2};

  /** Of the vehicle's own tail lamps one in six, or half of them. */
  private static final double[] SOME_OUT = {5.0 / 6, 0.5};

  private final Rig rig;
  private final Harness harness;
  private final FaultList list;

  private LampFaults(Rig rig, Harness harness, FaultList list) {
    this.rig = rig;
    this.harness = harness;
    this.list = list;
  }

  /**
   * @param worn weight of what wear brings; what somebody had to do with a hand is rarer
   */
  static void add(Rig rig, Harness harness, FaultList list, double worn) {
    LampFaults faults = new LampFaults(rig, harness, list);
    list.weigh(worn);
    faults.burntOut();
    faults.ofTheVehicle();
    faults.otherThanAssumed();
    list.weigh(worn / 2);
    faults.wrong();
    list.weigh(worn / 4);
    faults.reversed();
    faults.atOneLamp();
    faults.feedAndReturn();
  }

  private void burntOut() {
    for (Load load : harness.loads()) {
      if (load.lamp()) {
        list.add(Fault.of(Fault.Kind.OPEN, load.name()), Trouble.BURNT_OUT, OfLamp.of(load));
      }
    }
  }

  /** A diode lamp that was ever lit is not that; somebody has fitted it since. */
  private void reversed() {
    for (Load load : harness.loads()) {
      if (load.kind() == Load.Kind.LED) {
        list.add(
            Fault.of(Fault.Kind.REVERSED, load.name()), Trouble.WRONG_WAY_ROUND, OfLamp.of(load));
      }
    }
  }

  private void wrong() {
    for (Load load : harness.loads()) {
      if (load.lamp()) {
        list.graded(
            Fault.Kind.DRAWS,
            load.name(),
            WRONG_WATTS,
            new FaultFamily(Trouble.WRONG_LAMP, OfLamp.of(load)));
        list.graded(
            Fault.Kind.OTHER_KIND,
            load.name(),
            load.kind() == Load.Kind.LED ? BULBS_AMPS : DIODES_AMPS,
            new FaultFamily(Trouble.OTHER_KIND_OF_LAMP, OfLamp.of(load)));
      }
    }
  }

  /**
   * Where nobody has read a stamp, other bulbs may well belong there: no fault, but no rig as
   * drawn.
   */
  private void otherThanAssumed() {
    List<Load> rear = harness.loads().stream().filter(Load::isOfRearLamp).toList();
    if (!rear.isEmpty()
        && rear.stream().allMatch(load -> load.provenance() == Provenance.ASSUMED)) {
      boolean bulbs = rear.stream().anyMatch(load -> load.kind() == Load.Kind.FILAMENT);
      list.graded(
          Fault.Kind.REAR_LAMPS,
          "",
          bulbs ? SMALLER_BULBS : OTHER_DIODES,
          FaultFamily.of(Trouble.OTHER_REAR_LAMPS));
    }
  }

  /** Two feeds that end in one lamp. */
  private void atOneLamp() {
    Map<String, List<Load>> lamps = new LinkedHashMap<>();
    for (Load load : harness.loads()) {
      load.spot()
          .lamp()
          .ifPresent(lamp -> lamps.computeIfAbsent(lamp.slot(), s -> new ArrayList<>()).add(load));
    }
    for (List<Load> parts : lamps.values()) {
      for (int i = 0; i < parts.size(); i++) {
        for (int j = i + 1; j < parts.size(); j++) {
          String one = parts.get(i).feed();
          String two = parts.get(j).feed();
          Place lamp = OfFeeds.of(parts.get(i), parts.get(j));
          list.add(
              Fault.between(Fault.Kind.EXCHANGED, Nodes.wire(one), Nodes.wire(two)),
              Trouble.EXCHANGED_AT_LAMP,
              lamp);
          list.add(Fault.between(Fault.Kind.BRIDGE, one, two), Trouble.TOUCH_IN_LAMP, lamp);
        }
      }
    }
  }

  /**
   * Two runs that end at one place of the frame and have changed places there. A diode lamp stays
   * dark, and a lamp of two filaments has a live return. A magnet does not mind, but in a ring the
   * feed meets the return.
   */
  private void feedAndReturn() {
    Map<List<Object>, Span> returns = new HashMap<>();
    for (Span span : harness.spans()) {
      if (minds(span) && span.function() == PinFunction.EARTH) {
        returns.put(List.of(end(span), span.duty()), span);
      }
    }
    for (Span span : harness.spans()) {
      if (minds(span) && span.function() != PinFunction.EARTH) {
        Span back = returns.get(List.of(end(span), span.duty()));
        if (back != null) {
          list.add(
              Fault.between(Fault.Kind.EXCHANGED, Nodes.wire(span.to()), Nodes.wire(back.to())),
              Trouble.FEED_AND_RETURN,
              new AlongRun(span));
        }
      }
    }
  }

  private boolean minds(Span span) {
    boolean brakes = span.duty() == Duty.TRUNK || span.duty() == Duty.ACROSS;
    boolean ring = rig.sheet().choice(RigField.BRAKE_FEED, BrakeFeed.class) == BrakeFeed.RING;
    return span.duty() == Duty.RUN
        || ring && brakes && end(span).member() == FramePoint.Member.RAIL;
  }

  private static FramePoint end(Span span) {
    return span.path().get(span.path().size() - 1);
  }

  private void ofTheVehicle() {
    for (PinFunction function : PinFunction.values()) {
      String own = LampPins.own(function);
      Place place = new OfVehicle(function);
      list.add(Fault.of(Fault.Kind.OPEN, own), Trouble.BURNT_OUT, place);
      list.graded(Fault.Kind.DRAWS, own, SOME_OUT, new FaultFamily(Trouble.BURNT_OUT, place));
      list.add(Fault.of(Fault.Kind.DRAWS, own, 2), Trouble.WRONG_LAMP, place);
    }
  }
}
