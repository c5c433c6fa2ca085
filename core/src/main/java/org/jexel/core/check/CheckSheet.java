package org.jexel.core.check;

import static org.jexel.core.harness.Harness.BATTERY_MINUS;
import static org.jexel.core.harness.Harness.BATTERY_PLUS;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import org.jexel.core.connector.Pin;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Nodes;
import org.jexel.core.network.RigState;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jspecify.annotations.Nullable;

/**
 * The checks for one rig, each with the reading that a healthy rig would give, in the order that
 * isolates faults soonest. Those that {@link Check#proves() prove} the rig are what everybody
 * takes; the others look closer, for whoever looks for a fault or wants every joint on paper.
 *
 * <p>The expected value is solved from the network, its band is its {@link Spread}.
 */
public final class CheckSheet {
  private static final CheckId BATTERY = new CheckId("supply", "battery");

  /** Id of the check whose reading every later one starts from. */
  public static final String SUPPLY = BATTERY.text();

  /** Ids of the clamp on the breakaway's lead, and of its battery before and after the pull. */
  public static final String PIN_AMPS = BreakawayChecks.AMPS.text();

  public static final String BATTERY_BEFORE = BreakawayChecks.BEFORE.text();
  public static final String BATTERY_AFTER = BreakawayChecks.AFTER.text();

  /** Six lead cells at rest, by the usual tables of open-circuit volts against charge. */
  private static final double THREE_QUARTERS_VOLTS = 12.4;

  /** The same with the charge of the last drive still on the plates. */
  private static final double JUST_CHARGED_VOLTS = 12.95;

  private static final FieldKey ENGINE_OFF = FieldKey.of(RigField.ENGINE_OFF_VOLTS);

  private static final double AT_SOCKET = 1;

  private final Rig rig;
  private final CheckMaker maker;
  private final List<Check> checks = new ArrayList<>();

  private CheckSheet(Rig rig, Harness harness) {
    this.rig = rig;
    this.maker = new CheckMaker(rig, harness);
  }

  /**
   * Every check of this rig, in working order.
   *
   * @param supply battery volts as read, V; once there, every later check starts from it
   */
  public static List<Check> of(Rig rig, Harness harness, OptionalDouble supply) {
    CheckSheet first = new CheckSheet(charged(rig), harness);
    first.supply();
    first.checks.replaceAll(CheckSheet::judgedByItself);
    CheckSheet sheet = new CheckSheet(asRead(rig, supply), harness);
    sheet.checks.addAll(first.checks);
    for (Pin pin : rig.connector().pins()) {
      if (pin.function() != PinFunction.EARTH && pin.function() != PinFunction.BRAKE) {
        sheet.socket(pin);
      }
    }
    sheet.checks.addAll(BrakeChecks.of(rig, harness, sheet.maker));
    sheet.checks.addAll(BreakawayChecks.of(rig, harness, sheet.maker));
    sheet.checks.addAll(LoadedChecks.of(harness, sheet.maker));
    sheet.checks.addAll(StampChecks.of(harness, sheet.maker));
    sheet.checks.addAll(TrailerAlone.of(rig.connector(), harness, sheet.maker));
    sheet.checks.addAll(SenseChecks.of(rig, harness, sheet.maker));
    sheet.checks.addAll(BreakawayChecks.after(rig, harness, sheet.maker));
    sheet.checks.addAll(MovedChecks.of(harness, sheet.maker));
    sheet.checks.addAll(WheelChecks.of(harness, sheet.maker));
    sheet.checks.sort(Comparator.comparing(Check::group).thenComparing(CheckSheet::lens));
    return List.copyOf(sheet.checks);
  }

  /** A rear lamp is read to its end before the next one's lens is off; others stay as they are. */
  private static String lens(Check check) {
    return check.group() == Check.Group.REAR_LAMPS ? check.round() : "";
  }

  /** A battery is judged by what a charged one shows, whatever was entered. */
  private static Rig charged(Rig rig) {
    return rig.with(rig.sheet().without(ENGINE_OFF));
  }

  private static Check judgedByItself(Check battery) {
    return battery.within(
        new Band(battery.band().expected(), THREE_QUARTERS_VOLTS, JUST_CHARGED_VOLTS));
  }

  /**
   * The rig as later readings find it: its battery where it was read.
   *
   * @param supply battery volts as read, V
   */
  public static Rig asRead(Rig rig, OptionalDouble supply) {
    return supply.isPresent() ? rig.with(rig.sheet().with(ENGINE_OFF, supply.getAsDouble())) : rig;
  }

  private void supply() {
    volts(
        Setup.rig(StateWord.UNPLUGGED),
        BATTERY,
        "Battery, engine off",
        Check.Group.SUPPLY,
        null,
        "Engine off for ten minutes, everything off.",
        "At the vehicle's battery",
        "battery plus post",
        "battery minus post",
        BATTERY_PLUS,
        BATTERY_MINUS,
        "Every other expected value starts from this one. Judged by what a lead battery shows at rest: 12.4 V is three quarters full, 12.7 V full.",
        AT_SOCKET);
  }

  private void socket(Pin pin) {
    PinFunction function = pin.function();
    String node = Nodes.socket(function);
    volts(
        new Setup(Setup.Kind.RIG, on(function), null),
        new CheckId("socket", Nodes.id(function)),
        "Socket pin " + pin.number() + ", " + function.label(),
        Check.Group.SOCKET,
        function,
        switchOn(function),
        "At the vehicle's socket, plug out",
        Phrase.of("pin %d, %s", pin.number(), function.label()),
        earthPin(),
        node,
        Nodes.socket(PinFunction.EARTH),
        "A pin without load shows the battery, less what the vehicle's own lamps or its module take. What else is missing is lost in the vehicle.",
        AT_SOCKET);
  }

  private static RigState on(PinFunction function) {
    return function == PinFunction.CHARGE
        ? RigState.of(StateWord.UNPLUGGED)
        : RigState.of(StateWord.UNPLUGGED, StateWord.valueOf(function.name()));
  }

  private static String switchOn(PinFunction function) {
    return switch (function) {
      case TAIL -> "Tail lamps on, plug out.";
      case LEFT -> "Left indicator on (read the peak), plug out.";
      case RIGHT -> "Right indicator on (read the peak), plug out.";
      case STOP -> "Brake pedal held down, plug out.";
      case REVERSE -> "Ignition on, engine off, reverse selected, plug out.";
      case CHARGE -> "Ignition on, engine off, plug out.";
      case EARTH, BRAKE -> "Plug out.";
    };
  }

  private String earthPin() {
    return CheckMaker.pin(rig.connector(), PinFunction.EARTH);
  }

  private void volts(
      Setup setup,
      CheckId id,
      String title,
      Check.Group group,
      @Nullable PinFunction function,
      String state,
      String place,
      String red,
      String black,
      String redNode,
      String blackNode,
      String why,
      double minutes) {
    add(
        new CheckMaker.Words(id, title, group, function, state, place, red, black, why, minutes),
        new Probing(setup, Measure.VOLTS, redNode, blackNode));
  }

  private void add(CheckMaker.Words words, Probing probing) {
    checks.add(maker.make(words, probing));
  }
}
