package org.jexel.app.cab;

import java.util.Map;
import org.jexel.core.cab.CavityMatch;

/**
 * The plug-to-plug form, and how the two ends stand.
 *
 * @param vehicle list as typed
 * @param harness list as typed
 * @param vehicleProblem why the first cannot be read; null if it can
 * @param harnessProblem why the second cannot be read; null if it can
 * @param match null until both can be read and neither is empty
 * @param drawing both ends side by side; null without a match
 */
record PlugCard(
    String vehicle,
    String harness,
    String vehicleProblem,
    String harnessProblem,
    CavityMatch match,
    String drawing) {

  static PlugCard of(Map<String, String> typed) {
    String vehicle = typed.getOrDefault("vehicle", "");
    String harness = typed.getOrDefault("harness", "");
    String vehicleProblem = problem(vehicle);
    String harnessProblem = problem(harness);
    boolean both = vehicleProblem == null && harnessProblem == null;
    if (!both || vehicle.isBlank() || harness.isBlank()) {
      return new PlugCard(vehicle, harness, vehicleProblem, harnessProblem, null, null);
    }
    CavityMatch match = CavityMatch.of(CavityMatch.parse(vehicle), CavityMatch.parse(harness));
    return new PlugCard(
        vehicle, harness, null, null, match, org.jexel.app.drawing.PlugDrawing.draw(match));
  }

  private static String problem(String text) {
    try {
      CavityMatch.parse(text);
      return null;
    } catch (IllegalArgumentException e) {
      return e.getMessage();
    }
  }
}
