package org.jexel.core.check;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import org.jexel.core.connector.Connector;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Harness;
import org.jexel.core.network.Element;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.network.Solution;
import org.jexel.core.network.Tolerance;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.NoFigure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.Provenance;
import org.jexel.core.quantity.Sum;
import org.jexel.core.quantity.Term;
import org.jexel.core.rig.Rig;
import org.jspecify.annotations.Nullable;

/**
 * Makes checks of one rig: solves each setup once, and gives every check its expected value, its
 * {@link Spread} and its sum.
 */
final class CheckMaker {
  /** How a figure of the whole network comes about. */
  private static final String SOLVED = "solved for the whole network";

  private static final String UNFED = "nothing that feeds reaches it, solved for the whole network";
  private static final String CURVED = "I by its curve at its volts, solved for the whole network";

  /** Of the brakes' ohms and current, whose sum {@link MagnetSum} works out. */
  static final String OF_MAGNETS = "R = 1 / Σ(n / r) + R_c";

  static final String AMPS_OF_MAGNETS = "I = (E − U_c) / (1 / Σ(n / r) + R_c)";

  /** A part that carries less than a tenth of the meter's current is not on the way. */
  private static final double ON_THE_WAY = 0.01;

  private final Rig rig;
  private final Harness harness;
  private final Map<Setup, RigNetwork> networks = new HashMap<>();
  private final Map<Setup, Solution> solutions = new HashMap<>();
  private final Map<Setup, WaySum> ways = new HashMap<>();

  /** One of each, so that whoever reads all checks sees at once which share theirs. */
  private final Map<Setup, Setup> setups = new HashMap<>();

  CheckMaker(Rig rig, Harness harness) {
    this.rig = rig;
    this.harness = harness;
  }

  /**
   * What a check says, but for its value; the fields are those of {@link Check}.
   *
   * @param formula how the value comes about; empty where it is the sum of what is on the way
   */
  record Words(
      CheckId id,
      String title,
      Check.Group group,
      @Nullable PinFunction function,
      String state,
      String place,
      String red,
      String black,
      String why,
      double minutes,
      String formula) {
    /** Of a value that the network's solution gives. */
    Words(
        CheckId id,
        String title,
        Check.Group group,
        @Nullable PinFunction function,
        String state,
        String place,
        String red,
        String black,
        String why,
        double minutes) {
      this(id, title, group, function, state, place, red, black, why, minutes, SOLVED);
    }
  }

  /** A pin of this pair, as it is told. */
  static String pin(Connector connector, PinFunction function) {
    return Phrase.of(
        "pin %d, %s", connector.pin(function).orElseThrow().number(), function.label());
  }

  /** Whether this rig has the points that the leads go to. */
  boolean reaches(Setup setup, String red, String black) {
    RigNetwork network = network(setup);
    return network.network().hasNode(red) && network.network().hasNode(black);
  }

  Check make(Words words, Probing probing) {
    RigNetwork network = network(probing.setup());
    Solution solution =
        solutions.computeIfAbsent(probing.setup(), setup -> network(setup).network().solve());
    Measure measure = probing.measure();
    double read = probing.read(solution);
    boolean figure = measure.words().isEmpty();
    double expected = figure ? read : Math.round(read);
    ToDoubleFunction<Tolerance> slope = figure ? slope(probing, network, solution) : part -> 0;
    boolean open = measure == Measure.OHMS && expected >= NoFigure.OPEN.si();
    Spread spread =
        !figure
            ? new Spread(ofWords(probing, network, read), List.of())
            : open
                ? new Spread(Spread.ofNoResistor(expected), List.of())
                : Spread.of(network, expected, slope, measure);
    return new Check(
        words.id(),
        words.title(),
        words.group(),
        words.function(),
        words.state(),
        words.place(),
        words.red(),
        words.black(),
        measure,
        spread.band(),
        words.why(),
        sum(words, probing, solution, slope, expected),
        spread.influences(),
        words.minutes(),
        new Probing(
            setups.computeIfAbsent(probing.setup(), setup -> setup),
            measure,
            probing.red(),
            probing.black()));
  }

  /**
   * Whether it is a fault that other watts are stamped on a lamp hangs on whether any are known.
   */
  private static Band ofWords(Probing probing, RigNetwork network, double read) {
    Band band = Band.ofWords(read, probing.measure().words().size());
    boolean assumed =
        probing.measure() == Measure.STAMP
            && network.tolerances().stream()
                .filter(part -> part.element().equals(probing.red()))
                .anyMatch(part -> part.provenance() == Provenance.ASSUMED);
    return assumed
        ? new Band(band.expected(), band.low(), band.high(), band.least(), FaultyRig.OTHER_WATTS)
        : band;
  }

  private RigNetwork network(Setup setup) {
    return networks.computeIfAbsent(setup, s -> s.network(rig, harness));
  }

  private static ToDoubleFunction<Tolerance> slope(
      Probing probing, RigNetwork network, Solution solution) {
    if (probing.measure() == Measure.VOLTS) {
      Solution.Sensitivity volts = solution.ofVolts(probing.red(), probing.black());
      return part -> volts.to(part.element());
    }
    if (probing.measure() == Measure.OHMS) {
      if (probing.black().isEmpty()) {
        return part -> part.element().equals(probing.red()) ? 1 : 0;
      }
      Solution.Sensitivity ohms = solution.ofOhms(probing.red(), probing.black());
      return part -> ohms.to(part.element());
    }
    if (network.network().element(probing.red()) instanceof Element.Source) {
      Solution.Sensitivity amps = solution.ofSourceAmps(probing.red());
      return part -> amps.to(part.element());
    }
    Solution.Sensitivity amps = solution.ofAmps(probing.red());
    double own = -solution.amps(probing.red());
    // The clamped part's own resistance: dI/dR = −I/R beside what it does to the rest.
    return part ->
        amps.to(part.element()) + (part.element().equals(probing.red()) ? own / part.nominal() : 0);
  }

  private Sum sum(
      Words words,
      Probing probing,
      Solution solution,
      ToDoubleFunction<Tolerance> slope,
      double expected) {
    RigNetwork network = network(probing.setup());
    Measure measure = probing.measure();
    return switch (words.formula()) {
      case "" -> onTheWay(words.title(), network, slope, expected);
      case OF_MAGNETS -> new MagnetSum(network).ohms(words.title(), slope, expected);
      case AMPS_OF_MAGNETS -> new MagnetSum(network).amps(words.title(), solution, expected);
      case SOLVED -> solved(words, probing, solution, expected);
      default -> told(words, network, expected, measure);
    };
  }

  private Sum solved(Words words, Probing probing, Solution solution, double expected) {
    RigNetwork network = network(probing.setup());
    WaySum way = ways.computeIfAbsent(probing.setup(), setup -> new WaySum(network, solution));
    String title = words.title();
    return switch (probing.measure()) {
      case VOLTS ->
          way.volts(title, probing.red(), probing.black(), expected)
              .orElseGet(() -> new Sum(title, UNFED, List.of(), expected, Measure.VOLTS));
      case AMPS ->
          way.ofOne(title, words.id().part(), expected)
              .or(() -> way.amps(title, expected))
              .orElseGet(() -> new Sum(title, CURVED, List.of(), expected, Measure.AMPS));
      default -> told(words, network, expected, probing.measure());
    };
  }

  private static Sum told(Words words, RigNetwork network, double expected, Measure measure) {
    return new Sum(words.title(), words.formula(), terms(network), expected, measure);
  }

  /**
   * Ohms between two leads: R = Σ i²·r, i what each part carries of one ampere (Tellegen's
   * theorem), and i² is the slope of R with r.
   */
  private static Sum onTheWay(
      String title, RigNetwork network, ToDoubleFunction<Tolerance> slope, double expected) {
    List<Term> terms = new ArrayList<>();
    List<String> parts = new ArrayList<>();
    for (Tolerance part : network.tolerances()) {
      double share = slope.applyAsDouble(part);
      boolean ohms = part.measure() == Measure.OHMS || part.measure() == Measure.MILLIOHMS;
      if (ohms && share > ON_THE_WAY) {
        Term term = term("r_" + (terms.size() + 1), part);
        terms.add(term);
        boolean whole = share > 1 - ON_THE_WAY;
        parts.add(
            whole ? term.symbol() : String.format(Locale.ROOT, "%.2f·", share) + term.symbol());
      }
    }
    return new Sum(title, "R = " + String.join(" + ", parts), terms, expected, Measure.OHMS);
  }

  /** Of a figure that only the whole network's solution gives: what it starts from. */
  private static List<Term> terms(RigNetwork network) {
    List<Term> terms = new ArrayList<>();
    for (Tolerance part : network.tolerances()) {
      if (part.way() == Tolerance.Way.SUPPLY) {
        terms.add(term("E", part));
      } else if (part.way() == Tolerance.Way.CONTROLLER) {
        terms.add(term("U_c", part));
      }
    }
    return terms;
  }

  static Term term(String symbol, Tolerance part) {
    return new Term(
        symbol, part.label(), part.nominal(), part.measure(), Optional.of(part.provenance()));
  }
}
