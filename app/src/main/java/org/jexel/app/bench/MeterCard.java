package org.jexel.app.bench;

import java.util.Comparator;
import java.util.List;
import java.util.Random;
import org.jexel.app.device.SimulatedMeterPort;
import org.jexel.app.device.SimulatedRig;
import org.jexel.app.job.JobFile;
import org.jexel.core.network.Fault;
import org.jexel.core.network.FaultCatalog;
import org.jexel.core.network.KnownFault;

/**
 * The card that says what the simulated meter measures on.
 *
 * @param faults every fault that this rig can have, by its words
 * @param set whether somebody set anything
 * @param hides whether a fault is hidden
 */
record MeterCard(List<KnownFault> faults, boolean set, boolean hides) {
  static final String CHANCE = "chance";

  static MeterCard of(JobFile file, SimulatedMeterPort meter) {
    List<KnownFault> faults =
        FaultCatalog.of(file.rig(), file.work().harness().plan()).stream()
            .sorted(Comparator.comparing(known -> known.words(file.units())))
            .toList();
    SimulatedRig rig = meter.of(file.job().id()).orElse(null);
    return new MeterCard(faults, rig != null, rig != null && rig.hides());
  }

  /** The faults that a choice stands for; a key that this rig has not hides nothing. */
  List<Fault> chosen(String choice, Random dice) {
    if (choice.equals(CHANCE)) {
      return List.of(faults.get(dice.nextInt(faults.size())).fault());
    }
    return faults.stream()
        .filter(known -> known.key().equals(choice))
        .map(KnownFault::fault)
        .limit(1)
        .toList();
  }
}
