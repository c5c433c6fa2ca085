package org.jexel.app.security;

import io.github.bucket4j.Bandwidth;
import io.github.bucket4j.BucketConfiguration;
import io.github.bucket4j.ConsumptionProbe;
import io.github.bucket4j.distributed.BucketProxy;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.TimeUnit;
import javax.sql.DataSource;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * How often a password may be tried. The pauses grow with the tries: a few at once, then one every
 * few seconds, later one every few minutes. The buckets lie in the database, so that a restart
 * forgets nothing and every server counts the same.
 */
@Component
class SignInTries {
  private static final int SWEPT = 5000;

  /** For one name, from wherever it is tried. */
  static final List<Bandwidth> NAME = growing(10, 30, 100);

  /** For one address, whatever names it tries: a workshop behind one address is many people. */
  static final List<Bandwidth> ADDRESS = growing(30, 150, 600);

  /** For one name from an address where its right password was given before. */
  static final List<Bandwidth> KNOWN = growing(10, 60, 300);

  private final BucketTable buckets;
  private final JdbcTemplate sql;

  SignInTries(DataSource database) {
    this.buckets = new BucketTable(database);
    this.sql = new JdbcTemplate(database);
  }

  private static List<Bandwidth> growing(long minute, long hour, long day) {
    return List.of(
        Bandwidth.builder().capacity(minute).refillGreedy(minute, Duration.ofMinutes(1)).build(),
        Bandwidth.builder().capacity(hour).refillGreedy(hour, Duration.ofHours(1)).build(),
        Bandwidth.builder().capacity(day).refillGreedy(day, Duration.ofDays(1)).build());
  }

  /**
   * Takes one try.
   *
   * @return how long to wait before the next one; zero if this one may go on
   */
  Duration take(String key, List<Bandwidth> limits) {
    ConsumptionProbe probe = bucket(key, limits).tryConsumeAndReturnRemaining(1);
    return probe.isConsumed()
        ? Duration.ZERO
        : Duration.ofNanos(Math.max(1, probe.getNanosToWaitForRefill()));
  }

  /** Gives a try back: the right password costs none. */
  void giveBack(String key, List<Bandwidth> limits) {
    bucket(key, limits).addTokens(1);
  }

  private BucketProxy bucket(String key, List<Bandwidth> limits) {
    return buckets.getProxy(
        key,
        () -> {
          var configuration = BucketConfiguration.builder();
          limits.forEach(configuration::addLimit);
          return configuration.build();
        });
  }

  /** Buckets that were not touched for longer than they take to fill say nothing. */
  @Scheduled(fixedDelay = 1, initialDelay = 1, timeUnit = TimeUnit.HOURS)
  void clean() {
    sql.update("delete from sign_in_try where touched_at < now(3) - interval 2 day limit " + SWEPT);
  }
}
