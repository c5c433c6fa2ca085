package org.jexel.core.harness;

import java.util.EnumSet;
import java.util.HashSet;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.rig.Side;

/**
 * The grammar of names in a network: lower-case letters, digits and _. Every name of a node or an
 * element is made here, and none is ever taken apart again: what a thing is stands in its record.
 *
 * <pre>
 * battery → fuse_tail → fused_tail → switch_tail → switched_tail → wire_sock_tail → sock_tail
 *   → pin_tail → plug_tail → wire_cord_tail → cord_tail → joint_cord_tail → box_tail
 *   → joint_tail_… → tail_…_near → wire_tail_… → tail_lamp → lamp_tail_lamp → earth_lamp → … → box_earth
 * </pre>
 */
public final class Nodes {
  private static final Set<String> VEHICLE = new HashSet<>();

  static {
    VEHICLE.add(Harness.BATTERY_PLUS);
    VEHICLE.add(Harness.BATTERY_MINUS);
    VEHICLE.add(Harness.CONTROLLER_IN);
    VEHICLE.add(Harness.CONTROLLER_OUT);
    for (PinFunction function : EnumSet.allOf(PinFunction.class)) {
      VEHICLE.add(fused(function));
      VEHICLE.add(switched(function));
      VEHICLE.add(module(function));
      VEHICLE.add(socket(function));
    }
  }

  private Nodes() {}

  /** A function's own word. */
  public static String id(PinFunction function) {
    return function.name().toLowerCase(Locale.ROOT);
  }

  /** Behind a function's fuse. */
  public static String fused(PinFunction function) {
    return "fused_" + id(function);
  }

  /** Behind a function's switch. */
  public static String switched(PinFunction function) {
    return "switched_" + id(function);
  }

  /** Before the module that feeds this pin, where one does. */
  public static String module(PinFunction function) {
    return "module_" + id(function);
  }

  /** The vehicle's half of a pin. */
  public static String socket(PinFunction function) {
    return "sock_" + id(function);
  }

  /** The trailer's half of a pin. */
  public static String plug(PinFunction function) {
    return "plug_" + id(function);
  }

  /** A core's end at the box. */
  public static String cord(PinFunction function) {
    return "cord_" + id(function);
  }

  /** A function's stud in the box. */
  public static String box(PinFunction function) {
    return "box_" + id(function);
  }

  /** A conductor at a place on the trailer. */
  static String at(String conductor, String place) {
    return conductor + "_" + place;
  }

  /** The lamp's return terminal. */
  static String earth(String lamp) {
    return at("earth", lamp);
  }

  /** The near end of a conductor, at the joint that it begins with. */
  static String near(String end) {
    return end + "_near";
  }

  /** Element: a function's fuse. */
  public static String fuse(PinFunction function) {
    return "fuse_" + id(function);
  }

  /** Element: a function's switch. */
  public static String switchOf(PinFunction function) {
    return "switch_" + id(function);
  }

  /** Element: the contact of a pin. */
  public static String pin(PinFunction function) {
    return "pin_" + id(function);
  }

  /** Element: where a core ends in the box. */
  static String cordJoint(PinFunction function) {
    return joint(cord(function));
  }

  /** Element: the joint before a conductor's end, or of a core's. */
  public static String joint(String end) {
    return "joint_" + end;
  }

  /** Element: the conductor that ends at a node. */
  public static String wire(String end) {
    return "wire_" + end;
  }

  /** Element: the core of the cord. */
  public static String core(PinFunction function) {
    return wire(cord(function));
  }

  /** Element: an earth screw. */
  public static String screw(String part) {
    return "screw_" + part;
  }

  /** Element: a lamp on one of its circuits. */
  static String lamp(PinFunction function, String lamp) {
    return "lamp_" + at(id(function), lamp);
  }

  /** Only rear lamps stop and turn: such a part and the tail beside it; nothing of another. */
  public static Stream<String> partsOfRearLamp(String element) {
    return Stream.of(PinFunction.LEFT, PinFunction.RIGHT, PinFunction.STOP)
        .map(function -> lamp(function, ""))
        .filter(element::startsWith)
        .flatMap(
            stops ->
                Stream.of(element, lamp(PinFunction.TAIL, "") + element.substring(stops.length())));
  }

  /** A wheel's backing plate, axles counted from 0. */
  public static String wheel(int axle, Side side) {
    return "axle" + (axle + 1) + "_" + side.label();
  }

  private static final String MAGNET = "magnet_";

  /** Element: a magnet, axles counted from 0. */
  public static String magnet(int axle, Side side) {
    return MAGNET + wheel(axle, side);
  }

  /** Whether an element is a magnet. */
  public static boolean isMagnet(String element) {
    return element.startsWith(MAGNET);
  }

  /** Whether a node is on the vehicle's side of the connector. */
  public static boolean onVehicle(String node) {
    return VEHICLE.contains(node);
  }
}
