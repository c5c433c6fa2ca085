package org.jexel.app.demo;

import java.util.LinkedHashMap;
import java.util.Map;
import org.jexel.core.cab.Clearance;
import org.jexel.core.rig.ControllerKind;

/** What was found in the cabs of the valley's vehicles, by the job's place in the demo. */
final class DemoCab {
  private static final String LARCH = "Larch, under-dash";
  private static final String ROWAN = "Rowan, remote knob";

  private DemoCab() {}

  /** Model of the job's controller in the library; empty where nobody said. */
  static String model(int job) {
    return switch (job) {
      case 1, 5 -> LARCH;
      case 2 -> ROWAN;
      default -> "";
    };
  }

  static Map<String, Map<String, String>> of(int job) {
    return switch (job) {
      case 1 ->
          Map.of(
              "mounting", typed("yaw 25", "pitch 6", "roll 0"),
              "signal",
                  typed(
                      "wire1 red-white",
                      "up1 12.5",
                      "down1 12.5",
                      "wire2 green",
                      "up2 0",
                      "down2 12.4",
                      "wire3 blue",
                      "up3 12.5",
                      "down3 0"));
      case 2 ->
          Map.of(
              "plug",
                  typed(
                      "vehicle 1 stop\n2 earth\n3 supply\n4 brake\n5 -",
                      "harness 1 stop\n2 earth\n3 supply\n4 brake\n5 -"),
              "signal", typed("wire1 yellow", "up1 0", "down1 12.4"),
              "mounting", clear(ControllerKind.REMOTE_KNOB, typed("yaw 2", "pitch 8", "roll 0")));
      case 3 ->
          Map.of(
              "panel",
              typed(
                  "width 7 3/8",
                  "left 3 11/16",
                  "right 3 5/8",
                  "spindle 3/8",
                  "lamp 5 mm",
                  "lampRight 20 mm",
                  "lampDown 0 1/2",
                  "cables 6 6 4.5 4.5"));
      case 5 ->
          Map.of(
              "mounting", clear(ControllerKind.UNDER_DASH, typed("yaw 1", "pitch 11", "roll 2")));
      default -> Map.of();
    };
  }

  private static Map<String, String> typed(String... fields) {
    Map<String, String> typed = new LinkedHashMap<>();
    for (String field : fields) {
      String[] pair = field.split(" ", 2);
      typed.put(pair[0], pair[1]);
    }
    return typed;
  }

  private static Map<String, String> clear(ControllerKind kind, Map<String, String> typed) {
    Clearance.of(kind).forEach(place -> typed.put("clear" + place.name(), "yes"));
    return typed;
  }
}
