package org.jexel.app.bench;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A file of a logging meter, as it was sent; its content lies in parts beside it. */
@Entity
class MeterLog {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private Long jobId;
  private Long personId;
  private String fileName;
  private long bytes;

  @Column(name = "sha256")
  private String sha256;

  private Instant sentAt;
  private @Nullable Instant recordedAt;

  protected MeterLog() {}

  MeterLog(Long jobId, Long personId, String fileName, Instant sentAt) {
    this.jobId = jobId;
    this.personId = personId;
    this.fileName = fileName;
    this.sha256 = "";
    this.sentAt = sentAt;
  }

  void sent(long length, String hash) {
    this.bytes = length;
    this.sha256 = hash;
  }

  void record(Instant at) {
    this.recordedAt = at;
  }

  boolean isRecorded() {
    return recordedAt != null;
  }

  public Long id() {
    return id;
  }

  Long jobId() {
    return jobId;
  }

  public String fileName() {
    return fileName;
  }

  public long bytes() {
    return bytes;
  }

  /** Its size as one says it, rounded up. */
  public long kilobytes() {
    return (bytes + 1023) / 1024;
  }
}
