package org.jexel.app.handover;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.OneToMany;
import jakarta.persistence.OrderBy;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jexel.app.job.Job;

/** A report as it was signed. Append-only: what changes makes the next edition. */
@Entity
class ReportEdition {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Job job;

  private int number;
  private String content;

  @Column(name = "sha256")
  private String sha256;

  private Instant madeAt;

  @OneToMany(mappedBy = "edition")
  @OrderBy("place")
  private List<ReportSignature> signatures = new ArrayList<>();

  protected ReportEdition() {}

  ReportEdition(Job job, int number, Frozen frozen, Instant at) {
    this.job = job;
    this.number = number;
    this.content = frozen.text();
    this.sha256 = Frozen.hash(content);
    this.madeAt = at;
  }

  /** From 1, by job. */
  int number() {
    return number;
  }

  /** Hash of what was signed. */
  String hash() {
    return sha256;
  }

  /** Whether what is kept is still what was signed. */
  boolean sound() {
    return Frozen.hash(content).equals(sha256);
  }

  /** What was signed; empty where that is not what is kept, or not readable to this version. */
  Optional<Frozen> frozen() {
    return sound() ? Frozen.of(content) : Optional.empty();
  }

  Instant madeAt() {
    return madeAt;
  }

  /** In the order in which people signed. */
  List<ReportSignature> signatures() {
    return signatures;
  }
}
