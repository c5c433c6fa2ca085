package org.jexel.core.check;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jexel.core.connector.Connector;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Load;
import org.jexel.core.harness.Nodes;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;

/**
 * What the trailer tells by itself, plug out: what each pin draws from a bench supply, which
 * settles whether vehicle or trailer is at fault; and what an ohmmeter shows of each run from its
 * pin to its terminal, of each return from the earth pin, and of each magnet off its leads.
 */
final class TrailerAlone {
  /** The reading of a magnet off its leads. */
  static final String MAGNET_OHMS = "magnet.ohms";

  /** The reading of what a pin draws from a bench supply. */
  static final String BENCH = "bench";

  /** The reading of what a pin sees of the earth pin. */
  static final String DEAD_PINS = "dead";

  /** The fused lead goes from pin to pin. */
  private static final double BENCH_LEAD = 2;

  private static final double AT_THE_PLUG = 1;

  private static final double UNDER = 6;

  /** One wire off its joint and on again, and the reading between. */
  private static final double OFF_ITS_LEADS = 9;

  private static final String DEAD =
      "Plug out, all off, breakaway pin in. Lead tips together first: take their ohms off.";

  private final Connector connector;
  private final Harness harness;
  private final CheckMaker maker;
  private final List<Check> checks = new ArrayList<>();

  private TrailerAlone(Connector connector, Harness harness, CheckMaker maker) {
    this.connector = connector;
    this.harness = harness;
    this.maker = maker;
  }

  static List<Check> of(Connector connector, Harness harness, CheckMaker maker) {
    TrailerAlone alone = new TrailerAlone(connector, harness, maker);
    alone.onTheBench();
    alone.towardsEarth();
    alone.runs();
    alone.returns();
    alone.magnets();
    return alone.checks;
  }

  private void onTheBench() {
    List<PinFunction> pins = new ArrayList<>(LoadedChecks.circuits(harness));
    if (harness.has(PinFunction.BRAKE)) {
      pins.add(PinFunction.BRAKE);
    }
    for (PinFunction function : pins) {
      String own =
          harness.has(PinFunction.CHARGE)
              ? " The trailer's own battery will do as the supply: from the charge pin or its plus post, through the same fuse."
              : "";
      add(
          new CheckMaker.Words(
              new CheckId(BENCH, Nodes.id(function)),
              "Bench supply on " + function.label(),
              Check.Group.BENCH,
              function,
              Phrase.of(
                  "Plug out; bench supply of 12.8 V on this pin and earth, through a lead fused at %s. If that fuse blows, type blown.",
                  Measure.RATING.text(RigNetwork.benchFuse(harness, function), UnitSystem.METRIC)),
              "At the trailer's plug",
              "the fused lead, in series",
              "earth pin to the supply's minus",
              "It settles whether vehicle or trailer is at fault: here no vehicle is joined." + own,
              BENCH_LEAD),
          new Probing(Setup.bench(function), Measure.AMPS, RigNetwork.BENCH, ""));
    }
  }

  /** What a pin sees of the earth pin: the cold lamps, or a chafe, without a fuse being spent. */
  private void towardsEarth() {
    for (PinFunction function : LoadedChecks.circuits(harness)) {
      add(
          new CheckMaker.Words(
              new CheckId(DEAD_PINS, Nodes.id(function)),
              "Ohms of the %s pin to earth".formatted(function.label()),
              Check.Group.CONTINUITY,
              function,
              DEAD,
              "At the trailer's plug",
              Phrase.of(
                  "pin %d, %s", connector.pin(function).orElseThrow().number(), function.label()),
              Phrase.of("pin %d, earth", connector.pin(PinFunction.EARTH).orElseThrow().number()),
              "Cold filaments lie side by side, and diode lamps show none at all. Less than that is a chafe, and no fuse is spent on finding it.",
              AT_THE_PLUG,
              Reckoned.COLD_LAMPS),
          new Probing(
              Setup.dead(), Measure.OHMS, Nodes.plug(function), Nodes.plug(PinFunction.EARTH)));
    }
  }

  private void runs() {
    for (Load load : harness.loads()) {
      between(
          CheckId.of("continuity", load),
          "%s, %s: from its pin".formatted(load.label(), load.function().lit()),
          load.function(),
          load,
          load.feed(),
          "A sound run is a few hundredths of an ohm. Ohms by the handful are the way round through other lamps: the run itself is broken.");
    }
  }

  private void returns() {
    Set<String> told = new HashSet<>();
    for (Load load : harness.loads()) {
      if (told.add(load.back())) {
        between(
            CheckId.of("earthed", load),
            load.label() + ": return to the earth pin",
            PinFunction.EARTH,
            load,
            load.back(),
            "Everything that hangs on this return shares what it loses. More than the meter's own two digits is a poor joint.");
      }
    }
  }

  /** From a pin of the plug to a terminal, if this trailer has both. */
  private void between(
      CheckId id, String title, PinFunction function, Load load, String terminal, String why) {
    String plug = Nodes.plug(function);
    if (connector.has(function) && maker.reaches(Setup.dead(), plug, terminal)) {
      boolean magnet = load.kind() == Load.Kind.MAGNET;
      add(
          new CheckMaker.Words(
              id,
              title,
              Check.Group.CONTINUITY,
              function,
              DEAD,
              "At the trailer's plug, a long lead to the " + (magnet ? "wheel" : "terminal"),
              Phrase.of(
                  "pin %d, %s", connector.pin(function).orElseThrow().number(), function.label()),
              function == PinFunction.EARTH ? "its return terminal" : "its live terminal",
              why,
              UNDER,
              Reckoned.BETWEEN_THE_LEADS),
          new Probing(Setup.dead(), Measure.OHMS, plug, terminal));
    }
  }

  private void magnets() {
    for (Load load : harness.loads()) {
      if (load.kind() == Load.Kind.MAGNET) {
        add(
            new CheckMaker.Words(
                CheckId.of(MAGNET_OHMS, load),
                load.label() + ": by itself",
                Check.Group.MAGNETS,
                PinFunction.BRAKE,
                "Plug out, magnet cold, one of its wires off its joint.",
                "Behind the wheel",
                "one wire of the magnet",
                "its other wire",
                "Off its leads it stands for itself: within a tenth of its plate, and within 0.3 Ω or a tenth of the other side.",
                OFF_ITS_LEADS,
                Reckoned.BETWEEN_THE_LEADS),
            new Probing(Setup.dead(), Measure.OHMS, load.name(), ""));
      }
    }
  }

  private void add(CheckMaker.Words words, Probing probing) {
    checks.add(maker.make(words, probing));
  }
}
