package org.jexel.core.check;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
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
import org.jexel.core.rig.Rig;
import org.jspecify.annotations.Nullable;

/**
 * Makes checks of one rig: solves each setup once, and gives every check its expected value, its
 * {@link Spread} and its sum.
 */
final class CheckMaker {
  private final Rig rig;
  private final Harness harness;
  private final Map<Setup, RigNetwork> networks = new HashMap<>();
  private final Map<Setup, Solution> solutions = new HashMap<>();
  private final CheckSums sums = new CheckSums();

  /** One of each, so that whoever reads all checks sees at once which share theirs. */
  private final Map<Setup, Setup> setups = new HashMap<>();

  CheckMaker(Rig rig, Harness harness) {
    this.rig = rig;
    this.harness = harness;
  }

  /**
   * What a check says, but for its value; the fields are those of {@link Check}.
   *
   * @param reckoned how the value comes about
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
      Reckoned reckoned) {
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
      this(id, title, group, function, state, place, red, black, why, minutes, Reckoned.ON_THE_WAY);
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
        sums.of(words, probing, network, solution, slope, expected),
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
}
