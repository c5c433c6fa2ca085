package org.jexel.core.job;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jexel.core.breakaway.WorkingBrakes;
import org.jexel.core.check.Band;
import org.jexel.core.check.Check;
import org.jexel.core.check.CheckSheet;
import org.jexel.core.check.Round;
import org.jexel.core.harness.Harness;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.Rig;

/**
 * The breakaway's proof by the pin: in, out, and in again, through the bench's own checks.
 *
 * <p>That wheels are free and what the battery has left is proved only by what was read after the
 * last pull.
 */
public final class PullTest {
  /** A battery that lost more in a pull of seconds is watched; three times that, and it is worn. */
  private static final double SAG_VOLTS = 0.2;

  private static final double WORN_VOLTS = 0.6;

  private final Rig rig;
  private final Once<Harness> plan;
  private final BenchWork bench;

  PullTest(Rig rig, Once<Harness> plan, BenchWork bench) {
    this.rig = rig;
    this.plan = plan;
    this.bench = bench;
  }

  /** What it consists of, in working order; empty without a kit that feeds the brakes. */
  public List<Round> rounds() {
    return Round.of(
        bench.proof().stream().filter(check -> check.group() == Check.Group.BREAKAWAY).toList());
  }

  public Verdict verdict(Round round) {
    Verdict read = bench.verdict(round);
    boolean early = read != Verdict.NOT_YET && followsThePull(round) && isBeforeThePull(round);
    if (early) {
      return read == Verdict.FAILS ? read : Verdict.NOT_YET;
    }
    return round.id().equals(CheckSheet.BATTERY_AFTER)
        ? sag().map(sag -> read.and(sag.verdict())).orElse(read)
        : read;
  }

  private static boolean followsThePull(Round round) {
    return round.first().measure() == Measure.TURNING
        || round.id().equals(CheckSheet.BATTERY_AFTER);
  }

  private boolean isBeforeThePull(Round round) {
    Optional<Instant> pulled =
        rounds().stream()
            .filter(r -> r.first().probing().setup().state().is(StateWord.BREAKAWAY))
            .flatMap(this::times)
            .max(Comparator.naturalOrder());
    return pulled.isPresent() && times(round).anyMatch(at -> at.isBefore(pulled.get()));
  }

  private Stream<Instant> times(Round round) {
    return round.checks().stream()
        .flatMap(check -> Optional.ofNullable(bench.newest().get(check.id())).stream())
        .map(Taken::at);
  }

  /** What is read, but before the pin was last pulled: to be read once more. */
  public Optional<Round> owed() {
    return rounds().stream()
        .filter(round -> bench.verdict(round) != Verdict.NOT_YET)
        .filter(round -> verdict(round) == Verdict.NOT_YET)
        .findFirst();
  }

  /** Whether everything of it is read. */
  public boolean isRead() {
    List<Round> rounds = rounds();
    return !rounds.isEmpty()
        && rounds.stream().noneMatch(round -> verdict(round) == Verdict.NOT_YET);
  }

  /** Whether anything of it was only practised, with the simulated meter. */
  boolean isPractised() {
    return rounds().stream().anyMatch(bench::isPractised);
  }

  /** The worst of what was read. */
  Verdict worst() {
    return rounds().stream().map(this::verdict).reduce(Verdict.NOT_YET, Verdict::and);
  }

  /** When its oldest reading was taken; empty while something is unread, or only practised. */
  public Optional<Instant> provedAt() {
    return isRead() && !isPractised()
        ? rounds().stream().flatMap(this::times).min(Comparator.naturalOrder())
        : Optional.empty();
  }

  /** How many brakes the clamp tells of; empty while it was not read. */
  public Optional<WorkingBrakes> working() {
    Optional<Check> clamp = bench.check(CheckSheet.PIN_AMPS);
    Taken read = bench.newest().get(CheckSheet.PIN_AMPS);
    return read == null
        ? Optional.empty()
        : clamp.flatMap(
            check ->
                WorkingBrakes.of(rig, plan.get(), bench.atFull(read), deviation(check.band())));
  }

  /** The band is two standard deviations either way. */
  private static double deviation(Band band) {
    return (band.most() - band.least()) / 4;
  }

  /** What a pull took from the battery. */
  public record Sag(Verdict verdict, String words) {}

  /** Empty until its volts were read before and after. */
  public Optional<Sag> sag() {
    Taken before = bench.newest().get(CheckSheet.BATTERY_BEFORE);
    Taken after = bench.newest().get(CheckSheet.BATTERY_AFTER);
    if (before == null || after == null) {
      return Optional.empty();
    }
    double lost = before.value() - after.value();
    String told =
        Phrase.of(
            "%s before, %s after the pull.",
            Measure.VOLTS.text(before.value(), UnitSystem.METRIC),
            Measure.VOLTS.text(after.value(), UnitSystem.METRIC));
    if (lost > WORN_VOLTS) {
      return Optional.of(
          new Sag(Verdict.FAILS, told + " It does not come back: replace the battery."));
    }
    return Optional.of(
        lost > SAG_VOLTS
            ? new Sag(
                Verdict.WATCH,
                told + " Give it ten minutes and read again; a sound one comes back.")
            : new Sag(Verdict.HOLDS, told));
  }
}
