package org.jexel.core.job;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.Gap;
import org.jexel.core.rig.GapList;
import org.jexel.core.rig.LoadSheet;
import org.jexel.core.rig.RatingCheck;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;

/** Station 1: what the rig weighs, carries and lacks. */
public final class RigWork {
  /** Plate figures without which a verdict on the load means little. */
  private static final List<RigField> PLATES =
      List.of(
          RigField.KERB_MASS,
          RigField.TOW_RATING,
          RigField.EMPTY_MASS,
          RigField.TRAILER_PERMITTED_MASS,
          RigField.AXLE_RATING);

  private final Rig rig;
  private final Once<LoadSheet> load;
  private final Once<List<RatingCheck>> ratings;
  private final Once<List<Gap>> gaps;

  RigWork(JobRecord record) {
    this.rig = record.rig();
    this.load = new Once<>(() -> LoadSheet.of(rig));
    this.ratings = new Once<>(() -> RatingCheck.of(rig, load.get(), record.shop().tongueBand()));
    this.gaps = new Once<>(() -> GapList.of(rig));
  }

  public LoadSheet load() {
    return load.get();
  }

  public List<RatingCheck> ratings() {
    return ratings.get();
  }

  public List<Gap> gaps() {
    return gaps.get();
  }

  /** The first plate that nobody has read. */
  Optional<RigField> unreadPlate() {
    return unentered(rig, PLATES.stream());
  }

  static Optional<RigField> unentered(Rig rig, Stream<RigField> fields) {
    return fields.filter(field -> !rig.sheet().entered(FieldKey.of(field))).findFirst();
  }

  StationState state() {
    if (unreadPlate().isPresent()) {
      return StationState.UNDER_WAY;
    }
    Verdict worst =
        ratings().stream().map(RatingCheck::verdict).reduce(Verdict.HOLDS, Verdict::and);
    return StationState.of(gaps().isEmpty() ? worst : worst.and(Verdict.WATCH), isWeighed());
  }

  /** Whether the load was put on a scale, not only reckoned. */
  public boolean isWeighed() {
    return rig.sheet().enteredOf(RigField.WEIGHED_TONGUE, RigField.WEIGHED_AXLES) == 2;
  }
}
