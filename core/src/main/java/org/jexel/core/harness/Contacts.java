package org.jexel.core.harness;

/** Resistance of one healthy contact or joint, Ω: cautious workshop values. */
public final class Contacts {
  public static final double PIN_OHMS = 0.005;
  public static final double SCREW_OHMS = 0.003;
  public static final double FUSE_HOLDER_OHMS = 0.002;
  public static final double SWITCH_OHMS = 0.005;

  /** Steel of the frame, Ω/m. */
  public static final double FRAME_OHMS_PER_M = 0.0003;

  /** Each bolted or hinged joint of the frame. */
  public static final double FRAME_JOINT_OHMS = 0.005;

  public static final double CRIMP_OHMS = 0.001;
  public static final double RING_ON_STUD_OHMS = 0.001;

  private Contacts() {}
}
