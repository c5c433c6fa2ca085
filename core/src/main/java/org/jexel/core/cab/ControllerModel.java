package org.jexel.core.cab;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import org.jexel.core.connector.WireColour;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.rig.ControllerKind;
import org.jexel.core.road.GainScale;

/**
 * A controller model as the workshop knows it from its sheet and its own measurements.
 *
 * <p>May hold figures that cannot stand: {@link #problems()} names each, and only a model without
 * problems may be kept or asked for its {@link #scale()}.
 *
 * @param label as the workshop calls it, unique there
 * @param kind how it decides its output
 * @param least first mark of the scale
 * @param greatest last mark
 * @param step between marks
 * @param supplyLeast least supply it works at, V
 * @param supplyGreatest greatest supply it bears, V
 * @param outputAmps greatest continuous output, A
 * @param limits how it may be mounted
 * @param assist names of the start-up assist levels, weakest first; empty without one
 * @param leads insulation colour of each lead; what is missing is not known
 * @param cavities what each cavity of its plug is for, in the words of {@link CavityMatch#parse}
 * @param curve volts at the connector by gain, the trailer connected as load; empty until measured
 * @param notes anything else
 */
public record ControllerModel(
    String label,
    ControllerKind kind,
    double least,
    double greatest,
    double step,
    double supplyLeast,
    double supplyGreatest,
    double outputAmps,
    Mounting.Limits limits,
    List<String> assist,
    Map<ControllerLead, WireColour> leads,
    SortedMap<Integer, String> cavities,
    List<Point> curve,
    String notes) {
  private static final int LONGEST_LABEL = 60;
  private static final int MOST_MARKS = 1000;

  /**
   * @param gain on the scale
   * @param volts at the connector
   */
  public record Point(double gain, double volts) {}

  /**
   * @param field the figure that cannot stand, by the name of its component here
   * @param message why, and what would be understood
   */
  public record Problem(String field, String message) {}

  public ControllerModel {
    assist = List.copyOf(assist);
    leads = Map.copyOf(leads);
    cavities = new TreeMap<>(cavities);
    curve = List.copyOf(curve);
  }

  /** The same model with a curve that was measured. */
  public ControllerModel with(List<Point> measured) {
    return new ControllerModel(
        label,
        kind,
        least,
        greatest,
        step,
        supplyLeast,
        supplyGreatest,
        outputAmps,
        limits,
        assist,
        leads,
        cavities,
        measured,
        notes);
  }

  public GainScale scale() {
    return new GainScale(least, greatest, step);
  }

  /** Volts at the connector at this gain, between measured points; empty beyond them. */
  public OptionalDouble volts(double gain) {
    for (int i = 1; i < curve.size(); i++) {
      Point a = curve.get(i - 1);
      Point b = curve.get(i);
      if (gain >= a.gain() && gain <= b.gain()) {
        return OptionalDouble.of(
            a.volts() + (b.volts() - a.volts()) * (gain - a.gain()) / (b.gain() - a.gain()));
      }
    }
    return OptionalDouble.empty();
  }

  /** Everything that cannot stand. */
  public List<Problem> problems() {
    List<Problem> found = new ArrayList<>();
    if (label.isBlank() || label.length() > LONGEST_LABEL) {
      found.add(new Problem("label", "Give it a name of at most " + LONGEST_LABEL + " letters."));
    }
    if (kind == ControllerKind.NONE) {
      found.add(new Problem("kind", "Say how it decides its output."));
    }
    scale(found);
    if (!(supplyLeast >= 6 && supplyLeast < supplyGreatest && supplyGreatest <= 32)) {
      found.add(
          new Problem(
              "supplyLeast", "From least to greatest, between 6 and 32 V, such as 10 to 16."));
    }
    if (!(outputAmps > 0 && outputAmps <= 100)) {
      found.add(new Problem("outputAmps", "More than 0 and at most 100 A."));
    }
    angle("yaw", limits.yaw(), Math.PI / 2, found);
    angle("pitch", limits.pitch(), Math.PI / 2, found);
    angle("roll", limits.roll(), Math.PI, found);
    Set<String> levels = new HashSet<>();
    for (String level : assist) {
      if (level.isBlank() || !levels.add(level)) {
        found.add(new Problem("assist", "Each level has a name of its own, weakest first."));
        break;
      }
    }
    curve(found);
    return found;
  }

  private void scale(List<Problem> found) {
    if (!(least >= 0)) {
      found.add(new Problem("least", "A scale starts at 0 or above."));
    } else if (!(greatest > least)) {
      found.add(new Problem("greatest", "The greatest mark must lie above the least."));
    } else if (!(step > 0)) {
      found.add(new Problem("step", "A step is more than 0, such as 0.5."));
    } else if (step > greatest - least) {
      found.add(new Problem("step", "One step is longer than the whole scale."));
    } else if ((greatest - least) / step > MOST_MARKS) {
      found.add(new Problem("step", "More than " + MOST_MARKS + " marks; is the step right?"));
    }
  }

  private static void angle(String field, double radians, double most, List<Problem> found) {
    if (!(radians >= 0 && radians <= most)) {
      found.add(new Problem(field, Phrase.of("Between 0 and %.0f degrees.", Math.toDegrees(most))));
    }
  }

  private void curve(List<Problem> found) {
    for (int i = 0; i < curve.size(); i++) {
      Point here = curve.get(i);
      String problem = null;
      if (!(here.gain() >= 0 && here.gain() <= greatest)) {
        problem = "a gain of %s is not on the scale.".formatted(plain(here.gain()));
      } else if (!(here.volts() >= 0 && here.volts() <= supplyGreatest)) {
        problem = "%s V is not between 0 and the greatest supply.".formatted(plain(here.volts()));
      } else if (i > 0 && here.gain() <= curve.get(i - 1).gain()) {
        problem = "gains go upward, each once.";
      } else if (i > 0 && here.volts() < curve.get(i - 1).volts()) {
        problem =
            "%s V is less than the %s V before it: a higher gain never gives fewer volts."
                .formatted(plain(here.volts()), plain(curve.get(i - 1).volts()));
      }
      if (problem != null) {
        found.add(new Problem("curve", Phrase.of("Point %d: %s", i + 1, problem)));
        return;
      }
    }
  }

  private static String plain(double value) {
    return value == Math.rint(value) ? Phrase.of("%.0f", value) : String.valueOf(value);
  }
}
