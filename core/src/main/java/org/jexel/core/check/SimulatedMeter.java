package org.jexel.core.check;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.SplittableRandom;
import org.jexel.core.harness.Harness;
import org.jexel.core.network.Diode;
import org.jexel.core.network.Element;
import org.jexel.core.network.Fault;
import org.jexel.core.network.FaultSolver;
import org.jexel.core.network.Filament;
import org.jexel.core.network.Fuse;
import org.jexel.core.network.Led;
import org.jexel.core.network.Network;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.network.Tolerance;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.NoFigure;
import org.jexel.core.rig.Rig;
import org.jspecify.annotations.Nullable;

/**
 * A meter, an eye and an ear on a simulated rig with hidden faults. Every healthy part lies
 * somewhere within its tolerance, always in the same place for one seed. A pulsed output is read as
 * its average. Readings carry the meter's noise and its digits; one look in a hundred is called by
 * the neighbouring word.
 */
public final class SimulatedMeter {
  private static final double MISTAKEN = 0.01;

  /** Of looks at one part by itself. */
  private static final double MISTAKEN_CLOSE = 0.001;

  private static final double MISSED = 0.1;

  private final Rig rig;
  private final Harness harness;
  private final List<Fault> faults;
  private final long seed;
  private final Random noise;
  private final Map<Setup, FaultSolver> solvers = new HashMap<>();
  private @Nullable FaultyRig faulty;

  /**
   * @param seed settles where in its tolerance every part lies
   * @param noise of the meter and the eye
   */
  public SimulatedMeter(Rig rig, Harness harness, List<Fault> faults, long seed, Random noise) {
    this.rig = rig;
    this.harness = harness;
    this.faults = List.copyOf(faults);
    this.seed = seed;
    this.noise = noise;
  }

  /**
   * What it shows, SI; for words their place in the measure's list; ohms are refused where live.
   */
  public double read(Check check) {
    Measure measure = check.measure();
    double value = faulty().read(check);
    int words = measure.words().size();
    if (words > 0) {
      value = Math.round(value);
      if (measure == Measure.MOVING) {
        // It can be missed, not imagined.
        return value > 0 && noise.nextDouble() < MISSED ? 0 : value;
      } else if (noise.nextDouble() < mistaken(measure)) {
        value += noise.nextBoolean() ? 1 : -1;
      }
      return Math.max(0, Math.min(words - 1, value));
    }
    if (NoFigure.of(measure, value).isPresent()) {
      return value;
    }
    double shown = value + noise.nextGaussian() * Meter.error(value, measure) / 2;
    if (measure == Measure.OHMS) {
      // A meter has no ohms below nothing.
      shown = Math.max(0, shown);
    }
    double digit = Meter.digit(value, measure);
    return Math.round(shown / digit) * digit;
  }

  private static double mistaken(Measure measure) {
    return measure.look() == Measure.Look.CLOSE ? MISTAKEN_CLOSE : MISTAKEN;
  }

  private FaultyRig faulty() {
    if (faulty == null) {
      faulty = new FaultyRig(RigNetwork.whole(rig, harness), harness, faults, this::solver);
    }
    return faulty;
  }

  private FaultSolver solver(Setup setup) {
    List<Fault> signal = faults.stream().filter(f -> f.kind() == Fault.Kind.SIGNAL).toList();
    return solvers.computeIfAbsent(
        setup, s -> new FaultSolver(varied(s.network(rig, harness, signal))));
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

  /** Deviations off; a tolerance is two of them, and a part beyond it is not a healthy one. */
  private static double withinTolerance(SplittableRandom dice) {
    double z = dice.nextGaussian();
    while (Math.abs(z) > 2) {
      z = dice.nextGaussian();
    }
    return z;
  }

  private Element with(Element element, Tolerance tolerance) {
    double z = withinTolerance(new SplittableRandom(seed * 31 + element.name().hashCode()));
    double shift = z < 0 ? z * tolerance.below() / 2 : z * tolerance.above() / 2;
    double factor = Math.max(0.05, 1 + shift / tolerance.nominal());
    if (element instanceof Element.Resistor r) {
      return new Element.Resistor(r.name(), r.a(), r.b(), r.ohms() * factor);
    } else if (element instanceof Fuse f) {
      return new Fuse(f.name(), f.a(), f.b(), f.ohms() * factor, f.rating());
    } else if (element instanceof Filament f) {
      return new Filament(f.name(), f.a(), f.b(), f.amps() * factor, f.volts(), f.light());
    } else if (element instanceof Led l) {
      return new Led(l.name(), l.a(), l.b(), l.amps() * factor, l.light());
    } else if (element instanceof Element.Source s) {
      return new Element.Source(s.name(), s.plus(), s.minus(), s.volts() * factor, s.ohms());
    } else if (element instanceof Diode d) {
      return new Diode(d.name(), d.a(), d.b(), d.forward() * factor);
    } else if (element instanceof Element.Converter c) {
      return new Element.Converter(c.name(), c.in(), c.out(), c.share(), c.drop() * factor);
    }
    return element;
  }
}
