package org.jexel.app.workshop;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.ZoneId;
import java.util.List;
import java.util.OptionalDouble;
import org.jexel.core.breakaway.BreakawayRule;
import org.jexel.core.harness.WireSize;
import org.jexel.core.rig.TongueBand;
import org.jspecify.annotations.Nullable;

/** A workshop: everything else belongs to one. */
@Entity
public class Workshop {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private String name;
  private String zone;
  private double tongueShareLeast;
  private double tongueShareGreatest;

  private String wireStock;

  private @Nullable Double breakawayFromKg;
  private int breakawayProofMonths = BreakawayRule.USUAL.proofMonths();
  private int breakawayBatteryYears = BreakawayRule.USUAL.batteryYears();

  private boolean countersigned;

  @Version private int version;

  /** Which sizes of wire are on the shelf. */
  public enum WireStock {
    GAUGE(WireSize.GAUGES),
    METRIC(WireSize.METRIC);

    private final List<WireSize> sizes;

    WireStock(List<WireSize> sizes) {
      this.sizes = sizes;
    }
  }

  protected Workshop() {}

  public Workshop(String name, ZoneId zone, TongueBand band, WireStock stock) {
    this.name = name;
    this.zone = zone.getId();
    this.tongueShareLeast = band.least();
    this.tongueShareGreatest = band.greatest();
    this.wireStock = stock.name();
  }

  public Long id() {
    return id;
  }

  public String name() {
    return name;
  }

  public ZoneId zone() {
    return ZoneId.of(zone);
  }

  public TongueBand tongueBand() {
    return new TongueBand(tongueShareLeast, tongueShareGreatest);
  }

  public BreakawayRule breakaway() {
    OptionalDouble from =
        breakawayFromKg == null ? OptionalDouble.empty() : OptionalDouble.of(breakawayFromKg);
    return new BreakawayRule(from, breakawayProofMonths, breakawayBatteryYears);
  }

  /** From now on the workshop goes by this. */
  public void goBy(BreakawayRule rule) {
    this.breakawayFromKg =
        rule.requiredFrom().isPresent() ? rule.requiredFrom().getAsDouble() : null;
    this.breakawayProofMonths = rule.proofMonths();
    this.breakawayBatteryYears = rule.batteryYears();
  }

  /** Whether a second person signs each report too. */
  public boolean countersigned() {
    return countersigned;
  }

  public void countersign(boolean wanted) {
    this.countersigned = wanted;
  }

  public List<WireSize> stock() {
    return Words.of(WireStock.class, wireStock, WireStock.GAUGE).sizes;
  }
}
