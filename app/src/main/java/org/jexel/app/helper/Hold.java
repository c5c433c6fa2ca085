package org.jexel.app.helper;

import java.util.Comparator;
import java.util.List;
import org.jexel.app.job.JobFile;
import org.jexel.core.check.Check;
import org.jexel.core.job.BenchWork;
import org.jexel.core.job.Taken;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Verdict;

/**
 * What the one in the cab is to do now.
 *
 * @param act in a few words, large
 * @param state the whole of it
 * @param check what is being read meanwhile
 * @param last the reading before this one; empty if there is none
 * @param verdict of that
 */
public record Hold(String act, String state, String check, String last, Verdict verdict) {
  static final Hold NOTHING =
      new Hold("Hold nothing", "Wait for the next check.", "", "", Verdict.NOT_YET);

  static Hold of(JobFile file, Check check) {
    BenchWork bench = file.work().bench();
    return bench.newest().values().stream()
        .max(Comparator.comparing(Taken::id))
        .flatMap(
            last ->
                bench
                    .check(last.check())
                    .map(
                        read ->
                            new Hold(
                                act(check),
                                check.state(),
                                check.title(),
                                read.title()
                                    + ": "
                                    + read.measure().text(last.value(), file.units()),
                                bench.verdict(read))))
        .orElseGet(() -> new Hold(act(check), check.state(), check.title(), "", Verdict.NOT_YET));
  }

  /** The one thing that hands and feet do, the heaviest first. */
  private static String act(Check check) {
    List<StateWord> words =
        List.of(StateWord.values()).stream()
            .filter(word -> check.probing().setup().state().is(word))
            .toList();
    if (check.measure() == Measure.MOVING) {
      return words.contains(StateWord.LEVER)
          ? "All lamps on, pedal and lever"
          : "All lamps on, pedal down";
    } else if (words.contains(StateWord.LEVER)) {
      return "Lever full";
    } else if (words.contains(StateWord.STOP) || words.contains(StateWord.PEDAL)) {
      return "Pedal down";
    } else if (words.contains(StateWord.HAZARD)) {
      return "Tail lamps and hazard lights on";
    } else if (words.contains(StateWord.LEFT)) {
      return "Left indicator";
    } else if (words.contains(StateWord.RIGHT)) {
      return "Right indicator";
    } else if (words.contains(StateWord.REVERSE)) {
      return "Reverse, engine off";
    } else if (words.contains(StateWord.TAIL)) {
      return "Tail lamps on";
    }
    return words.contains(StateWord.RUNNING) ? "Engine running" : "Hands off";
  }
}
