package org.jexel.app.harness;

import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import java.time.Instant;
import java.util.Optional;
import org.jexel.app.job.Job;
import org.jexel.app.security.Person;
import org.jspecify.annotations.Nullable;

/** Wire that a job took from a reel; negative when it came back. Append-only. */
@Entity
public class ReelMove {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  /** On this workshop's shelf; none for what was taken from another's. */
  @ManyToOne(fetch = FetchType.LAZY)
  private @Nullable Reel reel;

  private String size;
  private String colour;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Job job;

  private double metres;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Person person;

  private Instant movedAt;
  private String requestKey;

  protected ReelMove() {}

  ReelMove(Reel reel, Job job, double metres, Person person, Instant at, String requestKey) {
    this.reel = reel;
    this.size = reel.size();
    this.colour = reel.colour();
    this.job = job;
    this.metres = metres;
    this.person = person;
    this.movedAt = at;
    this.requestKey = requestKey;
  }

  /** Empty for what was taken from another workshop's shelf. */
  Optional<Reel> reel() {
    return Optional.ofNullable(reel);
  }

  double metres() {
    return metres;
  }
}
