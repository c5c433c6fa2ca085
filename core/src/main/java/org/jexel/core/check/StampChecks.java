package org.jexel.core.check;

import java.util.ArrayList;
import java.util.List;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.LampLoad;
import org.jexel.core.harness.Load;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.Provenance;
import org.jexel.core.quantity.UnitSystem;

/**
 * What is stamped on the bulbs of the rear lamps, or on the housing of a diode lamp, read while the
 * lens is off for the volts: where the volts are right, nothing else tells a lamp of other watts as
 * cheaply. What it is held against are the watts of the rig's sheet, assumed until entered. Of
 * other watts it is another question: what was said of a bulb of 8 W says nothing once 5 W are
 * entered.
 */
final class StampChecks {
  private StampChecks() {}

  static List<Check> of(Harness harness, CheckMaker maker) {
    List<Check> checks = new ArrayList<>();
    for (Load load : harness.loads()) {
      if (load.isOfRearLamp()) {
        checks.add(stamp(load, maker));
      }
    }
    return checks;
  }

  private static Check stamp(Load load, CheckMaker maker) {
    boolean assumed = load.provenance() == Provenance.ASSUMED;
    String watts =
        Measure.POWER
            .number(load.amps() * LampLoad.NOMINAL_VOLTS, UnitSystem.METRIC)
            .replace(".0", "");
    return maker.make(
        new CheckMaker.Words(
            CheckId.of("stamp", load).against(watts.replace('.', '_') + "w"),
            Phrase.of(
                "Stamp: %s, %s, %s W%s",
                load.label(), load.function().lit(), watts, assumed ? " assumed" : ""),
            Check.Group.REAR_LAMPS,
            load.function(),
            "Lens off; mind the hot bulb.",
            "At the lamp",
            "your eye",
            "–",
            "A lamp of other watts, or of the other kind, can stand on the right volts and glow much like its like: its stamp says what it is.",
            LoadedChecks.AT_REAR),
        new Probing(Setup.rig(StateWord.TAIL), Measure.STAMP, load.name(), ""));
  }
}
