package org.jexel.app.bench;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jexel.app.entry.FieldView;
import org.jexel.app.entry.RigCards;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.NextCard;
import org.jexel.core.check.Check;
import org.jexel.core.check.Round;
import org.jexel.core.diagnosis.Diagnosis;
import org.jexel.core.diagnosis.Hypothesis;
import org.jexel.core.job.Station;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Must;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.RigField;
import org.jspecify.annotations.Nullable;

/**
 * The finder's card: what may be the matter, and what to read now.
 *
 * @param round to take now; null if none would tell more
 * @param again whether these are asked for again after a repair, not to find anything new
 * @param left how many are still to be read again
 * @param starts rounds that one may begin with, and what one would have noticed
 * @param doubts readings that do not go together with the others
 * @param repairs oldest first
 * @param unread rounds of the proof that are not read yet
 * @param fails whether the sheet says so of anything that was read
 */
public record FinderView(
    Diagnosis diagnosis,
    @Nullable RoundView round,
    boolean again,
    int left,
    Map<String, String> starts,
    List<Doubt> doubts,
    List<Repair> repairs,
    List<Round> unread,
    boolean fails) {
  /** Places of a group that are named, its first among them. */
  private static final int NAMED = 4;

  /**
   * @param start a round that somebody wants to begin with; empty for what tells most
   */
  static FinderView of(JobFile file, String start) {
    Diagnosis diagnosis = file.work().bench().diagnosis();
    List<Check> failing = file.work().bench().failing();
    List<Round> unread =
        Round.of(file.work().bench().proof()).stream()
            .filter(r -> file.work().bench().verdict(r) == Verdict.NOT_YET)
            .toList();
    boolean soundBut = isSound(diagnosis) && unread.isEmpty() && diagnosis.doubtful().isEmpty();
    List<Check> stale = file.work().bench().askedAgain();
    Optional<Round> told = diagnosis.next().map(next -> new Round(next.checks()));
    Optional<Round> wished =
        told.filter(round -> round.id().equals(start)).or(() -> wished(file, start));
    Optional<Round> now = wished.or(() -> Round.of(stale).stream().findFirst()).or(() -> told);
    return new FinderView(
        diagnosis,
        now.map(round -> RoundView.of(file, round)).orElse(null),
        wished.isEmpty() && !stale.isEmpty(),
        stale.size(),
        Noticed.starts(file),
        (soundBut ? failing : diagnosis.doubtful())
            .stream().map(check -> Doubt.of(file, check)).toList(),
        BenchRows.of(file).repairs(),
        unread,
        !failing.isEmpty());
  }

  /** A round by its name; of a walk, what nobody has looked at. */
  private static Optional<Round> wished(JobFile file, String start) {
    List<Check> walked =
        file.work().bench().checks().stream()
            .filter(check -> check.round().equals(start) || check.walk().equals(start))
            .toList();
    List<Check> unread =
        walked.stream()
            .filter(check -> !file.work().bench().newest().containsKey(check.id()))
            .toList();
    boolean walk = walked.stream().map(Check::round).distinct().count() > 1;
    List<Check> taken = walk && !unread.isEmpty() ? unread : walked;
    return taken.isEmpty() ? Optional.empty() : Optional.of(new Round(taken));
  }

  private static boolean isSound(Diagnosis diagnosis) {
    return diagnosis.fits() && diagnosis.groups().get(0).leading().healthy();
  }

  /**
   * A reading to be taken again.
   *
   * @param round it belongs to
   * @param words what was read, and in which state
   */
  record Doubt(String round, String words) {
    private static Doubt of(JobFile file, Check check) {
      String read =
          Must.have(file.work().bench().newest(), check.id()).words(check.measure(), file.units());
      return new Doubt(check.round(), "%s: %s. %s".formatted(check.title(), read, check.state()));
    }
  }

  /**
   * Nothing is found, and the proof is not read, or something fails: no reason to call it sound.
   */
  public boolean unearned() {
    return isSound(diagnosis) && (fails || !diagnosis.groups().get(0).earned());
  }

  /** What of the proof is still to be read, or fails, before a rig is called sound. */
  public String owed() {
    if (unread.isEmpty()) {
      return "That is no proof while something fails: "
          + (onceMore() ? "take that once more." : "look closer at what it hangs on.");
    }
    long minutes = Math.round(unread.stream().mapToDouble(Round::minutes).sum());
    String first = unread.stream().limit(NAMED).map(Round::title).collect(Collectors.joining("; "));
    int more = unread.size() - NAMED;
    return Phrase.of(
        "That is no proof: sound it is when the rest is read. %s of the proof left, about %d min: %s%s.",
        Phrase.count(unread.size(), "check"),
        minutes,
        first,
        more > 0 ? "; and " + more + " more" : "");
  }

  /** The suspect to mend; null while none is sure. */
  public Diagnosis.@Nullable Group sure() {
    if (!diagnosis.fits() || unearned()) {
      return null;
    }
    Diagnosis.Group leading = diagnosis.groups().get(0);
    boolean allRead = round == null && leading.leading().healthy();
    return leading.sure() || allRead ? leading : null;
  }

  /**
   * A figure of the rig that stands as assumed.
   *
   * @param card of the rig that holds it
   * @param field its id on that card
   * @param label its name
   */
  record Assumed(String card, String field, String label) {
    private static Assumed of(RigField field) {
      return new Assumed(
          RigCards.cardOf(field), FieldView.id(FieldKey.of(field).code()), field.label());
    }
  }

  /** What to enter rather than to mend; null where the suspect is a fault. */
  public @Nullable Assumed assumed() {
    Diagnosis.Group group = sure();
    return group == null || group.leading().families().size() != 1
        ? null
        : group.leading().families().get(0).trouble().assumes().map(Assumed::of).orElse(null);
  }

  /** What the round is taken for. */
  public String heading() {
    if (again) {
      return "Again, after the repair: ";
    }
    return onceMore() ? "Once more, to be sure: " : "Next: ";
  }

  /** Whether it was read and is odd. */
  private boolean onceMore() {
    return round != null && round.isRead();
  }

  /** What to do where nothing known explains every reading. */
  public String unknown() {
    if (onceMore()) {
      return "Take what is odd once more.";
    }
    return "Take the check below, which looks widest"
        + (doubts.isEmpty() ? ", or read again what speaks against the first line." : ".");
  }

  /** Why a check is asked for; empty for one that somebody chose. */
  public String why(Check check, UnitSystem units) {
    if (again) {
      return Phrase.of(
          "The repair changes what it reads. %s to take again.", Phrase.count(left, "reading"));
    }
    return diagnosis
        .next()
        .filter(next -> next.first().round().equals(check.round()))
        .map(
            next ->
                Phrase.of(
                    "%s. About %s min.",
                    onceMore()
                        ? "What is read twice alike is no slip of eye or meter"
                        : parts(next.between(), units),
                    Measure.COUNT.number(next.minutes(), units)))
        .orElse("");
  }

  private static String parts(List<Hypothesis> two, UnitSystem units) {
    return two.size() < 2
        ? "It tells most for the walk"
        : "It tells “%s” from “%s”".formatted(two.get(0).words(units), two.get(1).words(units));
  }

  /** What no check tells from a group's first, the likeliest of them by name. */
  public String others(Diagnosis.Group group, UnitSystem units) {
    List<String> words = group.words(units);
    List<String> named = words.subList(1, Math.min(words.size(), NAMED));
    int more = words.size() - 1 - named.size();
    return named.isEmpty()
        ? ""
        : "or, not to be told apart: "
            + String.join("; ", named)
            + (more == 0 ? "" : "; and " + more + " more");
  }

  /** What to do now, where it is sure what is the matter; whoever looks at the finder sees it. */
  Optional<NextCard> mend(UnitSystem units) {
    return Optional.ofNullable(sure())
        .filter(group -> !group.leading().healthy() && !again)
        .map(group -> next(group.leading().words(units)));
  }

  private NextCard next(String words) {
    Assumed figure = assumed();
    return figure == null
        ? new NextCard(Station.BENCH, "finder", "", "Mend: " + words, "")
        : new NextCard(Station.RIG, figure.card(), figure.field(), "Enter: " + figure.label(), "");
  }
}
