package org.jexel.core.harness;

import java.util.ArrayList;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import org.jexel.core.quantity.Must;
import org.jspecify.annotations.Nullable;

/** Design currents of a wiring, and what each load loses on its way out and back. */
final class Currents {
  private final List<Joint> joints;
  private final List<Load> loads;
  private final List<Span> spans;
  private final List<Flow.Link> links = new ArrayList<>();
  private final boolean meshed;

  /** Current in every link when a load draws 1 A. */
  private final Map<Load, double[]> unit;

  /** By identity: two spans are never the same because they look alike. */
  private final Map<Span, Integer> index = new IdentityHashMap<>();

  private final Map<List<Load>, double[]> amps = new IdentityHashMap<>();

  /** Conductors of the breakaway carry nothing while the switch is shut off. */
  Currents(List<Span> all, List<Joint> joints, List<Load> loads) {
    this(all, joints, loads, null);
  }

  private Currents(
      List<Span> all, List<Joint> joints, List<Load> loads, @Nullable Currents before) {
    this.joints = joints;
    this.loads = loads;
    spans = all.stream().filter(span -> span.duty() != Duty.BREAKAWAY).toList();
    for (Span span : spans) {
      index.put(span, links.size());
      links.add(new Flow.Link(alias(span.from()), span.to(), span.ohms()));
    }
    for (Joint joint : joints) {
      links.add(new Flow.Link(joint.a(), joint.b(), joint.ohms()));
    }
    if (before != null && !before.meshed) {
      unit = before.unit;
      meshed = false;
      return;
    }
    Flow flow = new Flow(links);
    meshed = flow.meshed();
    unit = new IdentityHashMap<>();
    for (Load load : loads) {
      double[] loop = flow.unit(load.feed());
      double[] back = flow.unit(load.back());
      for (int i = 0; i < loop.length; i++) {
        loop[i] += back[i];
      }
      unit.put(load, loop);
    }
  }

  private Currents(Currents same, List<Load> redrawn) {
    joints = same.joints;
    spans = same.spans;
    links.addAll(same.links);
    index.putAll(same.index);
    meshed = same.meshed;
    loads = redrawn;
    unit = new IdentityHashMap<>();
    for (int i = 0; i < redrawn.size(); i++) {
      unit.put(redrawn.get(i), same.unit.get(same.loads.get(i)));
    }
  }

  /** The same wiring with other currents of its loads. */
  Currents drawing(UnaryOperator<Load> as) {
    return new Currents(this, loads.stream().map(as).toList());
  }

  List<Load> loads() {
    return loads;
  }

  List<Joint> joints() {
    return joints;
  }

  /** The same wiring with other sizes; where no mesh divides a current, only the drops change. */
  Currents resized(List<Span> all) {
    return new Currents(all, joints, loads, this);
  }

  /** The controller's own loss is not the harness's. */
  private static String alias(String node) {
    return node.equals(Harness.CONTROLLER_OUT) ? Harness.CONTROLLER_IN : node;
  }

  /** Current of every span when exactly the given loads are on, A. */
  Map<Span, Double> of(List<Load> on) {
    double[] sum = links(on);
    Map<Span, Double> bySpan = new IdentityHashMap<>();
    for (int i = 0; i < spans.size(); i++) {
      bySpan.put(spans.get(i), Math.abs(sum[i]));
    }
    return bySpan;
  }

  /** Current through a joint when exactly the given loads are on, A. */
  double through(Joint joint, List<Load> on) {
    return Math.abs(links(on)[spans.size() + joints.indexOf(joint)]);
  }

  private double[] links(List<Load> on) {
    return amps.computeIfAbsent(on, this::sum);
  }

  private double[] sum(List<Load> on) {
    double[] sum = new double[links.size()];
    for (Load load : on) {
      double[] loop = Must.have(unit, load);
      for (int i = 0; i < sum.length; i++) {
        sum[i] += load.amps() * loop[i];
      }
    }
    return sum;
  }

  /** The spans that carry any of these loads, by identity. */
  Set<Span> carrying(List<Load> some) {
    boolean[] carries = new boolean[spans.size()];
    for (Load load : some) {
      double[] loop = Must.have(unit, load);
      for (int i = 0; i < carries.length; i++) {
        carries[i] |= Math.abs(loop[i]) > 1e-9;
      }
    }
    Set<Span> carrying = Collections.newSetFromMap(new IdentityHashMap<>());
    for (int i = 0; i < carries.length; i++) {
      if (carries[i]) {
        carrying.add(spans.get(i));
      }
    }
    return carrying;
  }

  boolean passes(Load load, Span span) {
    Integer i = index.get(span);
    return i != null && Math.abs(Must.have(unit, load)[i]) > 1e-9;
  }

  /**
   * What a load loses in copper between its terminals and the source while others are on, V.
   *
   * @param counts which spans count
   */
  double drop(Load load, List<Load> on, Predicate<Span> counts) {
    double[] all = links(on);
    double[] loop = Must.have(unit, load);
    double drop = 0;
    for (int i = 0; i < spans.size(); i++) {
      if (loop[i] != 0 && counts.test(spans.get(i))) {
        drop += links.get(i).ohms() * all[i] * loop[i];
      }
    }
    return drop;
  }

  /** What it loses on its way back through frame and earth screws, V; 0 where copper returns it. */
  double inFrame(Load load, List<Load> on) {
    double[] all = links(on);
    double[] loop = Must.have(unit, load);
    double drop = 0;
    for (int j = 0; j < joints.size(); j++) {
      int i = spans.size() + j;
      Joint.Kind kind = joints.get(j).kind();
      if (loop[i] != 0 && (kind == Joint.Kind.FRAME || kind == Joint.Kind.SCREW)) {
        drop += links.get(i).ohms() * all[i] * loop[i];
      }
    }
    return drop;
  }

  /** What it loses in copper and in the frame, V. */
  double loss(Load load, List<Load> on, Predicate<Span> counts) {
    return drop(load, on, counts) + inFrame(load, on);
  }

  /** The part of that drop which one span makes, V. */
  double waste(Load load, List<Load> on, Span span) {
    int i = Must.have(index, span);
    return links.get(i).ohms() * links(on)[i] * Must.have(unit, load)[i];
  }
}
