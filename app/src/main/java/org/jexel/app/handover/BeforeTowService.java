package org.jexel.app.handover;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jexel.app.job.Drafts;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.RequestKey;
import org.jexel.app.job.Waited;
import org.jexel.app.workshop.Words;
import org.jexel.core.care.BeforeTow;
import org.jexel.core.care.LookedOver;
import org.jexel.core.quantity.Verdict;
import org.springframework.stereotype.Service;

/** Takes lists that were walked before a journey. */
@Service
class BeforeTowService {
  static final String FORM = "before-tow";

  /** The field of what is wrong, in words. */
  static final String WRONG = "wrong";

  private static final int LETTERS = 200;

  /** A word that says nothing is none. */
  private static final int SHORTEST = 4;

  private final TowLineRepository lists;
  private final Drafts drafts;
  private final Clock clock;

  BeforeTowService(TowLineRepository lists, Drafts drafts, Clock clock) {
    this.lists = lists;
    this.drafts = drafts;
    this.clock = clock;
  }

  /**
   * Every list of a job, in the order in which they were walked.
   *
   * @param lists that say something to this version
   * @param unread how many do not
   */
  record Kept(List<LookedOver> lists, int unread) {}

  Kept kept(JobFile file) {
    return kept(file, lists.ofJob(file.job().id()));
  }

  /** The newest list, if it says something to this version. */
  Optional<LookedOver> newest(JobFile file) {
    List<LookedOver> known = kept(file, lists.newest(file.job().id())).lists();
    return known.stream().skip(Math.max(0, known.size() - 1)).findFirst();
  }

  private static Kept kept(JobFile file, List<TowLine> lines) {
    ZoneId zone = file.job().workshop().zone();
    List<LookedOver> known =
        lines.stream()
            .filter(line -> Words.known(() -> line.list(zone)))
            .map(line -> line.list(zone))
            .toList();
    return new Kept(known, lines.size() - known.size());
  }

  /** A form as understood: what was seen of each part that is asked, or the problems by field. */
  record Understood(
      Map<BeforeTow.Part, Verdict> seen, String wrong, Map<String, String> problems) {}

  static Understood read(JobFile file, Map<String, String> typed) {
    Map<BeforeTow.Part, Verdict> seen = new EnumMap<>(BeforeTow.Part.class);
    for (BeforeTow.Item item : file.work().care().list().items()) {
      Verdict said =
          Words.of(Verdict.class, typed.getOrDefault(item.part().name(), ""), Verdict.NOT_YET);
      seen.put(item.part(), said == Verdict.WATCH ? Verdict.NOT_YET : said);
    }
    String wrong = typed.getOrDefault(WRONG, "").strip();
    return new Understood(seen, wrong, problems(seen, wrong));
  }

  private static Map<String, String> problems(Map<BeforeTow.Part, Verdict> seen, String wrong) {
    boolean fails = seen.containsValue(Verdict.FAILS);
    Map<String, String> problems = new LinkedHashMap<>();
    if (seen.values().stream().allMatch(Verdict.NOT_YET::equals)) {
      problems.put(WRONG, "Nothing is said yet: right or not, of each part that you look at.");
    } else if (wrong.length() > LETTERS) {
      problems.put(WRONG, "At most " + LETTERS + " letters.");
    } else if (fails && wrong.length() < SHORTEST) {
      problems.put(WRONG, "Write what is not right, so that whoever mends it finds it.");
    } else if (!fails && !wrong.isEmpty()) {
      problems.put(WRONG, "Say above which part this is about.");
    }
    return problems;
  }

  /** Keeps a list, or what was typed where it cannot stand so. */
  void record(JobFile file, Map<String, String> typed, String requestKey) {
    String key = RequestKey.of(requestKey);
    if (lists.existsByJobIdAndRequestKey(file.job().id(), key)) {
      return;
    }
    Understood understood = read(file, typed);
    if (!understood.problems().isEmpty()) {
      typed.forEach((field, text) -> drafts.keep(file.job(), file.person(), FORM, field, text, 1));
      return;
    }
    save(file, understood, clock.instant(), key);
    drafts.dropForm(file.job(), file.person(), FORM);
  }

  /** Keeps a list that waited on a phone. */
  Waited.Told waited(JobFile file, Map<String, String> typed, Instant at, String requestKey) {
    String key = RequestKey.of(requestKey);
    if (lists.existsByJobIdAndRequestKey(file.job().id(), key)) {
      return Waited.Told.TAKEN;
    }
    Understood understood = read(file, typed);
    if (!understood.problems().isEmpty()) {
      return Waited.Told.not(String.join(" ", understood.problems().values()));
    }
    save(file, understood, at, key);
    return Waited.Told.TAKEN;
  }

  private void save(JobFile file, Understood understood, Instant at, String key) {
    lists.save(
        new TowLine(
            file.job(),
            understood.seen(),
            understood.wrong(),
            file.person(),
            at,
            clock.instant(),
            key));
  }
}
