package org.jexel.core.breakaway;

import java.util.List;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;
import org.jexel.core.rig.YesNo;

/**
 * Cable and chains between vehicle and trailer, trailer straight behind.
 *
 * @param fixing where the cable hangs on the vehicle
 * @param pin of the breakaway switch, on the trailer
 * @param chains between the hitch and the drawbar
 * @param chains none where the coupling has none
 * @param turn the greatest that the trailer turns, either way, rad
 * @param pitch the greatest that it tilts over crest and dip, rad
 */
public record Coupling(Point fixing, Point pin, List<Chain> chains, double turn, double pitch) {
  /** Rise and fall of the road under the coupling, rad. */
  public static final double PITCH = Math.toRadians(10);

  /**
   * How closely turns, tilts and ways back are tried; the coarse one where a move is looked for.
   */
  enum Grid {
    FINE(1, 8, -1, -0.5, 0, 0.5, 1),
    COARSE(5, 4, -1, 0, 1);

    private final int degrees;
    private final int ways;
    private final double[] tilts;

    /**
     * @param ways parts between a trailer's own line and straight behind
     * @param tilts shares of the greatest pitch
     */
    Grid(int degrees, int ways, double... tilts) {
      this.degrees = degrees;
      this.ways = ways;
      this.tilts = tilts;
    }
  }

  public Coupling {
    chains = List.copyOf(chains);
  }

  /**
   * @param vehicle its eye on the hitch
   * @param trailer where it leaves the drawbar
   * @param length eye to eye, m
   */
  public record Chain(Point vehicle, Point trailer, double length) {}

  public static Coupling of(RigSheet sheet) {
    Point fixing =
        new Point(
            sheet.si(RigField.FIXING_X), sheet.si(RigField.FIXING_Y), sheet.si(RigField.FIXING_Z));
    Point pin =
        new Point(
            -sheet.si(RigField.BREAKAWAY_X),
            sheet.si(RigField.BREAKAWAY_Y),
            sheet.si(RigField.SWITCH_Z));
    boolean crossed = sheet.choice(RigField.CHAINS_CROSSED, YesNo.class) == YesNo.YES;
    boolean chained = sheet.choice(RigField.CHAINS, YesNo.class) == YesNo.YES;
    List<Chain> chains =
        chained
            ? Stream.of(1, -1).map(side -> chain(sheet, side, crossed ? -side : side)).toList()
            : List.of();
    return new Coupling(fixing, pin, chains, sheet.si(RigField.GREATEST_TURN), PITCH);
  }

  private static Chain chain(RigSheet sheet, int hitchSide, int drawbarSide) {
    return new Chain(
        new Point(
            sheet.si(RigField.CHAIN_EYE_X),
            hitchSide * sheet.si(RigField.CHAIN_EYE_Y),
            sheet.si(RigField.CHAIN_EYE_Z)),
        new Point(
            -sheet.si(RigField.CHAIN_END_X),
            drawbarSide * sheet.si(RigField.CHAIN_END_Y),
            sheet.si(RigField.CHAIN_END_Z)),
        sheet.si(RigField.CHAIN_LENGTH));
  }

  /** From the fixing point to the pin, straight behind, m. */
  public double straight() {
    return fixing.to(pin);
  }

  /** From the fixing point to the pin of a trailer that stands so and has come back so far, m. */
  public double cable(Point.Turn turn, Point back) {
    return fixing.to(pin.on(turn).plus(back));
  }

  /**
   * How far a trailer that came off can move back before the first chain is taut, m; 0 where one is
   * taut already.
   *
   * @param way its direction, of length 1
   */
  public double slack(Point.Turn turn, Point way) {
    return chains.stream()
        .mapToDouble(chain -> until(chain.vehicle, chain.trailer.on(turn), way, chain.length))
        .min()
        .orElse(Double.POSITIVE_INFINITY);
  }

  /**
   * The way s along u after which a line from a to b + s·u has a length: |a − b − s·u| = l, so s =
   * d·u + √((d·u)² − d² + l²) with d = a − b.
   */
  static double until(Point a, Point b, Point way, double length) {
    Point between = a.minus(b);
    double along = between.dot(way);
    double under = along * along - between.dot(between) + length * length;
    return under < 0 ? 0 : Math.max(0, along + Math.sqrt(under));
  }

  /** Every way that the trailer may stand, as closely as the grid has it. */
  Stream<Point.Turn> turns(Grid grid) {
    long steps = Math.max(1, Math.round(Math.toDegrees(turn) / grid.degrees));
    return DoubleStream.iterate(-steps, k -> k <= steps, k -> k + 1)
        .map(k -> k * turn / steps)
        .boxed()
        .flatMap(yaw -> DoubleStream.of(grid.tilts).mapToObj(p -> new Point.Turn(yaw, p * pitch)));
  }

  /**
   * Ways in which a trailer that came off falls back: from along its own drawbar to straight behind
   * the vehicle.
   */
  static Stream<Point> ways(Point.Turn turn, Grid grid) {
    return IntStream.rangeClosed(0, grid.ways)
        .mapToDouble(part -> part * turn.yaw() / grid.ways)
        .mapToObj(yaw -> new Point(-Math.cos(yaw), -Math.sin(yaw), 0));
  }

  Coupling fixedAt(Point other) {
    return new Coupling(other, pin, chains, turn, pitch);
  }

  Coupling pinnedAt(Point other) {
    return new Coupling(fixing, other, chains, turn, pitch);
  }

  Coupling chained(double longer) {
    return new Coupling(
        fixing,
        pin,
        chains.stream().map(c -> new Chain(c.vehicle, c.trailer, c.length + longer)).toList(),
        turn,
        pitch);
  }
}
