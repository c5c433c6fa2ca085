package org.jexel.core.network;

import org.ejml.data.DMatrixRMaj;
import org.ejml.data.DMatrixSparseCSC;
import org.ejml.interfaces.linsol.LinearSolverSparse;
import org.ejml.sparse.FillReducing;
import org.ejml.sparse.csc.CommonOps_DSCC;
import org.ejml.sparse.csc.factory.LinearSolverFactory_DSCC;
import org.jexel.core.quantity.Must;
import org.jspecify.annotations.Nullable;

/** Voltages and currents of a solved network, and how they answer to each part. */
public final class Solution implements Readout {
  /** What an ohmmeter sends through a circuit, A: every lamp stays cold. */
  private static final double TEST_AMPS = 1e-3;

  private final Network network;
  private final Equations equations;
  private final double[] x;
  private @Nullable LinearSolverSparse<DMatrixSparseCSC, DMatrixRMaj> transposed;

  Solution(Network network, Equations equations, double[] x) {
    this.network = network;
    this.equations = equations;
    this.x = x;
  }

  public Network network() {
    return network;
  }

  /** Place of a node among the unknowns; −1 for ground. */
  private int index(String node) {
    Integer place = equations.nodes().get(node);
    if (place == null && !node.equals(network.ground())) {
      throw new IllegalArgumentException("no node " + node);
    }
    return place == null ? -1 : place;
  }

  /** Voltage of a node against ground, V. */
  public double volts(String node) {
    int i = index(node);
    return i < 0 ? 0 : x[i];
  }

  /** What a meter shows with its red lead on one node and its black lead on the other, V. */
  @Override
  public double volts(String red, String black) {
    return volts(red) - volts(black);
  }

  /** Voltage across an element that has two poles, V. */
  public double across(String name) {
    Element.TwoPole p = (Element.TwoPole) network.element(name);
    return volts(p.a(), p.b());
  }

  /**
   * Current through an element, A: a two-pole's from its first to its second node, a source's out
   * of its plus post, a converter's out of its output.
   */
  @Override
  public double amps(String name) {
    if (!network.has(name)) {
      return 0;
    }
    Element element = network.element(name);
    if (element instanceof Element.TwoPole p) {
      return p.amps(volts(p.a(), p.b()));
    }
    double i = x[Must.have(equations.branches(), name)];
    return element instanceof Element.Source ? -i : i;
  }

  @Override
  public boolean has(String element) {
    return network.has(element);
  }

  @Override
  public double brightness(String lamp) {
    return network.has(lamp) ? Lit.brightness(network.element(lamp), across(lamp)) : 0;
  }

  @Override
  public double ohms(String red, String black) {
    network.mustBeDead();
    Sensitivity drop = adjoint(leads(red, black));
    return at(drop.lambda, red) - at(drop.lambda, black);
  }

  @Override
  public double ohms(String part) {
    boolean pole = network.has(part) && network.element(part) instanceof Element.TwoPole;
    return pole ? ((Element.TwoPole) network.element(part)).cold() : Double.POSITIVE_INFINITY;
  }

  double[] unknowns() {
    return x;
  }

  Equations equations() {
    return equations;
  }

  /** How the voltage between two nodes answers to every element. */
  public Sensitivity ofVolts(String red, String black) {
    return adjoint(leads(red, black));
  }

  /** How the resistance between two nodes of a dead network answers to every element. */
  public Sensitivity ofOhms(String red, String black) {
    network.mustBeDead();
    Sensitivity drop = adjoint(leads(red, black));
    double[] tested = new double[x.length];
    for (int i = 0; i < tested.length; i++) {
      tested[i] = TEST_AMPS * drop.lambda[i];
    }
    return new Sensitivity(this, drop.lambda, tested, TEST_AMPS);
  }

  private double[] leads(String red, String black) {
    double[] c = new double[x.length];
    set(c, index(red), 1);
    set(c, index(black), -1);
    return c;
  }

  /** How the current out of a source answers to every element. */
  public Sensitivity ofSourceAmps(String source) {
    if (!(network.element(source) instanceof Element.Source)) {
      throw new IllegalArgumentException(source + " is not a source");
    }
    double[] c = new double[x.length];
    c[Must.have(equations.branches(), source)] = -1;
    return adjoint(c);
  }

  /** How the current through a resistor answers to every element but its own. */
  public Sensitivity ofAmps(String resistor) {
    Element.Resistor r = (Element.Resistor) network.element(resistor);
    double[] c = new double[x.length];
    set(c, index(r.a()), 1 / r.ohms());
    set(c, index(r.b()), -1 / r.ohms());
    return adjoint(c);
  }

  private static void set(double[] c, int index, double value) {
    if (index >= 0) {
      c[index] = value;
    }
  }

  private Sensitivity adjoint(double[] c) {
    if (transposed == null) {
      transposed = LinearSolverFactory_DSCC.lu(FillReducing.NONE);
      transposed.setA(CommonOps_DSCC.transpose(equations.jacobian(x), null, null));
    }
    double[] lambda = new double[x.length];
    transposed.solve(Equations.column(c), Equations.column(lambda));
    return new Sensitivity(this, lambda, x, 1);
  }

  private double at(double[] unknowns, String node) {
    int i = index(node);
    return i < 0 ? 0 : unknowns[i];
  }

  /**
   * Derivative of one result to the parameter of one element, from the adjoint solution λ of Jᵀ·λ =
   * c: dy/dp = −λᵀ·∂F/∂p; y may be told for another scale than that of the solution.
   */
  public static final class Sensitivity {
    private final Solution solution;
    private final double[] lambda;
    private final double[] x;
    private final double scale;

    private Sensitivity(Solution solution, double[] lambda, double[] x, double scale) {
      this.solution = solution;
      this.lambda = lambda;
      this.x = x;
      this.scale = scale;
    }

    /**
     * To a resistor's or fuse's ohms, a lamp's nominal amps, a diode's forward volts, a source's
     * volts, or a converter's drop.
     */
    public double to(String name) {
      Element element = solution.network.element(name);
      if (element instanceof Element.TwoPole p) {
        double volts = solution.at(x, p.a()) - solution.at(x, p.b());
        double adjoint = solution.at(lambda, p.a()) - solution.at(lambda, p.b());
        return -adjoint * toParameter(p, volts) / scale;
      }
      double branch = lambda[Must.have(solution.equations.branches(), name)];
      return element instanceof Element.Converter c
          ? branch * c.share() * c.fade(solution.at(x, c.in()))
          : branch;
    }

    /** Change of an element's current with its own parameter at a given voltage. */
    private static double toParameter(Element.TwoPole pole, double volts) {
      double amps = pole.amps(volts);
      if (pole instanceof Element.Ohmic r) {
        return -amps / r.ohms();
      } else if (pole instanceof Filament f) {
        return amps / f.amps();
      } else if (pole instanceof Led l) {
        return l.brightness(volts);
      }
      Diode d = (Diode) pole;
      return -pole.slope(volts) * volts / d.forward();
    }
  }
}
