package org.jexel.core.cab;

import java.util.List;
import org.jexel.core.rig.ControllerKind;

/** What must stay clear of a controller and its leads, and what the hand must reach. */
public enum Clearance {
  AIRBAG(
      "airbags and their way out, knee bags and side bags as well",
      "a bag opens within hundredths of a second and throws whatever sits on it"),
  PEDALS(
      "pedals through their whole travel, and the foot that leaves them",
      "a lead or a corner under a pedal can hold it down or keep it up"),
  COLUMN(
      "steering column at every height, and all that moves with seat and doors",
      "what rubs or is pinched wears through to bare copper"),
  HEAT(
      "heater vents and hot pipes, a hand's width away",
      "heat drifts the sensor and ages the box; a vent also blows dust into it"),
  KNEES(
      "knees and shins in a hard stop",
      "in a crash the legs go forward to the panel, and a box there has edges"),
  STIFF(
      "nothing that shakes: a rigid bracket or the dash frame, never trim alone",
      "an inertia sensor takes a shaking panel for braking"),
  REACH(
      "manual lever or knob in reach, belt on and shoulder on the seat; so is whoever sits beside",
      "a swaying trailer is steadied by the lever, and there is no time to lean for it"),
  SPRAY(
      "spray from the wheels, stones and the ground over a kerb",
      "a box on the trailer or at the socket lives outdoors: the seal faces away from the road"),
  METAL(
      "open sight to the vehicle: no metal box or water tank around it",
      "the link is radio, and metal swallows it");

  private final String what;
  private final String why;

  Clearance(String what, String why) {
    this.what = what;
    this.why = why;
  }

  public String what() {
    return what;
  }

  public String why() {
    return why;
  }

  /** What has to be looked at for a controller of this kind. */
  public static List<Clearance> of(ControllerKind kind) {
    return switch (kind) {
      case NONE, BUILT_IN -> List.of();
      case UNDER_DASH -> List.of(AIRBAG, PEDALS, COLUMN, HEAT, KNEES, STIFF, REACH);
      case REMOTE_KNOB -> List.of(AIRBAG, COLUMN, HEAT, STIFF, REACH);
      case TIMED -> List.of(AIRBAG, PEDALS, COLUMN, HEAT, KNEES, REACH);
      case PRESSURE -> List.of(AIRBAG, PEDALS, COLUMN, HEAT, REACH);
      case WIRELESS -> List.of(SPRAY, STIFF, METAL, REACH);
    };
  }
}
