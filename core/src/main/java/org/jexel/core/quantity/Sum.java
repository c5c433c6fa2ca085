package org.jexel.core.quantity;

import java.util.Comparator;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A computed figure together with the formula and the terms it was made from.
 *
 * @param title what was computed
 * @param formula in symbols, with its source where it is not elementary
 * @param terms every symbol of the formula with this job's number
 * @param si the result in SI
 * @param measure how the result is written
 */
public record Sum(String title, String formula, List<Term> terms, double si, Measure measure) {
  private static final char UNBROKEN = '\u00a0';

  public Sum {
    terms = List.copyOf(terms);
  }

  public String result(UnitSystem system) {
    return measure.text(si, system);
  }

  /**
   * The formula with this job's figures in the places of its symbols, each with its unit, so that
   * whoever works it out comes to the result. No line breaks between a figure and its unit.
   */
  public String substituted(UnitSystem system) {
    String symbols =
        terms.stream()
            .map(Term::symbol)
            .sorted(Comparator.comparingInt(String::length).reversed())
            .map(Pattern::quote)
            .reduce((a, b) -> a + "|" + b)
            .orElse("(?!)");
    Matcher matcher =
        Pattern.compile("(?<![\\p{L}\\d_])(?:" + symbols + ")(?![\\p{L}\\d_])").matcher(formula);
    return matcher.replaceAll(
        found ->
            Matcher.quoteReplacement(
                terms.stream()
                    .filter(term -> term.symbol().equals(found.group()))
                    .findFirst()
                    .map(term -> term.measure().text(term.si(), system).replace(' ', UNBROKEN))
                    .orElse(found.group())));
  }
}
