package org.jexel.core.diagnosis;

import java.util.List;
import java.util.Optional;
import org.jexel.core.check.Check;
import org.jexel.core.quantity.UnitSystem;

/**
 * What explains all readings so far, how sure that is, and which check would tell the rest apart.
 *
 * <p>Bayes over the hypotheses, pairs of faults among them. Hypotheses that no check of this rig
 * can separate stand as one group.
 *
 * @param groups most probable first; probabilities sum to at most 1
 * @param fits whether the leading one explains every reading, better than that it is something
 *     else; if not, the honest answer is that nothing known does
 * @param unlisted that it is something which is not on the list
 * @param doubtful readings to be taken once more. Where nothing fits: single ones without which
 *     something would, the one that frees the most probable explanation first; of two that
 *     contradict each other, both. Where the proof is read and a sound rig leads: what fails on its
 *     band all the same
 * @param next the check to take now; empty when none would tell more
 */
public record Diagnosis(
    List<Group> groups, boolean fits, double unlisted, List<Check> doubtful, Optional<Next> next) {
  private static final double SURE = 0.9;

  /** The same of the place where it is mended: there a tool is picked up. */
  private static final double SURE_OF_PLACE = 0.95;

  /** Soundness is the greater claim: a fault is seen, its absence never is. */
  private static final double SOUND = 0.95;

  /**
   * @param check its id
   * @param value SI; for words their place in the measure's list
   */
  public record Seen(String check, double value) {}

  /**
   * Hypotheses that no check can tell apart.
   *
   * @param hypotheses most probable first
   * @param probability of all together
   * @param present how sure it is that what leads it is there, alone or with something else
   * @param here how sure it is that something is to be mended where it is mended, this or another
   * @param explains titles of the readings that it explains and a healthy rig does not
   * @param against titles of the readings that speak against it
   * @param earned whether soundness may be said: every check that would show a fault was taken, and
   *     none fails
   */
  public record Group(
      List<Hypothesis> hypotheses,
      double probability,
      double present,
      double here,
      List<String> explains,
      List<String> against,
      boolean earned) {
    public Hypothesis leading() {
      return hypotheses.get(0);
    }

    /** For people, each once; the leading one with company that nobody would see is left out. */
    public List<String> words(UnitSystem units) {
      int faults = Math.max(1, leading().known().size());
      return hypotheses.stream()
          .filter(h -> h.known().size() <= faults)
          .map(h -> h.words(units))
          .distinct()
          .toList();
    }

    /** Sure enough to pick up a tool: of what it is, and more so of where it is. */
    public boolean sure() {
      return leading().healthy()
          ? earned && present > SOUND
          : present > SURE && here > SURE_OF_PLACE;
    }
  }

  /**
   * @param checks to take: one figure, or every word of one round
   * @param gain expected drop of entropy, bit
   * @param minutes with the way there
   * @param between the two that it tells apart best; empty where one stands alone
   */
  public record Next(List<Check> checks, double gain, double minutes, List<Hypothesis> between) {
    public Check first() {
      return checks.get(0);
    }
  }

  /**
   * @param readings in the order in which they were taken; of one check the last stands, and weighs
   *     more where the one before said the same
   */
  public static Diagnosis of(Predictions predictions, List<Seen> readings) {
    return of(predictions, readings, false);
  }

  /**
   * @param alone whether there is no helper: what has to be held in the cab then costs a walk
   */
  public static Diagnosis of(Predictions predictions, List<Seen> readings, boolean alone) {
    return new Finder(predictions.predicted(), readings, alone).find();
  }
}
