package org.jexel.app.drawing;

import java.util.Map;
import java.util.regex.Pattern;
import org.jexel.core.job.Station;
import org.jexel.core.job.StationState;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Verdict;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.util.HtmlUtils;

/**
 * The shapes of verdicts and states: disc holds, triangle watch, square fails, ring not yet, half
 * disc under way, two bars computed. The one place where they are drawn.
 */
@ControllerAdvice
public class Shapes {
  private static final String HEAD =
      "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 16 16\" aria-hidden=\"true\""
          + " class=\"shape ";
  private static final Pattern INDEX = Pattern.compile("_(\\w+)");
  private static final Pattern POWER = Pattern.compile("\\^([\\p{L}\\d.]+)");
  private static final Map<String, Measure> MEASURES = Measure.byName();
  private static final Map<String, String> SHAPES =
      Map.of(
          "holds", "<circle cx=\"8\" cy=\"8\" r=\"6.5\" fill=\"" + Palette.GOOD + "\"/>",
          "watch", "<path d=\"M8 1.5 L15 14.5 L1 14.5 Z\" fill=\"" + Palette.WATCH + "\"/>",
          "fails",
              "<rect x=\"2\" y=\"2\" width=\"12\" height=\"12\" fill=\"" + Palette.BAD + "\"/>",
          "computed",
              "<path d=\"M2.5 5.6 H13.5 M2.5 10.4 H13.5\" fill=\"none\" stroke=\""
                  + Palette.WORK
                  + "\" stroke-width=\"2.2\"/>",
          "under-way",
              "<circle class=\"ring\" cx=\"8\" cy=\"8\" r=\"5.6\" fill=\"none\" stroke=\""
                  + Palette.WORK
                  + "\""
                  + " stroke-width=\"1.8\"/><path d=\"M8 2.4 A5.6 5.6 0 0 1 8 13.6 Z\""
                  + " fill=\""
                  + Palette.WORK
                  + "\"/>",
          "not-yet",
              "<circle cx=\"8\" cy=\"8\" r=\"5.6\" fill=\"none\" stroke=\""
                  + Palette.INK
                  + "\""
                  + " stroke-width=\"1.8\"/>");

  /** Every page draws with it. */
  @ModelAttribute("shapes")
  Shapes shapes() {
    return this;
  }

  /** Every page writes its figures by it. */
  @ModelAttribute("measure")
  Map<String, Measure> measure() {
    return MEASURES;
  }

  /** A formula or a symbol with its indices set below the line and its powers above it, as HTML. */
  public String typeset(String formula) {
    String indexed =
        INDEX.matcher(HtmlUtils.htmlEscape(formula, "UTF-8")).replaceAll("<sub>$1</sub>");
    return POWER.matcher(indexed).replaceAll("<sup>$1</sup>");
  }

  public String of(StationState state) {
    return shape(state.style());
  }

  public String of(Verdict verdict) {
    return shape(style(verdict));
  }

  /**
   * @param proved whether something was read for it; else it is computed
   */
  public StationState state(Verdict verdict, boolean proved) {
    return StationState.of(verdict, proved);
  }

  /** The triangle beside something that cannot be as it is. */
  public String watch() {
    return of(Verdict.WATCH);
  }

  /** Disc or ring, for what is done or still to do. */
  public String ticked(boolean done) {
    return of(done ? Verdict.HOLDS : Verdict.NOT_YET);
  }

  /** Name of the style that goes with a verdict. */
  public String style(Verdict verdict) {
    return verdict.label().replace(' ', '-');
  }

  /** The seven states of a job, strung on a line. */
  public String string(Map<Station, StationState> states) {
    StringBuilder beads = new StringBuilder("<span class=\"string\">");
    states.forEach(
        (station, state) ->
            beads
                .append("<span class=\"bead\" title=\"")
                .append(station.label())
                .append(": ")
                .append(state.label())
                .append("\">")
                .append(of(state))
                .append("<span class=\"visually-hidden\">")
                .append(station.label())
                .append(' ')
                .append(state.label())
                .append("; </span></span>"));
    return beads.append("</span>").toString();
  }

  private static String shape(String style) {
    return HEAD + style + "\">" + SHAPES.get(style) + "</svg>";
  }
}
