package org.jexel.core.cab;

import java.util.ArrayList;
import java.util.List;
import org.jexel.core.rig.ControllerKind;

/**
 * What a brake controller shows and gives while it is first powered up, in general terms: each make
 * has its own signs for these states.
 */
public final class PowerUp {
  /** Output share with the pedal down at rest: start-up assist alone. */
  private static final double ASSIST = 0.10;

  /** What the controller says of itself. */
  public enum Display {
    ASLEEP("Asleep", "It sleeps after some minutes without pedal or lever; any of them wakes it."),
    UNPAIRED("Not paired", "The unit waits for its code; it gives nothing until it has one."),
    LINK_LOST(
        "Link lost",
        "The hand unit hears nothing from the trailer: the brakes get nothing by it. Stop and find"
            + " out why."),
    NO_TRAILER(
        "No trailer",
        "It sees nothing on the brake pin: right without a trailer, else open; an actuator's input may be too faint for one that looks for magnets."),
    READY("Trailer connected", "It sees the brakes and waits: nothing flows."),
    BRAKING("Braking", "It gives its share; at standstill the pedal gives only the assist."),
    FAULT(
        "Fault noted", "The lever was pressed with no trailer: some vehicles log that as a fault.");

    private final String label;
    private final String meaning;

    Display(String label, String meaning) {
      this.label = label;
      this.meaning = meaning;
    }

    public String label() {
      return label;
    }

    public String meaning() {
      return meaning;
    }
  }

  /**
   * What is held and joined.
   *
   * @param trailer plug in, brakes on the brake pin
   * @param lever manual control, 0–1
   * @param pedal held down, vehicle at rest
   * @param asleep left alone for a while
   * @param paired wireless unit has its code
   * @param link the link stands
   */
  public record Held(
      boolean trailer, double lever, boolean pedal, boolean asleep, boolean paired, boolean link) {
    public Held {
      if (!(lever >= 0 && lever <= 1)) {
        throw new IllegalArgumentException("lever " + lever);
      }
    }
  }

  /**
   * @param display what it says
   * @param share of its full output that it gives, 0–1
   */
  public record Shown(Display display, double share) {}

  /**
   * One act of the guided sequence.
   *
   * @param act what to do
   * @param held what that holds
   * @param expect what a sound controller then says
   */
  public record Stage(String act, Held held, Display expect) {}

  private PowerUp() {}

  /**
   * @param gain share of the scale that is set, 0–1
   */
  public static Shown show(ControllerKind kind, Held held, double gain) {
    boolean wireless = kind == ControllerKind.WIRELESS;
    if (wireless && !held.paired()) {
      return new Shown(Display.UNPAIRED, 0);
    }
    if (wireless && !held.link()) {
      return new Shown(Display.LINK_LOST, 0);
    }
    boolean touched = held.lever() > 0 || held.pedal();
    if (held.asleep() && !touched) {
      return new Shown(Display.ASLEEP, 0);
    }
    if (!held.trailer()) {
      boolean logs = kind == ControllerKind.BUILT_IN && held.lever() > 0;
      return new Shown(logs ? Display.FAULT : Display.NO_TRAILER, 0);
    }
    double share = gain * Math.max(held.lever(), held.pedal() ? ASSIST : 0);
    return new Shown(share > 0 ? Display.BRAKING : Display.READY, share);
  }

  /** What to do at first power-up, in order. */
  public static List<Stage> sequence(ControllerKind kind) {
    boolean wireless = kind == ControllerKind.WIRELESS;
    List<Stage> stages = new ArrayList<>();
    if (kind == ControllerKind.NONE) {
      return stages;
    }
    if (wireless) {
      stages.add(
          new Stage(
              "Wake the unit; do not pair it yet",
              new Held(true, 0, false, false, false, true),
              Display.UNPAIRED));
      stages.add(
          new Stage(
              "Pair it by the code on its label",
              new Held(true, 0, false, false, true, true),
              Display.READY));
    } else {
      stages.add(
          new Stage(
              "Key on, plug out, hands off the lever",
              new Held(false, 0, false, false, true, true),
              Display.NO_TRAILER));
      stages.add(new Stage("Plug in", new Held(true, 0, false, false, true, true), Display.READY));
    }
    stages.add(
        new Stage(
            "Ease the lever half-way",
            new Held(true, 0.5, false, false, true, true),
            Display.BRAKING));
    stages.add(
        new Stage(
            "Lever off, press the pedal at rest",
            new Held(true, 0, true, false, true, true),
            Display.BRAKING));
    if (wireless) {
      stages.add(
          new Stage(
              "Walk away with the hand unit until the link drops",
              new Held(true, 0.5, false, false, true, false),
              Display.LINK_LOST));
    }
    stages.add(
        new Stage(
            "Leave it alone until it sleeps",
            new Held(true, 0, false, true, true, true),
            Display.ASLEEP));
    return List.copyOf(stages);
  }
}
