package org.jexel.core.breakaway;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Sum;
import org.jexel.core.quantity.Term;

/**
 * How long a breakaway cable may be.
 *
 * <pre>
 * L_min = max |P − S| over every turn and pitch, + 50 mm: it never pulls while the trailer is on
 * L_max = min |P − (S + s)| over every turn, pitch and way back s at which the first chain is taut,
 *         − 25 mm: the pin is out before the chains hold
 * </pre>
 *
 * Without chains L_max = L_min + 300 mm: the sooner it pulls, the nearer the trailer is still to
 * its vehicle.
 *
 * <p>P is the fixing point on the vehicle, S the switch's pin on the trailer as it stands.
 *
 * @param coupling what it was worked out for
 * @param reach the greatest distance while the trailer is on, m
 * @param tightest how the trailer stands there
 * @param held the least distance at which a chain is taut, m
 * @param first how the trailer stands there
 */
public record CableWindow(
    Coupling coupling, double reach, Point.Turn tightest, double held, Point.Turn first) {
  /** More than the greatest distance, so that it hangs, m. */
  private static final double HANGS = 0.050;

  /** What the pin travels until it is out, m. */
  public static final double PIN = 0.025;

  /** Slack at most where no chain ends the way, m. */
  private static final double LOOSE = 0.300;

  /** Room that a cable can be cut to, m. */
  private static final double ROOM = 0.020;

  private static final double STEP = 0.010;

  /** Steps at a time. */
  private static final int STRIDE = 5;

  private static final double FARTHEST = 0.500;

  /** A distance, and how the trailer stands at it. */
  private record At(double metres, Point.Turn turn) {}

  /**
   * A move that opens the window.
   *
   * @param what the point and the direction, as a phrase
   * @param metres how far
   * @param window with it
   */
  public record Move(String what, double metres, CableWindow window) {}

  public static CableWindow of(Coupling coupling) {
    return of(coupling, Coupling.Grid.FINE);
  }

  private static CableWindow of(Coupling coupling, Coupling.Grid grid) {
    Point nowhere = new Point(0, 0, 0);
    At reach =
        coupling
            .turns(grid)
            .map(turn -> new At(coupling.cable(turn, nowhere), turn))
            .max(Comparator.comparingDouble(At::metres))
            .orElseThrow();
    At held =
        coupling
            .turns(grid)
            .flatMap(turn -> Coupling.ways(turn, grid).map(way -> atChains(coupling, turn, way)))
            .min(Comparator.comparingDouble(At::metres))
            .orElseThrow();
    return coupling.chains().isEmpty()
        ? new CableWindow(
            coupling, reach.metres, reach.turn, reach.metres + HANGS + LOOSE + PIN, reach.turn)
        : new CableWindow(coupling, reach.metres, reach.turn, held.metres, held.turn);
  }

  private static At atChains(Coupling coupling, Point.Turn turn, Point way) {
    return new At(coupling.cable(turn, way.times(coupling.slack(turn, way))), turn);
  }

  /** The shortest cable that never pulls in a turn, m. */
  public double least() {
    return reach + HANGS;
  }

  /** The longest that still pulls the pin before the chains hold, m. */
  public double greatest() {
    return held - PIN;
  }

  public boolean open() {
    return greatest() - least() >= ROOM;
  }

  /** Whether a chain is taut at some turn while the trailer is still on the ball. */
  public boolean chainsBind() {
    return coupling
        .turns(Coupling.Grid.FINE)
        .anyMatch(
            turn ->
                coupling.chains().stream()
                    .anyMatch(c -> c.vehicle().to(c.trailer().on(turn)) >= c.length()));
  }

  /** The shortest single move that opens it; empty where none of half a metre does. */
  public Optional<Move> opening() {
    Point p = coupling.fixing();
    Point s = coupling.pin();
    double inwards = p.y() > 0 ? -1 : 1;
    return Stream.of(
            way("the fixing point ahead", m -> coupling.fixedAt(p.plus(new Point(m, 0, 0)))),
            way("the fixing point back", m -> coupling.fixedAt(p.plus(new Point(-m, 0, 0)))),
            way(
                "the fixing point towards the middle",
                m ->
                    coupling.fixedAt(
                        p.plus(new Point(0, inwards * Math.min(m, Math.abs(p.y())), 0)))),
            way("the fixing point up", m -> coupling.fixedAt(p.plus(new Point(0, 0, m)))),
            way("the fixing point down", m -> coupling.fixedAt(p.plus(new Point(0, 0, -m)))),
            way("the switch ahead", m -> coupling.pinnedAt(s.plus(new Point(m, 0, 0)))),
            way("the switch back", m -> coupling.pinnedAt(s.plus(new Point(-m, 0, 0)))))
        .flatMap(Optional::stream)
        .min(Comparator.comparingDouble(Move::metres));
  }

  /** Tried in strides first, then to a step within the stride that opens it. */
  private static Optional<Move> way(String what, DoubleFunction<Coupling> moved) {
    for (int stride = STRIDE; stride * STEP <= FARTHEST; stride += STRIDE) {
      if (of(moved.apply(stride * STEP), Coupling.Grid.COARSE).open()) {
        return IntStream.rangeClosed(stride - STRIDE + 1, stride + 1)
            .mapToDouble(step -> step * STEP)
            .mapToObj(metres -> new Move(what, metres, of(moved.apply(metres))))
            .filter(move -> move.window().open())
            .findFirst();
      }
    }
    return Optional.empty();
  }

  /** How much longer the chains would have to be; empty where half a metre is not enough. */
  public Optional<Move> longerChains() {
    return way("the chains longer", coupling::chained);
  }

  public List<Sum> sums() {
    return List.of(
        new Sum(
            "The shortest cable",
            "L = d + g",
            List.of(
                term("d", "greatest distance from fixing point to pin, in any turn", reach),
                term("g", "so that it hangs", HANGS)),
            least(),
            Measure.SMALL_LENGTH),
        new Sum(
            "The longest cable",
            "L = t − p",
            List.of(
                term(
                    "t",
                    coupling.chains().isEmpty()
                        ? "no chains: the greatest distance, and 375 mm"
                        : "least distance from fixing point to pin with a chain taut",
                    held),
                term("p", "what the pin travels until it is out", PIN)),
            greatest(),
            Measure.SMALL_LENGTH));
  }

  private static Term term(String symbol, String meaning, double metres) {
    return Term.computed(symbol, meaning, metres, Measure.SMALL_LENGTH);
  }
}
