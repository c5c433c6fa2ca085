package org.jexel.core.network;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.atomic.AtomicInteger;
import org.jspecify.annotations.Nullable;

/**
 * One network, solved once as it is and then with many different faults, each as a change of low
 * rank instead of a new factorisation.
 *
 * <p>F_f(x) = F(x) + Σ r_p·(after − before)(c_pᵀ·x) over the changed elements p. What a fault
 * changes and what does not keep to Ohm's law stands at ports of the linearised whole network, and
 * Newton's method runs on these alone ({@link Compensation}); its Jacobian is J(x₀) + Σ
 * r_p·b_p·c_pᵀ over ports whose slope has changed by b_p (Woodbury's identity; Hager, "Updating the
 * inverse of a matrix", SIAM Review 31, 1989). Then the faulty network's own residual is looked at,
 * and digits that were lost on the way are won back by steps from it.
 *
 * <p>What does not settle so is solved by a full factorisation. For any number of threads.
 */
public final class FaultSolver {
  /**
   * @param before the element of the whole rig; null where the fault adds one
   * @param after what stands in its place; null where it is gone
   */
  public record Change(@Nullable Element before, @Nullable Element after) {
    /**
     * What stands in a network whose own element differs from the whole rig's: of a source whose
     * volts the fault leaves alone, the volts of this state.
     */
    private @Nullable Element in(@Nullable Element own) {
      if (own instanceof Element.Source s
          && before instanceof Element.Source b
          && after instanceof Element.Source a
          && a.volts() == b.volts()) {
        return new Element.Source(a.name(), a.plus(), a.minus(), s.volts(), a.ohms());
      }
      return after;
    }
  }

  private final Network network;
  private final Linearised whole;

  /** Every element at its place. */
  private final Map<String, Port> standing = new HashMap<>();

  /** Elements that do not keep to Ohm's law, what each sees of the others, and their places. */
  private final List<Port> curved = new ArrayList<>();

  private final double[][] between;
  private final Map<String, Integer> places = new HashMap<>();
  private final AtomicInteger full = new AtomicInteger();

  /** With nothing changed. */
  private final Readout unchanged;

  private final List<Fuse> fuses = new ArrayList<>();

  public FaultSolver(Network network) {
    this.network = network;
    whole = new Linearised(network);
    for (Element element : network.elements()) {
      Port port = Port.of(whole, element);
      standing.put(element.name(), port);
      if (element instanceof Element.Converter
          || element instanceof Element.TwoPole && !(element instanceof Element.Ohmic)) {
        places.put(element.name(), curved.size());
        curved.add(port);
      } else if (element instanceof Fuse fuse) {
        fuses.add(fuse);
      }
    }
    between = extended(new double[0][], curved);
    unchanged = new FaultyReadout(whole, List.of(), new Port[0], () -> factored(List.of()));
  }

  /** What faults change on a whole rig; worked out once for all its states. */
  public static List<Change> changes(Network whole, List<Fault> faults) {
    // A wheel keeps its condition, whatever else its magnet has.
    List<Fault> conditionsFirst =
        faults.stream()
            .sorted(Comparator.comparing((Fault fault) -> fault.condition().isEmpty()))
            .toList();
    List<Change> changes = new ArrayList<>();
    FaultEdit.of(whole.byName(), conditionsFirst)
        .forEach(
            (name, now) -> {
              Element before = whole.find(name);
              Element after = now.orElse(null);
              if (!Objects.equals(before, after)) {
                changes.add(new Change(before, after));
              }
            });
    return changes;
  }

  public Network network() {
    return network;
  }

  /** Every fuse, as it stands without faults. */
  public List<Fuse> fuses() {
    return Collections.unmodifiableList(fuses);
  }

  /** What a node hangs on: its volts for one ampere into it, Ω. */
  double resistance(String node) {
    return whole.rise(whole.place(node), whole.place(node));
  }

  /** How often a full factorisation had to help. */
  public int fullSolutions() {
    return full.get();
  }

  /**
   * The network with these changes; one of a part that is not in this network changes nothing.
   *
   * @throws NetworkException if it cannot be solved
   */
  public Readout solve(List<Change> changes) {
    List<Port> changed = new ArrayList<>();
    for (Change change : changes) {
      Element was = change.before();
      Port own = was == null ? null : standing.get(was.name());
      // The network's own element, which may lie elsewhere in its tolerance than the whole rig's.
      Element before = own == null ? null : own.before();
      Element after = change.in(before);
      boolean there = after == null || own != null && own.fits(after) || network.placed(after);
      if (was != null && own == null || !there) {
        continue;
      }
      if (before instanceof Element.Converter || after instanceof Element.Converter) {
        return factored(changes);
      }
      changed.addAll(ports(own, after));
    }
    if (changed.isEmpty()) {
      return unchanged;
    }
    FaultyReadout readout =
        new FaultyReadout(whole, changes, changed.toArray(Port[]::new), () -> factored(changes));
    List<Port> felt = new ArrayList<>(changed);
    // What hangs on such a one alone is fed by nothing, with it or without: the rest stands.
    felt.removeIf(port -> port.apartFrom(curved) && port.apartFrom(changed));
    // A part that carries nothing here may be gone or another: the solution stands.
    return felt.stream().allMatch(Port::idle) || settles(readout, felt)
        ? readout
        : factored(changes);
  }

  /** One where both stand between the same ends; else where one is gone and where one is added. */
  private List<Port> ports(@Nullable Port own, @Nullable Element after) {
    if (own == null) {
      return after == null ? List.of() : List.of(Port.added(whole, after));
    }
    return after == null || own.fits(after)
        ? List.of(own.with(after))
        : List.of(own.with(null), Port.added(whole, after));
  }

  private boolean settles(FaultyReadout readout, List<Port> changed) {
    List<Port> bent = new ArrayList<>(curved);
    List<Port> straight = new ArrayList<>();
    for (Port port : changed) {
      Element before = port.before();
      Integer place = before == null ? null : places.get(before.name());
      if (place != null) {
        bent.set(place, port);
      } else {
        (port.isStraight() ? straight : bent).add(port);
      }
    }
    List<Port> ports = new ArrayList<>(bent);
    ports.addAll(straight);
    return readout.settle(ports.toArray(Port[]::new), bent.size(), extended(between, ports));
  }

  /** What each port sees of each, where that is known of the first ones already. */
  private static double[][] extended(double[][] known, List<Port> ports) {
    double[][] z = new double[ports.size()][];
    for (int p = 0; p < z.length; p++) {
      boolean old = p < known.length;
      z[p] = old ? Arrays.copyOf(known[p], z.length) : new double[z.length];
      for (int q = old ? known.length : 0; q < z.length; q++) {
        z[p][q] = ports.get(p).seesOf(ports.get(q));
      }
    }
    return z;
  }

  /** The same by a full factorisation. */
  public Solution factored(List<Change> changes) {
    full.incrementAndGet();
    return faulty(changes).solve(whole.equations());
  }

  private Network faulty(List<Change> changes) {
    Map<String, Element> elements = new LinkedHashMap<>();
    network.elements().forEach(element -> elements.put(element.name(), element));
    for (Change change : changes) {
      Element before = change.before();
      Element after = change.in(before == null ? null : elements.get(before.name()));
      if (!network.placed(after) || before != null && !elements.containsKey(before.name())) {
        continue;
      }
      if (after != null) {
        elements.put(after.name(), after);
      } else if (before != null) {
        elements.remove(before.name());
      }
    }
    Network faulty = new Network(network.ground());
    // Nodes that hang free stay defined by their leak, so that a meter may still be put on them.
    faulty.addNodes(network.nodes());
    elements.values().forEach(faulty::add);
    return faulty;
  }
}
