package org.jexel.core.network;

import java.util.List;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** A network with faults at its solution. */
final class FaultyReadout implements Readout {
  /**
   * Where the walk ends, A: a tenth of what a full solution may leave. What it is already as good
   * as goes no further.
   */
  private static final double SETTLED = 0.1 * Newton.RESIDUAL;

  /** Steps from the residual that win back lost digits. */
  private static final int MOST_STEPS = 40;

  private static final int MOST_HALVINGS = 12;

  private static final double ALL_OR_NONE = 0.5;

  private final Linearised whole;
  private final Network network;
  private final List<FaultSolver.Change> changes;
  private final Port[] changed;
  private final Supplier<Readout> factored;

  /** The solution; the whole network's own, not to be written to, for as long as that stands. */
  private double[] x;

  /** The changed ports among themselves, for ohms; made when it is first asked for. */
  private @Nullable Compensation dead;

  /** By a full factorisation, once the ports could not tell. */
  private @Nullable Readout full;

  /**
   * @param changed where the faults change the network
   * @param factored the same network by a full factorisation, where ports cannot tell
   */
  FaultyReadout(
      Linearised whole,
      List<FaultSolver.Change> changes,
      Port[] changed,
      Supplier<Readout> factored) {
    this.whole = whole;
    this.network = whole.network();
    this.changes = changes;
    this.changed = changed;
    this.factored = factored;
    this.x = whole.unmoved();
  }

  /**
   * Walks to the root; false where it does not settle.
   *
   * @param curved so many of the first ports do not keep to a straight line
   * @param between what port p sees of one unit injected at port q
   */
  boolean settle(Port[] ports, int curved, double[][] between) {
    Compensation compensation = new Compensation(ports, curved, between);
    compensation.settle(SETTLED);
    x = whole.unmoved().clone();
    compensation.spread(x);
    double[] f = new double[x.length];
    double norm = residual(x, f);
    boolean enough = norm < Newton.RESIDUAL;
    for (int i = 0; i < MOST_STEPS && !enough && !(norm < SETTLED); i++) {
      double[] step = whole.answer(f);
      if (!compensation.bend(x, step)) {
        return false;
      }
      double[] trial = new double[x.length];
      double t = 1;
      double next = norm;
      for (int halving = 0; halving <= MOST_HALVINGS && !(next < norm); halving++) {
        for (int j = 0; j < x.length; j++) {
          trial[j] = x[j] - t * step[j];
        }
        next = residual(trial, f);
        t /= 2;
      }
      if (!(next < norm)) {
        break;
      }
      x = trial;
      norm = next;
    }
    return norm < Newton.RESIDUAL;
  }

  private double residual(double[] x, double[] f) {
    whole.equations().residual(x, f);
    for (Port port : changed) {
      port.inject(x, f);
    }
    double sum = 0;
    for (double value : f) {
      sum += value * value;
    }
    return Math.sqrt(sum);
  }

  @Override
  public boolean stands() {
    return x == whole.unmoved();
  }

  @Override
  public boolean isUntouched() {
    return changed.length == 0;
  }

  @Override
  public double volts(String red, String black) {
    return drop(x, red, black);
  }

  private int place(String name) {
    int place = whole.place(name);
    if (place < 0 && !name.equals(network.ground())) {
      throw new IllegalArgumentException("no node " + name);
    }
    return place;
  }

  private double at(double[] volts, String name) {
    int place = place(name);
    return place < 0 ? 0 : volts[place];
  }

  /** The element as it stands with the faults; null if it is not here, or gone. */
  private @Nullable Element standing(String name) {
    Element element = network.find(name);
    for (FaultSolver.Change change : changes) {
      boolean own = change.before() != null && change.before().name().equals(name);
      if (element != null && own && network.placed(change.after())) {
        return change.after();
      }
    }
    return element;
  }

  @Override
  public boolean has(String name) {
    boolean gone =
        changes.stream()
            .anyMatch(
                c -> c.before() != null && c.after() == null && c.before().name().equals(name));
    return network.has(name) && !gone;
  }

  @Override
  public double amps(String name) {
    Element element = standing(name);
    if (element == null) {
      return 0;
    }
    if (element instanceof Element.TwoPole p) {
      return p.amps(volts(p.a(), p.b()));
    }
    double amps = x[whole.branch(name)];
    return element instanceof Element.Source ? -amps : amps;
  }

  /**
   * R = z_ll − Σ z_lp·u_p, u_p what the changed ports inject against one ampere between the leads.
   */
  @Override
  public double ohms(String red, String black) {
    Compensation ports = dead();
    double[] y = whole.between(place(red), place(black));
    double[] u = ports.against(y);
    double ohms = drop(y, red, black);
    if (u == null && changed.length == 1) {
      // What is gone was the only way between its two sides: all of the ampere went by it or none.
      double share = Math.abs(changed[0].bend(changed[0].v0()) * changed[0].sees(y));
      return share > ALL_OR_NONE ? Double.POSITIVE_INFINITY : ohms;
    } else if (u == null) {
      full = full == null ? factored.get() : full;
      return full.ohms(red, black);
    }
    for (int p = 0; p < u.length; p++) {
      ohms -= u[p] == 0 ? 0 : u[p] * drop(changed[p].answer(), red, black);
    }
    return ohms;
  }

  private double drop(double[] volts, String red, String black) {
    return at(volts, red) - at(volts, black);
  }

  /** Nothing is fed, so every port stands where the whole network left it. */
  private Compensation dead() {
    if (dead == null) {
      whole.mustBeDead();
      double[][] z = new double[changed.length][changed.length];
      for (int q = 0; q < z.length; q++) {
        double[] answer = changed[q].answer();
        for (int p = 0; p < z.length; p++) {
          z[p][q] = changed[p].sees(answer);
        }
      }
      dead = new Compensation(changed, 0, z);
    }
    return dead;
  }

  @Override
  public double ohms(String part) {
    Element element = standing(part);
    return element instanceof Element.TwoPole p ? p.cold() : Double.POSITIVE_INFINITY;
  }

  @Override
  public double brightness(String lamp) {
    Element element = standing(lamp);
    return element instanceof Element.TwoPole p ? Lit.brightness(element, volts(p.a(), p.b())) : 0;
  }
}
