package org.jexel.app.road;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** What was said before wheels turned. */
interface SaidLineRepository extends JpaRepository<SaidLine, Long> {
  @Query("select s from SaidLine s join fetch s.person where s.job.id = :job order by s.id")
  List<SaidLine> ofJob(Long job);

  boolean existsByJobIdAndRequestKey(Long jobId, String requestKey);
}
