package org.jexel.app.bench;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.NextCard;
import org.jexel.core.check.Check;
import org.jexel.core.check.Round;
import org.jexel.core.diagnosis.Diagnosis;
import org.jexel.core.job.Station;
import org.jexel.core.quantity.Must;
import org.jexel.core.quantity.UnitSystem;
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
 */
public record FinderView(
    Diagnosis diagnosis,
    @Nullable RoundView round,
    boolean again,
    int left,
    Map<String, String> starts,
    List<Doubt> doubts,
    List<Repair> repairs) {
  /**
   * @param start a round that somebody wants to begin with; empty for what tells most
   */
  static FinderView of(JobFile file, String start) {
    Diagnosis diagnosis = file.work().bench().diagnosis();
    List<Check> stale = file.work().bench().askedAgain();
    Optional<Round> wished =
        Round.of(file.work().bench().checks()).stream()
            .filter(r -> r.id().equals(start))
            .findFirst();
    Optional<Round> now =
        wished
            .or(() -> Round.of(stale).stream().findFirst())
            .or(() -> diagnosis.next().map(next -> new Round(next.checks())));
    return new FinderView(
        diagnosis,
        now.map(round -> RoundView.of(file, round)).orElse(null),
        wished.isEmpty() && !stale.isEmpty(),
        stale.size(),
        starts(file),
        diagnosis.doubtful().stream().map(check -> Doubt.of(file, check)).toList(),
        BenchRows.of(file).repairs());
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
          check
              .measure()
              .text(Must.have(file.work().bench().newest(), check.id()).value(), file.units());
      return new Doubt(check.round(), "%s: %s. %s".formatted(check.title(), read, check.state()));
    }
  }

  /** What somebody may have noticed on the way here: rounds by eye, ear and hand, and the pins. */
  private static Map<String, String> starts(JobFile file) {
    Map<String, String> starts = new LinkedHashMap<>();
    for (Check.Group group : List.of(Check.Group.SEEN, Check.Group.SOCKET)) {
      file.work().bench().checks().stream()
          .filter(c -> c.group() == group && !file.work().bench().newest().containsKey(c.id()))
          .forEach(c -> starts.putIfAbsent(c.round(), noticed(c)));
    }
    return starts;
  }

  private static @Nullable String noticed(Check check) {
    return switch (check.measure()) {
      case TURNING -> "A wheel drags or is hard to turn";
      case HUMMING -> "A wheel does not brake, or the trailer pulls to one side";
      case GLOW -> "Lamps glow wrongly. " + check.state();
      default -> "Nothing on one pin. " + check.title();
    };
  }

  /** Nothing is found, and the proof is not read: no reason to call it sound. */
  public boolean unearned() {
    return round == null
        && !diagnosis.groups().isEmpty()
        && diagnosis.groups().get(0).leading().healthy()
        && !diagnosis.groups().get(0).earned();
  }

  /** The suspect to mend; null while none is sure. */
  public Diagnosis.@Nullable Group sure() {
    if (!diagnosis.fits() || diagnosis.groups().isEmpty()) {
      return null;
    }
    Diagnosis.Group leading = diagnosis.groups().get(0);
    boolean allRead = round == null && leading.leading().healthy() && leading.earned();
    return leading.sure() || allRead ? leading : null;
  }

  /** What to do now, where it is sure what is the matter; whoever looks at the finder sees it. */
  Optional<NextCard> mend(UnitSystem units) {
    return Optional.ofNullable(sure())
        .filter(group -> !group.leading().healthy() && !again)
        .map(group -> "Mend: " + group.leading().words(units))
        .map(text -> new NextCard(Station.BENCH, "finder", text, ""));
  }
}
