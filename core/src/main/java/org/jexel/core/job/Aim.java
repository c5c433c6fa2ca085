package org.jexel.core.job;

import org.jexel.core.cab.Fitting;
import org.jexel.core.rig.RigField;

/** What an act is about, so that a station can open the card on which it is done. */
public sealed interface Aim {

  /** A figure or a choice of the rig is to be entered. */
  record Enter(RigField field) implements Aim {}

  /** Load is to be moved or left. */
  record MoveLoad() implements Aim {}

  /** The next step of the wiring. */
  record DoStep() implements Aim {}

  /** Something about the controller in the vehicle. */
  record FitController(Fitting.Topic topic) implements Aim {}

  /**
   * A round of readings.
   *
   * @param id of the round
   */
  record Read(String id) implements Aim {}

  /** What the readings say is wrong is to be found. */
  record FindFault() implements Aim {}

  /** A breakaway is to be fitted. */
  record FitBreakaway() implements Aim {}

  /** The breakaway's cable is to be measured, or changed. */
  record FitCable() implements Aim {}

  /** The stops say that something is wrong. */
  record LookForCause() implements Aim {}

  /** What has to be looked at before a wheel turns. */
  record OpenGate() implements Aim {}

  /** A test stop is to be driven. */
  record DriveStop() implements Aim {}

  /** The gain is found. */
  record Settle() implements Aim {}

  /** The job is done. */
  record HandOver() implements Aim {}
}
