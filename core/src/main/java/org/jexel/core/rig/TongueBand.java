package org.jexel.core.rig;

/**
 * The usual tongue share of a region, a workshop setting.
 *
 * @param least smallest share that tows steadily
 * @param greatest largest share that is usual
 */
public record TongueBand(double least, double greatest) {
  /** 10–15 %, usual in North America. */
  public static final TongueBand NORTH_AMERICA = new TongueBand(0.10, 0.15);

  /** 5–10 %, usual where lighter couplings rule. */
  public static final TongueBand LIGHT_COUPLINGS = new TongueBand(0.05, 0.10);

  public TongueBand {
    if (!(least >= 0 && least < greatest && greatest < 1)) {
      throw new IllegalArgumentException("tongue band from " + least + " to " + greatest);
    }
  }
}
