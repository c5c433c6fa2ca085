package org.jexel.app.bench;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jexel.app.device.TesterPort;
import org.jexel.app.job.JobFile;
import org.jexel.core.check.PlugTester;
import org.jexel.core.network.Fault;
import org.jexel.core.network.NetworkException;
import org.jexel.core.network.StateWord;

/**
 * What the lamps of a plug-in tester do in a state.
 *
 * @param words that can be switched on
 * @param on those that are
 * @param wired as wired
 * @param suspected under the leading suspicion; empty where there is none
 * @param suspicion in words; empty where there is none
 * @param shown by the tester that is plugged in; empty while none was asked
 */
record TesterCard(
    List<StateWord> words,
    Set<StateWord> on,
    List<PlugTester> wired,
    List<PlugTester> suspected,
    String suspicion,
    List<PlugTester> shown) {
  private static final List<StateWord> WORDS =
      List.of(
          StateWord.TAIL,
          StateWord.LEFT,
          StateWord.RIGHT,
          StateWord.STOP,
          StateWord.REVERSE,
          StateWord.LEVER,
          StateWord.RUNNING);

  static TesterCard of(JobFile file, List<String> state, boolean plugged, TesterPort tester) {
    Set<StateWord> on =
        WORDS.stream().filter(w -> state.contains(w.word())).collect(Collectors.toSet());
    List<PlugTester> wired = lamps(file, on, List.of());
    boolean leads =
        !file.work().bench().newest().isEmpty()
            && file.work().bench().diagnosis().fits()
            && !file.work().bench().diagnosis().groups().get(0).leading().healthy();
    List<Fault> faults =
        leads ? file.work().bench().diagnosis().groups().get(0).leading().faults() : List.of();
    return new TesterCard(
        WORDS,
        on,
        wired,
        leads ? lamps(file, on, faults) : List.of(),
        leads ? file.work().bench().diagnosis().groups().get(0).leading().words(file.units()) : "",
        plugged
            ? tester.lamps(
                file.job().id(), file.work().bench().asRead(), file.work().harness().plan(), on)
            : List.of());
  }

  private static List<PlugTester> lamps(JobFile file, Set<StateWord> on, List<Fault> faults) {
    try {
      return PlugTester.lamps(
          file.work().bench().asRead(), file.work().harness().plan(), on, faults);
    } catch (NetworkException cannot) {
      return List.of();
    }
  }
}
