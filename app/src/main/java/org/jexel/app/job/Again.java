package org.jexel.app.job;

import java.util.concurrent.ThreadLocalRandom;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Runs a transaction, and runs it anew when the database gave it up for another one: a deadlock, a
 * lock that did not come, or a row that somebody else wrote first. Everything of the lost try is
 * rolled back, so that the next one reads what stands by then and decides on that.
 */
@Component
public class Again {
  private static final int TRIES = 5;
  private static final long PAUSE_MS = 40;

  private final TransactionTemplate transaction;

  Again(PlatformTransactionManager transactions) {
    this.transaction = new TransactionTemplate(transactions);
  }

  /**
   * @param act reads, decides and writes; leaves nothing behind outside the database
   */
  public <T> T run(Supplier<T> act) {
    boolean inside = TransactionSynchronizationManager.isActualTransactionActive();
    for (int tries = 1; ; tries++) {
      try {
        return transaction.execute(status -> act.get());
      } catch (ConcurrencyFailureException | DataIntegrityViolationException lost) {
        if (inside || tries == TRIES) {
          throw lost;
        }
        pause(tries);
      }
    }
  }

  private static void pause(int tries) {
    try {
      TimeUnit.MILLISECONDS.sleep(ThreadLocalRandom.current().nextLong(PAUSE_MS << tries));
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }
}
