package org.jexel.core.check;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import org.jexel.core.braking.BrakeCondition;
import org.jexel.core.braking.BrakeTorque;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Load;
import org.jexel.core.network.Fault;
import org.jexel.core.network.Readout;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Must;
import org.jexel.core.rig.Side;

/**
 * What hands, eyes and a gentle stop find at the wheels. Each magnet's current makes a torque, and
 * the {@link BrakeCondition conditions} of its brake leave a share of it: T = share(I) · Π pull.
 * Drums are felt against the hottest one, and sides against each other.
 */
final class AtTheWheels {
  private static final Set<Measure> TOLD =
      EnumSet.of(
          Measure.TURNING,
          Measure.GRIPPING,
          Measure.ADJUSTING,
          Measure.PLAY,
          Measure.TYRE,
          Measure.LEANING,
          Measure.LININGS,
          Measure.MAGNET_FACE,
          Measure.LEVER,
          Measure.PRESSING,
          Measure.HEAT,
          Measure.PULLING);

  /** Of the rated torque: no hand turns such a wheel. */
  private static final double STANDS = 0.6;

  /** Share of the hottest drum's work at which one feels cold, and from which it feels alike. */
  private static final double COLD = 0.15;

  private static final double ALIKE = 0.75;

  /** One side's share beyond the other's, in all that brakes, that is felt for sure. */
  private static final double FELT = 0.2;

  /** What a soft tyre or a load aside does to the pull, against the same. */
  private static final double ASIDE = 0.15;

  private final Function<Setup, Readout> rig;

  /** Of each wheel that has any. */
  private final Map<String, List<BrakeCondition>> conditions = new HashMap<>();

  private final Map<String, Load> magnets = new LinkedHashMap<>();
  private final Map<String, Double> torques = new HashMap<>();

  AtTheWheels(Harness harness, Function<Setup, Readout> rig, List<Fault> faults) {
    this.rig = rig;
    for (Fault fault : faults) {
      fault
          .condition()
          .ifPresent(
              c -> conditions.computeIfAbsent(fault.part(), part -> new ArrayList<>()).add(c));
    }
    harness.loads().stream()
        .filter(load -> load.kind() == Load.Kind.MAGNET)
        .forEach(load -> magnets.put(load.name(), load));
  }

  /** Whether this is what reads such a check. */
  static boolean tells(Measure measure) {
    return TOLD.contains(measure);
  }

  /** Place of the word on its measure's scale, in between where either may be said. */
  double read(Probing probing) {
    String part = probing.red();
    return switch (probing.measure()) {
      case TURNING -> Math.max(probing.read(rig.apply(probing.setup())), drag(part));
      case GRIPPING -> within(0, torque(part, probing.setup()) / STANDS, 1);
      case HEAT -> heat(part);
      case PULLING -> 1 + within(-1, aside() / FELT, 1);
      case LEANING -> 1 + within(-1, loaded(Side.RIGHT) - loaded(Side.LEFT), 1);
      default -> shows(part, probing);
    };
  }

  private List<BrakeCondition> conditions(String magnet) {
    return conditions.getOrDefault(magnet, List.of());
  }

  /** The word that is farthest from a sound wheel's. */
  private double shows(String magnet, Probing probing) {
    double sound = probing.read(rig.apply(probing.setup()));
    double shown = sound;
    for (BrakeCondition condition : conditions(magnet)) {
      double word = condition.shows(probing.measure(), sound);
      shown = Math.abs(word - sound) > Math.abs(shown - sound) ? word : shown;
    }
    return shown;
  }

  private double drag(String magnet) {
    return conditions(magnet).stream().mapToDouble(BrakeCondition::drag).max().orElse(0);
  }

  /** Share of the rated torque at full lever. */
  double torque(String magnet) {
    return torques.computeIfAbsent(magnet, each -> torque(each, Setup.rig(StateWord.LEVER)));
  }

  private double torque(String magnet, Setup setup) {
    double share = BrakeTorque.share(rig.apply(setup).amps(magnet));
    for (BrakeCondition condition : conditions(magnet)) {
      share *= condition.pull();
    }
    return share;
  }

  private double heat(String magnet) {
    double drag = drag(magnet);
    if (drag > 0) {
      return 1 + drag;
    }
    double most = magnets.keySet().stream().mapToDouble(this::torque).max().orElse(0);
    return most > 0 ? within(0, (torque(magnet) / most - COLD) / (ALIKE - COLD), 1) : 0;
  }

  /** What pulls to the right beyond what pulls to the left, as a share of both. */
  private double aside() {
    double left = side(Side.LEFT);
    double right = side(Side.RIGHT);
    double brakes = left + right > 0 ? (right - left) / (left + right) : 0;
    return brakes
        + ASIDE * (soft(Side.RIGHT) - soft(Side.LEFT))
        + ASIDE * (loaded(Side.LEFT) - loaded(Side.RIGHT));
  }

  private double side(Side side) {
    return magnets.keySet().stream()
        .filter(magnet -> isOn(magnet, side))
        .mapToDouble(this::torque)
        .sum();
  }

  private double soft(Side side) {
    return count(side, BrakeCondition.TYRE_SOFT);
  }

  private double loaded(Side side) {
    return count(side, BrakeCondition.LOAD_ASIDE);
  }

  private double count(Side side, BrakeCondition condition) {
    return magnets.keySet().stream()
        .filter(magnet -> isOn(magnet, side) && conditions(magnet).contains(condition))
        .count();
  }

  private boolean isOn(String magnet, Side side) {
    return Must.have(magnets, magnet).spot().side().filter(side::equals).isPresent();
  }

  private static double within(double least, double value, double most) {
    return Math.max(least, Math.min(most, value));
  }
}
