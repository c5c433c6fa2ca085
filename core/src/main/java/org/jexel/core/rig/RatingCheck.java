package org.jexel.core.rig;

import java.util.ArrayList;
import java.util.List;
import org.jexel.core.quantity.Figure;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Provenance;
import org.jexel.core.quantity.Verdict;
import org.jspecify.annotations.Nullable;

/**
 * One load held against one rating.
 *
 * @param title what is compared
 * @param actual as loaded, SI
 * @param limit the rating, SI
 * @param rating the figure that says it; null where it is no figure of the rig
 * @param measure how both are written
 * @param limitFrom where the rating comes from
 * @param verdict holds up to 95 % of the rating, watch up to the rating, fails above; a rating that
 *     is only assumed never does better than watch
 * @param words the verdict in a sentence
 */
public record RatingCheck(
    String title,
    double actual,
    double limit,
    @Nullable FieldKey rating,
    Measure measure,
    Provenance limitFrom,
    Verdict verdict,
    String words) {

  private static final double NEAR = 0.95;

  /** Whether nobody has read what it may be. */
  public boolean assumed() {
    return limitFrom == Provenance.ASSUMED;
  }

  /** Every rating of the rig, and the tongue share against the region's band. */
  public static List<RatingCheck> of(Rig rig, LoadSheet load, TongueBand band) {
    RigSheet sheet = rig.sheet();
    List<RatingCheck> checks = new ArrayList<>();
    checks.add(
        against(
            "Trailer, loaded", load.mass(), sheet, FieldKey.of(RigField.TRAILER_PERMITTED_MASS)));
    double perAxle = load.axleGroup() / rig.axleCount();
    for (int i = 0; i < rig.axleCount(); i++) {
      checks.add(
          against(
              rig.axleCount() == 1 ? "Axle" : "Axle " + (i + 1),
              perAxle,
              sheet,
              new FieldKey(RigField.AXLE_RATING, i)));
    }
    checks.add(against("Tow rating", load.mass(), sheet, FieldKey.of(RigField.TOW_RATING)));
    checks.add(against("Tongue rating", load.tongue(), sheet, FieldKey.of(RigField.TONGUE_RATING)));
    checks.add(
        against(
            "Vehicle with tongue load",
            sheet.si(RigField.KERB_MASS) + load.tongue(),
            sheet,
            FieldKey.of(RigField.TOW_PERMITTED_MASS)));
    checks.add(
        against(
            "Whole train",
            sheet.si(RigField.KERB_MASS) + load.mass(),
            sheet,
            FieldKey.of(RigField.TRAIN_MASS)));
    checks.add(share(load, band));
    return checks;
  }

  private static RatingCheck against(String title, double actual, RigSheet sheet, FieldKey key) {
    Figure limit = sheet.figure(key);
    Verdict verdict;
    String words;
    if (actual > limit.si()) {
      verdict = Verdict.FAILS;
      words = limit.assumed() ? "over the rating that is assumed: read it" : "over the rating";
    } else if (actual > NEAR * limit.si()) {
      verdict = Verdict.WATCH;
      words = "within 5 % of the rating";
    } else if (limit.assumed()) {
      verdict = Verdict.WATCH;
      words = "inside, but the rating is only assumed";
    } else {
      verdict = Verdict.HOLDS;
      words = "inside the rating";
    }
    return new RatingCheck(
        title, actual, limit.si(), key, Measure.MASS, limit.provenance(), verdict, words);
  }

  private static RatingCheck share(LoadSheet load, TongueBand band) {
    double share = load.tongueShare();
    Verdict verdict = Verdict.HOLDS;
    String words = "inside the usual band";
    if (share <= 0) {
      verdict = Verdict.FAILS;
      words = "the coupling is lifted; such a trailer sways";
    } else if (share < band.least()) {
      verdict = share < band.least() / 2 ? Verdict.FAILS : Verdict.WATCH;
      words = "light on the tongue; move load forward";
    } else if (share > band.greatest()) {
      verdict = Verdict.WATCH;
      words = "heavy on the tongue; move load back";
    }
    return new RatingCheck(
        "Tongue share",
        share,
        share < band.least() ? band.least() : band.greatest(),
        null,
        Measure.SHARE,
        Provenance.PLATE,
        verdict,
        words);
  }
}
