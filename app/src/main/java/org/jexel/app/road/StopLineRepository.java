package org.jexel.app.road;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Test stops. */
public interface StopLineRepository extends JpaRepository<StopLine, Long> {
  @Query(
      """
      select s from StopLine s join fetch s.person left join fetch s.wheels
      where s.job.id = :job order by s.id
      """)
  List<StopLine> ofJob(Long job);

  boolean existsByJobIdAndRequestKey(Long jobId, String requestKey);
}
