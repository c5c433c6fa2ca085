package org.jexel.app;

import java.util.Arrays;
import java.util.Locale;
import java.util.concurrent.Callable;

/** Times one thing for a benchmark. */
public final class Timed {
  private Timed() {}

  /** Does it twice so often, and prints median and greatest of the second half, in ms. */
  public static void print(String name, int times, Callable<?> what) throws Exception {
    double[] ms = new double[times];
    for (int i = 0; i < 2 * times; i++) {
      long start = System.nanoTime();
      what.call();
      ms[i % times] = (System.nanoTime() - start) / 1e6;
    }
    Arrays.sort(ms);
    System.out.printf(
        Locale.ROOT, "%-34s median %6.1f, greatest %6.1f%n", name, ms[times / 2], ms[times - 1]);
  }
}
