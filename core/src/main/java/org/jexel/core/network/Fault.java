package org.jexel.core.network;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.jexel.core.braking.BrakeCondition;

/**
 * Something that is not as planned: an edit of the network. Any number stand together.
 *
 * <p>Written {@code kind:part}, {@code kind:part:other} or {@code kind:part:amount}, for instance
 * {@code open:wire_cord_earth}, {@code ohms:pin_brake:2}, {@code bridge:box_tail:box_left}.
 *
 * @param kind what happened
 * @param part the element, or the node for a short or bridge
 * @param other second element or node, or a wheel's condition; empty where there is none
 * @param amount Ω, V or a factor, as the kind says
 */
public record Fault(Kind kind, String part, String other, double amount) {

  /** Kinds of faults; the amount of each is what stands when none is given. */
  public enum Kind {
    /** Broken, blown, off, lost or dead: the element is gone. */
    OPEN(false, 0),
    /** An earth that is gone, with the ball carrying in its place through so many ohms. */
    ON_BALL(false, 1),
    /** Makes and breaks when it is moved; at rest it carries. */
    LOOSE(false, 0),
    /** Corroded: so many ohms more. */
    OHMS(false, 1),
    /** A node chafed to the frame, through so many ohms. */
    SHORT(false, 0.05),
    /** Two conductors that touch, through so many ohms. */
    BRIDGE(true, 0.05),
    /** The far ends of two conductors have changed places. */
    EXCHANGED(true, 0),
    /** A load that draws so many times its current: weak, shorted, or the wrong lamp. */
    DRAWS(false, 0.5),
    /**
     * A diode lamp where a filament belongs, or the other way round, that draws so many amperes.
     */
    OTHER_KIND(false, 0.25),
    /** An LED or diode the wrong way round. */
    REVERSED(false, 0),
    /** A diode with a wire in its place. */
    BYPASSED(false, 0),
    /** A battery down to so many volts, behind half an ohm more. */
    FLAT(false, 9),
    /** A battery that is discharged to so many volts, and sound in itself. */
    LOW(false, 10.5),
    /** The breakaway pin part-way out: its contact makes through so many ohms. */
    PULLED(false, 1.5),
    /**
     * The controller's stop signal is taken from the constant side: it brakes so much always; 0
     * where no signal reaches it, so that it sleeps through the pedal.
     */
    SIGNAL(false, 0.15),
    /** Every magnet draws so many times what was assumed: they are of another kind. */
    MAGNETS(false, 0.85),
    /** Every rear lamp draws so many times what was assumed: their stamps say other watts. */
    REAR_LAMPS(false, 0.7),
    /** A wheel that is not as it should be, named by its magnet; the network stands as it was. */
    MECHANICAL(true, 0);

    private final boolean two;
    private final double usual;

    Kind(boolean two, double usual) {
      this.two = two;
      this.usual = usual;
    }

    /** Of which there is one on a rig, so that no part is named. */
    private boolean isOfTheWhole() {
      return switch (this) {
        case SIGNAL, PULLED, MAGNETS, REAR_LAMPS -> true;
        default -> false;
      };
    }

    String word() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  public Fault {
    if (!(amount >= 0) || Double.isInfinite(amount)) {
      throw new IllegalArgumentException(kind.word() + " of " + amount);
    }
  }

  /** Names of the parts that it changes: two faults that share one cannot stand together. */
  public List<String> parts() {
    return switch (kind) {
      case SIGNAL -> List.of(RigNetwork.CONTROLLER);
      case PULLED -> List.of(FaultEdit.BREAKAWAY_SWITCH);
      case MECHANICAL -> List.of(part + ":" + other);
      case MAGNETS, REAR_LAMPS -> List.of();
      default -> Stream.of(part, other).filter(name -> !name.isEmpty()).toList();
    };
  }

  public static Fault of(Kind kind, String part) {
    return new Fault(kind, part, "", kind.usual);
  }

  public static Fault of(Kind kind, String part, double amount) {
    return new Fault(kind, part, "", amount);
  }

  public static Fault of(BrakeCondition condition, String magnet) {
    return between(Kind.MECHANICAL, magnet, condition.name().toLowerCase(Locale.ROOT));
  }

  /** What is the matter with the wheel, where it is that. */
  public Optional<BrakeCondition> condition() {
    return kind == Kind.MECHANICAL
        ? Optional.of(BrakeCondition.valueOf(other.toUpperCase(Locale.ROOT)))
        : Optional.empty();
  }

  public static Fault between(Kind kind, String part, String other) {
    return new Fault(kind, part, other, kind.usual);
  }

  /**
   * @param text faults as written above, between commas
   * @throws IllegalArgumentException with what would be understood
   */
  public static List<Fault> parse(String text) {
    List<Fault> faults = new ArrayList<>();
    for (String one : text.split(",")) {
      if (!one.isBlank()) {
        faults.add(parseOne(one.strip().toLowerCase(Locale.ROOT)));
      }
    }
    return faults;
  }

  /** As it is parsed. */
  public String text() {
    String parts = part.isEmpty() ? "" : ":" + part + (kind.two ? ":" + other : "");
    return kind.word() + parts + ":" + amount;
  }

  private static Fault parseOne(String text) {
    String[] parts = text.split(":");
    Kind kind =
        Arrays.stream(Kind.values())
            .filter(k -> k.word().equals(parts[0]))
            .findFirst()
            .orElseThrow(
                () ->
                    new IllegalArgumentException(
                        "“%s” is no fault. Known: %s, each with its part, such as open:pin_earth."
                            .formatted(
                                parts[0], Arrays.stream(Kind.values()).map(Kind::word).toList())));
    int needed = kind.two ? 3 : 2;
    if (kind.isOfTheWhole()) {
      return new Fault(kind, "", "", amount(kind, parts, 1));
    }
    if (parts.length < needed) {
      throw new IllegalArgumentException(
          "“%s” does not say which %s.".formatted(text, kind.two ? "two parts" : "part"));
    }
    return new Fault(kind, parts[1], kind.two ? parts[2] : "", amount(kind, parts, needed));
  }

  private static double amount(Kind kind, String[] parts, int at) {
    if (parts.length <= at) {
      return kind.usual;
    }
    try {
      return Double.parseDouble(parts[at]);
    } catch (NumberFormatException e) {
      throw new IllegalArgumentException("“%s” is no number.".formatted(parts[at]), e);
    }
  }
}
