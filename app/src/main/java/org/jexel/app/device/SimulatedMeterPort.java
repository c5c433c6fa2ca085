package org.jexel.app.device;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jexel.core.check.Check;
import org.jexel.core.check.PlugTester;
import org.jexel.core.check.SimulatedMeter;
import org.jexel.core.harness.Harness;
import org.jexel.core.network.Fault;
import org.jexel.core.network.StateWord;
import org.jexel.core.rig.Rig;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Stands in for a real meter: it measures on the job's rig, with whatever fault was hidden there.
 */
@Component
public class SimulatedMeterPort implements MeterPort, TesterPort {
  private final SimulatedRigRepository rigs;
  private final Clock clock;
  private final SimulatedChance noise;

  SimulatedMeterPort(SimulatedRigRepository rigs, Clock clock, SimulatedChance noise) {
    this.rigs = rigs;
    this.clock = clock;
    this.noise = noise;
  }

  @Override
  public String name() {
    return "simulated meter";
  }

  @Override
  public double read(long job, Rig rig, Harness harness, Check check) {
    Optional<SimulatedRig> hidden = of(job);
    List<Fault> faults = hidden.map(SimulatedRig::faults).orElse(List.of());
    long seed = hidden.map(SimulatedRig::seed).orElse(job);
    return new SimulatedMeter(rig, harness, faults, seed, noise).read(check);
  }

  @Override
  public List<PlugTester> lamps(long job, Rig rig, Harness harness, Set<StateWord> on) {
    return PlugTester.lamps(rig, harness, on, of(job).map(SimulatedRig::faults).orElse(List.of()));
  }

  /** What is hidden on a job's rig; empty where nobody set anything that can be read. */
  public Optional<SimulatedRig> of(long job) {
    return rigs.findById(job).filter(SimulatedRig::readable);
  }

  /** Sets what is hidden; none for a sound rig. The healthy parts then lie elsewhere as well. */
  @Transactional
  public void hide(long job, List<Fault> faults, long person) {
    rigs.save(new SimulatedRig(job, faults, noise.nextInt(1 << 20), person, clock.instant()));
  }
}
