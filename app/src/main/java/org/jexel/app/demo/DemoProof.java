package org.jexel.app.demo;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jexel.app.bench.BenchService;
import org.jexel.app.device.SimulatedMeterPort;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.job.RequestKey;
import org.jexel.app.road.GateService;
import org.jexel.app.road.RoadService;
import org.jexel.app.road.Settling;
import org.jexel.app.security.Person;
import org.jexel.core.check.Band;
import org.jexel.core.check.Check;
import org.jexel.core.check.CheckSheet;
import org.jexel.core.check.FaultyRig;
import org.jexel.core.network.Fault;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.road.Gate;
import org.springframework.stereotype.Component;

/** What is read, seen and driven in the demo's jobs. */
@Component
class DemoProof {
  private final JobFiles files;
  private final BenchService bench;
  private final SimulatedMeterPort meter;
  private final GateService gate;
  private final RoadService road;
  private final Settling settling;

  DemoProof(
      JobFiles files,
      BenchService bench,
      SimulatedMeterPort meter,
      GateService gate,
      RoadService road,
      Settling settling) {
    this.files = files;
    this.bench = bench;
    this.meter = meter;
    this.gate = gate;
    this.road = road;
    this.settling = settling;
  }

  void take(String ref, Long job, DemoRig rig, String key, Person person) {
    // One after the other: the battery's volts move what the others are expected to read.
    for (DemoRig.Read read : rig.readings()) {
      if (!read.check().equals(CheckSheet.BATTERY_AFTER)) {
        files.change(ref, person, file -> read(file, read, key));
      }
    }
    if (!rig.hidden().isEmpty()) {
      meter.hide(job, Fault.parse(rig.hidden()), person.id());
    }
    files.change(
        ref, person, file -> rig.rounds().forEach(round -> round(file, round, rig.hidden(), key)));
    for (DemoRig.Read read : rig.readings()) {
      // The battery is read last, when every wheel has been held.
      if (read.check().equals(CheckSheet.BATTERY_AFTER)) {
        files.change(ref, person, file -> read(file, read, key));
      }
    }
    if (!rig.stops().isEmpty()) {
      files.change(ref, person, file -> gate.say(file, looked(file), key + "-gate"));
    }
    int n = 0;
    for (DemoRig.Made made : rig.stops()) {
      Map<String, String> typed = new LinkedHashMap<>();
      typed.put("gain", String.valueOf(made.gain()));
      typed.put("way", "LEVER");
      typed.put("speed", "40 km/h");
      typed.put("surface", "DRY_ASPHALT");
      typed.put("outcome", made.outcome());
      typed.put("distance", made.metres() + " m");
      typed.put("seconds", "");
      typed.put("note", "");
      String stopKey = key + "-stop-" + n++;
      files.change(ref, person, file -> road.record(file, typed, null, stopKey));
    }
    if (rig.settle()) {
      files.change(ref, person, file -> settling.belowLock(file, key + "-settled"));
    }
  }

  /** Everything is sound and warm, and what is to be watched is gone past. */
  private static Map<String, String> looked(JobFile file) {
    Map<String, String> said = new HashMap<>(Map.of("warmed", "5"));
    for (Gate.Line line : file.work().road().gate().lines()) {
      if (line.verdict() == Verdict.NOT_YET) {
        said.put(line.id(), Verdict.HOLDS.name());
      } else if (line.asks()) {
        said.put("why." + line.id(), "Known, and driven slowly and on our own track");
      }
    }
    return said;
  }

  private void read(JobFile file, DemoRig.Read read, String key) {
    Check check =
        file.work()
            .bench()
            .check(read.check())
            .orElseThrow(() -> new IllegalStateException(key + " has no " + read.check()));
    bench.record(file, check, text(check, read.share()), 0, key + "-" + read.check());
  }

  /** What somebody sees, hears and feels on the rounds that begin so, with what is hidden. */
  private void round(JobFile file, String begins, String hidden, String key) {
    FaultyRig rig = FaultyRig.of(file.rig(), file.work().harness().plan(), Fault.parse(hidden));
    for (Check check : file.work().bench().checks()) {
      boolean walked = check.round().equals(begins) || check.round().startsWith(begins + ".");
      if (walked && !check.measure().words().isEmpty()) {
        double seen = rig.read(check);
        bench.record(
            file,
            check,
            check.measure().words().get((int) Math.round(seen)),
            0,
            RequestKey.of(key, check.id()));
      }
    }
  }

  private static String text(Check check, double share) {
    Band band = check.band();
    double edge = share < 0 ? band.expected() - band.low() : band.high() - band.expected();
    double value = band.expected() + share * edge;
    return check.measure().text(value, UnitSystem.METRIC);
  }
}
