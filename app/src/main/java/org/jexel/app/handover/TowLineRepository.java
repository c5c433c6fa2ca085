package org.jexel.app.handover;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Lists that were walked before journeys. */
interface TowLineRepository extends JpaRepository<TowLine, Long> {
  @Query(
      """
      select t from TowLine t join fetch t.person left join fetch t.parts
      where t.job.id = :job order by t.lookedAt, t.id
      """)
  List<TowLine> ofJob(Long job);

  /** Those of the newest moment: one, or what was sent of one moment by two phones. */
  @Query(
      """
      select t from TowLine t join fetch t.person left join fetch t.parts
      where t.job.id = :job
        and t.lookedAt = (select max(n.lookedAt) from TowLine n where n.job.id = :job)
      order by t.id
      """)
  List<TowLine> newest(Long job);

  boolean existsByJobIdAndRequestKey(Long jobId, String requestKey);
}
