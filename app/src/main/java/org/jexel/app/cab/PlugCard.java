package org.jexel.app.cab;

import java.util.Map;
import java.util.SortedMap;
import java.util.stream.Collectors;
import org.jexel.app.drawing.PlugDrawing;
import org.jexel.core.cab.CavityMatch;
import org.jspecify.annotations.Nullable;

/**
 * The plug-to-plug form, and how the two ends stand.
 *
 * @param vehicle list as typed
 * @param harness list as typed
 * @param vehicleProblem why the first cannot be read; null if it can
 * @param harnessProblem why the second cannot be read; null if it can
 * @param match null until both can be read and neither is empty
 * @param drawing both ends side by side; null without a match
 * @param fromLibrary whether the second list is the library's
 */
record PlugCard(
    String vehicle,
    String harness,
    @Nullable String vehicleProblem,
    @Nullable String harnessProblem,
    @Nullable CavityMatch match,
    @Nullable String drawing,
    boolean fromLibrary) {

  /**
   * @param library what the controller's own plug carries, by the library; empty if not known
   */
  static PlugCard of(Map<String, String> typed, SortedMap<Integer, String> library) {
    String vehicle = typed.getOrDefault("vehicle", "");
    String said = typed.getOrDefault("harness", "");
    boolean known = said.isBlank() && !library.isEmpty();
    String harness =
        known
            ? library.entrySet().stream()
                .map(e -> e.getKey() + " " + (e.getValue().isEmpty() ? "–" : e.getValue()))
                .collect(Collectors.joining("\n"))
            : said;
    String vehicleProblem = problem(vehicle);
    String harnessProblem = problem(harness);
    boolean both = vehicleProblem == null && harnessProblem == null;
    if (!both || vehicle.isBlank() || harness.isBlank()) {
      return new PlugCard(vehicle, harness, vehicleProblem, harnessProblem, null, null, known);
    }
    CavityMatch match = CavityMatch.of(CavityMatch.parse(vehicle), CavityMatch.parse(harness));
    return new PlugCard(vehicle, harness, null, null, match, PlugDrawing.draw(match), known);
  }

  private static @Nullable String problem(String text) {
    try {
      CavityMatch.parse(text);
      return null;
    } catch (IllegalArgumentException e) {
      return String.valueOf(e.getMessage());
    }
  }
}
