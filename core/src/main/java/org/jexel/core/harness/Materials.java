package org.jexel.core.harness;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.Rig;

/**
 * Everything but wire that the work of a plan takes, and the tools for it.
 *
 * @param items what and how many
 * @param tools once each
 */
public record Materials(List<Item> items, List<String> tools) {

  /**
   * @param what as on the bag
   * @param count pieces
   * @param why what it is for
   */
  public record Item(String what, int count, String why) {}

  /**
   * @param units of the person who reads them
   */
  public static Materials of(Scope scope, UnitSystem units) {
    Rig rig = scope.rig();
    Harness harness = scope.harness();
    List<Item> items = new ArrayList<>();
    String pair = rig.connector().label();
    if (scope.newSocket()) {
      items.add(new Item(pair + " socket with gasket", 1, "vehicle"));
      vehicleFuses(scope, units, items);
    }
    if (scope.newCord()) {
      items.add(new Item(pair + " plug with strain relief", 1, "cord"));
    }
    if (scope.newBox()) {
      items.add(
          new Item(Phrase.of("junction box, %d studs", rig.connector().pins().size()), 1, "box"));
    }
    if (scope.newBreakaway()) {
      items.add(new Item(BrakeSteps.SWITCH, 1, "breakaway"));
      items.add(new Item(BrakeSteps.BATTERY + " in its box", 1, "breakaway"));
      if (scope.chargedKit()) {
        items.add(new Item("isolating diode with fuse", 1, "charge feed"));
      }
    }
    if (scope.kitWork().ofTheSwitch()) {
      items.add(new Item(BrakeSteps.SWITCH, 1, "breakaway, renewed"));
      items.add(new Item("sealed sleeve", 2, "breakaway, renewed"));
    }
    if (scope.kitWork().ofTheBattery()) {
      items.add(new Item(BrakeSteps.BATTERY, 1, "breakaway, renewed"));
    }
    scope
        .wantedLamps()
        .forEach(
            lamp ->
                items.add(
                    new Item(
                        lamp.role().label() + ", " + Phrase.within(lamp.technology().label()),
                        1,
                        lamp.side().label())));
    joints(scope, items);
    Loom loom = Loom.of(rig, harness);
    Map<Double, Integer> grommets = new TreeMap<>();
    loom.toDrill(scope).forEach(hole -> grommets.merge(hole.drill(), 1, Integer::sum));
    grommets.forEach(
        (drill, count) ->
            items.add(new Item("grommet for " + Measure.DRILL.text(drill, units), count, "holes")));
    int clips = loom.clips(scope::isNew);
    if (clips > 0) {
      items.add(new Item("P-clip with screw", clips, "every 0.3 m (1 ft) of new loom"));
    }
    return new Materials(merged(items), tools(scope));
  }

  private static void vehicleFuses(Scope scope, UnitSystem units, List<Item> items) {
    for (PinFunction function : PinFunction.values()) {
      double amps = scope.harness().protection(function);
      boolean added = scope.harness().feed(function).map(scope::isNew).orElse(false) && amps > 0;
      if (added) {
        items.add(
            new Item(
                (function == PinFunction.BRAKE ? "breaker " : "fuse with holder ")
                    + Measure.RATING.text(amps, units),
                1,
                function.label() + ", by the battery"));
      }
    }
  }

  private static void joints(Scope scope, List<Item> items) {
    for (StudPlan.Landing landing : StudPlan.of(scope.rig(), scope.harness()).toLand(scope)) {
      items.add(new Item("ring " + landing.ring(), 1, "box"));
    }
    for (Joint joint : scope.harness().joints()) {
      for (Span span : scope.harness().spans()) {
        if (joint.kind() == Joint.Kind.SPLICE
            && span.from().equals(joint.b())
            && scope.isNew(span)) {
          items.add(new Item("sealed sleeve " + span.size().label(), 1, "splices"));
        }
      }
      if (scope.isNewScrew(joint)) {
        items.add(new Item("earth screw with toothed washer", 1, "frame"));
      }
    }
  }

  private static List<Item> merged(List<Item> items) {
    Map<List<String>, Integer> counts = new LinkedHashMap<>();
    items.forEach(
        item -> counts.merge(List.of(item.what(), item.why()), item.count(), Integer::sum));
    return counts.entrySet().stream()
        .map(e -> new Item(e.getKey().get(0), e.getValue(), e.getKey().get(1)))
        .toList();
  }

  private static List<String> tools(Scope scope) {
    List<String> tools = new ArrayList<>(List.of("meter", "felt pen and tags"));
    if (!scope.newSpans().isEmpty()) {
      tools.addAll(
          List.of("cutters", "stripper", "ratchet crimper", "hot-air gun", "drill and step drill"));
    }
    if (scope.newBox()) {
      tools.add("spanner for the studs");
    }
    if (scope.newSocket()) {
      tools.add("trim lever and inspection lamp");
    }
    return tools;
  }
}
