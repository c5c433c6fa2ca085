package org.jexel.core.network;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.ejml.data.DMatrixRMaj;
import org.ejml.data.DMatrixSparseCSC;
import org.ejml.interfaces.linsol.LinearSolverSparse;
import org.ejml.sparse.FillReducing;
import org.ejml.sparse.csc.factory.LinearSolverFactory_DSCC;

/**
 * One network, solved once as it is and then with many different faults, each as a change of low
 * rank instead of a new factorisation.
 *
 * <p>F_f(x) = F(x) + Σ r_p·(after − before)(c_pᵀ·x) over the changed elements p. Newton's method
 * runs on F_f from the whole network's solution x₀; its Jacobian is J(x₀) + Σ r_p·b_p·c_pᵀ over the
 * ports p whose slope has changed by b_p, a changed element or a lamp at another voltage, so that
 * each step needs J⁻¹, kept from the whole network, and a small dense system (Woodbury's identity;
 * Hager, "Updating the inverse of a matrix", SIAM Review 31, 1989). Since every step starts from
 * the faulty network's own residual, digits that one step loses are won back by the next.
 *
 * <p>What does not settle so is solved by a full factorisation.
 */
public final class FaultSolver {
  private static final int MOST_STEPS = 40;
  private static final int MOST_HALVINGS = 12;

  /** A slope that has changed by less than this share of what its port hangs on has not changed. */
  private static final double BENT = 1e-9;

  /** Currents below this leave no mark on what a step mends, A. */
  private static final double NOTHING = 1e-14;

  /** The same as a share of the greatest; what is passed over the next step's residual shows. */
  private static final double LITTLE = 1e-5;

  /** Where Newton's steps end, A: a tenth of what a full solution may leave. */
  private static final double SETTLED = 0.1 * Newton.RESIDUAL;

  private static final double SINGULAR = 1e-12;

  /**
   * @param before the element of the whole rig; null where the fault adds one
   * @param after what stands in its place; null where it is gone
   */
  public record Change(Element before, Element after) {}

  private final Network network;
  private final Map<String, Integer> places;
  private final Map<String, Integer> branches;
  private final double[] x0;
  private final double[] inverse;
  private final int size;
  private final Equations equations;
  private final Map<String, Port> curved = new LinkedHashMap<>();
  private int full;

  public FaultSolver(Network network) {
    this.network = network;
    Solution whole = network.solve();
    places = whole.places();
    equations = whole.equations();
    branches = equations.branches();
    size = equations.size();
    x0 = whole.unknowns().clone();
    inverse = inverse();
    for (Element element : network.elements()) {
      if (element instanceof Element.Converter
          || element instanceof Element.TwoPole && !(element instanceof Element.Ohmic)) {
        curved.put(element.name(), new Port(element, element));
      }
    }
  }

  /** J⁻¹ by columns; the root is polished by one more step on the way. */
  private double[] inverse() {
    LinearSolverSparse<DMatrixSparseCSC, DMatrixRMaj> solver =
        LinearSolverFactory_DSCC.lu(FillReducing.NONE);
    if (!solver.setA(equations.jacobian(x0))) {
      throw new NetworkException("The network cannot be solved again at its own solution");
    }
    double[] f = new double[size];
    equations.residual(x0, f);
    double[] step = new double[size];
    solver.solve(Equations.column(f), Equations.column(step));
    for (int i = 0; i < size; i++) {
      x0[i] -= step[i];
    }
    solver.setA(equations.jacobian(x0));
    double[] all = new double[size * size];
    double[] unit = new double[size];
    double[] column = new double[size];
    for (int j = 0; j < size; j++) {
      unit[j] = 1;
      solver.solve(Equations.column(unit), Equations.column(column));
      System.arraycopy(column, 0, all, j * size, size);
      unit[j] = 0;
    }
    return all;
  }

  /** What faults change on a whole rig; worked out once for all its states. */
  public static List<Change> changes(Network whole, List<Fault> faults) {
    Map<String, Element> elements = new LinkedHashMap<>();
    whole.elements().forEach(element -> elements.put(element.name(), element));
    faults.forEach(fault -> FaultEdit.apply(elements, fault));
    List<Change> changes = new ArrayList<>();
    for (Element before : whole.elements()) {
      Element after = elements.remove(before.name());
      if (!before.equals(after)) {
        changes.add(new Change(before, after));
      }
    }
    elements.values().forEach(added -> changes.add(new Change(null, added)));
    return changes;
  }

  public Network network() {
    return network;
  }

  /** What a node hangs on: its volts for one ampere into it, Ω. */
  double resistance(String node) {
    return entry(place(node), place(node));
  }

  /** How often a full factorisation had to help. */
  public int fullSolutions() {
    return full;
  }

  /**
   * The network with these changes; one of a part that is not in this network changes nothing.
   *
   * @throws NetworkException if it cannot be solved
   */
  public Readout solve(List<Change> changes) {
    Map<String, Port> ports = new LinkedHashMap<>(curved);
    boolean same = true;
    for (Change change : changes) {
      boolean added = change.before() == null;
      if (!added && !network.has(change.before().name()) || !placed(change.after())) {
        continue;
      }
      same = false;
      // The network's own element, which may lie elsewhere in its tolerance than the whole rig's.
      Element before = added ? null : network.element(change.before().name());
      Element after = change.after();
      if (before instanceof Element.Converter || after instanceof Element.Converter) {
        return factored(changes);
      }
      boolean sameEnds =
          before != null
              && after != null
              && List.of(Equations.ends(before)).equals(List.of(Equations.ends(after)));
      if (before != null) {
        ports.put(before.name(), new Port(before, sameEnds ? after : null));
      }
      if (after != null && !sameEnds) {
        ports.put("+" + after.name(), new Port(null, after));
      }
    }
    Answer answer = new Answer(List.copyOf(ports.values()), changes);
    return same || answer.settle() ? answer : factored(changes);
  }

  private boolean placed(Element after) {
    if (after == null) {
      return true;
    }
    for (String end : Equations.ends(after)) {
      if (!network.hasNode(end)) {
        return false;
      }
    }
    return true;
  }

  /** The same by a full factorisation. */
  public Solution factored(List<Change> changes) {
    full++;
    Map<String, Element> elements = new LinkedHashMap<>();
    network.elements().forEach(element -> elements.put(element.name(), element));
    for (Change change : changes) {
      if (change.before() == null) {
        if (placed(change.after())) {
          elements.put(change.after().name(), change.after());
        }
      } else if (elements.containsKey(change.before().name()) && placed(change.after())) {
        if (change.after() == null) {
          elements.remove(change.before().name());
        } else {
          elements.put(change.after().name(), change.after());
        }
      }
    }
    Network faulty = new Network(network.ground());
    // Nodes that hang free stay defined by their leak, so that a meter may still be put on them.
    faulty.addNodes(network.nodes());
    elements.values().forEach(faulty::add);
    return faulty.solve();
  }

  private int place(String node) {
    return places.getOrDefault(node, -1);
  }

  private double entry(int row, int column) {
    return row < 0 || column < 0 ? 0 : inverse[column * size + row];
  }

  /** Where an element injects, what it sees, and its law before and after. */
  private final class Port {
    private final int rowA;
    private final int rowB;
    private final int seenA;
    private final int seenB;
    private final Element before;
    private final Element after;
    private final double slope0;

    Port(Element before, Element after) {
      this.before = before;
      this.after = after;
      Element any = before == null ? after : before;
      if (any instanceof Element.TwoPole p) {
        rowA = place(p.a());
        rowB = place(p.b());
        seenA = rowA;
        seenB = rowB;
      } else {
        rowA = branches.get(any.name());
        rowB = -1;
        seenA = any instanceof Element.Converter c ? place(c.in()) : rowA;
        seenB = -1;
      }
      slope0 = slope(before, sees(x0));
    }

    double sees(double[] x) {
      return (seenA < 0 ? 0 : x[seenA]) - (seenB < 0 ? 0 : x[seenB]);
    }

    private double law(Element element, double v) {
      if (element instanceof Element.TwoPole p) {
        return p.amps(v);
      }
      // A converter as a port stays as it is; only its slope can change.
      return element instanceof Element.Source s ? -s.ohms() * v - s.volts() : 0;
    }

    private double slope(Element element, double v) {
      if (element instanceof Element.TwoPole p) {
        return p.slope(v);
      } else if (element instanceof Element.Converter c) {
        return c.slope(v);
      }
      return element instanceof Element.Source s ? -s.ohms() : 0;
    }

    void inject(double[] x, double[] f) {
      double v = sees(x);
      double more = law(after, v) - law(before, v);
      if (rowA >= 0) {
        f[rowA] += more;
      }
      if (rowB >= 0) {
        f[rowB] -= more;
      }
    }

    double bends(double[] x) {
      return slope(after, sees(x)) - slope0;
    }

    /** Rise of unknown i for one ampere (or volt) that this port injects. */
    double raises(int i) {
      return entry(i, rowA) - entry(i, rowB);
    }
  }

  /** The faulty network at its solution. */
  private final class Answer implements Readout {
    private final List<Port> ports;
    private final List<Change> changes;
    private final double[] x = x0.clone();

    Answer(List<Port> ports, List<Change> changes) {
      this.ports = ports;
      this.changes = changes;
    }

    private double residual(double[] at, double[] f) {
      equations.residual(at, f);
      for (Port port : ports) {
        if (port.before != port.after) {
          port.inject(at, f);
        }
      }
      double sum = 0;
      for (double value : f) {
        sum += value * value;
      }
      return Math.sqrt(sum);
    }

    /** Walks to the root; false where it does not settle. */
    boolean settle() {
      double[] f = new double[size];
      double[] trial = new double[size];
      double norm = residual(x, f);
      for (int i = 0; i < MOST_STEPS; i++) {
        if (norm < SETTLED) {
          return true;
        }
        double[] step = step(f);
        if (step == null) {
          return false;
        }
        double t = 1;
        double next = norm;
        for (int halving = 0; halving <= MOST_HALVINGS; halving++) {
          for (int j = 0; j < size; j++) {
            trial[j] = x[j] - t * step[j];
          }
          next = residual(trial, f);
          if (next < norm) {
            break;
          }
          t /= 2;
        }
        if (!(next < norm)) {
          return norm < Newton.RESIDUAL;
        }
        System.arraycopy(trial, 0, x, 0, size);
        norm = next;
      }
      return false;
    }

    /** (J + Σ r·b·cᵀ)⁻¹·f; null if singular. */
    private double[] step(double[] f) {
      double[] y = new double[size];
      double most = 0;
      for (double value : f) {
        most = Math.max(most, Math.abs(value));
      }
      double least = Math.max(NOTHING, LITTLE * most);
      for (int j = 0; j < size; j++) {
        if (Math.abs(f[j]) > least) {
          int column = j * size;
          for (int i = 0; i < size; i++) {
            y[i] += inverse[column + i] * f[j];
          }
        }
      }
      Port[] bent = new Port[ports.size()];
      double[] bend = new double[bent.length];
      int k = 0;
      for (Port port : ports) {
        double b = port.bends(x);
        if (b != 0 && Math.abs(b * (port.raises(port.seenA) - port.raises(port.seenB))) > BENT) {
          bent[k] = port;
          bend[k++] = b;
        }
      }
      double[][] m = new double[k][k + 1];
      for (int r = 0; r < k; r++) {
        for (int c = 0; c < k; c++) {
          double z = bent[c].raises(bent[r].seenA) - bent[c].raises(bent[r].seenB);
          m[r][c] = z * bend[c] + (r == c ? 1 : 0);
        }
        m[r][k] = bent[r].sees(y);
      }
      if (!eliminate(m, k)) {
        return null;
      }
      for (int c = 0; c < k; c++) {
        double weight = bend[c] * m[c][k];
        lower(y, bent[c].rowA, weight);
        lower(y, bent[c].rowB, -weight);
      }
      return y;
    }

    private void lower(double[] y, int row, double weight) {
      if (row >= 0) {
        int column = row * size;
        for (int i = 0; i < size; i++) {
          y[i] -= inverse[column + i] * weight;
        }
      }
    }

    @Override
    public double volts(String red, String black) {
      return at(red) - at(black);
    }

    private double at(String name) {
      int place = place(name);
      if (place < 0 && !name.equals(network.ground())) {
        throw new IllegalArgumentException("no node " + name);
      }
      return place < 0 ? 0 : x[place];
    }

    /** The element as it stands with the faults; null if it is gone. */
    private Element standing(String name) {
      for (Change change : changes) {
        boolean own = change.before() != null && change.before().name().equals(name);
        if (own && placed(change.after())) {
          return change.after();
        }
      }
      return network.element(name);
    }

    @Override
    public double amps(String name) {
      Element element = network.has(name) ? standing(name) : null;
      if (element == null) {
        return 0;
      }
      if (element instanceof Element.TwoPole p) {
        return p.amps(volts(p.a(), p.b()));
      }
      double amps = x[branches.get(name)];
      return element instanceof Element.Source ? -amps : amps;
    }

    @Override
    public double brightness(String lamp) {
      Element element = network.has(lamp) ? standing(lamp) : null;
      return element instanceof Element.TwoPole p
          ? Lit.brightness(element, volts(p.a(), p.b()))
          : 0;
    }
  }

  /** Gauss's elimination with row pivots on k rows with one right side; false if singular. */
  private static boolean eliminate(double[][] m, int k) {
    for (int c = 0; c < k; c++) {
      int pivot = c;
      for (int r = c + 1; r < k; r++) {
        pivot = Math.abs(m[r][c]) > Math.abs(m[pivot][c]) ? r : pivot;
      }
      double[] swapped = m[c];
      m[c] = m[pivot];
      m[pivot] = swapped;
      if (!(Math.abs(m[c][c]) > SINGULAR)) {
        return false;
      }
      for (int r = 0; r < k; r++) {
        if (r != c && m[r][c] != 0) {
          double factor = m[r][c] / m[c][c];
          for (int j = c; j <= k; j++) {
            m[r][j] -= factor * m[c][j];
          }
        }
      }
    }
    for (int r = 0; r < k; r++) {
      m[r][k] /= m[r][r];
    }
    return true;
  }
}
