package org.jexel.app.bench;

import java.util.ArrayList;
import java.util.List;
import org.jexel.app.job.JobFile;
import org.jexel.core.check.Alone;
import org.jexel.core.check.Check;
import org.jexel.core.check.Round;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.Verdict;
import org.jspecify.annotations.Nullable;

/**
 * The check sheet as it lies on the bench: headings in working order, the one where work goes on
 * laid open.
 *
 * @param sections in working order; alone, what needs somebody in the cab comes last
 * @param current the round that is open
 */
public record SheetView(List<Section> sections, RoundView current) {
  /**
   * Rounds under one heading.
   *
   * @param open whether its rounds are shown
   */
  public record Section(Check.Group group, List<RoundView> rounds, boolean open) {
    /** Of the whole heading; where it only looks closer, of what was read. */
    public Verdict verdict() {
      List<Verdict> verdicts = rounds.stream().map(RoundView::verdict).toList();
      return group.proves()
          ? Verdict.ofAll(verdicts)
          : verdicts.stream().reduce(Verdict.NOT_YET, Verdict::and);
    }

    public long read() {
      return rounds.stream().filter(r -> r.verdict() != Verdict.NOT_YET).count();
    }

    /** How far it is read, or what it would take to look closer. */
    public String told() {
      return group.proves() || read() > 0
          ? Phrase.of("%d of %d", read(), rounds.size())
          : Phrase.of("closer look: %d, about %d min", rounds.size(), minutes(rounds));
    }

    /** Where work goes on under this heading. */
    public RoundView begin() {
      return rounds.stream().filter(SheetView::asks).findFirst().orElse(rounds.get(0));
    }
  }

  /**
   * @param card a round or a check; anything else opens the first that is still to be read
   */
  static SheetView of(JobFile file, String card) {
    List<Check> order =
        file.job().alone()
            ? Alone.order(file.work().bench().checks())
            : file.work().bench().checks();
    List<RoundView> rounds =
        Round.of(order).stream().map(round -> RoundView.of(file, round)).toList();
    RoundView current =
        rounds.stream().filter(r -> names(r, card)).findFirst().orElseGet(() -> firstOpen(rounds));
    return new SheetView(sections(rounds, current), current);
  }

  /** Whether a round or a check of it is called so. */
  boolean has(String card) {
    return sections.stream()
        .flatMap(section -> section.rounds().stream())
        .anyMatch(round -> names(round, card));
  }

  private static boolean names(RoundView round, String card) {
    return round.id().equals(card)
        || round.checks().stream().anyMatch(view -> view.check().id().equals(card));
  }

  private static RoundView firstOpen(List<RoundView> rounds) {
    List<RoundView> proof = rounds.stream().filter(r -> r.round().first().proves()).toList();
    return proof.stream().filter(SheetView::asks).findFirst().orElse(proof.get(0));
  }

  private static boolean asks(RoundView round) {
    return round.verdict() == Verdict.FAILS || round.verdict() == Verdict.NOT_YET;
  }

  private static List<Section> sections(List<RoundView> rounds, RoundView current) {
    List<Section> sections = new ArrayList<>();
    int from = 0;
    for (int i = 1; i <= rounds.size(); i++) {
      Check.Group group = rounds.get(from).first().check().group();
      if (i == rounds.size() || rounds.get(i).first().check().group() != group) {
        List<RoundView> own = rounds.subList(from, i);
        sections.add(new Section(group, own, own.contains(current)));
        from = i;
      }
    }
    return sections;
  }

  private static long minutes(List<RoundView> rounds) {
    return Math.round(rounds.stream().mapToDouble(r -> r.round().minutes()).sum());
  }

  /** Effort of the whole proof, min. */
  public long minutes() {
    return minutes(proof());
  }

  /** Rounds of the proof that are read. */
  public long done() {
    return proof().stream().filter(r -> r.verdict() != Verdict.NOT_YET).count();
  }

  public List<RoundView> proof() {
    return sections.stream()
        .filter(section -> section.group().proves())
        .flatMap(section -> section.rounds().stream())
        .toList();
  }

  /** The round so many places on, in the proof or under the same heading; null at the end. */
  @Nullable RoundView along(int step) {
    List<RoundView> way =
        current.round().first().proves()
            ? proof()
            : sections.stream().filter(Section::open).findFirst().orElseThrow().rounds();
    int place = way.indexOf(current) + step;
    return place < 0 || place >= way.size() ? null : way.get(place);
  }
}
