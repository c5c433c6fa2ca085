package org.jexel.core.judge;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * What is the matter with a rig, drawn by an editor of netlists: any resistor opened or raised, any
 * two nodes that lie together bridged, any load altered, any battery lowered, each by an amount
 * drawn from a continuous range.
 *
 * @param kind for the table
 * @param parts names of the cards that were touched
 * @param nodes that were joined; empty where none were
 * @param edit of each netlist
 */
record Mischief(
    Kind kind, Set<String> parts, Set<String> nodes, String told, UnaryOperator<Netlist> edit) {

  enum Kind {
    RUN_OPEN("a run opened"),
    RUN_POOR("a run poor"),
    CONTACT_OPEN("a contact open"),
    CONTACT_POOR("a contact poor"),
    VEHICLE("the vehicle's side"),
    LAMP("a lamp altered"),
    MAGNET("a magnet altered"),
    CHAFED("chafed to the frame"),
    BRIDGED("two that touch"),
    EXCHANGED("two ends exchanged"),
    LOOSE("makes and breaks"),
    BATTERY("a battery low"),
    ON_BALL("an earth on the ball");

    final String label;

    Kind(String label) {
      this.label = label;
    }
  }

  private static final List<String> TOGETHER = List.of("sock_", "plug_", "cord_", "box_");

  static Mischief draw(Netlist whole, Random dice) {
    while (true) {
      Kind kind = Kind.values()[dice.nextInt(Kind.values().length)];
      Mischief drawn = draw(kind, whole, dice);
      if (drawn != null) {
        return drawn;
      }
    }
  }

  private static Mischief draw(Kind kind, Netlist whole, Random dice) {
    return switch (kind) {
      case RUN_OPEN -> open(kind, one(runs(whole), dice));
      case RUN_POOR -> poor(kind, one(runs(whole), dice), dice);
      case CONTACT_OPEN -> open(kind, one(contacts(whole), dice));
      case CONTACT_POOR -> poor(kind, one(contacts(whole), dice), dice);
      case VEHICLE -> {
        String part = one(vehicle(whole), dice);
        yield dice.nextInt(3) == 0 ? open(kind, part) : poor(kind, part, dice);
      }
      case LAMP -> lamp(whole, dice);
      case MAGNET -> magnet(whole, dice);
      case CHAFED -> chafed(whole, dice);
      case BRIDGED -> bridged(whole, dice);
      case EXCHANGED -> exchanged(whole, dice);
      case LOOSE -> open(kind, one(loose(whole), dice));
      case BATTERY -> battery(whole, dice);
      case ON_BALL -> onBall(dice);
    };
  }

  private static List<String> named(Netlist whole, String... prefixes) {
    return whole.names('r').stream()
        .filter(name -> Arrays.stream(prefixes).anyMatch(name::startsWith))
        .toList();
  }

  private static List<String> runs(Netlist whole) {
    return named(whole, "wire_").stream().filter(name -> !onVehicle(name)).toList();
  }

  private static boolean onVehicle(String name) {
    return name.startsWith("wire_sock_") || name.startsWith("wire_ctrl_");
  }

  private static List<String> contacts(Netlist whole) {
    return named(whole, "pin_", "joint_", "screw_");
  }

  private static List<String> vehicle(Netlist whole) {
    List<String> all = new ArrayList<>(named(whole, "fuse_", "switch_", "battery_inside"));
    all.remove("switch_breakaway");
    named(whole, "wire_").stream().filter(Mischief::onVehicle).forEach(all::add);
    return all;
  }

  /** Whether the part is off now and then only. */
  boolean now() {
    return kind == Kind.LOOSE;
  }

  private static List<String> loose(Netlist whole) {
    return named(whole, "pin_", "joint_", "wire_cord_");
  }

  private static String one(List<String> all, Random dice) {
    return all.isEmpty() ? null : all.get(dice.nextInt(all.size()));
  }

  private static Mischief open(Kind kind, String part) {
    return part == null
        ? null
        : new Mischief(kind, Set.of(part), Set.of(), "open " + part, net -> net.open(part));
  }

  private static Mischief poor(Kind kind, String part, Random dice) {
    double more = log(0.1, 20, dice);
    return part == null
        ? null
        : new Mischief(
            kind,
            Set.of(part),
            Set.of(),
            "%s +%.2f Ω".formatted(part, more),
            net -> net.ohms(part, ohms -> ohms + more));
  }

  private static Mischief lamp(Netlist whole, Random dice) {
    String lamp =
        one(whole.names('b').stream().filter(name -> !name.equals("controller")).toList(), dice);
    if (lamp == null) {
      return null;
    }
    if (dice.nextInt(4) == 0) {
      return otherKind(whole, lamp, dice);
    }
    if (Netlist.isDiodes(whole.card('b', lamp).orElseThrow()) && dice.nextInt(6) == 0) {
      return new Mischief(
          Kind.LAMP, Set.of(lamp), Set.of(), lamp + " reversed", net -> net.reversed(lamp));
    }
    double factor = dice.nextBoolean() ? 1e-9 : dice.nextBoolean() ? 0.5 : 2;
    return new Mischief(
        Kind.LAMP,
        Set.of(lamp),
        Set.of(),
        "%s draws %.1f times".formatted(lamp, factor),
        net -> net.draws(lamp, factor));
  }

  private static Mischief otherKind(Netlist whole, String lamp, Random dice) {
    boolean bulb = Netlist.isDiodes(whole.card('b', lamp).orElseThrow());
    double amps = bulb ? log(0.3, 2.1, dice) : log(0.04, 0.3, dice);
    return new Mischief(
        Kind.LAMP,
        Set.of(lamp),
        Set.of(),
        "%s is %s of %.2f A".formatted(lamp, bulb ? "a bulb" : "of diodes", amps),
        net -> net.otherKind(lamp, amps));
  }

  private static Mischief magnet(Netlist whole, Random dice) {
    String magnet = one(named(whole, "magnet_"), dice);
    if (magnet == null) {
      return null;
    }
    double factor =
        dice.nextInt(3) == 0
            ? 1e9
            : dice.nextBoolean() ? uniform(0.2, 0.6, dice) : uniform(1.4, 4, dice);
    return new Mischief(
        Kind.MAGNET,
        Set.of(magnet),
        Set.of(),
        "%s × %.2f".formatted(magnet, factor),
        net -> net.ohms(magnet, ohms -> ohms * factor));
  }

  private static Mischief chafed(Netlist whole, Random dice) {
    String run = one(runs(whole).stream().filter(r -> !earth(r)).toList(), dice);
    if (run == null) {
      return null;
    }
    String node = whole.card('r', run).orElseThrow()[2];
    double ohms = log(0.02, 0.5, dice);
    return new Mischief(
        Kind.CHAFED,
        Set.of(run),
        Set.of(node, "frame"),
        "%s to the frame %.2f Ω".formatted(node, ohms),
        net -> net.hasNode(node) ? net.bridge("mischief", node, "frame", ohms) : net);
  }

  private static boolean earth(String run) {
    return run.contains("earth") || run.startsWith("wire_bret") || run.startsWith("wire_ret");
  }

  private static Mischief bridged(Netlist whole, Random dice) {
    String prefix = TOGETHER.get(dice.nextInt(TOGETHER.size()));
    List<String> nodes =
        whole.names('r').stream()
            .flatMap(
                r ->
                    Stream.of(
                        whole.card('r', r).orElseThrow()[1], whole.card('r', r).orElseThrow()[2]))
            .filter(node -> node.startsWith(prefix) && !node.endsWith("earth"))
            .distinct()
            .toList();
    if (nodes.size() < 2) {
      return null;
    }
    String one = one(nodes, dice);
    String two = one(nodes.stream().filter(node -> !node.equals(one)).toList(), dice);
    double ohms = log(0.02, 0.5, dice);
    return new Mischief(
        Kind.BRIDGED,
        Set.of(),
        Set.of(one, two),
        "%s and %s %.2f Ω".formatted(one, two, ohms),
        net -> net.hasNode(one) && net.hasNode(two) ? net.bridge("mischief", one, two, ohms) : net);
  }

  /** Two cores of the cord, or two conductors that end at one lamp. */
  private static Mischief exchanged(Netlist whole, Random dice) {
    String one = one(runs(whole), dice);
    String place = ending(one);
    String two =
        one(
            runs(whole).stream()
                .filter(run -> !run.equals(one) && ending(run).equals(place))
                .toList(),
            dice);
    return two == null
        ? null
        : new Mischief(
            Kind.EXCHANGED,
            Set.of(one, two),
            Set.of(),
            "%s and %s exchanged".formatted(one, two),
            net -> net.exchanged(one, two));
  }

  private static String ending(String run) {
    return run.startsWith("wire_cord_") ? "cord" : run.replaceFirst("wire_[^_]*_", "");
  }

  private static Mischief battery(Netlist whole, Random dice) {
    List<String> all = whole.names('v').stream().filter(name -> name.contains("battery")).toList();
    String battery = one(all, dice);
    double volts = uniform(8, 11.6, dice);
    return battery == null
        ? null
        : new Mischief(
            Kind.BATTERY,
            Set.of(battery),
            Set.of(),
            "%s at %.1f V".formatted(battery, volts),
            net -> net.volts(battery, volts));
  }

  /** The ball carries for as long as the coupler sits on it. */
  private static Mischief onBall(Random dice) {
    String part = one(List.of("pin_earth", "wire_cord_earth", "wire_sock_earth"), dice);
    double ohms = log(0.2, 1000, dice);
    return new Mischief(
        Kind.ON_BALL,
        Set.of(part),
        Set.of(),
        "%s open, the ball %.1f Ω".formatted(part, ohms),
        net ->
            net.card('r', "hitch").isPresent()
                ? net.open(part).bridge("mischief", "frame", "on_ball", ohms)
                : net.open(part));
  }

  private static double log(double least, double most, Random dice) {
    return least * Math.exp(dice.nextDouble() * Math.log(most / least));
  }

  private static double uniform(double least, double most, Random dice) {
    return least + dice.nextDouble() * (most - least);
  }
}
