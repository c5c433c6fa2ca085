package org.jexel.app.device;

import org.jexel.core.cab.PowerUp;
import org.jexel.core.rig.ControllerKind;
import org.springframework.stereotype.Component;

/** Stands in for a real controller: it does what a sound one of its kind does. */
@Component
class SimulatedController implements ControllerLink {
  @Override
  public PowerUp.Shown show(ControllerKind kind, PowerUp.Held held, double gain) {
    return PowerUp.show(kind, held, gain);
  }
}
