package org.jexel.app.handover;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;

/** The sheet that a signature stands on. Append-only. */
@Entity
class ReportPaper {
  @Id private Long signatureId;

  @Column(columnDefinition = "mediumblob")
  private byte[] pdf;

  protected ReportPaper() {}

  ReportPaper(Long signatureId, byte[] pdf) {
    this.signatureId = signatureId;
    this.pdf = pdf.clone();
  }

  byte[] pdf() {
    return pdf.clone();
  }
}
