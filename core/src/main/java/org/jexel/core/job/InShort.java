package org.jexel.core.job;

import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jexel.core.cab.Fitting;
import org.jexel.core.care.LookedOver;
import org.jexel.core.check.Round;
import org.jexel.core.harness.Problem;
import org.jexel.core.quantity.CalendarDay;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.RatingCheck;
import org.jexel.core.road.Profile;
import org.jexel.core.road.Setting;

/**
 * What an owner reads first: what was found, in plain words, and what is open. It says no more than
 * was read: what was practised with the simulated meter counts as not made.
 *
 * @param words sentences
 * @param open what is wrong or still to be done, the worst first; empty where nothing is
 */
public record InShort(List<String> words, List<String> open) {
  /** Titles that are named of many. */
  private static final int NAMED = 3;

  private enum Found {
    FAILS,
    WATCH,
    PRACTISED,
    NOT_MADE,
    HOLDS
  }

  static InShort of(Work work, Optional<LookedOver> beforeTow, UnitSystem units) {
    Map<Found, List<String>> found = found(work.bench());
    List<String> words = new ArrayList<>();
    List<String> open = new ArrayList<>();
    words.add(checks(found, work.record().rig().hasElectricBrakes()));
    of(found, Found.FAILS).forEach(title -> open.add("Fails: " + title));
    beforeTow
        .filter(list -> list.verdict() == Verdict.FAILS)
        .ifPresent(
            list ->
                open.add(
                    "Before the journey of %s: %s"
                        .formatted(
                            Measure.DATE.text(CalendarDay.si(list.day()), units), list.words())));
    ratings(work.rig(), words, open);
    if (work.record().rig().hasElectricBrakes()) {
      words.add(breakaway(work));
      gain(work.road().gains(), units, words, open);
    }
    stations(work, open);
    of(found, Found.WATCH).forEach(title -> open.add("To be watched: " + title));
    named("Not checked: ", of(found, Found.NOT_MADE)).ifPresent(open::add);
    named("Only practised, with the simulated meter: ", of(found, Found.PRACTISED))
        .ifPresent(open::add);
    work.harness().openStep().ifPresent(step -> open.add("Work still open: " + step.title()));
    return new InShort(List.copyOf(words), List.copyOf(open));
  }

  private static Map<Found, List<String>> found(BenchWork bench) {
    Map<Found, List<String>> found = new EnumMap<>(Found.class);
    for (Round round : Round.of(bench.proof())) {
      found.computeIfAbsent(found(bench, round), none -> new ArrayList<>()).add(round.title());
    }
    for (Round round : Round.of(bench.readBeyond())) {
      Found how = found(bench, round);
      if (how != Found.HOLDS) {
        found.computeIfAbsent(how, none -> new ArrayList<>()).add(round.title());
      }
    }
    return found;
  }

  private static Found found(BenchWork bench, Round round) {
    if (bench.isPractised(round)) {
      return Found.PRACTISED;
    }
    return switch (bench.verdict(round)) {
      case HOLDS -> Found.HOLDS;
      case WATCH -> Found.WATCH;
      case FAILS -> Found.FAILS;
      case NOT_YET -> Found.NOT_MADE;
    };
  }

  private static List<String> of(Map<Found, List<String>> found, Found how) {
    return found.getOrDefault(how, List.of());
  }

  private static String checks(Map<Found, List<String>> found, boolean braked) {
    String of = braked ? "lamps, wiring and brakes" : "lamps and wiring";
    int all = found.values().stream().mapToInt(Collection::size).sum();
    int sound = of(found, Found.HOLDS).size();
    if (sound == all) {
      return Phrase.of("All %d checks of its %s were made and hold.", all, of);
    }
    int made = all - of(found, Found.NOT_MADE).size() - of(found, Found.PRACTISED).size();
    if (made == 0) {
      return "Nothing was measured on it yet.";
    }
    int fail = of(found, Found.FAILS).size();
    return Phrase.of(
        "Of %d checks of its %s %d %s made: %d %s%s%s.",
        all,
        of,
        made,
        made == 1 ? "was" : "were",
        sound,
        sound == 1 ? "holds" : "hold",
        fail == 0 ? "" : fail == 1 ? ", one fails" : ", " + fail + " fail",
        made > sound + fail ? ", " + (made - sound - fail) + " to be watched" : "");
  }

  /** What is wrong, or to be watched, at a station that no line above speaks of. */
  private static void stations(Work work, List<String> open) {
    station(
        Station.HARNESS,
        work.harness().state(),
        Stream.concat(
            work.harness().plan().circuits().stream()
                .filter(circuit -> circuit.verdict() != Verdict.HOLDS)
                .map(circuit -> circuit.name() + ", " + circuit.reason()),
            work.harness().plan().problems().stream().map(Problem::message)),
        open);
    station(
        Station.CAB,
        work.cab().state(),
        work.cab().fitting().stream()
            .filter(finding -> finding.verdict().isWorry())
            .map(Fitting.Finding::words),
        open);
    if (work.record().rig().hasElectricBrakes()) {
      BreakawayWork breakaway = work.breakaway();
      station(Station.BREAKAWAY, breakaway.state(), breakaway.worries().stream(), open);
    }
  }

  private static void station(
      Station station, StationState state, Stream<String> why, List<String> open) {
    if (state == StationState.FAILS || state == StationState.WATCH) {
      String how = station.label() + (state == StationState.FAILS ? " fails" : " is to be watched");
      List<String> words = why.map(word -> how + ": " + word).toList();
      open.addAll(words.isEmpty() ? List.of(how) : words);
    }
  }

  private static void ratings(RigWork rig, List<String> words, List<String> open) {
    List<RatingCheck> over =
        rig.ratings().stream().filter(rating -> rating.verdict() == Verdict.FAILS).toList();
    over.forEach(rating -> open.add(rating.title() + ": " + rating.words()));
    String by = rig.isWeighed() ? "Weighed" : "By its load list, not weighed";
    words.add(by + ", it " + within(rig.ratings()) + ".");
  }

  /** After “it”. A rating that nobody has read proves nothing, either way. */
  private static String within(List<RatingCheck> ratings) {
    Predicate<RatingCheck> over = rating -> rating.verdict() == Verdict.FAILS;
    Predicate<RatingCheck> watched = rating -> rating.verdict() == Verdict.WATCH;
    if (ratings.stream().anyMatch(over.and(rating -> !rating.assumed()))) {
      return "is not within its ratings";
    } else if (ratings.stream().anyMatch(over)) {
      return "is over a rating that nobody has read: " + titles(ratings, over);
    } else if (ratings.stream().noneMatch(watched)) {
      return "stays within every rating";
    }
    String near = titles(ratings, watched.and(rating -> !rating.assumed()));
    long assumed = ratings.stream().filter(RatingCheck::assumed).count();
    return "is over no rating that was read"
        + (near.isEmpty() ? "" : "; to be watched: " + near)
        + (assumed == 0
            ? ""
            : "; " + Phrase.count(assumed, "rating is", "ratings are") + " only assumed");
  }

  private static String titles(List<RatingCheck> ratings, Predicate<RatingCheck> which) {
    return ratings.stream()
        .filter(which)
        .map(rating -> Phrase.within(rating.title()))
        .collect(Collectors.joining(", "));
  }

  private static String breakaway(Work work) {
    if (work.breakaway().isMissing()) {
      return "It has no breakaway: nothing brakes it if it comes off.";
    }
    PullTest pull = work.breakaway().pull();
    if (pull.isPractised()) {
      return "The pull of the breakaway’s pin was only practised, with the simulated meter.";
    }
    return pull.isRead()
        ? "The breakaway’s pin was pulled and read to its end: it " + stands(pull.worst()) + "."
        : "The breakaway was not proved by a pull of its pin.";
  }

  /** After “it”. */
  static String stands(Verdict verdict) {
    return switch (verdict) {
      case HOLDS -> "holds";
      case WATCH -> "is to be watched";
      case FAILS -> "fails";
      case NOT_YET -> "is not judged";
    };
  }

  private static void gain(
      SettledGains gains, UnitSystem units, List<String> words, List<String> open) {
    gains.told().stream()
        .filter(Profile::holds)
        .map(Profile::setting)
        .map(setting -> set(setting, units))
        .forEach(words::add);
    if (gains.holding().isEmpty()) {
      open.add(
          gains
              .newest()
              .map(old -> "The gain is to be set anew: " + String.join(", ", old.stale()))
              .orElse("No gain is settled"));
    }
  }

  private static String set(Setting setting, UnitSystem units) {
    return Phrase.of(
        "Its brakes are set to gain %s on %s with %s behind.",
        Measure.GAIN.number(setting.gain(), units),
        setting.surface().label().toLowerCase(Locale.ROOT),
        Measure.MASS.text(setting.trailerMass(), units));
  }

  private static Optional<String> named(String what, List<String> titles) {
    if (titles.isEmpty()) {
      return Optional.empty();
    }
    int more = titles.size() - NAMED;
    String some = String.join("; ", titles.subList(0, Math.min(NAMED, titles.size())));
    return Optional.of(what + some + (more > 0 ? "; and " + more + " more" : ""));
  }
}
