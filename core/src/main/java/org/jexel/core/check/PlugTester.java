package org.jexel.core.check;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jexel.core.connector.Pin;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Nodes;
import org.jexel.core.network.Fault;
import org.jexel.core.network.FaultSolver;
import org.jexel.core.network.Led;
import org.jexel.core.network.Lit;
import org.jexel.core.network.Network;
import org.jexel.core.network.Readout;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.network.RigState;
import org.jexel.core.network.StateWord;
import org.jexel.core.rig.Rig;

/**
 * A plug-in tester: one small lamp from each pin of the vehicle's socket to its earth pin. It loads
 * a pin with 20 mA, so a corroded pin looks sound on it, and a proportional controller that looks
 * for magnets may show nothing: that is what the volts under load are for.
 *
 * @param pin of the socket
 * @param brightness visible output as a share of its rated one
 */
public record PlugTester(Pin pin, double brightness) {
  private static final double LAMP_AMPS = 0.02;

  /** Dark, glimmers, dim or bright. */
  public String word() {
    return Lit.word(brightness);
  }

  public boolean dark() {
    return Lit.dark(brightness);
  }

  /** Its lamps, pin by pin, with the trailer unplugged. */
  public static List<PlugTester> lamps(
      Rig rig, Harness harness, Set<StateWord> on, List<Fault> faults) {
    Set<StateWord> words = new HashSet<>(on);
    words.add(StateWord.UNPLUGGED);
    List<Fault> signal = faults.stream().filter(f -> f.kind() == Fault.Kind.SIGNAL).toList();
    Network network = RigNetwork.of(rig, harness, new RigState(words, 1, 1, 1), signal).network();
    List<Pin> lit = new ArrayList<>();
    for (Pin pin : rig.connector().pins()) {
      String node = Nodes.socket(pin.function());
      if (pin.function() != PinFunction.EARTH && network.hasNode(node)) {
        network.add(new Led("tester_" + node, node, Nodes.socket(PinFunction.EARTH), LAMP_AMPS));
        lit.add(pin);
      }
    }
    List<Fault> standing = FaultyRig.of(rig, harness, faults).standing();
    Readout solution =
        new FaultSolver(network)
            .solve(FaultSolver.changes(RigNetwork.whole(rig, harness), standing));
    return lit.stream()
        .map(
            pin ->
                new PlugTester(pin, solution.brightness("tester_sock_" + Nodes.id(pin.function()))))
        .toList();
  }
}
