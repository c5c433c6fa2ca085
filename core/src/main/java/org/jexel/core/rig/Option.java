package org.jexel.core.rig;

/** One value of a field that is chosen, not measured. */
public interface Option {
  /** Stored name. */
  String name();

  /** What people read. */
  String label();
}
