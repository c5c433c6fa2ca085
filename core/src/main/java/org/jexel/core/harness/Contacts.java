package org.jexel.core.harness;

/** Resistance of one healthy contact or joint, Ω: cautious workshop values. */
public final class Contacts {
  public static final double PIN = 0.005;
  public static final double CRIMP = 0.001;
  public static final double RING_ON_STUD = 0.001;

  private Contacts() {}
}
