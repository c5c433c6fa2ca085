package org.jexel.core.network;

import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Where one element injects, what it sees, and its law before and after a fault. */
final class Port {
  /** Far below what a solution may leave, A. */
  private static final double NOTHING = 1e-14;

  /** Far below what any meter shows, V. */
  private static final double UNSEEN_VOLTS = 1e-9;

  /**
   * A curve is straight so far: a diode at 1 A bends by ½·I/V² · v², V about 0.05 V, far below what
   * a solution may leave.
   */
  private static final double STILL_VOLTS = 1e-7;

  /** From here on a lamp has a chord worth going along, V. */
  private static final double LIT_VOLTS = 0.5;

  /** A few leaks of a node at battery volts, A. */
  private static final double LEAKS = 1e-9;

  /** What one port sees of a unit at another that it does not see, Ω. */
  private static final double UNSEEN = 1e-9;

  private final Ends ends;
  private final @Nullable Element before;
  private final @Nullable Element after;

  /** What it sees, its law and its slope, each on the whole network. */
  private final double v0;

  private final double law0;
  private final double slope0;

  /** Where something injects and what it sees, whatever stands there. */
  private static final class Ends {
    private final Linearised whole;
    private final int rowA;
    private final int rowB;
    private final int seenA;
    private final int seenB;

    /** What the network makes of one unit injected here, by its columns; once asked for. */
    private volatile double @Nullable [] unit;

    /** The same across the ends at once, which keeps all digits. */
    private volatile double @Nullable [] across;

    /** The most that one unit moves anywhere. */
    private double most;

    private Ends(Linearised whole, Element element) {
      this.whole = whole;
      if (element instanceof Element.TwoPole p) {
        rowA = whole.place(p.a());
        rowB = whole.place(p.b());
        seenA = rowA;
        seenB = rowB;
      } else {
        rowA = whole.branch(element.name());
        rowB = -1;
        seenA = element instanceof Element.Converter c ? whole.place(c.in()) : rowA;
        seenB = -1;
      }
    }

    private double sees(double[] x) {
      return (seenA < 0 ? 0 : x[seenA]) - (seenB < 0 ? 0 : x[seenB]);
    }

    private double[] unit() {
      double[] known = unit;
      if (known == null) {
        known = whole.columns(rowA, rowB);
        for (double moved : known) {
          most = Math.max(most, Math.abs(moved));
        }
        unit = known;
      }
      return known;
    }

    private double[] across() {
      double[] known = across;
      if (known == null) {
        known = whole.between(rowA, rowB);
        across = known;
      }
      return known;
    }
  }

  private Port(Ends ends, double v0, @Nullable Element before, @Nullable Element after) {
    this.ends = ends;
    this.v0 = v0;
    this.before = before;
    this.after = after;
    law0 = law(before, v0);
    slope0 = slope(before, v0);
  }

  private Port(Port standing, @Nullable Element after) {
    ends = standing.ends;
    v0 = standing.v0;
    before = standing.before;
    law0 = standing.law0;
    slope0 = standing.slope0;
    this.after = after;
  }

  private static Port of(Linearised whole, Element any, @Nullable Element before) {
    Ends ends = new Ends(whole, any);
    return new Port(ends, whole.at(ends.seenA) - whole.at(ends.seenB), before, any);
  }

  /** An element of the whole network, as it stands. */
  static Port of(Linearised whole, Element element) {
    return of(whole, element, element);
  }

  /** An element that a fault adds. */
  static Port added(Linearised whole, Element element) {
    return of(whole, element, null);
  }

  /**
   * @param other what stands here in its place, between the same ends; null where it is gone
   */
  Port with(@Nullable Element other) {
    return new Port(this, other);
  }

  /** Whether an element stands between the same ends. */
  boolean fits(Element other) {
    return before != null && Arrays.equals(before.ends(), other.ends());
  }

  /** What stands here in the whole network. */
  @Nullable Element before() {
    return before;
  }

  /** The voltage across it, or what a source or converter goes by. */
  double sees(double[] x) {
    return ends.sees(x);
  }

  double v0() {
    return v0;
  }

  private static double law(@Nullable Element element, double v) {
    if (element instanceof Element.TwoPole p) {
      return p.amps(v);
    } else if (element instanceof Element.Converter c) {
      return c.output(v);
    }
    return element instanceof Element.Source s ? -s.ohms() * v - s.volts() : 0;
  }

  private static double slope(@Nullable Element element, double v) {
    if (element instanceof Element.TwoPole p) {
      return p.slope(v);
    } else if (element instanceof Element.Converter c) {
      return c.slope(v);
    }
    return element instanceof Element.Source s ? -s.ohms() : 0;
  }

  /** Whether the whole network has an element here. */
  boolean stoodBefore() {
    return before != null;
  }

  /** Whether what is here now keeps to a straight line, or is gone. */
  boolean isStraight() {
    return isStraight(after);
  }

  private static boolean isStraight(@Nullable Element element) {
    return element == null || element instanceof Element.Ohmic || element instanceof Element.Source;
  }

  /** Whether the whole network's element is here, and sees what it saw there. */
  private boolean stands(double v) {
    return before == after && Math.abs(v - v0) < STILL_VOLTS;
  }

  /** What it injects beyond the whole network's straight line, A or V. */
  double beyond(double v) {
    if (stands(v)) {
      return 0;
    }
    return law(after, v) - law0 - slope0 * (v - v0);
  }

  /**
   * Whether the whole network's solution stands with it. Ohms that are put into a branch which
   * carries I₀ move no voltage by more than R·I₀ (substitution theorem), and what is put between
   * two points moves none by more than what lay between them.
   */
  boolean idle() {
    if (Math.abs(beyond(v0)) < NOTHING) {
      return true;
    }
    boolean between = before == null && after instanceof Element.Ohmic;
    return between ? Math.abs(v0) < UNSEEN_VOLTS : hardlyMore() || movesNothing();
  }

  /** Whether it is a branch with more ohms than before, which carries next to nothing. */
  private boolean hardlyMore() {
    return before instanceof Element.Ohmic was
        && after instanceof Element.Ohmic now
        && now.ohms() > was.ohms()
        && Math.abs(law0) * (now.ohms() - was.ohms()) < UNSEEN_VOLTS;
  }

  /** Whether all that it injects, on a straight line, is too little to be seen anywhere. */
  private boolean movesNothing() {
    if (!isStraight() || !isStraight(before)) {
      return false;
    }
    // What it injects itself answers to: u = β − b·z·u.
    double injected = beyond(v0) / (1 + bend(v0) * seesOf(this));
    return Math.abs(injected) * ends.most < UNSEEN_VOLTS;
  }

  /**
   * Whether it is gone, carried no more than leaks, and sees nothing of what any other port
   * injects: the only way to something that hangs free.
   */
  boolean apartFrom(List<Port> others) {
    return before != null
        && after == null
        && Math.abs(law0) < LEAKS
        && others.stream()
            .filter(other -> other != this)
            .allMatch(
                other -> Math.abs(seesOf(other)) < UNSEEN && Math.abs(other.seesOf(this)) < UNSEEN);
  }

  /** How far its slope is from the whole network's. */
  double bend(double v) {
    return stands(v) ? 0 : slope(after, v) - slope0;
  }

  /**
   * The same where it is known what it injects.
   *
   * @param beyond as {@link #beyond} tells it there
   */
  double bend(double v, double beyond) {
    return after instanceof Filament lamp && !stands(v)
        ? lamp.slope(v, beyond + law0 + slope0 * (v - v0)) - slope0
        : bend(v);
  }

  /** How far the whole network's element is from its slope along the chord from no volts. */
  double chord() {
    return Math.abs(v0) > LIT_VOLTS ? law0 / v0 - slope0 : 0;
  }

  /** Adds what the fault changes to a residual of the whole network's equations. */
  void inject(double[] x, double[] f) {
    double v = sees(x);
    double more = law(after, v) - law(before, v);
    if (ends.rowA >= 0) {
      f[ends.rowA] += more;
    }
    if (ends.rowB >= 0) {
      f[ends.rowB] -= more;
    }
  }

  /** What this port sees of one unit that another injects. */
  double seesOf(Port other) {
    return sees(other.ends.unit());
  }

  /** What the network makes of one unit that is injected here. */
  double[] answer() {
    return ends.across();
  }

  /** Takes what the network makes of so many units injected here from x. */
  void lower(double[] x, double units) {
    double[] one = ends.unit();
    for (int i = 0; i < x.length; i++) {
      x[i] -= units * one[i];
    }
  }
}
