package org.jexel.core.judge;

import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.stream.Stream;

/** Every core judges; what comes out does not hang on how many there are. */
final class Cores {
  /** Drawn at once: more than any machine has cores, and few to be thrown away at the end. */
  private static final int BATCH = 32;

  private Cores() {}

  /**
   * Tasks are drawn one after the other, and done side by side.
   *
   * @param heard told each result in the order of the draw, until it says that it has enough
   */
  static <T> void judge(Supplier<Callable<T>> draw, Predicate<T> heard) {
    ExecutorService cores =
        Executors.newFixedThreadPool(Runtime.getRuntime().availableProcessors());
    try {
      boolean more = true;
      while (more) {
        List<Callable<T>> drawn = Stream.generate(draw).limit(BATCH).toList();
        for (Future<T> done : cores.invokeAll(drawn)) {
          if (more) {
            more = heard.test(done.get());
          }
        }
      }
    } catch (InterruptedException | ExecutionException e) {
      throw new IllegalStateException(e);
    } finally {
      cores.shutdownNow();
    }
  }
}
