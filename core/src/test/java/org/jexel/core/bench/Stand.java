package org.jexel.core.bench;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import org.jexel.core.Rigs;
import org.jexel.core.check.Check;
import org.jexel.core.check.CheckSheet;
import org.jexel.core.check.FurtherChecks;
import org.jexel.core.check.Meter;
import org.jexel.core.check.Probing;
import org.jexel.core.check.Setup;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.WireSize;
import org.jexel.core.network.Element;
import org.jexel.core.network.Fault;
import org.jexel.core.network.FaultSolver;
import org.jexel.core.network.Filament;
import org.jexel.core.network.Fuse;
import org.jexel.core.network.Led;
import org.jexel.core.network.Network;
import org.jexel.core.network.Readout;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.network.Tolerance;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;

/**
 * A rig on the stand with hidden faults: every healthy part somewhere within its tolerance, read
 * with a meter's noise and an eye that sometimes says the neighbouring word.
 */
public final class Stand {
  /** One look in so many is called by the neighbouring word. */
  private static final double MISTAKEN = 0.01;

  private final Rig rig;
  private final Harness harness;
  private final List<Fault> faults;
  private final Random dice;
  private final Map<String, Double> shifts = new HashMap<>();
  private final Map<Setup, Readout> readouts = new HashMap<>();

  public Stand(Rig rig, Harness harness, List<Fault> faults, Random dice) {
    this.rig = rig;
    this.harness = harness;
    this.faults = faults;
    this.dice = dice;
  }

  /** A rig of the kinds that come into the yard. */
  public static Rig randomRig(Random dice) {
    boolean braked = dice.nextInt(4) > 0;
    return Rigs.rig(
        Rigs.sheet(
            RigField.AXLE_COUNT, 1 + dice.nextInt(2),
            RigField.BRAKE_TYPE, braked ? "ELECTRIC" : "NONE",
            RigField.TOW_CONNECTOR, braked ? "blade-7" : "flat-4",
            RigField.TRAILER_CONNECTOR, braked ? "blade-7" : "flat-4",
            RigField.CONTROLLER_KIND, braked ? "UNDER_DASH" : "NONE",
            RigField.ENGINE_OFF_VOLTS, 12.4 + 0.05 * dice.nextInt(8),
            RigField.FEED_RUN, 4 + dice.nextInt(4),
            RigField.OVERALL_LENGTH, 4 + 0.5 * dice.nextInt(8),
            RigField.BREAKAWAY_KIT, braked ? "OWN_BATTERY" : "NONE",
            RigField.LAMP_TECHNOLOGY, dice.nextInt(3) == 0 ? "LED" : "FILAMENT",
            RigField.LAMP_RETURN, dice.nextInt(3) == 0 ? "FRAME" : "OWN_CONDUCTOR"));
  }

  public static Harness harness(Rig rig) {
    return HarnessPlanner.plan(rig, WireSize.GAUGES);
  }

  public static List<Check> checks(Rig rig, Harness harness) {
    List<Check> checks = new ArrayList<>(CheckSheet.of(rig, harness, OptionalDouble.empty()));
    checks.addAll(FurtherChecks.of(rig, harness, OptionalDouble.empty()));
    return checks;
  }

  /** What somebody reads at this check. */
  public double read(Check check) {
    Probing probing = check.probing();
    Readout readout = readouts.computeIfAbsent(probing.setup(), this::solve);
    double value = probing.read(readout);
    int words = check.measure().words().size();
    if (words > 0) {
      if (dice.nextDouble() < MISTAKEN) {
        value += dice.nextBoolean() ? 1 : -1;
      }
      return Math.max(0, Math.min(words - 1, value));
    }
    return value + dice.nextGaussian() * Meter.error(value, check.measure()) / 2;
  }

  private Readout solve(Setup setup) {
    List<Fault> signal = faults.stream().filter(f -> f.kind() == Fault.Kind.SIGNAL).toList();
    RigNetwork network = setup.network(rig, harness, signal);
    return new FaultSolver(varied(network))
        .solve(FaultSolver.changes(RigNetwork.whole(rig, harness), faults));
  }

  /** Every part at its own place within its tolerance, the same in each setup. */
  private Network varied(RigNetwork network) {
    Map<String, Tolerance> tolerances = new HashMap<>();
    network.tolerances().forEach(t -> tolerances.put(t.element(), t));
    Network varied = new Network(network.network().ground());
    for (Element element : network.network().elements()) {
      Tolerance tolerance = tolerances.get(element.name());
      varied.add(tolerance == null ? element : with(element, tolerance));
    }
    return varied;
  }

  private Element with(Element element, Tolerance tolerance) {
    double z = shifts.computeIfAbsent(element.name(), name -> dice.nextGaussian());
    double shift = z < 0 ? z * tolerance.below() / 2 : z * tolerance.above() / 2;
    double factor = Math.max(0.05, 1 + shift / tolerance.nominal());
    if (element instanceof Element.Resistor r) {
      return new Element.Resistor(r.name(), r.a(), r.b(), r.ohms() * factor);
    } else if (element instanceof Fuse f) {
      return new Fuse(f.name(), f.a(), f.b(), f.ohms() * factor, f.rating());
    } else if (element instanceof Filament f) {
      return new Filament(f.name(), f.a(), f.b(), f.amps() * factor, f.volts());
    } else if (element instanceof Led l) {
      return new Led(l.name(), l.a(), l.b(), l.amps() * factor);
    } else if (element instanceof Element.Source s) {
      return new Element.Source(s.name(), s.plus(), s.minus(), s.volts() * factor, s.ohms());
    } else if (element instanceof Element.Converter c) {
      return new Element.Converter(c.name(), c.in(), c.out(), c.share(), c.drop() * factor);
    }
    return element;
  }
}
