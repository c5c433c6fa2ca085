package org.jexel.core.judge;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.Stream;
import org.jexel.core.Rigs;
import org.jexel.core.breakaway.WorkingBrakes;
import org.jexel.core.check.Check;
import org.jexel.core.check.CheckSheet;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.Load;
import org.jexel.core.harness.WireSize;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;

/**
 * Dead brakes counted from the clamp alone: {@code ./bench clamp [rigs] [seed]}, on rigs whose
 * parts lie by the yard's own rules and whose currents ngspice solves; the battery anywhere from
 * tired to just charged, the clamp within two per cent.
 */
public final class JudgedClamp {
  /**
   * @param right numbers that were the true one
   * @param said numbers that were certain enough to be told
   * @param saidWrong of these
   */
  record Score(int rigs, int right, int said, int saidWrong) {}

  private JudgedClamp() {}

  private record Built(Rig rig, Harness harness, Check clamp) {
    static Built of(Object... more) {
      Object[] kit = {RigField.BREAKAWAY_KIT, "OWN_BATTERY"};
      Rig rig = Rigs.twoAxles(Stream.of(kit, more).flatMap(Stream::of).toArray());
      Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
      Check clamp =
          CheckSheet.of(rig, harness, OptionalDouble.empty()).stream()
              .filter(check -> check.id().equals(CheckSheet.PIN_AMPS))
              .findFirst()
              .orElseThrow();
      return new Built(rig, harness, clamp);
    }

    List<String> magnets() {
      return harness.loads().stream()
          .filter(load -> load.kind() == Load.Kind.MAGNET)
          .map(Load::name)
          .toList();
    }
  }

  static Score of(int rigs, long seed) {
    List<Built> built =
        List.of(
            Built.of(RigField.AXLE_COUNT, 1, RigField.MAGNET_OHMS, 3.2),
            Built.of(RigField.AXLE_COUNT, 1, RigField.MAGNET_OHMS, 3.9),
            Built.of(RigField.AXLE_COUNT, 2, RigField.MAGNET_OHMS, 3.2),
            Built.of(RigField.AXLE_COUNT, 2, RigField.MAGNET_OHMS, 3.9),
            Built.of(RigField.AXLE_COUNT, 3, RigField.MAGNET_OHMS, 3.2));
    Random dice = new Random(seed);
    int right = 0;
    int said = 0;
    int saidWrong = 0;
    for (int i = 0; i < rigs; i++) {
      Built rig = built.get(dice.nextInt(built.size()));
      List<String> dead = new ArrayList<>(rig.magnets());
      dead.removeIf(magnet -> dice.nextInt(4) > 0);
      double volts = 12.6 + 0.15 * dice.nextGaussian();
      Yard yard =
          new Yard(
              rig.rig,
              rig.harness,
              net ->
                  dead.stream()
                      .reduce(net.volts("breakaway_battery", volts), Netlist::open, (a, b) -> b),
              i);
      double read = yard.truth(rig.clamp) * (1 + 0.01 * dice.nextGaussian());
      double deviation = (rig.clamp.band().high() - rig.clamp.band().low()) / 4;
      WorkingBrakes told = WorkingBrakes.of(rig.rig, rig.harness, read, deviation).orElseThrow();
      boolean counted = told.working() == rig.magnets().size() - dead.size();
      right += counted ? 1 : 0;
      said += told.said() ? 1 : 0;
      saidWrong += told.said() && !counted ? 1 : 0;
    }
    return new Score(rigs, right, said, saidWrong);
  }

  /** Rigs and seed. */
  public static void main(String[] arguments) {
    int rigs = arguments.length > 0 ? Integer.parseInt(arguments[0]) : 1000;
    long seed = arguments.length > 1 ? Long.parseLong(arguments[1]) : 17;
    System.out.println(of(rigs, seed));
  }
}
