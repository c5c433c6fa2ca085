package org.jexel.core.cab;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;

/**
 * Which of some candidate wires carries the stop signal, from what a meter or test lamp did with
 * the pedal up and down.
 *
 * @param wires each with what it is
 * @param use the wire to take; empty if none will do
 * @param advice where to tap, in words
 */
public record StopSignal(List<Wire> wires, Optional<Wire> use, String advice) {
  /** From this share of the supply on a wire counts as live, and below the other as dead. */
  private static final double LIVE = 0.75;

  private static final double DEAD = 0.15;

  /** What a meter picks up by itself on a wire that nothing feeds, V. */
  private static final double NOTHING_VOLTS = 0.3;

  /** What a test lamp shows instead of volts, as a share of the supply. */
  private static final Map<String, Double> LAMP_WORDS =
      Map.of(
          "on",
          1.0,
          "lit",
          1.0,
          "bright",
          1.0,
          "off",
          0.0,
          "dark",
          0.0,
          "nothing",
          0.0,
          "dim",
          0.4,
          "flickers",
          0.4);

  /** Volts that a test lamp's word stands for; empty for any other text. */
  public static OptionalDouble lamp(String word, double supply) {
    Double share = LAMP_WORDS.get(word.strip().toLowerCase(Locale.ROOT));
    return share == null ? OptionalDouble.empty() : OptionalDouble.of(share * supply);
  }

  /** What a wire is. */
  public enum Kind {
    SWITCHED("switched side: live with the pedal only"),
    NORMALLY_CLOSED("normally closed: live until the pedal goes down"),
    CONSTANT("constant side: live always"),
    KEYED("live with the key, pedal or not"),
    INDICATOR_SHARED("shared with the indicator"),
    PULSED("monitored: test pulses, not battery"),
    DEAD("dead"),
    CONTRADICTION("the readings contradict each other");

    private final String words;

    Kind(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /**
   * Readings of one wire against the battery's minus, V; NaN where nothing was read.
   *
   * @param name as the person calls it
   * @param up pedal up, key off
   * @param down pedal down, key off
   * @param upKey pedal up, key on
   * @param downKey pedal down, key on
   * @param flashes it flashes with the indicator while the pedal is down
   */
  public record Reading(
      String name, double up, double down, double upKey, double downKey, boolean flashes) {}

  /**
   * @param reading what was read
   * @param kind what that makes it
   */
  public record Wire(Reading reading, Kind kind) {
    /** Volts that stand on it with the pedal up, where there should be none; 0 for none. */
    public double atRest() {
      double most =
          DoubleStream.of(reading.up(), reading.upKey())
              .filter(volts -> !Double.isNaN(volts))
              .map(Math::abs)
              .max()
              .orElse(0);
      return kind == Kind.SWITCHED && most > NOTHING_VOLTS ? most : 0;
    }
  }

  /** Whether it is to be watched: some volts at rest on the wire that is to be taken. */
  public boolean isDoubtful() {
    return use.filter(wire -> wire.atRest() > 0).isPresent();
  }

  /**
   * @param supply battery volts at the time
   * @param monitored whether the vehicle's bus watches its lamps
   */
  public static StopSignal of(List<Reading> readings, double supply, boolean monitored) {
    List<Wire> wires = readings.stream().map(r -> new Wire(r, kind(r, supply))).toList();
    Optional<Wire> use =
        wires.stream()
            .filter(w -> w.kind() == Kind.SWITCHED)
            .min(Comparator.comparing(w -> w.reading().name()));
    return new StopSignal(wires, use, advice(wires, use, monitored));
  }

  private static Kind kind(Reading r, double supply) {
    List<Integer> up = levels(supply, r.up(), r.upKey());
    List<Integer> down = levels(supply, r.down(), r.downKey());
    if (up.isEmpty() || down.isEmpty()) {
      return Kind.CONTRADICTION;
    }
    boolean upLive = up.contains(1);
    boolean upDead = up.contains(-1);
    boolean downLive = down.contains(1);
    boolean downDead = down.contains(-1);
    if (up.contains(0) || down.contains(0)) {
      return Kind.PULSED;
    }
    if (r.flashes() && downLive) {
      return Kind.INDICATOR_SHARED;
    }
    if (upLive && upDead) {
      return downLive ? Kind.KEYED : Kind.CONTRADICTION;
    }
    if (upDead && downLive) {
      return downDead && !keyOnly(r, supply) ? Kind.CONTRADICTION : Kind.SWITCHED;
    }
    if (upLive && downDead) {
      return Kind.NORMALLY_CLOSED;
    }
    return upLive ? Kind.CONSTANT : Kind.DEAD;
  }

  /** Switched through the key: dead with the key off, live with key and pedal. */
  private static boolean keyOnly(Reading r, double supply) {
    return level(r.down(), supply) == -1 && level(r.downKey(), supply) == 1;
  }

  /** 1 live, −1 dead, 0 in between. */
  private static int level(double volts, double supply) {
    return volts >= LIVE * supply ? 1 : Math.abs(volts) <= DEAD * supply ? -1 : 0;
  }

  private static List<Integer> levels(double supply, double... readings) {
    List<Integer> levels = new ArrayList<>();
    for (double volts : readings) {
      if (!Double.isNaN(volts)) {
        levels.add(level(volts, supply));
      }
    }
    return levels;
  }

  private static String advice(List<Wire> wires, Optional<Wire> use, boolean monitored) {
    if (wires.stream().anyMatch(w -> w.kind() == Kind.CONTRADICTION)) {
      return "Read the contradicting wire again: a probe that slipped, or pedal and key mixed up.";
    }
    if (monitored || wires.stream().anyMatch(w -> w.kind() == Kind.PULSED)) {
      return "The lamps are monitored: take the stop signal from the isolator's output that feeds"
          + " the socket, never ahead of it.";
    }
    if (use.isPresent() && use.get().atRest() > 0) {
      return "“%s” is the switched side, but %s stand on it with the pedal up: a lamp or a module leaks into it, and a controller may wake at that. Find what leaks, or read it again with the trailer's lamps joined."
          .formatted(
              use.get().reading().name(),
              Measure.VOLTS.text(use.get().atRest(), UnitSystem.METRIC));
    }
    if (use.isPresent()) {
      return "Take “%s”. Tap it behind the switch, in the dry, and read it once more after joining."
          .formatted(use.get().reading().name());
    }
    if (wires.stream().anyMatch(w -> w.kind() == Kind.NORMALLY_CLOSED)) {
      return "Only a normally closed contact so far: it is for the cruise control. Look for the"
          + " second pair at the same switch.";
    }
    if (wires.stream().anyMatch(w -> w.kind() == Kind.INDICATOR_SHARED)) {
      return "This one flashes with the indicator: it would pump the brakes in every turn. Look"
          + " nearer to the switch.";
    }
    return wires.isEmpty()
        ? "Read the candidates at the pedal's switch, pedal up and pedal down."
        : "None of these is the switched side. Look at the wires of the switch itself.";
  }
}
