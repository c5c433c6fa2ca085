package org.jexel.core.network;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.jexel.core.harness.Contacts;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.LampLoad;
import org.jexel.core.harness.Nodes;
import org.jexel.core.network.Element.Resistor;
import org.jexel.core.network.Element.Source;
import org.jexel.core.network.Element.TwoPole;

/** Puts faults into the elements of a whole rig. A part that this rig does not have is refused. */
final class FaultEdit {
  static final String BREAKAWAY_SWITCH = "switch_breakaway";

  private static final double FLAT_OHMS = 0.5;

  private final Map<String, Element> elements;

  /** What stands now of what was touched; empty where it is gone. */
  private final Map<String, Optional<Element>> touched = new LinkedHashMap<>();

  private FaultEdit(Map<String, Element> elements) {
    this.elements = elements;
  }

  /**
   * What faults, one put in after the other, make of a rig's elements.
   *
   * @return by name, what is changed or added; empty where it is gone
   */
  static Map<String, Optional<Element>> of(Map<String, Element> elements, List<Fault> faults) {
    FaultEdit edit = new FaultEdit(elements);
    faults.forEach(edit::apply);
    return edit.touched;
  }

  private void apply(Fault fault) {
    switch (fault.kind()) {
      case OPEN -> {
        remove(part(fault.part()));
      }
      case LOOSE -> part(fault.part());
      case MAGNETS -> all(Nodes::isMagnet, fault.amount());
      case REAR_LAMPS -> {
        Set<String> rear =
            elements.keySet().stream().flatMap(Nodes::partsOfRearLamp).collect(Collectors.toSet());
        all(rear::contains, fault.amount());
      }
      case MECHANICAL -> {
        part(fault.part());
        fault.condition();
      }
      case ON_BALL -> {
        remove(part(fault.part()));
        put(new Resistor("ball", Harness.FRAME, RigNetwork.BALL, fault.amount()));
      }
      case OHMS -> put(more(part(fault.part()), fault.amount()));
      case SHORT -> {
        String name = "short_" + node(fault.part());
        put(new Resistor(name, fault.part(), metal(fault.part()), fault.amount()));
      }
      case BRIDGE -> {
        String name = "bridge_" + node(fault.part()) + "_" + node(fault.other());
        put(new Resistor(name, fault.part(), fault.other(), fault.amount()));
      }
      case EXCHANGED -> {
        TwoPole one = twoPole(fault.part());
        TwoPole two = twoPole(fault.other());
        put(ends(one, one.a(), two.b()));
        put(ends(two, two.a(), one.b()));
      }
      case DRAWS -> put(draws(part(fault.part()), fault.amount()));
      case OTHER_KIND -> put(otherKind(part(fault.part()), fault.amount()));
      case REVERSED -> {
        TwoPole pole = twoPole(fault.part());
        put(ends(pole, pole.b(), pole.a()));
      }
      case BYPASSED -> {
        TwoPole pole = twoPole(fault.part());
        put(new Resistor(pole.name(), pole.a(), pole.b(), Contacts.CRIMP_OHMS));
      }
      case FLAT -> put(battery(fault, FLAT_OHMS));
      case LOW -> put(battery(fault, 0));
      case PULLED -> {
        Resistor contact = (Resistor) part(BREAKAWAY_SWITCH);
        remove(contact);
        put(new Resistor("breakaway_pin", contact.a(), contact.b(), fault.amount()));
      }
      case SIGNAL -> part(RigNetwork.CONTROLLER);
      default -> throw new IllegalStateException(fault.kind().name());
    }
  }

  private void all(Predicate<String> loads, double factor) {
    elements.keySet().stream()
        .filter(loads)
        .flatMap(name -> standing(name).stream())
        .forEach(element -> put(draws(element, factor)));
  }

  private Source battery(Fault fault, double more) {
    if (!(part(fault.part()) instanceof Source s)) {
      throw cannot(fault.part(), "is no battery");
    }
    return new Source(s.name(), s.plus(), s.minus(), fault.amount(), s.ohms() + more);
  }

  private void put(Element element) {
    touched.put(element.name(), Optional.of(element));
  }

  private void remove(Element element) {
    touched.put(element.name(), Optional.empty());
  }

  private Optional<Element> standing(String name) {
    Optional<Element> now = touched.get(name);
    return now == null ? Optional.ofNullable(elements.get(name)) : now;
  }

  private Element part(String name) {
    return standing(name)
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "This rig has no part called “%s”. The network lists them.".formatted(name)));
  }

  private TwoPole twoPole(String name) {
    if (part(name) instanceof TwoPole pole) {
      return pole;
    }
    throw cannot(name, "has not two ends");
  }

  private String node(String name) {
    boolean known = false;
    for (Element element : elements.values()) {
      String[] ends = element.ends();
      known = known || name.equals(ends[0]) || name.equals(ends[1]);
    }
    if (!known) {
      throw new IllegalArgumentException(
          "This rig has no point called “%s”. The network lists them.".formatted(name));
    }
    return name;
  }

  /** The metal that a chafed conductor touches. */
  private static String metal(String node) {
    return Nodes.onVehicle(node) ? Harness.BATTERY_MINUS : Harness.FRAME;
  }

  private static Element more(Element element, double ohms) {
    if (element instanceof Resistor r) {
      return new Resistor(r.name(), r.a(), r.b(), r.ohms() + ohms);
    } else if (element instanceof Fuse f) {
      return new Fuse(f.name(), f.a(), f.b(), f.ohms() + ohms, f.rating());
    } else if (element instanceof Source s) {
      return new Source(s.name(), s.plus(), s.minus(), s.volts(), s.ohms() + ohms);
    }
    throw cannot(element.name(), "is no conductor or joint");
  }

  private static Element draws(Element element, double factor) {
    if (!(factor > 0)) {
      throw cannot(element.name(), "cannot draw " + factor + " times its current");
    }
    if (element instanceof Resistor r) {
      return new Resistor(r.name(), r.a(), r.b(), r.ohms() / factor);
    } else if (element instanceof Filament f) {
      // Half the watts, half the light.
      return new Filament(f.name(), f.a(), f.b(), f.amps() * factor, f.volts(), factor);
    } else if (element instanceof Led l) {
      return new Led(l.name(), l.a(), l.b(), l.amps() * factor, factor);
    }
    throw cannot(element.name(), "is no load");
  }

  private static Element otherKind(Element element, double amps) {
    if (element instanceof Filament f) {
      return new Led(f.name(), f.a(), f.b(), amps);
    } else if (element instanceof Led l) {
      return new Filament(l.name(), l.a(), l.b(), amps, LampLoad.NOMINAL_VOLTS);
    }
    throw cannot(element.name(), "is no lamp");
  }

  static Element ends(TwoPole pole, String a, String b) {
    String name = pole.name();
    if (pole instanceof Resistor r) {
      return new Resistor(name, a, b, r.ohms());
    } else if (pole instanceof Filament f) {
      return new Filament(name, a, b, f.amps(), f.volts(), f.light());
    } else if (pole instanceof Led l) {
      return new Led(name, a, b, l.amps(), l.light());
    } else if (pole instanceof Diode d) {
      return new Diode(name, a, b, d.forward());
    }
    Fuse f = (Fuse) pole;
    return new Fuse(name, a, b, f.ohms(), f.rating());
  }

  private static IllegalArgumentException cannot(String part, String why) {
    return new IllegalArgumentException(part + " " + why + ".");
  }
}
