package org.jexel.app.handover;

import org.springframework.data.jpa.repository.JpaRepository;

/** Signed sheets. */
interface ReportPaperRepository extends JpaRepository<ReportPaper, Long> {}
