package org.jexel.core.network;

/** From 0 to 1 without a kink: 3u² − 2u³ for u between 0 and 1. */
final class SmoothStep {
  private SmoothStep() {}

  static double at(double u) {
    double held = Math.max(0, Math.min(1, u));
    return held * held * (3 - 2 * held);
  }

  static double slope(double u) {
    double held = Math.max(0, Math.min(1, u));
    return 6 * held * (1 - held);
  }
}
