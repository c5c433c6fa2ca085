package org.jexel.app.handover;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Editions. */
interface ReportEditionRepository extends JpaRepository<ReportEdition, Long> {
  /** Every edition of a job with its signatures, oldest first. */
  @Query(
      "select distinct e from ReportEdition e left join fetch e.signatures s left join fetch"
          + " s.person where e.job.id = :job order by e.number")
  List<ReportEdition> ofJob(long job);
}
