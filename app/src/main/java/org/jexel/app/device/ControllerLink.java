package org.jexel.app.device;

import org.jexel.core.cab.PowerUp;
import org.jexel.core.rig.ControllerKind;

/** A brake controller that can be asked what it shows. */
public interface ControllerLink {

  /**
   * @param gain share of its scale that is set, 0–1
   */
  PowerUp.Shown show(ControllerKind kind, PowerUp.Held held, double gain);
}
