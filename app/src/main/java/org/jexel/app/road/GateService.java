package org.jexel.app.road;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jexel.app.job.Drafts;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.RequestKey;
import org.jexel.app.job.TypedFields;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.RigField;
import org.jexel.core.road.Assist;
import org.jexel.core.road.CoastDown;
import org.jexel.core.road.Gate;
import org.jexel.core.road.Said;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Takes what somebody says before a wheel turns: all that one form says, or nothing of it. */
@Service
public class GateService {
  static final String FORM = "gate";

  /** The field of gentle stops. */
  static final String WARMED = "warmed";

  /** The field of what was found when somebody looked for the fault. */
  static final String LOOKED = "looked";

  /** The fields of a coast-down: from and to which speed, in which time. */
  static final List<String> COAST = List.of("coastFrom", "coastTo", "coastSeconds");

  /** m/s. */
  private static final double FASTEST = 36;

  /** s. */
  private static final double LONGEST = 300;

  private static final int MOST_TIMES = 60;
  private static final int LETTERS = 200;

  /** A reason that says nothing is none. */
  private static final int SHORTEST = 4;

  private final SaidLineRepository said;
  private final Drafts drafts;
  private final Clock clock;

  GateService(SaidLineRepository said, Drafts drafts, Clock clock) {
    this.said = said;
    this.drafts = drafts;
    this.clock = clock;
  }

  private record Word(Said.What what, String about, Verdict verdict, String words, int times) {}

  /** A form as understood: what it says, or the problems by field. */
  private record Understood(List<Word> words, Map<String, String> problems) {}

  /** What is the matter with what was typed and not taken. */
  Map<String, String> problems(JobFile file, Map<String, String> typed) {
    return read(file, typed).problems();
  }

  private static Understood read(JobFile file, Map<String, String> typed) {
    TypedFields fields = new TypedFields(typed, file.units());
    List<Word> words = new ArrayList<>();
    for (Gate.Line line : file.work().road().gate().lines()) {
      Said.What what = looked(line);
      Verdict seen = what == null ? null : fields.chosen(Verdict.class, line.id());
      if (what != null && seen != null) {
        words.add(new Word(what, "", seen, "", 0));
      }
      String reason = fields.atMost(why(line), LETTERS);
      if (!reason.isEmpty() && reason.length() < SHORTEST) {
        fields.problem(why(line), "Write why, so that the next person understands it.");
      } else if (!reason.isEmpty() && line.asks()) {
        words.add(new Word(Said.What.PASSED, line.id(), Verdict.WATCH, reason, 0));
      }
    }
    warmed(fields, words);
    coasted(file, fields, words);
    String looked = fields.atMost(LOOKED, LETTERS);
    if (!looked.isEmpty() && looked.length() < SHORTEST) {
      fields.problem(LOOKED, "Write what was looked at, and what was found.");
    } else if (!looked.isEmpty()) {
      words.add(new Word(Said.What.LOOKED, "", Verdict.HOLDS, looked, 0));
    }
    return new Understood(words, fields.problems());
  }

  private static void warmed(TypedFields fields, List<Word> words) {
    String text = fields.text(WARMED);
    if (text.isEmpty()) {
      return;
    }
    if (text.matches("[0-9]{1,2}") && Integer.parseInt(text) <= MOST_TIMES) {
      int times = Integer.parseInt(text);
      if (times > 0) {
        words.add(new Word(Said.What.WARMED, "", Verdict.HOLDS, "", times));
      }
    } else {
      fields.problem(WARMED, "How many, such as 5; at most " + MOST_TIMES + ".");
    }
  }

  private static void coasted(JobFile file, TypedFields fields, List<Word> words) {
    if (COAST.stream().allMatch(field -> fields.text(field).isEmpty())) {
      return;
    }
    Double from = fields.within(COAST.get(0), Measure.SPEED, CoastDown.LEAST_FALL, FASTEST);
    Double to = fields.within(COAST.get(1), Measure.SPEED, 0, FASTEST);
    Double seconds = fields.within(COAST.get(2), Measure.SECONDS, 1, LONGEST);
    if (from == null || to == null || seconds == null || !fields.sound()) {
      return;
    }
    CoastDown coast =
        new CoastDown(
            from,
            to,
            seconds,
            file.rig().sheet().si(RigField.KERB_MASS),
            file.work().rig().load().mass());
    if (from - to < CoastDown.LEAST_FALL) {
      fields.problem(
          COAST.get(1),
          Phrase.of(
              "Let it roll until it is slower by %s or more.",
              Measure.SPEED.text(CoastDown.LEAST_FALL, file.units())));
    } else if (coast.drag().isEmpty()) {
      fields.problem(
          COAST.get(2),
          "No rig rolls so: level road, out of gear, no brake. If it holds back so hard, feel the hubs first.");
    } else {
      words.add(
          new Word(
              Said.What.COAST, "", coast.drags() ? Verdict.WATCH : Verdict.HOLDS, coast.text(), 0));
    }
  }

  private static Said.@Nullable What looked(Gate.Line line) {
    for (Said.What what : Said.What.values()) {
      if (what.name().equals(line.id())) {
        return what;
      }
    }
    return null;
  }

  /** The field of a line's reason. */
  static String why(Gate.Line line) {
    return "why." + line.id();
  }

  /** Keeps how a level of start-up assist felt; nothing where either word is none. */
  void felt(JobFile file, String level, String feel, String requestKey) {
    String key = RequestKey.of(requestKey);
    boolean known =
        file.work().road().assist().filter(assist -> assist.levels().contains(level)).isPresent()
            && Assist.felt(level, feel).isPresent();
    if (!known || said.existsByJobIdAndRequestKey(file.job().id(), key)) {
      return;
    }
    said.save(
        new SaidLine(
            file.job(),
            Said.What.ASSIST,
            level,
            feel.equals(Assist.Feel.RIGHT.name()) ? Verdict.HOLDS : Verdict.WATCH,
            feel,
            0,
            file.person(),
            clock.instant(),
            key));
    file.changed();
  }

  /** Keeps what is said, or what was typed where something of it cannot be. */
  public void say(JobFile file, Map<String, String> typed, String requestKey) {
    String key = RequestKey.of(requestKey, "0");
    if (said.existsByJobIdAndRequestKey(file.job().id(), key)) {
      return;
    }
    Understood understood = read(file, typed);
    if (!understood.problems().isEmpty() || understood.words().isEmpty()) {
      typed.forEach((field, text) -> drafts.keep(file.job(), file.person(), FORM, field, text, 1));
      return;
    }
    Instant now = clock.instant();
    int n = 0;
    for (Word word : understood.words()) {
      said.save(
          new SaidLine(
              file.job(),
              word.what,
              word.about,
              word.verdict,
              word.words,
              word.times,
              file.person(),
              now,
              RequestKey.of(requestKey, String.valueOf(n++))));
    }
    drafts.dropForm(file.job(), file.person(), FORM);
    file.changed();
  }
}
