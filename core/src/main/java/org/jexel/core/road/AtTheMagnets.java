package org.jexel.core.road;

import java.util.List;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Load;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.network.RigState;
import org.jexel.core.network.Solution;
import org.jexel.core.network.StateWord;
import org.jexel.core.rig.Rig;

/**
 * What the harness leaves of a controller's measured volts: magnets, copper and contacts are
 * resistors, so the share that reaches a magnet, and the current for each volt at the connector's
 * brake pin, are the same at every gain. They are solved once, at full output.
 *
 * @param gain on the scale
 * @param pin volts at the brake pin as measured, V
 * @param farthest volts across the magnet that gets least, V
 * @param amps of all magnets together, A
 */
public record AtTheMagnets(double gain, double pin, double farthest, double amps) {
  /**
   * At each gain that was read, off left out.
   *
   * @param curve volts at the pin by gain
   * @return empty where no magnet hangs on the plan, or nothing reaches the pin
   */
  public static List<AtTheMagnets> of(Rig rig, Harness harness, List<VoltsByGain.Reading> curve) {
    List<String> magnets =
        harness.loads().stream()
            .filter(load -> load.kind() == Load.Kind.MAGNET)
            .map(Load::name)
            .toList();
    if (magnets.isEmpty() || curve.isEmpty()) {
      return List.of();
    }
    Solution solved = RigNetwork.of(rig, harness, RigState.of(StateWord.LEVER)).network().solve();
    double full = RigNetwork.atTheBrakePin(solved);
    if (!(full > 0)) {
      return List.of();
    }
    double share =
        magnets.stream().mapToDouble(m -> Math.abs(solved.across(m))).min().orElseThrow() / full;
    double perVolt = magnets.stream().mapToDouble(m -> Math.abs(solved.amps(m))).sum() / full;
    return curve.stream()
        .filter(read -> read.gain() > 0)
        .map(
            read ->
                new AtTheMagnets(
                    read.gain(), read.volts(), read.volts() * share, read.volts() * perVolt))
        .toList();
  }
}
