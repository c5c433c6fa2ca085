package org.jexel.app.handover;

import org.springframework.data.jpa.repository.JpaRepository;

/** Signatures. */
interface ReportSignatureRepository extends JpaRepository<ReportSignature, Long> {
  boolean existsByEditionJobIdAndRequestKey(long job, String requestKey);
}
