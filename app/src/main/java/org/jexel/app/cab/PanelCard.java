package org.jexel.app.cab;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
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
 * @param units of the person
 */
record PanelCard(
    Map<String, String> typed,
    Map<String, String> problems,
    @Nullable PanelCentre centre,
    List<Drills.Drill> spindle,
    List<Drills.Drill> lamp,
    @Nullable BundleHole bundle,
    @Nullable CutOut cut,
    UnitSystem units) {
  private static final List<String> CUT = List.of("cutWidth", "cutHeight", "cutLeft", "cutTop");

  private static final List<String> TEMPLATE = List.of("lamp", "lampRight", "lampDown");

  private static final List<String> LENGTHS =
      Stream.of(CUT, TEMPLATE, List.of("width", "left", "right", "spindle"))
          .flatMap(List::stream)
          .toList();

  /** With its unit beside each bare number: another person's units are others. */
  static Map<String, String> withUnits(Map<String, String> typed, UnitSystem units) {
    Map<String, String> whole = new LinkedHashMap<>(typed);
    for (String field : LENGTHS) {
      whole.computeIfPresent(
          field,
          (name, text) ->
              text.matches("\\s*[-−]?[\\d.,]+\\s*")
                  ? text.strip() + (units == UnitSystem.METRIC ? " mm" : " in")
                  : text);
    }
    return whole;
  }

  static PanelCard of(Map<String, String> typed, UnitSystem units) {
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
        cut(typed, width, units, problems),
        units);
  }

  /** A length in the person's units. */
  public String text(Fraction length) {
    return length.text(units);
  }

  /** The same in the other units, for a tape that has those. */
  public String other(Fraction length) {
    return length.text(units.other());
  }

  private static String millimetres(double metres) {
    return Measure.DRILL.text(metres, UnitSystem.METRIC);
  }

  /** How far the mark is off, and the tape; both edges are measured. */
  public String marked() {
    PanelCentre both = Objects.requireNonNull(centre);
    return "mark off by %s, edges and width differ by %s"
        .formatted(
            text(Objects.requireNonNull(both.off())), text(Objects.requireNonNull(both.gap())));
  }

  /** The four lines of the cut-out that there is. */
  public String cutLines() {
    CutOut lines = Objects.requireNonNull(cut);
    return "lines at %s and %s from the left, %s and %s from the top"
        .formatted(
            text(lines.left()), text(lines.right()), text(lines.top()), text(lines.bottom()));
  }

  /** What stays beside the cut-out that there is, and its corners. */
  public String cutRest() {
    CutOut lines = Objects.requireNonNull(cut);
    String rest =
        lines.leftOver() == null ? "" : text(lines.leftOver()) + " stay to the right edge; ";
    return rest + "drill the corners " + lines.corners().label() + " first, then saw";
  }

  /** The hole for the bundle that there is. */
  public String bundleHole() {
    BundleHole hole = Objects.requireNonNull(bundle);
    return "circle around it %s, ÷ 0.8 fill = %s, drill %s"
        .formatted(millimetres(hole.around()), millimetres(hole.wanted()), hole.drill().label());
  }

  /** What a bare number is here. */
  public String hint() {
    return units == UnitSystem.METRIC
        ? "Millimetres; inches as fractions (2 5/8) or with their unit."
        : "Inches as fractions (2 5/8) or decimals; millimetres with their unit.";
  }

  /** A drill and by how much its hole is too wide or too narrow. */
  public String told(Drills.Drill drill) {
    return Phrase.of("%s (%+.2f mm)", drill.label(), 1000 * drill.error()).replace('-', '−');
  }

  private static @Nullable CutOut cut(
      Map<String, String> typed,
      @Nullable Fraction panel,
      UnitSystem units,
      Map<String, String> problems) {
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
      return CutOut.of(panel, sizes.get(0), sizes.get(1), sizes.get(2), sizes.get(3), units);
    } catch (IllegalArgumentException e) {
      problems.put("cutLeft", e.getMessage());
      return null;
    }
  }

  private static @Nullable Fraction length(
      Map<String, String> typed, String field, Map<String, String> problems) {
    String text = typed.getOrDefault(field, "").strip();
    if (text.isEmpty()) {
      return null;
    }
    try {
      return Fraction.parse(text, Template.BARE);
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
    String[] words = text.split("[\\s;]+|,\\s+");
    double[] diameters = new double[words.length];
    for (int i = 0; i < words.length; i++) {
      try {
        diameters[i] = Template.metres(words[i], UnitSystem.METRIC);
      } catch (IllegalArgumentException e) {
        problems.put(
            "cables",
            Phrase.of(
                "“%s” is not understood. Write the diameter of each cable, as in 6\u00a06\u00a04.5.",
                words[i]));
        return null;
      }
    }
    try {
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
