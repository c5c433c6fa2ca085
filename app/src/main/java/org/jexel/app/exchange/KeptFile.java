package org.jexel.app.exchange;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A file of an instrument, as it was sent; its content lies in parts beside it. */
@Entity
@Table(name = "meter_log")
public class KeptFile {
  /** What recorded it. */
  public enum Kind {
    METER,
    /** A drive, as speed, acceleration or places over time. */
    DRIVE
  }

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private String kind;
  private Long jobId;
  private Long personId;
  private String fileName;
  private long bytes;

  @Column(name = "sha256")
  private String sha256;

  private Instant sentAt;
  private @Nullable Instant recordedAt;

  protected KeptFile() {}

  KeptFile(Kind kind, Long jobId, Long personId, String fileName, Instant sentAt) {
    this.kind = kind.name();
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

  public boolean isRecorded() {
    return recordedAt != null;
  }

  public Long id() {
    return id;
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
