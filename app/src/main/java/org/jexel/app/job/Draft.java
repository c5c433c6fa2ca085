package org.jexel.app.job;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** What somebody typed and did not finish, or what could not be taken yet. */
@Entity
public class Draft {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private Long jobId;
  private Long personId;
  private String form;
  private String field;
  private String typed = "";
  private long seenId;
  private @Nullable Instant typedAt;

  protected Draft() {}

  Draft(Long jobId, Long personId, String form, String field) {
    this.jobId = jobId;
    this.personId = personId;
    this.form = form;
    this.field = field;
  }

  void type(String text, long seen, Instant at) {
    this.typedAt = at;
    this.typed = text;
    this.seenId = seen;
  }

  public String form() {
    return form;
  }

  public String field() {
    return field;
  }

  public String typed() {
    return typed;
  }

  /** The row that stood when this was typed; 0 if none did. */
  public long seenId() {
    return seenId;
  }
}
