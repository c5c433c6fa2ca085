package org.jexel.core.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jexel.core.quantity.Measure;
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
  private static final double AMPS_APART = 0.15;

  /** Magnets of one axle lie within this, or within the share below of the greater, Ω. */
  private static final double OHMS_APART = 0.3;

  private static final double OHMS_SHARE = 0.10;

  /** Outside by less than half of what is allowed is to be watched, as with a band. */
  private static final double WATCHED = 1.5;

  /** Less than this is a circuit that carries nothing: the band says so, A. */
  private static final double CARRIES = 0.05;

  private static final Pattern SIDED = Pattern.compile("(.*[._])(left|right)");

  /**
   * @param checks a check by its id; empty for one that the rig has not
   * @param read newest readings by the id of their check, SI
   * @return nothing where the check has no other side, or too little of it was read
   */
  public static Optional<SideBySide> of(
      Check check, Function<String, Optional<Check>> checks, Map<String, Double> read) {
    Matcher sided = SIDED.matcher(check.id());
    boolean compared =
        check.measure() == Measure.AMPS
            || check.id().startsWith(LoadedChecks.MAGNET_VOLTS)
            || check.id().startsWith(TrailerAlone.MAGNET_OHMS);
    if (!compared || !sided.matches() || !read.containsKey(check.id())) {
      return Optional.empty();
    }
    String way = sided.group(2).equals("left") ? "right" : "left";
    String other = sided.group(1) + way;
    List<SideBySide> found = new ArrayList<>();
    if (check.measure() == Measure.AMPS && read.containsKey(other)) {
      checks.apply(other).flatMap(o -> currents(check, o, read)).ifPresent(found::add);
    }
    resistances(check.id(), other, way, read).ifPresent(found::add);
    return found.stream()
        .reduce((a, b) -> new SideBySide(a.verdict.and(b.verdict), a.words + " " + b.words));
  }

  /** Each against its own expectation: sides need not be wired alike. */
  private static Optional<SideBySide> currents(Check own, Check other, Map<String, Double> read) {
    double here = Math.abs(read.get(own.id()));
    double there = Math.abs(read.get(other.id()));
    if (Math.max(here, there) < CARRIES
        || !(own.band().expected() > 0)
        || !(other.band().expected() > 0)) {
      return Optional.empty();
    }
    double ownShare = here / own.band().expected();
    double otherShare = there / other.band().expected();
    double apart = Math.abs(ownShare - otherShare) / Math.max(ownShare, otherShare);
    String low = ownShare < otherShare ? own.title() : other.title();
    String told =
        "The other side draws %s, this one %s: %.0f %% apart, sound sides lie within %.0f %%."
            .formatted(
                Measure.AMPS.text(there, UnitSystem.METRIC),
                Measure.AMPS.text(here, UnitSystem.METRIC),
                100 * apart,
                100 * AMPS_APART);
    Verdict verdict = judge(apart, AMPS_APART);
    String where = " Look for a poor joint or a weak part at the lower one: " + low + ".";
    return Optional.of(new SideBySide(verdict, verdict == Verdict.HOLDS ? told : told + where));
  }

  /** The two magnets of an axle, each off its leads or by volts over amperes. */
  private static Optional<SideBySide> resistances(
      String id, String other, String way, Map<String, Double> read) {
    Optional<Double> here = ohms(id, read);
    Optional<Double> there = ohms(other, read);
    if (here.isEmpty() || there.isEmpty()) {
      return Optional.empty();
    }
    double apart = Math.abs(here.get() - there.get());
    double allowed = Math.max(OHMS_APART, OHMS_SHARE * Math.max(here.get(), there.get()));
    return Optional.of(
        new SideBySide(
            judge(apart, allowed),
            "%s this magnet %s, the %s one %s; sound ones lie within %s."
                .formatted(
                    id.startsWith(TrailerAlone.MAGNET_OHMS)
                        ? "Side by side:"
                        : "Volts over amperes:",
                    Measure.OHMS.text(here.get(), UnitSystem.METRIC),
                    way,
                    Measure.OHMS.text(there.get(), UnitSystem.METRIC),
                    Measure.OHMS.text(allowed, UnitSystem.METRIC))));
  }

  private static Optional<Double> ohms(String id, Map<String, Double> read) {
    if (id.startsWith(TrailerAlone.MAGNET_OHMS)) {
      return Optional.ofNullable(read.get(id));
    }
    String magnet = id.substring(id.lastIndexOf('.') + 1);
    Double volts = read.get(LoadedChecks.MAGNET_VOLTS + magnet);
    Double amps = read.get(LoadedChecks.MAGNET_AMPS + magnet);
    return volts == null || amps == null || Math.abs(amps) < CARRIES
        ? Optional.empty()
        : Optional.of(Math.abs(volts / amps));
  }

  private static Verdict judge(double apart, double allowed) {
    return apart <= allowed
        ? Verdict.HOLDS
        : apart <= WATCHED * allowed ? Verdict.WATCH : Verdict.FAILS;
  }
}
