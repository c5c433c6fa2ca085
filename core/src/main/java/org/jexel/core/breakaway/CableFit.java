package org.jexel.core.breakaway;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.CableFixing;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;

/**
 * How the cable that is there fits its window, where it hangs, and how it pulls.
 *
 * @param window that it was held against
 * @param length of the cable, m; NaN while nobody has measured it
 * @param findings the worst first
 * @param events of a trailer that comes off while it runs straight, in order
 */
public record CableFit(
    CableWindow window, double length, List<Finding> findings, List<Event> events) {
  /** Nearer than this to an end of the window a cable is watched, m. */
  private static final double NEAR = 0.025;

  /** From the middle of a jack's post to a cable that touches it, m. */
  private static final double JACK = 0.04;

  /** More than this between pull and switch binds the pin, rad. */
  private static final double BINDS = Math.toRadians(20);

  /** What the window hangs on. */
  private static final List<RigField> PLACES =
      List.of(
          RigField.FIXING_X,
          RigField.FIXING_Y,
          RigField.FIXING_Z,
          RigField.BREAKAWAY_X,
          RigField.BREAKAWAY_Y,
          RigField.SWITCH_Z,
          RigField.GREATEST_TURN,
          RigField.CHAIN_LENGTH,
          RigField.CHAIN_EYE_X,
          RigField.CHAIN_EYE_Y,
          RigField.CHAIN_EYE_Z,
          RigField.CHAIN_END_X,
          RigField.CHAIN_END_Y,
          RigField.CHAIN_END_Z);

  public record Finding(Verdict verdict, String words) {}

  /**
   * @param what happens
   * @param back how far the trailer has come back from the ball, m
   */
  public record Event(String what, double back) {}

  public static CableFit of(RigSheet sheet, UnitSystem units) {
    CableWindow window = CableWindow.of(Coupling.of(sheet));
    double length = sheet.si(RigField.CABLE_LENGTH);
    List<Finding> findings = new ArrayList<>();
    String refused = sheet.choice(RigField.CABLE_FIXING, CableFixing.class).refused();
    if (!refused.isEmpty()) {
      findings.add(new Finding(Verdict.FAILS, refused + " Give it an eye of its own."));
    }
    chains(window).ifPresent(findings::add);
    findings.add(held(sheet, length(window, length, units)));
    if (sheet.choice(RigField.CABLE_FIXING).assumed() && !Double.isNaN(length)) {
      findings.add(
          new Finding(
              Verdict.WATCH, "Nobody has said yet what the cable hangs on: look, and enter it."));
    }
    if (catches(sheet, window.coupling())) {
      findings.add(
          new Finding(
              Verdict.WATCH,
              "In a turn the cable can lie against the jack and catch on it: lead it past on the other side, or move the switch."));
    }
    double off = offTheSwitch(window.coupling(), sheet.si(RigField.SWITCH_TURNED));
    if (off > BINDS) {
      findings.add(
          new Finding(
              Verdict.WATCH,
              Phrase.of(
                  "Straight behind, the cable pulls %.0f° away from the way the pin comes out; beyond 20° it may bind. Turn the switch towards the pull.",
                  Math.toDegrees(off))));
    }
    findings.sort((a, b) -> b.verdict().compareTo(a.verdict()));
    return new CableFit(window, length, List.copyOf(findings), events(window, length));
  }

  /** Chains that bind are wrong whatever the cable. */
  public static Optional<Finding> chains(CableWindow window) {
    return window.chainsBind()
        ? Optional.of(
            new Finding(
                Verdict.FAILS,
                "A chain is taut at some turn while the trailer is still on: longer chains first."))
        : Optional.empty();
  }

  /** What leans on assumed places is neither sound nor wrong. */
  private static Finding held(RigSheet sheet, Finding finding) {
    long assumed = PLACES.stream().filter(field -> sheet.figure(field).assumed()).count();
    boolean claims = finding.verdict() == Verdict.HOLDS || finding.verdict() == Verdict.FAILS;
    return assumed == 0 || !claims
        ? finding
        : new Finding(
            Verdict.WATCH,
            "%s Reckoned with %s: measure %s."
                .formatted(
                    finding.words(),
                    Phrase.count(assumed, "assumed figure"),
                    assumed == 1 ? "it" : "them"));
  }

  /**
   * A cable of a length in its window.
   *
   * @param length m; NaN while nobody has measured it
   */
  public static Finding length(CableWindow window, double length, UnitSystem units) {
    String least = text(window.least(), units);
    String greatest = text(window.greatest(), units);
    if (window.least() >= window.greatest()) {
      return new Finding(
          Verdict.FAILS,
          "No cable fits: one of %s pulls in a turn, and from %s on the chains hold before the pin is out. %s"
              .formatted(least, greatest, wayOut(window, units)));
    }
    if (Double.isNaN(length)) {
      return new Finding(
          Verdict.NOT_YET, "Measure the cable: it fits from %s to %s.".formatted(least, greatest));
    }
    if (length < window.least()) {
      return new Finding(
          Verdict.FAILS,
          "%s too short: %s it pulls the pin, or drags it to and fro until it does."
              .formatted(text(window.least() - length, units), stands(window.tightest())));
    }
    if (length > window.greatest()) {
      return new Finding(
          Verdict.FAILS,
          window.coupling().chains().isEmpty()
              ? "%s too long: no chain holds this trailer, so the pin must come out at once."
                  .formatted(text(length - window.greatest(), units))
              : "%s too long: if the trailer comes off %s, the chains hold before the pin is out."
                  .formatted(text(length - window.greatest(), units), stands(window.first())));
    }
    double room = Math.min(length - window.least(), window.greatest() - length);
    return room < NEAR
        ? new Finding(
            Verdict.WATCH,
            "It fits, with %s to spare: measure once more.".formatted(text(room, units)))
        : new Finding(Verdict.HOLDS, "It fits, with %s to spare.".formatted(text(room, units)));
  }

  private static String stands(Point.Turn turn) {
    long degrees = Math.round(Math.abs(Math.toDegrees(turn.yaw())));
    return degrees == 0 ? "straight behind" : Phrase.of("turned by %d°", degrees);
  }

  private static String wayOut(CableWindow window, UnitSystem units) {
    String moved =
        window
            .opening()
            .map(m -> "Moving %s by %s opens it".formatted(m.what(), text(m.metres(), units)))
            .orElse("No single move of half a metre opens it");
    return moved
        + window
            .longerChains()
            .map(m -> ", or %s by %s.".formatted(m.what(), text(m.metres(), units)))
            .orElse(".");
  }

  private static String text(double metres, UnitSystem units) {
    return Measure.SMALL_LENGTH.text(metres, units);
  }

  /** A jack that somebody measured, in the way of the straight cable at some turn. */
  private static boolean catches(RigSheet sheet, Coupling coupling) {
    if (sheet.figure(RigField.JACK_X).assumed() || sheet.figure(RigField.JACK_Y).assumed()) {
      return false;
    }
    Point jack = new Point(-sheet.si(RigField.JACK_X), sheet.si(RigField.JACK_Y), 0);
    return coupling
        .turns(Coupling.Grid.FINE)
        .anyMatch(turn -> jack.on(turn).beside(coupling.fixing(), coupling.pin().on(turn)) < JACK);
  }

  /** Between the pull and the way the pin comes out, rad. */
  private static double offTheSwitch(Coupling coupling, double turned) {
    Point pull = coupling.fixing().minus(coupling.pin());
    Point axis = new Point(Math.cos(turned), Math.sin(turned), 0);
    return Math.acos(pull.dot(axis) / Math.sqrt(pull.dot(pull)));
  }

  /** A cable that nobody has measured is taken from the middle of its window. */
  private static List<Event> events(CableWindow window, double length) {
    Coupling at = window.coupling();
    Point back = new Point(-1, 0, 0);
    double cable = Double.isNaN(length) ? (window.least() + window.greatest()) / 2 : length;
    List<Event> events = new ArrayList<>();
    events.add(new Event("the ball lets go", 0));
    events.add(new Event("the cable is taut", Coupling.until(at.fixing(), at.pin(), back, cable)));
    events.add(
        new Event(
            "the pin is out, the brakes come on",
            Coupling.until(at.fixing(), at.pin(), back, cable + CableWindow.PIN)));
    if (!at.chains().isEmpty()) {
      events.add(new Event("the chains are taut", at.slack(Point.Turn.STRAIGHT, back)));
    }
    events.sort((a, b) -> Double.compare(a.back(), b.back()));
    return List.copyOf(events);
  }

  /** Whether every place that the window hangs on was measured. */
  private static boolean placed(RigSheet sheet) {
    return PLACES.stream().noneMatch(field -> sheet.figure(field).assumed());
  }

  /** Why a cable cannot have a length between places that were all measured; empty if it can. */
  public static Optional<String> impossible(RigSheet sheet, double length, UnitSystem units) {
    double straight = Coupling.of(sheet).straight();
    return placed(sheet) && length < straight
        ? Optional.of(
            "Shorter than straight from eye to pin, %s: measure cable, eye and pin again."
                .formatted(text(straight, units)))
        : Optional.empty();
  }

  public boolean known() {
    return !Double.isNaN(length);
  }

  /** The worst of what was found. */
  public Finding worst() {
    return findings.get(0);
  }

  public Verdict verdict() {
    return worst().verdict();
  }
}
