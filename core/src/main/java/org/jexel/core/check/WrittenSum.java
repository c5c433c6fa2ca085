package org.jexel.core.check;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Sum;
import org.jexel.core.quantity.Term;

/** A formula of plus and minus and its terms, as they come. */
final class WrittenSum {
  private final List<Term> terms = new ArrayList<>();
  private final StringBuilder formula = new StringBuilder();
  private final Map<String, Integer> numbers = new HashMap<>();

  /** With its sign; the first one's plus is left out. */
  void add(double signed, Term term) {
    String sign = signed < 0 ? "− " : isEmpty() ? "" : "+ ";
    formula.append(isEmpty() ? "" : " ").append(sign).append(term.symbol());
    terms.add(term);
  }

  /** A symbol with its next number. */
  String next(String symbol) {
    return symbol + "_" + numbers.merge(symbol, 1, Integer::sum);
  }

  boolean isEmpty() {
    return terms.isEmpty();
  }

  String formula() {
    return formula.toString();
  }

  List<Term> terms() {
    return List.copyOf(terms);
  }

  /**
   * @param result the symbol that it is
   */
  Sum sum(String title, String result, double si, Measure measure) {
    return new Sum(title, result + " = " + formula, terms, si, measure);
  }
}
