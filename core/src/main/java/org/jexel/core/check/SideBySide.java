package org.jexel.core.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Nodes;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Must;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;

/**
 * One side of the rig held against the other. A band has to allow for what both sides share, a
 * tired battery or warm magnets; the comparison has not, and sees a poor joint that the band lets
 * pass.
 *
 * @param verdict on the difference
 * @param words both figures and what they may differ by
 */
public record SideBySide(Verdict verdict, String words) {
  /** Currents of sound sides lie within this share of the greater. */
  private static final double AMPS_APART_SHARE = 0.15;

  /** Magnets of one axle lie within this, or within the share below of the greater, Ω. */
  private static final double OHMS_APART_OHMS = 0.3;

  private static final double OHMS_SHARE = 0.10;

  /** Outside by less than half of what is allowed is to be watched, as with a band. */
  private static final double WATCHED = 1.5;

  /** Less than this is a circuit that carries nothing: the band says so, A. */
  private static final double CARRIES_AMPS = 0.05;

  private static final Set<String> OF_A_MAGNET =
      Set.of(LoadedChecks.MAGNET_VOLTS, LoadedChecks.MAGNET_AMPS, TrailerAlone.MAGNET_OHMS);

  /**
   * @param checks a check by its id; empty for one that the rig has not
   * @param read newest readings by the id of their check, SI
   * @return nothing where the check has no other side, or too little of it was read
   */
  public static Optional<SideBySide> of(
      Check check, Function<String, Optional<Check>> checks, Map<String, Double> read) {
    Optional<Check> other = otherSide(check, checks);
    if (other.isEmpty() || !read.containsKey(check.id())) {
      return Optional.empty();
    }
    List<SideBySide> found = new ArrayList<>();
    if (check.measure() == Measure.AMPS && read.containsKey(other.get().id())) {
      currents(check, other.get(), read).ifPresent(found::add);
    }
    resistances(check, other.get(), read).ifPresent(found::add);
    return found.stream()
        .reduce((a, b) -> new SideBySide(a.verdict.and(b.verdict), a.words + " " + b.words));
  }

  /** The same reading on the other side: of the wheel opposite, or of the other indicator's pin. */
  private static Optional<Check> otherSide(Check check, Function<String, Optional<Check>> checks) {
    String reading = check.key().reading();
    if (reading.equals(TrailerAlone.BENCH)) {
      return opposite(Objects.requireNonNull(check.function()))
          .flatMap(pin -> checks.apply(check.key().with(Nodes.id(pin)).text()));
    }
    return OF_A_MAGNET.contains(reading)
        ? check
            .key()
            .spot()
            .flatMap(
                spot ->
                    spot.side()
                        .map(side -> Nodes.magnet(spot.axle(), side.other()))
                        .flatMap(magnet -> checks.apply(check.key().with(magnet).text())))
        : Optional.empty();
  }

  private static Optional<PinFunction> opposite(PinFunction function) {
    return switch (function) {
      case LEFT -> Optional.of(PinFunction.RIGHT);
      case RIGHT -> Optional.of(PinFunction.LEFT);
      default -> Optional.empty();
    };
  }

  /** Each against its own expectation: sides need not be wired alike. */
  private static Optional<SideBySide> currents(Check own, Check other, Map<String, Double> read) {
    double here = Math.abs(Must.have(read, own.id()));
    double there = Math.abs(Must.have(read, other.id()));
    if (Math.max(here, there) < CARRIES_AMPS
        || !(own.band().expected() > 0)
        || !(other.band().expected() > 0)) {
      return Optional.empty();
    }
    double ownShare = here / own.band().expected();
    double otherShare = there / other.band().expected();
    double apart = Math.abs(ownShare - otherShare) / Math.max(ownShare, otherShare);
    String low = ownShare < otherShare ? own.title() : other.title();
    String told =
        Phrase.of(
            "The other side draws %s, this one %s: %.0f %% apart, sound sides lie within %.0f %%.",
            Measure.AMPS.text(there, UnitSystem.METRIC),
            Measure.AMPS.text(here, UnitSystem.METRIC),
            100 * apart,
            100 * AMPS_APART_SHARE);
    Verdict verdict = judge(apart, AMPS_APART_SHARE);
    String where = " Look for a poor joint or a weak part at the lower one: " + low + ".";
    return Optional.of(new SideBySide(verdict, verdict == Verdict.HOLDS ? told : told + where));
  }

  /** The two magnets of an axle, each off its leads or by volts over amperes. */
  private static Optional<SideBySide> resistances(
      Check check, Check other, Map<String, Double> read) {
    Optional<Double> here = ohms(check.key(), read);
    Optional<Double> there = ohms(other.key(), read);
    if (here.isEmpty() || there.isEmpty()) {
      return Optional.empty();
    }
    double apart = Math.abs(here.get() - there.get());
    double allowed = Math.max(OHMS_APART_OHMS, OHMS_SHARE * Math.max(here.get(), there.get()));
    return Optional.of(
        new SideBySide(
            judge(apart, allowed),
            "%s this magnet %s, the one opposite %s; sound ones lie within %s."
                .formatted(
                    byItself(check.key()) ? "Side by side:" : "Volts over amperes:",
                    Measure.OHMS.text(here.get(), UnitSystem.METRIC),
                    Measure.OHMS.text(there.get(), UnitSystem.METRIC),
                    Measure.OHMS.text(allowed, UnitSystem.METRIC))));
  }

  private static boolean byItself(CheckId key) {
    return key.reading().equals(TrailerAlone.MAGNET_OHMS);
  }

  private static Optional<Double> ohms(CheckId key, Map<String, Double> read) {
    if (byItself(key)) {
      return Optional.ofNullable(read.get(key.text()));
    }
    Double volts = read.get(new CheckId(LoadedChecks.MAGNET_VOLTS, key.part()).text());
    Double amps = read.get(new CheckId(LoadedChecks.MAGNET_AMPS, key.part()).text());
    return volts == null || amps == null || Math.abs(amps) < CARRIES_AMPS
        ? Optional.empty()
        : Optional.of(Math.abs(volts / amps));
  }

  private static Verdict judge(double apart, double allowed) {
    return apart <= allowed
        ? Verdict.HOLDS
        : apart <= WATCHED * allowed ? Verdict.WATCH : Verdict.FAILS;
  }
}
