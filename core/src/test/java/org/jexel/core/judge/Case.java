package org.jexel.core.judge;

import java.util.List;
import java.util.Random;
import org.jexel.core.bench.Stand;
import org.jexel.core.check.Check;
import org.jexel.core.harness.Harness;
import org.jexel.core.rig.Rig;

/**
 * A rig with something wrong in it. Its noise is its own, so that another finder meets the same.
 */
record Case(Rig rig, Harness harness, Mischief mischief, long lying, long noise) {
  static Case draw(Random dice) {
    Rig rig = Stand.anyRig(dice);
    Harness harness = Stand.harness(rig);
    Mischief mischief = Mischief.draw(Yard.whole(rig, harness), dice);
    return new Case(rig, harness, mischief, dice.nextLong(), dice.nextLong());
  }

  Yard yard() {
    return Yard.of(rig, harness, mischief, lying);
  }

  boolean shows(Yard yard, List<Check> checks) {
    return JudgedFinder.moves(yard.worst(), new Yard(rig, harness, net -> net, lying), checks);
  }
}
