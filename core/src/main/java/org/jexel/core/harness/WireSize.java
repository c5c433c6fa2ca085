package org.jexel.core.harness;

import java.util.List;

/**
 * A size of copper conductor.
 *
 * <p>R20 = ρ·L/A with ρ = 1.7241e-8 Ω·m (International Annealed Copper Standard); R(T) = R20·(1 +
 * 0.00393·(T − 20)). Gauge by ASTM B258: d = 0.127 mm · 92^((36 − n)/39).
 *
 * @param label as on the reel
 * @param area cross-section, m²
 * @param amps continuous current allowed in a loom, A: a cautious workshop value that the cable
 *     maker's sheet replaces
 */
public record WireSize(String label, double area, double amps) {
  /** Resistivity of annealed copper at 20 °C, Ω·m. */
  public static final double RESISTIVITY_OHM_M = 1.7241e-8;

  /** Temperature coefficient of copper's resistance at 20 °C, 1/K. */
  public static final double TEMPERATURE_COEFFICIENT_PER_K = 0.00393;

  /** Design temperature of a loom, °C. */
  public static final double DESIGN_CELSIUS = 40;

  /** Stocked gauge sizes, thinnest first. */
  public static final List<WireSize> GAUGES =
      List.of(
          gauge(18, 8), gauge(16, 12), gauge(14, 18), gauge(12, 25), gauge(10, 35), gauge(8, 50));

  /** Stocked metric sizes, thinnest first. */
  public static final List<WireSize> METRIC =
      List.of(
          metric(0.75, 8),
          metric(1.0, 12),
          metric(1.5, 12),
          metric(2.5, 18),
          metric(4, 25),
          metric(6, 35),
          metric(10, 50));

  public WireSize {
    if (!(area > 0) || !(amps > 0)) {
      throw new IllegalArgumentException(label + ": area " + area + " m², " + amps + " A");
    }
  }

  /** American wire gauge n. */
  public static WireSize gauge(int n, double amps) {
    double diameter = 0.127e-3 * Math.pow(92, (36 - n) / 39.0);
    return new WireSize(n + " AWG", Math.PI * diameter * diameter / 4, amps);
  }

  private static WireSize metric(double squareMillimetres, double amps) {
    String number =
        squareMillimetres == Math.rint(squareMillimetres) && squareMillimetres > 1
            ? String.valueOf((int) squareMillimetres)
            : String.valueOf(squareMillimetres);
    return new WireSize(number + " mm²", squareMillimetres * 1e-6, amps);
  }

  /** Resistance per metre at a temperature, Ω/m. */
  public double ohmsPerMetre(double celsius) {
    return RESISTIVITY_OHM_M / area * (1 + TEMPERATURE_COEFFICIENT_PER_K * (celsius - 20));
  }

  /** Resistance of a length at the design temperature, Ω. */
  public double ohms(double metres) {
    return metres * ohmsPerMetre(DESIGN_CELSIUS);
  }
}
