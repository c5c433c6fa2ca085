package org.jexel.app.handover;

import java.time.Clock;
import java.util.Optional;
import org.jexel.app.job.JobFile;
import org.jexel.app.security.Guesses;
import org.jexel.app.security.Token;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Addresses of drivers' cards: opened, found, taken back. One at a time for each job. */
@Service
class DriversLinks {
  private final DriversLinkRepository links;
  private final Clock clock;
  private final Guesses guesses = new Guesses();

  DriversLinks(DriversLinkRepository links, Clock clock) {
    this.links = links;
    this.clock = clock;
  }

  /** The address that is open for a job. */
  @Transactional(readOnly = true)
  public Optional<DriversLink> of(JobFile file) {
    return links.findByJobIdAndRevokedFalse(file.job().id()).stream()
        .filter(link -> link.open(clock.instant()))
        .findFirst();
  }

  /** Opens a new address; an older one of the job ends. */
  void open(JobFile file) {
    revoke(file);
    links.save(new DriversLink(file.job(), Token.next(), file.person(), clock.instant()));
  }

  /** Takes back every address of a job. */
  void revoke(JobFile file) {
    links.findByJobIdAndRevokedFalse(file.job().id()).forEach(DriversLink::revoke);
  }

  /** Whether too many wrong addresses were tried from there. */
  boolean spent(String address) {
    return guesses.spent(address);
  }

  /**
   * The open address; empty for one that is wrong, taken back or over, and for any from where too
   * many were tried.
   */
  @Transactional(readOnly = true)
  public Optional<DriversLink> find(String token, String address) {
    if (spent(address)) {
      return Optional.empty();
    }
    Optional<DriversLink> found = links.byToken(token).filter(link -> link.open(clock.instant()));
    if (found.isEmpty()) {
      guesses.wrong(address);
    }
    return found;
  }
}
