package org.jexel.app;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Random;
import org.jexel.app.road.TraceTimes;
import org.junit.jupiter.api.Test;

/** {@code ./bench trace}: an hour at a hundred a second, read, searched and drawn. */
class TraceBenchmark {
  private static final int ROWS = 360_000;

  @Test
  void anHour() {
    Random dice = new Random(1);
    StringBuilder text = new StringBuilder("time (s),ax,ay,az\n");
    for (int i = 0; i < ROWS; i++) {
      double braked = i % 9000 > 7600 && i % 9000 < 8100 ? 2.2 : 0;
      text.append(
          String.format(
              Locale.ROOT,
              "%.2f,%.3f,%.3f,%.3f%n",
              i / 100.0,
              -braked + 0.2 * dice.nextGaussian(),
              0.2 * dice.nextGaussian(),
              9.81 + 0.3 * dice.nextGaussian()));
    }
    byte[] file = text.toString().getBytes(StandardCharsets.UTF_8);
    for (int round = 0; round < 6; round++) {
      System.gc();
      long start = System.nanoTime();
      String told = TraceTimes.of(new ByteArrayInputStream(file));
      System.out.printf(
          Locale.ROOT,
          "%d rows, %.1f MB: %s; %.2f s in all%n",
          ROWS,
          file.length / 1e6,
          told,
          (System.nanoTime() - start) / 1e9);
    }
  }
}
