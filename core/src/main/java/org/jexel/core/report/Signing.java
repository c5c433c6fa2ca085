package org.jexel.core.report;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jexel.core.job.Station;
import org.jexel.core.job.StationState;
import org.jexel.core.quantity.Phrase;

/**
 * Somebody about to sign a report. A station that fails stops every signature but the owner's, who
 * writes why the rig leaves anyhow; a report is signed as it was read, and with nothing left out.
 *
 * @param failing stations that fail
 * @param owner whether the owner of the workshop signs
 * @param role in which
 * @param reason why the rig leaves anyhow; empty for none
 * @param asRead whether the report is still the one that was on the screen
 * @param leftOut stored rows that could not be read, and of which the report says nothing
 */
public record Signing(
    List<Station> failing, boolean owner, String role, String reason, boolean asRead, int leftOut) {
  public static final String ROLE = "role";
  public static final String REASON = "reason";
  public static final String SEEN = "seen";

  public static final int ROLE_LETTERS = 60;
  public static final int REASON_LETTERS = 300;

  /** Fewer letters are no reason. */
  private static final int SHORTEST = 10;

  /** The stations that stop a signature. */
  public static List<Station> failing(Map<Station, StationState> states) {
    return List.of(Station.values()).stream()
        .filter(station -> states.get(station) == StationState.FAILS)
        .toList();
  }

  /** What stops it, by field; empty where nothing does. */
  public Map<String, String> problems() {
    Map<String, String> problems = new LinkedHashMap<>();
    if (!asRead) {
      problems.put(
          SEEN, "The job changed while you read. Read the report below once more, then sign.");
    }
    if (leftOut > 0) {
      problems.put(
          SEEN,
          Phrase.of(
              "%s cannot be read: what the report does not say is not signed.",
              Phrase.count(leftOut, "stored row")));
    }
    if (role.isBlank()) {
      problems.put(ROLE, "Say in which role you sign.");
    } else if (role.length() > ROLE_LETTERS) {
      problems.put(ROLE, Phrase.of("At most %d letters.", ROLE_LETTERS));
    }
    if (!failing.isEmpty()) {
      reasonProblem(problems);
    }
    return problems;
  }

  private void reasonProblem(Map<String, String> problems) {
    if (!owner) {
      String what = failing.stream().map(Station::label).collect(Collectors.joining(", ", "", "."));
      problems.put(
          REASON,
          "What fails is mended first, or the owner writes why it leaves anyhow. It fails at: "
              + what);
    } else if (reason.length() < SHORTEST) {
      problems.put(REASON, "Write why it leaves anyhow. It will be the report’s first line.");
    } else if (reason.length() > REASON_LETTERS) {
      problems.put(REASON, Phrase.of("At most %d letters.", REASON_LETTERS));
    }
  }
}
