package org.jexel.app.cab;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jexel.core.cab.BundleHole;
import org.jexel.core.cab.CutOut;
import org.jexel.core.cab.Drills;
import org.jexel.core.cab.PanelCentre;
import org.jexel.core.quantity.Fraction;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;
import org.jspecify.annotations.Nullable;

/**
 * The panel form: centre, holes of spindle and lamp, hole for a bundle.
 *
 * @param typed fields as typed
 * @param problems by field
 * @param centre null without a width
 * @param spindle drills near the spindle's hole; empty without one
 * @param lamp drills near the lamp's hole; empty without one
 * @param bundle null without cables
 * @param cut null without a cut-out
 */
record PanelCard(
    Map<String, String> typed,
    Map<String, String> problems,
    @Nullable PanelCentre centre,
    List<Drills.Drill> spindle,
    List<Drills.Drill> lamp,
    @Nullable BundleHole bundle,
    @Nullable CutOut cut) {
  private static final List<String> CUT = List.of("cutWidth", "cutHeight", "cutLeft", "cutTop");

  private static final List<String> TEMPLATE = List.of("lamp", "lampRight", "lampDown");

  static PanelCard of(Map<String, String> typed) {
    Map<String, String> problems = new LinkedHashMap<>();
    Fraction width = length(typed, "width", problems);
    Fraction left = length(typed, "left", problems);
    Fraction right = length(typed, "right", problems);
    PanelCentre centre = null;
    if (width != null) {
      try {
        centre = PanelCentre.of(width, left, right);
      } catch (IllegalArgumentException e) {
        problems.put("width", e.getMessage());
      }
    }
    for (String way : List.of("lampRight", "lampDown")) {
      try {
        Template.offset(typed.getOrDefault(way, ""));
      } catch (IllegalArgumentException e) {
        problems.put(way, e.getMessage());
      }
    }
    return new PanelCard(
        typed,
        problems,
        centre,
        drills(typed, "spindle", problems),
        drills(typed, "lamp", problems),
        bundle(typed, problems),
        cut(typed, width, problems));
  }

  /** A length in millimetres, whatever units are shown: the other half of an inch fraction. */
  public String millimetres(double metres) {
    return Measure.DRILL.text(metres, UnitSystem.METRIC);
  }

  /** A drill and by how much its hole is too wide or too narrow. */
  public String told(Drills.Drill drill) {
    return Phrase.of("%s (%+.2f mm)", drill.label(), 1000 * drill.error()).replace('-', '−');
  }

  private static @Nullable CutOut cut(
      Map<String, String> typed, @Nullable Fraction panel, Map<String, String> problems) {
    List<Fraction> sizes = new ArrayList<>();
    for (String field : CUT) {
      Fraction size = length(typed, field, problems);
      if (size != null) {
        sizes.add(size);
      }
    }
    if (sizes.size() < CUT.size()) {
      return null;
    }
    try {
      return CutOut.of(panel, sizes.get(0), sizes.get(1), sizes.get(2), sizes.get(3));
    } catch (IllegalArgumentException e) {
      problems.put("cutLeft", e.getMessage());
      return null;
    }
  }

  /** An inch fraction exactly, or millimetres to the nearest 64th. */
  private static @Nullable Fraction length(
      Map<String, String> typed, String field, Map<String, String> problems) {
    String text = typed.getOrDefault(field, "").strip();
    if (text.isEmpty()) {
      return null;
    }
    try {
      return text.endsWith("mm")
          ? Fraction.nearest(Template.metres(text, UnitSystem.US))
          : Fraction.parse(text);
    } catch (IllegalArgumentException e) {
      problems.put(field, e.getMessage());
      return null;
    }
  }

  private static List<Drills.Drill> drills(
      Map<String, String> typed, String field, Map<String, String> problems) {
    String text = typed.getOrDefault(field, "").strip();
    if (text.isEmpty()) {
      return List.of();
    }
    try {
      return Drills.nearest(Template.length(text));
    } catch (IllegalArgumentException e) {
      problems.put(field, e.getMessage());
      return List.of();
    }
  }

  private static @Nullable BundleHole bundle(
      Map<String, String> typed, Map<String, String> problems) {
    String text = typed.getOrDefault("cables", "").strip();
    if (text.isEmpty()) {
      return null;
    }
    try {
      String[] words = text.split("[\\s;]+|,\\s+");
      double[] diameters = new double[words.length];
      for (int i = 0; i < words.length; i++) {
        diameters[i] = Template.metres(words[i], UnitSystem.METRIC);
      }
      return BundleHole.of(diameters);
    } catch (IllegalArgumentException e) {
      problems.put("cables", e.getMessage());
      return null;
    }
  }

  /** Whether a template can be drawn: a spindle's hole, and nothing of it misread. */
  public boolean template() {
    return !spindle.isEmpty() && TEMPLATE.stream().noneMatch(problems::containsKey);
  }

  public String text(String field) {
    return typed.getOrDefault(field, "");
  }
}
