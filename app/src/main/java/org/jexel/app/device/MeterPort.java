package org.jexel.app.device;

import org.jexel.core.check.Check;
import org.jexel.core.harness.Harness;
import org.jexel.core.rig.Rig;

/** A meter that can be asked what it shows, with its leads where a check wants them. */
public interface MeterPort {
  /** What it is called beside its readings. */
  String name();

  /**
   * @param job whose rig the leads are on
   * @return SI; for words their place in the measure's list; for what is no figure its stand-in
   */
  double read(long job, Rig rig, Harness harness, Check check);
}
