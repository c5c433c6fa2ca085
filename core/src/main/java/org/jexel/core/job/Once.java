package org.jexel.core.job;

import java.util.Objects;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** Worked out when first asked for, and remembered; for one thread. */
final class Once<T> implements Supplier<T> {
  private final Supplier<T> work;
  private @Nullable T result;

  Once(Supplier<T> work) {
    this.work = work;
  }

  @Override
  public T get() {
    if (result == null) {
      result = Objects.requireNonNull(work.get());
    }
    return result;
  }
}
