package org.jexel.core.harness;

import java.util.List;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.rig.BreakawayKit;
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
  private final Rig rig;
  private final Wish wish;
  private final Harness harness;

  public Scope(Rig rig, Wish wish, Harness harness) {
    this.rig = rig;
    this.wish = wish;
    this.harness = harness;
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
    return switch (span.duty()) {
      case VEHICLE -> newSocket() && !inVehicle(span.function());
      case CORD -> newCord();
      case RUN -> newOnTrailer(span.function()) || endsAtWantedLamp(span);
      case TRUNK, ACROSS -> newOnTrailer(PinFunction.BRAKE);
      case BREAKAWAY -> newBreakaway();
    };
  }

  /** The conductors to cut. */
  public List<Span> newSpans() {
    return harness.spans().stream().filter(this::isNew).toList();
  }

  private boolean wish(Wish... any) {
    return List.of(any).contains(wish);
  }

  public boolean newSocket() {
    return wish(Wish.NEW_BUILD, Wish.CONVERT, Wish.REPLACE_CORD)
        && !rig.towConnector().takes(rig.connector());
  }

  private boolean inVehicle(PinFunction function) {
    return rig.towConnectors().stream().anyMatch(socket -> socket.has(function));
  }

  public boolean newCord() {
    return wish(Wish.NEW_BUILD, Wish.REPLACE_CORD)
        || wish(Wish.CONVERT) && !rig.trailerConnector().id().equals(rig.connector().id());
  }

  private boolean newOnTrailer(PinFunction function) {
    return wish(Wish.NEW_BUILD) || wish(Wish.CONVERT) && !rig.trailerConnector().has(function);
  }

  private boolean endsAtWantedLamp(Span span) {
    return wantedLamps().stream().anyMatch(lamp -> span.to().endsWith("_" + lamp.node()));
  }

  /** Lamps to mount. */
  public List<Lamp> wantedLamps() {
    return rig.fittedLamps().stream()
        .filter(lamp -> wish(Wish.NEW_BUILD) || lamp.state() == Lamp.State.WANTED)
        .toList();
  }

  public boolean newBox() {
    return yes(RigField.PLANNED_BOX)
        && (wish(Wish.NEW_BUILD) || wish(Wish.CONVERT) && !yes(RigField.JUNCTION_BOX));
  }

  public boolean newBreakaway() {
    boolean missing = kit(RigField.BREAKAWAY_KIT) == BreakawayKit.NONE;
    return kit(RigField.PLANNED_BREAKAWAY) != BreakawayKit.NONE
        && (wish(Wish.NEW_BUILD) || wish(Wish.CONVERT, Wish.ADD_BREAKAWAY) && missing);
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
