package org.jexel.app.cab;

import java.util.LinkedHashMap;
import java.util.Map;
import org.jexel.app.drawing.MountingDrawing;
import org.jexel.core.cab.Mounting;
import org.jexel.core.quantity.Phrase;
import org.jspecify.annotations.Nullable;

/**
 * The mounting form, and what the angles do.
 *
 * @param typed fields as typed
 * @param problems by field
 * @param model what the model allows where nothing is typed
 * @param mounting null until all three angles can be read
 * @param drawing plan and side view; null without a mounting
 */
record MountingCard(
    Map<String, String> typed,
    Map<String, String> problems,
    Mounting.Limits model,
    @Nullable Mounting mounting,
    @Nullable String drawing) {

  /**
   * @param model what the model allows; a typed limit goes before it
   */
  static MountingCard of(Map<String, String> typed, Mounting.Limits model) {
    Map<String, String> problems = new LinkedHashMap<>();
    double yaw = degrees(typed, "yaw", 0, 180, problems);
    double pitch = degrees(typed, "pitch", 0, 90, problems);
    double roll = degrees(typed, "roll", 0, 180, problems);
    double yawLimit = degrees(typed, "yawLimit", Math.toDegrees(model.yaw()), 90, problems);
    double pitchLimit = degrees(typed, "pitchLimit", Math.toDegrees(model.pitch()), 90, problems);
    boolean angles =
        !typed.getOrDefault("yaw", "").isBlank() || !typed.getOrDefault("pitch", "").isBlank();
    if (!problems.isEmpty() || !angles) {
      return new MountingCard(typed, problems, model, null, null);
    }
    Mounting.Limits limits =
        new Mounting.Limits(
            Math.toRadians(Math.abs(yawLimit)),
            Math.toRadians(Math.abs(pitchLimit)),
            model.roll(),
            model.levels() || typed.containsKey("levels"));
    Mounting mounting =
        Mounting.of(Math.toRadians(yaw), Math.toRadians(pitch), Math.toRadians(roll), limits);
    return new MountingCard(
        typed, problems, model, mounting, MountingDrawing.draw(yaw, pitch, yawLimit, pitchLimit));
  }

  private static double degrees(
      Map<String, String> typed,
      String field,
      double otherwise,
      double most,
      Map<String, String> problems) {
    String text = typed.getOrDefault(field, "").strip().replace("°", "").replace(',', '.');
    if (text.isEmpty()) {
      return otherwise;
    }
    try {
      double value = Double.parseDouble(text.replace('−', '-'));
      if (Math.abs(value) <= most) {
        return value;
      }
      problems.put(field, Phrase.of("Between −%.0f and %.0f degrees.", most, most));
    } catch (NumberFormatException e) {
      problems.put(field, "Not understood. Type degrees, such as 12.");
    }
    return Double.NaN;
  }

  public String yawAllowed() {
    return Phrase.of("%.0f", Math.toDegrees(model.yaw()));
  }

  public String pitchAllowed() {
    return Phrase.of("%.0f", Math.toDegrees(model.pitch()));
  }

  public String text(String field) {
    return typed.getOrDefault(field, "");
  }
}
