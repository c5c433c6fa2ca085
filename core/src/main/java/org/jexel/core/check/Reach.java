package org.jexel.core.check;

import java.util.Locale;
import java.util.Optional;
import org.jexel.core.harness.Duty;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Joint;
import org.jexel.core.harness.Nodes;

/** Where a hand moves what may make and break. */
enum Reach {
  PLUG(
      "Press the plug in its socket",
      "At the connector",
      "Plug pressed",
      "Press the plug every way in its socket, and draw at it."),
  CORD(
      "Bend the cord from end to end",
      "Along the cord",
      "Cord bent",
      "Bend the cord hand over hand, most where it enters plug and gland."),
  BOX(
      "Press each joint in the box",
      "At the junction box",
      "Box joints pressed",
      "Press and turn each ring or joint where the cord ends."),
  LOOM(
      "Draw at each joint along the looms",
      "Under the trailer",
      "Loom joints drawn at",
      "Wheels chocked, hands clear of axles and springs. Draw gently at each joint along the looms and at each lamp.");

  private final String act;
  private final String place;
  private final String title;
  private final String how;

  Reach(String act, String place, String title, String how) {
    this.act = act;
    this.place = place;
    this.title = title;
    this.how = how;
  }

  String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  String act() {
    return act;
  }

  String place() {
    return place;
  }

  String title() {
    return title;
  }

  String how() {
    return how;
  }

  /** Where a part is reached; empty for what no hand moves, such as a run inside the vehicle. */
  static Optional<Reach> of(Harness harness, String part) {
    for (Joint joint : harness.joints()) {
      if (joint.name().equals(part)) {
        return Optional.of(joint.kind() == Joint.Kind.PIN ? PLUG : atTheBox(joint) ? BOX : LOOM);
      }
    }
    boolean core =
        harness.spans().stream()
            .anyMatch(s -> s.duty() == Duty.CORD && Nodes.wire(s.to()).equals(part));
    return core ? Optional.of(CORD) : Optional.empty();
  }

  private static boolean atTheBox(Joint joint) {
    return joint.kind() == Joint.Kind.RING || joint.duty() == Duty.CORD;
  }
}
