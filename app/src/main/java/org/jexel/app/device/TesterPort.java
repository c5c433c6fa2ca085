package org.jexel.app.device;

import java.util.List;
import java.util.Set;
import org.jexel.core.check.PlugTester;
import org.jexel.core.harness.Harness;
import org.jexel.core.network.StateWord;
import org.jexel.core.rig.Rig;

/** A plug-in tester in the vehicle's socket that can be asked which of its lamps are lit. */
public interface TesterPort {
  /**
   * @param job whose vehicle it is plugged into
   * @param on what is switched on
   */
  List<PlugTester> lamps(long job, Rig rig, Harness harness, Set<StateWord> on);
}
