package org.jexel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Random;
import org.jexel.app.road.TraceTimes;
import org.junit.jupiter.api.Test;

/** {@code ./bench trace}: an hour at a hundred a second, read, searched and drawn within 200 MB. */
class TraceBenchmark {
  private static final int ROWS = 360_000;

  /** Rolls, speeds up, brakes and stands, s. */
  private static final int ROUND = 90;

  @Test
  void anHour() {
    Random dice = new Random(1);
    StringBuilder text = new StringBuilder("time (s),ax,ay,az\n");
    for (int i = 0; i < ROWS; i++) {
      double t = i / 100.0 % ROUND;
      double along = t < 60 ? 0 : t < 70 ? 1.1 : t < 76 ? 0 : t < 81 ? -2.2 : 0;
      double shakes = t >= 81 ? 0.02 : 0.3;
      text.append(
          String.format(
              Locale.ROOT,
              "%.2f,%.3f,%.3f,%.3f%n",
              i / 100.0,
              along + shakes * dice.nextGaussian(),
              shakes * dice.nextGaussian(),
              9.81 + shakes * dice.nextGaussian()));
    }
    byte[] file = text.toString().getBytes(StandardCharsets.UTF_8);
    for (int round = 0; round < 6; round++) {
      System.gc();
      long start = System.nanoTime();
      String told = TraceTimes.of(new ByteArrayInputStream(file));
      assertThat(told).contains(" %d stops".formatted(ROWS / 100 / ROUND));
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
