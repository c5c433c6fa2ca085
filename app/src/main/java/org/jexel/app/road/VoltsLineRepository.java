package org.jexel.app.road;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Volts by gain. */
interface VoltsLineRepository extends JpaRepository<VoltsLine, Long> {
  @Query("select v from VoltsLine v join fetch v.person where v.job.id = :job order by v.id")
  List<VoltsLine> ofJob(Long job);

  boolean existsByJobIdAndRequestKey(Long jobId, String requestKey);
}
