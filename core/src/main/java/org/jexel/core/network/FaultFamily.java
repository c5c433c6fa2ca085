package org.jexel.core.network;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jexel.core.braking.BrakeCondition;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Duty;
import org.jexel.core.harness.FramePoint;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Joint;
import org.jexel.core.harness.Load;
import org.jexel.core.harness.Nodes;
import org.jexel.core.harness.Span;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.RigField;

/**
 * One thing that can be the matter at one place, however bad: what all severities of a fault have
 * in common. Two of them are one when their trouble and their place are.
 *
 * @param trouble what is the matter
 * @param place where
 */
public record FaultFamily(Trouble trouble, Place place) {

  /** What can be the matter. */
  public enum Trouble {
    RETURN_LOST("Return lost"),
    EARTH_BROKEN_IN_CORD("Earth broken in the cord"),
    EARTH_BROKEN_IN_VEHICLE("Earth broken in the vehicle"),
    POOR_EARTH_IN_VEHICLE("Poor earth in the vehicle"),
    NO_CONTACT("No contact"),
    LOOSE("Loose, makes and breaks"),
    STRANDS_BROKEN("Makes and breaks in the cord"),
    CORRODED("Corroded"),
    CORRODED_JOINT("Corroded joint"),
    POOR_SCREW("Poor earth screw"),
    RUN_BROKEN("Broken or off"),
    POOR_RUN("Poor joint or broken strands"),
    RUN_CHAFED("Run chafed to the frame"),
    BURNT_OUT("Burnt out"),
    WRONG_LAMP("Wrong lamp"),
    OTHER_KIND_OF_LAMP("A lamp of the other kind"),
    OTHER_REAR_LAMPS("Rear lamps of other watts than assumed"),
    WRONG_WAY_ROUND("Wrong way round"),
    OPEN("Open"),
    SHORTED_TURNS("Shorted turns"),
    WEAK("Weak"),
    OTHER_MAGNETS("Magnets of another resistance than assumed"),
    OPEN_INPUT("Open input"),
    BROKEN_IN_CORD("Broken in the cord"),
    CHAFED("Chafed to the frame"),
    EXCHANGED("Exchanged at the box"),
    EXCHANGED_AT_LAMP("Feeds exchanged at the lamp"),
    FEED_AND_RETURN("Feed and return exchanged"),
    TOUCH_IN_LAMP("Feeds touch in the lamp"),
    TOUCH("Touch in the box"),
    TOUCH_AT_SOCKET("Touch at the socket"),
    FEED_BROKEN_IN_VEHICLE("Feed broken in the vehicle"),
    POOR_FEED_IN_VEHICLE("Poor feed in the vehicle"),
    POOR_SWITCH("Poor switch, or fuse in its holder"),
    POOR_BATTERY_POST("Poor battery post"),
    FUSE_OPEN("Fuse open"),
    CONTROLLER_DEAD("Controller dead"),
    NO_SIGNAL("No stop signal at the controller"),
    SIGNAL_CONSTANT("Stop signal from the constant side"),
    PIN_PART_WAY_OUT("Breakaway pin part-way out"),
    DIODE_REVERSED("Isolating diode the wrong way round"),
    DIODE_MISSING("Isolating diode missing"),
    BREAKAWAY_BATTERY_FLAT("Breakaway battery flat"),
    BREAKAWAY_BATTERY_WORN("Breakaway battery worn out"),
    HOUSE_BATTERY_FLAT("House battery flat"),
    HOUSE_BATTERY_WORN("House battery worn out"),
    VEHICLE_BATTERY_FLAT("Vehicle battery flat"),
    VEHICLE_BATTERY_WORN("Vehicle battery worn out"),
    SET_TIGHT("Shoes set too tight"),
    SET_SLACK("Shoes out of adjustment"),
    SHOES_THIN("Shoes worn thin"),
    SHOES_GREASY("Grease on the shoes"),
    SHOES_GLAZED("Shoes or drum glazed"),
    LEVER_SEIZED("Lever seized, never applies"),
    BRAKE_SEIZED("Brake seized, never lets go"),
    MAGNET_STUCK("Magnet stuck on its post"),
    MAGNET_WORN("Magnet's face worn"),
    AIR_IN_LINES("Air in the lines, or no fluid"),
    FLUID_LEAKS("Pressure leaks away"),
    BEARING("Wheel bearing loose or rough"),
    TYRE_SOFT("Tyre soft"),
    LOAD_ASIDE("More load on one side");

    private final String label;

    Trouble(String label) {
      this.label = label;
    }

    public String label() {
      return label;
    }

    /** The figure to enter, where it is no fault if the rig is another than was assumed. */
    public Optional<RigField> assumes() {
      return switch (this) {
        case OTHER_MAGNETS -> Optional.of(RigField.MAGNET_OHMS);
        case OTHER_REAR_LAMPS -> Optional.of(RigField.REAR_TAIL_WATTS);
        default -> Optional.empty();
      };
    }

    /** Each condition of a wheel is a trouble of the same name. */
    static Trouble of(BrakeCondition condition) {
      return valueOf(condition.name());
    }
  }

  /** Where a fault sits; its words are made when they are asked for. */
  public sealed interface Place {
    String words(UnitSystem units);

    /** The same on every page of one rig. */
    String key();
  }

  /** Of which there is one on a rig. */
  public record Nowhere() implements Place {
    @Override
    public String key() {
      return "";
    }

    @Override
    public String words(UnitSystem units) {
      return "";
    }
  }

  /** A load as a whole, or its return. */
  public record OfLoad(String load, String label) implements Place {
    static OfLoad of(Load load) {
      return new OfLoad(load.back(), load.label());
    }

    @Override
    public String key() {
      return load;
    }

    @Override
    public String words(UnitSystem units) {
      return label;
    }
  }

  /** A braked wheel, named by its magnet; a side by its first. */
  public record OfWheel(String magnet, String label) implements Place {
    @Override
    public String key() {
      return magnet;
    }

    @Override
    public String words(UnitSystem units) {
      return label;
    }
  }

  /** What one circuit makes of a lamp. */
  public record OfLamp(String load, String label, PinFunction function) implements Place {
    static OfLamp of(Load load) {
      return new OfLamp(load.name(), load.label(), load.function());
    }

    @Override
    public String key() {
      return load;
    }

    @Override
    public String words(UnitSystem units) {
      return label + ", " + function.lit();
    }
  }

  /** Two feeds that end in one lamp. */
  public record OfFeeds(String lamp, String label, PinFunction one, PinFunction two)
      implements Place {
    static OfFeeds of(Load one, Load two) {
      return new OfFeeds(
          one.spot().lamp().orElseThrow().node(), one.label(), one.function(), two.function());
    }

    @Override
    public String key() {
      return lamp + "_" + Nodes.id(one) + "-" + Nodes.id(two);
    }

    @Override
    public String words(UnitSystem units) {
      return label + ", " + one.lit() + " and " + two.lit();
    }
  }

  /** The vehicle's own lamps on one circuit. */
  public record OfVehicle(PinFunction function) implements Place {
    @Override
    public String key() {
      return "vehicle_" + Nodes.id(function);
    }

    @Override
    public String words(UnitSystem units) {
      return "the vehicle's own lamps, " + function.label();
    }
  }

  /** A pin of the connector. */
  public record AtPin(PinFunction function) implements Place {
    @Override
    public String key() {
      return Nodes.id(function);
    }

    @Override
    public String words(UnitSystem units) {
      return function.label() + " pin";
    }
  }

  /** A splice or a stud. */
  public record AtJoint(Joint joint) implements Place {
    @Override
    public String key() {
      return joint.name();
    }

    @Override
    public String words(UnitSystem units) {
      return joint.label()
          + joint.towards().map(point -> ", towards " + point.words(units)).orElse("");
    }
  }

  /** The run that ends at a node of the vehicle. */
  public record OfNode(String node) implements Place {
    @Override
    public String key() {
      return node;
    }

    @Override
    public String words(UnitSystem units) {
      return node.equals(Harness.CONTROLLER_IN)
          ? "before the controller"
          : "between controller and socket";
    }
  }

  /** A run of the trailer, from the joint that it begins at. */
  public record AlongRun(Span span) implements Place {
    @Override
    public String key() {
      return span.to();
    }

    @Override
    public String words(UnitSystem units) {
      if (span.duty() == Duty.BREAKAWAY) {
        boolean feed = span.to().equals(Harness.SWITCH_IN);
        return span.circuit() + (feed ? ", to its switch" : ", from its switch to the brakes");
      }
      List<FramePoint> path = span.path();
      return span.circuit()
          + (path.isEmpty() ? "" : ", towards " + path.get(path.size() - 1).words(units));
    }
  }

  /** One conductor or more. */
  public record OfConductors(List<PinFunction> functions) implements Place {
    static OfConductors of(PinFunction... functions) {
      return new OfConductors(List.of(functions));
    }

    @Override
    public String key() {
      return functions.stream().map(Nodes::id).collect(Collectors.joining("-"));
    }

    @Override
    public String words(UnitSystem units) {
      return functions.stream().map(PinFunction::label).collect(Collectors.joining(" and "));
    }
  }

  static FaultFamily of(Trouble trouble) {
    return new FaultFamily(trouble, new Nowhere());
  }

  /** For people. */
  public String words(UnitSystem units) {
    String where = place.words(units);
    return where.isEmpty() ? trouble.label() : trouble.label() + ": " + where;
  }

  /** The same on every page of one rig, for a form to post. */
  public String key() {
    String where = place.key();
    return trouble.name() + (where.isEmpty() ? "" : "." + where);
  }
}
