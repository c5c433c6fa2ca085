package org.jexel.core.network;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A network of elements and its solution by modified nodal analysis.
 *
 * <p>Unknowns are the node voltages against ground and the currents of sources and converters;
 * {@link Equations} states them, {@link Newton} finds their root. Every node has a leak of 1e-12 S
 * to ground so that floating parts are defined. Reference: Ho, Ruehli, Brennan, "The modified nodal
 * approach to network analysis", IEEE Trans. CAS 22 (1975).
 */
public final class Network {
  /** Leak from every node to ground, S. */
  static final double GMIN_SIEMENS = 1e-12;

  private final String ground;
  private final Map<String, Integer> nodes = new LinkedHashMap<>();
  private final Map<String, Element> elements = new LinkedHashMap<>();

  /** The same as a list, once somebody has asked for it. */
  private @Nullable List<Element> listed;

  public Network(String ground) {
    this.ground = ground;
  }

  public Network add(Element element) {
    listed = null;
    if (elements.put(element.name(), element) != null) {
      throw new IllegalArgumentException("element " + element.name() + " stands twice");
    }
    for (String end : element.ends()) {
      node(end);
    }
    return this;
  }

  private void node(String name) {
    if (!name.equals(ground)) {
      nodes.putIfAbsent(name, nodes.size());
    }
  }

  /** Nodes that are to exist whether an element ends there or not. */
  void addNodes(Set<String> names) {
    names.forEach(this::node);
  }

  public String ground() {
    return ground;
  }

  /** Every node but ground. */
  public Set<String> nodes() {
    return Collections.unmodifiableSet(nodes.keySet());
  }

  public List<Element> elements() {
    List<Element> all = listed;
    if (all == null) {
      all = List.copyOf(elements.values());
      listed = all;
    }
    return all;
  }

  Map<String, Element> byName() {
    return Collections.unmodifiableMap(elements);
  }

  public int size() {
    return nodes.size();
  }

  public boolean hasNode(String name) {
    return name.equals(ground) || nodes.containsKey(name);
  }

  /** Whether an element's ends are here; of no element they are. */
  boolean placed(@Nullable Element element) {
    if (element != null) {
      for (String end : element.ends()) {
        if (!hasNode(end)) {
          return false;
        }
      }
    }
    return true;
  }

  /**
   * @throws NetworkException if the network has no unique solution; it names a part
   */
  public Solution solve() {
    return rooted(Equations.of(elements(), nodes.keySet()));
  }

  /**
   * The same, each unknown in its place among these equations where the unknowns are the same.
   *
   * @param like equations of a network with the same nodes
   * @throws NetworkException as {@link #solve()}
   */
  Solution solve(Equations like) {
    Equations equations = like.with(elements());
    return equations == null ? solve() : rooted(equations);
  }

  private Solution rooted(Equations equations) {
    return new Solution(this, equations, new Newton(equations, this::suspect).solve());
  }

  /** Whether nothing feeds it. */
  boolean isDead() {
    return source().isEmpty();
  }

  /** Ohms are a lie where anything feeds the circuit. */
  void mustBeDead() {
    source()
        .ifPresent(
            source -> {
              throw new IllegalStateException("ohms on a circuit that " + source.name() + " feeds");
            });
  }

  private Optional<Element> source() {
    return elements.values().stream()
        .filter(element -> !(element instanceof Element.TwoPole))
        .findFirst();
  }

  public boolean has(String element) {
    return elements.containsKey(element);
  }

  /** Null where there is none of this name. */
  @Nullable Element find(String name) {
    return elements.get(name);
  }

  public Element element(String name) {
    Element element = find(name);
    if (element == null) {
      throw new IllegalArgumentException("no element " + name);
    }
    return element;
  }

  /**
   * Two sources without resistance on the same posts are the usual cause; else the first source.
   */
  private String suspect() {
    List<Element.Source> stiff =
        elements.values().stream()
            .filter(e -> e instanceof Element.Source s && s.ohms() == 0)
            .map(Element.Source.class::cast)
            .toList();
    for (Element.Source one : stiff) {
      for (Element.Source two : stiff) {
        if (one != two && one.plus().equals(two.plus()) && one.minus().equals(two.minus())) {
          return one.name() + " and " + two.name();
        }
      }
    }
    return stiff.isEmpty()
        ? elements.keySet().stream().findFirst().orElse("nothing")
        : stiff.get(0).name();
  }
}
