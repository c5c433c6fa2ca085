package org.jexel.core.harness;

/** Resistance of one healthy contact or joint, Ω: cautious workshop values. */
public final class Contacts {
  public static final double PIN = 0.005;
  public static final double SCREW = 0.003;
  public static final double FUSE_HOLDER = 0.002;
  public static final double SWITCH = 0.005;

  /** Steel of the frame, Ω/m. */
  public static final double FRAME_PER_METRE = 0.0003;

  /** Each bolted or hinged joint of the frame. */
  public static final double FRAME_JOINT = 0.005;

  public static final double CRIMP = 0.001;
  public static final double RING_ON_STUD = 0.001;

  private Contacts() {}
}
