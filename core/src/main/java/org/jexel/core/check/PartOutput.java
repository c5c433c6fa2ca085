package org.jexel.core.check;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleFunction;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Parsed;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.QuantityParser;
import org.jexel.core.quantity.UnitSystem;

/**
 * Readings of the brakes at less than full output, held against what they would be at full: magnets
 * and copper are resistors, so x_full = x · U_full / U, U the volts at the connector's brake pin.
 *
 * @param reading as typed, without the output
 * @param volts at the pin, V; as typed, or the share of what full output gives there
 */
public record PartOutput(String reading, double volts) {
  /** Id of the check whose expected value is full output. */
  public static final String FULL = "brake.volts";

  /** Between a reading and the output at which it was taken. */
  private static final String AT = " at ";

  /** Below it the meter's digits and the controller's own leak are too much of what is read, V. */
  private static final double LEAST_VOLTS = 2;

  private static final double MOST_SHARE = 1.05;

  /** Before a setting of the controller. */
  private static final String GAIN = "gain ";

  /** Whether a check may be read at any output. */
  public static boolean fits(Check check) {
    return check.function() == PinFunction.BRAKE
        && check.measure().words().isEmpty()
        && check.probing().setup().state().is(StateWord.LEVER);
  }

  /** As it is typed, and kept while it is a draft. */
  public static String typed(String reading, String output) {
    return output.isBlank() ? reading : reading.strip() + AT + output.strip();
  }

  /** What was typed before and after the word; the second is empty for full output. */
  public static String[] parts(String typed) {
    int at = typed.indexOf(AT);
    return at < 0
        ? new String[] {typed, ""}
        : new String[] {typed.substring(0, at), typed.substring(at + AT.length()).strip()};
  }

  /**
   * @param full volts at the pin at full output, as computed
   * @param byGain volts at the pin at a gain, where the controller's curve was measured
   * @return nothing where no output was typed
   * @throws IllegalArgumentException with what would be understood
   */
  public static Optional<PartOutput> of(
      String typed, double full, DoubleFunction<OptionalDouble> byGain, UnitSystem units) {
    String[] parts = parts(typed);
    if (parts[1].isEmpty()) {
      return Optional.empty();
    }
    double volts = volts(parts[1], full, byGain, units);
    if (volts < LEAST_VOLTS) {
      throw new IllegalArgumentException(
          Phrase.of(
              "Less than %s at the pin is too little to judge by. Raise the gain a step.",
              Measure.VOLTS.text(LEAST_VOLTS, units)));
    } else if (volts > MOST_SHARE * full) {
      throw new IllegalArgumentException(
          Phrase.of(
              "Full output gives %s at the pin of this rig. Was the engine running?",
              Measure.VOLTS.text(full, units)));
    }
    return Optional.of(new PartOutput(parts[0], volts));
  }

  private static double volts(
      String output, double full, DoubleFunction<OptionalDouble> byGain, UnitSystem units) {
    if (output.startsWith(GAIN)) {
      double gain = said(output.substring(GAIN.length()).strip(), Measure.GAIN, units);
      return byGain
          .apply(gain)
          .orElseThrow(
              () ->
                  new IllegalArgumentException(
                      "What this controller puts out at a gain was not measured yet: say the volts at the pin."));
    }
    boolean share = output.endsWith("%");
    double said = said(output, share ? Measure.SHARE : Measure.VOLTS, units);
    return share ? said * full : said;
  }

  private static double said(String output, Measure measure, UnitSystem units) {
    Parsed parsed = QuantityParser.parse(output, measure, units);
    if (parsed instanceof Parsed.Misread) {
      throw new IllegalArgumentException(
          "The output is the volts at the brake pin, such as 7.4 V, the controller's own figure, such as 60 %, or its setting, such as gain 5.");
    }
    return ((Parsed.Value) parsed).si();
  }

  /**
   * @param value as read
   * @param volts at the pin when it was read, V
   * @param full the same at full output
   */
  public static double atFull(double value, double volts, double full) {
    return value * full / volts;
  }
}
