package org.jexel.app.harness;

import java.util.Arrays;
import java.util.List;
import java.util.Set;
import org.jexel.app.job.JobFile;
import org.jexel.core.check.FaultyRig;
import org.jexel.core.check.Setup;
import org.jexel.core.harness.Harness;
import org.jexel.core.network.Fault;
import org.jexel.core.network.FaultCatalog;
import org.jexel.core.network.KnownFault;
import org.jexel.core.network.Lit;
import org.jexel.core.network.NetworkException;
import org.jexel.core.network.Readout;
import org.jexel.core.network.RigState;
import org.jexel.core.network.StateWord;
import org.jspecify.annotations.Nullable;

/**
 * What the lamps of a rig do in a state and with a fault.
 *
 * @param words every state that can be chosen
 * @param on those that are
 * @param faults every single fault of this rig
 * @param chosen place in that list, or −1
 * @param lamps every lamp, faulty beside whole
 * @param problem why it could not be solved; null if it could
 */
record WhatIf(
    StateWord[] words,
    Set<StateWord> on,
    List<KnownFault> faults,
    int chosen,
    List<Lit> lamps,
    @Nullable String problem) {

  static WhatIf of(JobFile file, List<String> state, String fault) {
    Set<StateWord> on = known(state);
    List<KnownFault> faults = FaultCatalog.of(file.rig(), file.work().harness().plan());
    int chosen = fault.matches("\\d{1,4}") ? Integer.parseInt(fault) : -1;
    chosen = chosen < faults.size() ? chosen : -1;
    RigState held = new RigState(on, 1, 1, 1);
    List<Fault> there = chosen < 0 ? List.of() : List.of(faults.get(chosen).fault());
    try {
      Setup setup = new Setup(Setup.Kind.RIG, held, null);
      Harness plan = file.work().harness().plan();
      Readout whole = FaultyRig.of(file.rig(), plan, List.of()).in(setup);
      Readout faulty = FaultyRig.of(file.rig(), plan, there).in(setup);
      return new WhatIf(StateWord.values(), on, faults, chosen, Lit.of(plan, faulty, whole), null);
    } catch (NetworkException e) {
      return new WhatIf(StateWord.values(), on, faults, chosen, List.of(), e.getMessage());
    }
  }

  private static Set<StateWord> known(List<String> state) {
    List<String> words = Arrays.stream(StateWord.values()).map(StateWord::word).toList();
    return StateWord.parse(state.stream().filter(words::contains).toList());
  }

  /** The state as a program writes it. */
  public String query() {
    return on.stream().map(StateWord::word).sorted().reduce((a, b) -> a + "," + b).orElse("");
  }

  /** The fault as a program writes it; empty for the whole rig. */
  public String fault() {
    return chosen < 0 ? "" : faults.get(chosen).fault().text();
  }

  /** The lamps that do something else than on a whole rig, in words. */
  public List<String> stories() {
    return lamps.stream().filter(Lit::differs).map(Lit::story).toList();
  }
}
