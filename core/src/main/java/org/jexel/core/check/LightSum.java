package org.jexel.core.check;

import java.util.ArrayList;
import java.util.List;
import org.jexel.core.network.Element;
import org.jexel.core.network.Filament;
import org.jexel.core.network.Led;
import org.jexel.core.network.Lit;
import org.jexel.core.network.Solution;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Sum;
import org.jexel.core.quantity.Term;

/**
 * Visible output of one lamp as a share of its rated one, by the volts that reach it: of a filament
 * L = (U / U_r)^3.4, of a diode lamp how far its regulator is open, L = 3·w² − 2·w³.
 */
final class LightSum {
  private final WaySum way;
  private final Solution solution;

  LightSum(WaySum way, Solution solution) {
    this.way = way;
    this.solution = solution;
  }

  /**
   * @param lamp name of a filament or of a diode lamp
   */
  Sum of(String title, String lamp) {
    Element element = solution.network().element(lamp);
    double share = solution.brightness(lamp);
    List<Term> terms = new ArrayList<>();
    String formula =
        element instanceof Filament filament ? filament(filament, terms) : diode(lamp, terms);
    terms.add(border(share));
    return new Sum(title, formula, terms, share, Measure.SHARE);
  }

  private String filament(Filament lamp, List<Term> terms) {
    double across = Math.abs(solution.across(lamp.name()));
    boolean backwards = solution.across(lamp.name()) < 0;
    WrittenSum written =
        way.lost(backwards ? lamp.b() : lamp.a(), backwards ? lamp.a() : lamp.b(), across);
    terms.addAll(written.terms());
    if (written.isEmpty()) {
      terms.add(across(across));
    }
    terms.add(Term.computed("U_r", "its rated volts", lamp.volts(), Measure.VOLTS));
    String volts = written.isEmpty() ? "U" : "(" + written.formula() + ")";
    return "L = (" + volts + " / U_r)^" + Filament.LIGHT;
  }

  private String diode(String lamp, List<Term> terms) {
    double volts = solution.across(lamp);
    String meaning = "its regulator, (U − U_d) / (U_f − U_d), shut at 0 and open at 1";
    terms.add(Term.computed("w", meaning, Led.regulator(volts), Measure.SHARE));
    terms.add(across(volts));
    terms.add(Term.computed("U_d", "none up to here", Led.DARK_VOLTS, Measure.VOLTS));
    terms.add(Term.computed("U_f", "all from here on", Led.FULL_VOLTS, Measure.VOLTS));
    return "L = w · w · (3 − 2 · w)";
  }

  private static Term across(double volts) {
    return Term.computed("U", "across it", volts, Measure.VOLTS);
  }

  /** Where the eye's word for it begins; of dark, where it ends. */
  private static Term border(double share) {
    String word = Lit.word(share);
    String meaning =
        Lit.dark(share)
            ? "below this nobody sees light by day"
            : "from here on an eye calls it " + word;
    return Term.computed("L_" + word, meaning, Lit.border(share), Measure.SHARE);
  }
}
