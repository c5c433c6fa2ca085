package org.jexel.core.rig;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.jexel.core.connector.Connector;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.quantity.Verdict;

/** What the rig lacks for the job, each line with its reason and the work it adds. */
public final class GapList {
  private GapList() {}

  public static List<Gap> of(Rig rig) {
    List<Gap> gaps = new ArrayList<>();
    connectors(rig, gaps);
    brakes(rig, gaps);
    vehicle(rig, gaps);
    lamps(rig, gaps);
    return gaps;
  }

  private static void connectors(Rig rig, List<Gap> gaps) {
    Connector tow = rig.towConnector();
    Connector plug = rig.trailerConnector();
    Connector planned = rig.connector();
    if (rig.hasElectricBrakes() && !planned.has(PinFunction.BRAKE)) {
      gaps.add(
          new Gap(
              "No brake pin in the planned connector",
              "Electric brakes need a brake conductor of their own; %s has none."
                  .formatted(planned.label()),
              "Choose a connector with a brake pin on both halves.",
              Verdict.FAILS));
    }
    if (bridged(rig)) {
      gaps.add(
          new Gap(
              "A wireless unit between the halves",
              "%s on the vehicle has no brake pin; the unit takes its lamps in and gives %s out."
                  .formatted(tow.label(), planned.label()),
              "Run a fused feed and an earth from the battery to the unit; what %s lacks stays dead until it has a run of its own: %s."
                  .formatted(tow.label(), missing(tow, planned, PinFunction.BRAKE)),
              Verdict.WATCH));
    } else if (!tow.takes(planned)) {
      gaps.add(
          new Gap(
              "Socket on the vehicle",
              "The vehicle has %s; this job ends with %s.".formatted(tow.label(), planned.label()),
              "Fit a %s socket and run the conductors that are missing: %s."
                  .formatted(planned.label(), missing(tow, planned)),
              Verdict.WATCH));
    }
    if (!plug.id().equals(planned.id())) {
      gaps.add(
          new Gap(
              "Plug on the trailer",
              "The cord ends in %s; this job ends with %s."
                  .formatted(plug.label(), planned.label()),
              "New cord and plug; conductors to add: %s.".formatted(missing(plug, planned)),
              Verdict.WATCH));
    } else if (!tow.takes(plug) && !bridged(rig)) {
      gaps.add(
          new Gap(
              "The halves do not mate",
              "%s on the vehicle, %s on the trailer.".formatted(tow.label(), plug.label()),
              "Change one half; an adapter is one more pair of contacts to fail.",
              Verdict.FAILS));
    }
    if (!rig.towConvention().id().equals(rig.convention().id())) {
      gaps.add(
          new Gap(
              "Two colour conventions meet",
              "%s behind the socket, %s on the trailer: the same colour does two jobs."
                  .formatted(rig.towConvention().label(), rig.convention().label()),
              "Check every conductor end to end with a meter before joining.",
              Verdict.WATCH));
    }
  }

  /** A wireless unit sits at the socket and makes the brake output itself. */
  private static boolean bridged(Rig rig) {
    return rig.hasElectricBrakes()
        && rig.controllerKind() == ControllerKind.WIRELESS
        && !rig.towConnector().has(PinFunction.BRAKE);
  }

  private static String missing(Connector present, Connector planned, PinFunction... but) {
    List<String> names =
        planned.pins().stream()
            .map(pin -> pin.function())
            .filter(function -> !present.has(function) && !List.of(but).contains(function))
            .map(PinFunction::label)
            .toList();
    return names.isEmpty() ? "none" : String.join(", ", names);
  }

  private static void brakes(Rig rig, List<Gap> gaps) {
    RigSheet sheet = rig.sheet();
    if (!rig.hasElectricBrakes()) {
      return;
    }
    if (kindsOfBrakes(rig) > 1) {
      gaps.add(
          new Gap(
              "Brakes of different kinds",
              "The axles are braked in different ways; one controller works one kind only.",
              "Look again at each axle, or convert the odd one.",
              Verdict.FAILS));
    }
    if (sheet.choice(RigField.BREAKAWAY_KIT, BreakawayKit.class) == BreakawayKit.NONE) {
      gaps.add(
          new Gap(
              "No breakaway",
              "A braked trailer that comes off must stop itself; nothing here does that.",
              "Fit switch, cable, battery and charge feed; prove it at the Breakaway station.",
              Verdict.FAILS));
    }
    if (sheet.choice(RigField.CONTROLLER_KIND, ControllerKind.class) == ControllerKind.NONE) {
      gaps.add(
          new Gap(
              "No brake controller",
              "Electric brakes do nothing until a controller feeds them.",
              "Choose and fit a controller at the Cab station.",
              Verdict.FAILS));
    }
    if (sheet.choice(RigField.JUNCTION_BOX, YesNo.class) == YesNo.NO) {
      gaps.add(
          new Gap(
              "No junction box",
              "Brake trunk, lamps and breakaway meet somewhere; a box keeps the joints dry and in reach.",
              "Fit a box on the drawbar, or record the joints that stand in for it.",
              Verdict.WATCH));
    }
  }

  private static long kindsOfBrakes(Rig rig) {
    return Arrays.stream(rig.brakedAxles())
        .mapToObj(axle -> rig.sheet().choice(new FieldKey(RigField.BRAKE_TYPE, axle)).value())
        .distinct()
        .count();
  }

  private static void vehicle(Rig rig, List<Gap> gaps) {
    RigSheet sheet = rig.sheet();
    if (sheet.choice(RigField.LAMPS_MONITORED, YesNo.class) == YesNo.YES
        && sheet.choice(RigField.TOW_PREP, TowPrep.class) == TowPrep.NONE) {
      gaps.add(
          new Gap(
              "Monitored lamps without an isolator",
              "The vehicle watches its lamps; a trailer wired straight to them is read as a fault.",
              "Fit an isolating module and take the stop signal from its output.",
              Verdict.FAILS));
    } else if (sheet.choice(RigField.LAMPS_MONITORED, YesNo.class) == YesNo.YES) {
      gaps.add(
          new Gap(
              "Monitored lamps",
              "A stop signal taken ahead of the isolator carries test pulses that hum in the brakes.",
              "Take the stop signal from the output that feeds the socket.",
              Verdict.WATCH));
    }
  }

  private static void lamps(Rig rig, List<Gap> gaps) {
    RigSheet sheet = rig.sheet();
    if (sheet.choice(RigField.BODY_MATERIAL, Material.class) == Material.ALUMINIUM
        && rig.fittedLamps().stream()
            .anyMatch(
                lamp ->
                    lamp.technology() == LampTechnology.FILAMENT
                        && lamp.role() != LampRole.COMBINED)) {
      gaps.add(
          new Gap(
              "Aluminium body under single-wire lamps",
              "A lamp that returns through its screws needs a skin that reaches the earth pin; riveted aluminium may not.",
              "Run an earth conductor to each such lamp.",
              Verdict.WATCH));
    }
    if (sheet.choice(RigField.LAMPS_SUBMERGED, YesNo.class) == YesNo.YES) {
      underWater(rig, gaps);
    }
    List<Lamp> wanted =
        rig.lamps().stream().filter(lamp -> lamp.state() == Lamp.State.WANTED).toList();
    if (!wanted.isEmpty()) {
      gaps.add(
          new Gap(
              wanted.size() == 1 ? "One lamp to be fitted" : wanted.size() + " lamps to be fitted",
              wanted.stream()
                  .map(lamp -> lamp.role().label() + ", " + lamp.side().label())
                  .distinct()
                  .reduce((a, b) -> a + "; " + b)
                  .orElseThrow()
                  .concat("."),
              "Holes, grommets, feed and return for each.",
              Verdict.WATCH));
    }
    boolean reverseLamp =
        rig.fittedLamps().stream().anyMatch(lamp -> lamp.role() == LampRole.REVERSE);
    if (reverseLamp && !rig.carries(PinFunction.REVERSE)) {
      gaps.add(
          new Gap(
              "Reverse lamp without a reverse pin",
              "%s has no reverse conductor.".formatted(rig.connector().label()),
              "Choose a connector with a reverse pin, or leave the lamp out.",
              Verdict.WATCH));
    }
  }

  private static void underWater(Rig rig, List<Gap> gaps) {
    boolean filaments =
        rig.fittedLamps().stream().anyMatch(lamp -> lamp.technology() == LampTechnology.FILAMENT);
    if (filaments) {
      gaps.add(
          new Gap(
              "Filament lamps that go under water",
              "Hot glass breaks in cold water, and a lens that cools draws water in.",
              "Sealed diode lamps, or a lamp board that comes off before the launch; plug out before the wheels are wet.",
              Verdict.WATCH));
    }
    if (rig.sheet().choice(RigField.LAMP_RETURN, LampReturn.class) == LampReturn.FRAME) {
      gaps.add(
          new Gap(
              "Returns through a frame that goes under water",
              "Every screw is a joint of two metals in water: it corrodes first.",
              "A return conductor to each lamp, joined above the waterline.",
              Verdict.WATCH));
    }
  }
}
