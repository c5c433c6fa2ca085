package org.jexel.core.harness;

import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.rig.BreakawayKit;
import org.jexel.core.rig.KitWork;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.Wish;
import org.jexel.core.rig.YesNo;

/**
 * What of a plan is work for this job: what is there stays, what is missing for the job's reason is
 * added. A new build has nothing yet; a check, a controller or a repair asks for no new wire.
 */
public final class Scope {
  static final String PULL_BREAKAWAY = "pull.breakaway";
  static final String MOUNT_BREAKAWAY = "mount.breakaway";
  private static final Set<String> BREAKAWAY_STEPS = Set.of(PULL_BREAKAWAY, MOUNT_BREAKAWAY);

  private final Set<String> ticked;
  private final Rig rig;
  private final Wish wish;
  private final Harness harness;
  private final List<Lamp> wantedLamps;
  private final List<Span> newSpans;

  /** The work of a job on which nothing is done yet. */
  public Scope(Rig rig, Wish wish, Harness harness) {
    this(rig, wish, harness, Set.of());
  }

  /**
   * @param ticked ids of the steps that are done
   */
  public Scope(Rig rig, Wish wish, Harness harness, Set<String> ticked) {
    this.ticked = ticked;
    this.rig = rig;
    this.wish = wish;
    this.harness = harness;
    // Both are asked for at every joint and landing, so they are worked out once.
    wantedLamps =
        rig.fittedLamps().stream()
            .filter(lamp -> wish(Wish.NEW_BUILD) || lamp.state() == Lamp.State.WANTED)
            .toList();
    List<String> wantedEnds = wantedLamps.stream().map(lamp -> "_" + lamp.node()).toList();
    newSpans = harness.spans().stream().filter(span -> isNew(span, wantedEnds)).toList();
  }

  public Rig rig() {
    return rig;
  }

  public Wish wish() {
    return wish;
  }

  public Harness harness() {
    return harness;
  }

  public boolean isNew(Span span) {
    return newSpans.contains(span);
  }

  private boolean isNew(Span span, List<String> wantedEnds) {
    return switch (span.duty()) {
      case VEHICLE -> newSocket() && (!inVehicle(span.function()) || thicker(span.function()));
      case CORD -> newCord();
      case RUN ->
          newOnTrailer(span.function()) || wantedEnds.stream().anyMatch(span.to()::endsWith);
      case TRUNK, ACROSS -> newOnTrailer(PinFunction.BRAKE);
      case BREAKAWAY -> newBreakaway();
    };
  }

  /** The conductors to cut. */
  public List<Span> newSpans() {
    return newSpans;
  }

  private boolean wish(Wish... any) {
    return List.of(any).contains(wish);
  }

  public boolean newSocket() {
    return wish(Wish.NEW_BUILD, Wish.CONVERT, Wish.REPLACE_CORD)
        && !rig.towConnector().takes(rig.connector());
  }

  /** A socket for lamps alone has an earth for lamps alone. */
  private boolean thicker(PinFunction function) {
    return function == PinFunction.EARTH
        && Stream.of(PinFunction.BRAKE, PinFunction.CHARGE)
            .anyMatch(heavy -> harness.has(heavy) && !inVehicle(heavy));
  }

  /** Whether the vehicle has an older socket that this function is fed from. */
  boolean inVehicle(PinFunction function) {
    return rig.towConnectors().stream().anyMatch(socket -> socket.has(function));
  }

  public boolean newCord() {
    return wish(Wish.NEW_BUILD, Wish.REPLACE_CORD)
        || wish(Wish.CONVERT) && !rig.trailerConnector().id().equals(rig.connector().id());
  }

  private boolean newOnTrailer(PinFunction function) {
    return wish(Wish.NEW_BUILD) || wish(Wish.CONVERT) && !rig.trailerConnector().has(function);
  }

  /** Lamps to mount. */
  public List<Lamp> wantedLamps() {
    return wantedLamps;
  }

  public boolean newBox() {
    return yes(RigField.PLANNED_BOX)
        && (wish(Wish.NEW_BUILD) || wish(Wish.CONVERT) && !yes(RigField.JUNCTION_BOX));
  }

  public boolean newBreakaway() {
    // A kit that is entered once it hangs there takes no step of its fitting away.
    boolean begun = ticked.stream().anyMatch(BREAKAWAY_STEPS::contains);
    boolean missing = kit(RigField.BREAKAWAY_KIT) == BreakawayKit.NONE;
    return kit(RigField.PLANNED_BREAKAWAY) != BreakawayKit.NONE
        && (wish(Wish.NEW_BUILD, Wish.ADD_BREAKAWAY) || wish(Wish.CONVERT) && (missing || begun));
  }

  /** Whether the vehicle keeps the planned kit's battery up. */
  boolean chargedKit() {
    return kit(RigField.PLANNED_BREAKAWAY).charged() && harness.has(PinFunction.CHARGE);
  }

  /** What is renewed on a kit that stays. */
  public KitWork kitWork() {
    boolean there = kit(RigField.BREAKAWAY_KIT) != BreakawayKit.NONE && !newBreakaway();
    return there ? rig.sheet().choice(RigField.KIT_WORK, KitWork.class) : KitWork.NOTHING;
  }

  /** Whether an earth screw is made: the box's with the box or its cord, a lamp's with the lamp. */
  boolean isNewScrew(Joint joint) {
    if (joint.kind() != Joint.Kind.SCREW) {
      return false;
    }
    boolean box = joint.name().equals(Nodes.screw(Frame.BOX)) && (newCord() || newBox());
    return box || wantedLamps.stream().anyMatch(l -> joint.name().equals(Nodes.screw(l.node())));
  }

  /** Brake conductors to run. */
  public boolean newBrakes() {
    return harness.has(PinFunction.BRAKE) && newOnTrailer(PinFunction.BRAKE);
  }

  private boolean yes(RigField field) {
    return rig.sheet().choice(field, YesNo.class) == YesNo.YES;
  }

  private BreakawayKit kit(RigField field) {
    return rig.sheet().choice(field, BreakawayKit.class);
  }
}
