package org.jexel.app.bench;

import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.jexel.app.device.SimulatedMeterPort;
import org.jexel.app.device.SimulatedRig;
import org.jexel.app.job.JobFile;
import org.jexel.core.network.Fault;
import org.jexel.core.network.FaultCatalog;

/**
 * The card that says what the simulated meter measures on.
 *
 * @param faults every fault that this rig can have, by its label
 * @param set whether somebody set anything
 * @param hides whether a fault is hidden
 */
record MeterCard(Map<String, Fault> faults, boolean set, boolean hides) {
  static final String CHANCE = "chance";

  static MeterCard of(JobFile file, SimulatedMeterPort meter) {
    Map<String, Fault> faults = new TreeMap<>();
    for (FaultCatalog.Named named : FaultCatalog.of(file.rig(), file.harness())) {
      faults.putIfAbsent(named.label(), named.fault());
    }
    SimulatedRig rig = meter.of(file.job().id()).orElse(null);
    return new MeterCard(faults, rig != null, rig != null && rig.hides());
  }

  /** The faults that a choice stands for; a label that this rig has not hides nothing. */
  List<Fault> chosen(String choice, Random dice) {
    if (choice.equals(CHANCE)) {
      List<Fault> all = List.copyOf(faults.values());
      return List.of(all.get(dice.nextInt(all.size())));
    }
    Fault fault = faults.get(choice);
    return fault == null ? List.of() : List.of(fault);
  }
}
