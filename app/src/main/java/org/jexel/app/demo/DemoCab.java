package org.jexel.app.demo;

import java.util.Map;

/** What was found in the cabs of the valley's vehicles, by the job's place in the demo. */
final class DemoCab {
  private DemoCab() {}

  static Map<String, Map<String, String>> of(int job) {
    return switch (job) {
      case 1 ->
          Map.of(
              "mounting",
              Map.of("yaw", "25", "pitch", "6", "roll", "0"),
              "signal",
              Map.of(
                  "wire1",
                  "red-white",
                  "up1",
                  "12.5",
                  "down1",
                  "12.5",
                  "wire2",
                  "green",
                  "up2",
                  "0",
                  "down2",
                  "12.4",
                  "wire3",
                  "blue",
                  "up3",
                  "12.5",
                  "down3",
                  "0"));
      case 2 ->
          Map.of(
              "plug",
              Map.of(
                  "vehicle", "1 stop\n2 earth\n3 supply\n4 brake\n5 -",
                  "harness", "1 stop\n2 brake\n3 supply\n4 earth\n5 -"),
              "mounting",
              Map.of("yaw", "2", "pitch", "8", "roll", "0"));
      case 3 ->
          Map.of(
              "panel",
              Map.of(
                  "width",
                  "7 3/8",
                  "left",
                  "3 11/16",
                  "right",
                  "3 5/8",
                  "spindle",
                  "3/8",
                  "lamp",
                  "5 mm",
                  "lampRight",
                  "20 mm",
                  "lampDown",
                  "0 1/2",
                  "cables",
                  "6 6 4.5 4.5"));
      default -> Map.of();
    };
  }
}
