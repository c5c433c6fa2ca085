package org.jexel.app.security;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.github.bucket4j.Bucket;
import java.time.Duration;

/**
 * Counts the wrong codes that come from an address. Whoever tries many is told nothing more for a
 * while, of right ones neither. For many threads.
 */
public final class Guesses {
  private static final int MOST_A_MINUTE = 12;
  private static final long ADDRESSES = 10_000;
  private static final Duration FORGOTTEN = Duration.ofMinutes(10);

  private final Cache<String, Bucket> left =
      Caffeine.newBuilder().maximumSize(ADDRESSES).expireAfterAccess(FORGOTTEN).build();

  /** Whether too many wrong ones came from an address. */
  public boolean spent(String address) {
    return of(address).getAvailableTokens() == 0;
  }

  public void wrong(String address) {
    of(address).tryConsume(1);
  }

  private Bucket of(String address) {
    return left.get(
        address,
        a ->
            Bucket.builder()
                .addLimit(
                    limit ->
                        limit
                            .capacity(MOST_A_MINUTE)
                            .refillIntervally(MOST_A_MINUTE, Duration.ofMinutes(1)))
                .build());
  }
}
