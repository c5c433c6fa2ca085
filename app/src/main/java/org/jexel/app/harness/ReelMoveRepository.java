package org.jexel.app.harness;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface ReelMoveRepository extends JpaRepository<ReelMove, Long> {
  @Query("select m from ReelMove m left join fetch m.reel where m.job.id = :jobId order by m.id")
  List<ReelMove> ofJob(long jobId);

  boolean existsByJobIdAndRequestKey(Long jobId, String requestKey);
}
