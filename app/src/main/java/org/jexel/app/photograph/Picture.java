package org.jexel.app.photograph;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import org.jexel.app.exchange.Darkroom;
import org.jexel.app.job.Job;
import org.jspecify.annotations.Nullable;

/** A picture as it is kept, once for a job or a trailer however often it was sent. Append-only. */
@Entity
class Picture {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private @Nullable Long jobId;
  private @Nullable Long trailerId;

  @Column(name = "sha256")
  private String sha256;

  private int width;
  private int height;

  @Column(columnDefinition = "mediumblob")
  private byte[] large;

  @Column(columnDefinition = "mediumblob")
  private byte[] small;

  protected Picture() {}

  Picture(Job job, Of of, Darkroom.Picture developed) {
    this.jobId = of.job(job);
    this.trailerId = of.trailer(job);
    this.sha256 = developed.sha256();
    this.width = developed.width();
    this.height = developed.height();
    this.large = developed.large();
    this.small = developed.small();
  }

  Long id() {
    return id;
  }
}
