package org.jexel.app.job;

import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Supplier;
import org.springframework.dao.CannotAcquireLockException;
import org.springframework.stereotype.Component;

/**
 * Lets the acts on one job in one after the other before they take a connection: twenty people at
 * one job then wait here, and not at the database with every connection of the pool in hand. The
 * lock that counts is the row's, for there may be other servers.
 *
 * <p>Shared by all requests. Fair: who came first goes first. Jobs share a fixed number of lanes,
 * so that two jobs may wait for each other, and none for ever.
 */
@Component
class JobQueue {
  private static final int LANES = 64;
  private static final long PATIENCE_S = 20;

  private final ReentrantLock[] lanes = new ReentrantLock[LANES];

  JobQueue() {
    for (int i = 0; i < LANES; i++) {
      lanes[i] = new ReentrantLock(true);
    }
  }

  <T> T of(String job, Supplier<T> act) {
    ReentrantLock lane = lanes[Math.floorMod(job.hashCode(), LANES)];
    try {
      if (!lane.tryLock(PATIENCE_S, TimeUnit.SECONDS)) {
        throw new CannotAcquireLockException("Too many people are at this job.");
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new CannotAcquireLockException("Stopped while waiting.", e);
    }
    try {
      return act.get();
    } finally {
      lane.unlock();
    }
  }
}
