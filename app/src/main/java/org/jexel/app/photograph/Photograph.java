package org.jexel.app.photograph;

import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import java.time.Instant;
import org.jexel.app.job.Job;
import org.jexel.app.security.Person;
import org.jspecify.annotations.Nullable;

/**
 * What a picture is of. Append-only: another caption is a new row, and a photograph that was taken
 * away is one without a picture.
 */
@Entity
class Photograph {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private @Nullable Long jobId;
  private @Nullable Long trailerId;
  private String about;
  private String subject;
  private String caption;
  private @Nullable Long pictureId;
  private @Nullable Long correctsId;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Person person;

  private Instant takenAt;
  private Instant madeAt;
  private String requestKey;

  protected Photograph() {}

  /**
   * @param taken when it was taken
   * @param now when it reached the server
   */
  Photograph(
      Job job,
      Of of,
      String caption,
      Long picture,
      Person person,
      Instant taken,
      Instant now,
      String requestKey) {
    this.jobId = of.job(job);
    this.trailerId = of.trailer(job);
    this.about = of.about().name();
    this.subject = of.subject();
    this.caption = caption;
    this.pictureId = picture;
    this.person = person;
    this.takenAt = taken;
    this.madeAt = now;
    this.requestKey = requestKey;
  }

  /**
   * The same under another caption, or taken away.
   *
   * @param stays whether the picture does
   */
  Photograph otherwise(String caption, boolean stays, Person by, Instant now, String requestKey) {
    Photograph next = new Photograph();
    next.jobId = jobId;
    next.trailerId = trailerId;
    next.about = about;
    next.subject = subject;
    next.caption = caption;
    next.pictureId = stays ? pictureId : null;
    next.correctsId = id;
    next.person = by;
    next.takenAt = takenAt;
    next.madeAt = now;
    next.requestKey = requestKey;
    return next;
  }

  String about() {
    return about;
  }
}
