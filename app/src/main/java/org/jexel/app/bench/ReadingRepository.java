package org.jexel.app.bench;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Readings. */
public interface ReadingRepository extends JpaRepository<Reading, Long> {
  @Query("select r from Reading r join fetch r.person where r.job.id = :job order by r.id")
  List<Reading> ofJob(Long job);

  int countByLogId(Long log);

  boolean existsByJobIdAndRequestKey(Long jobId, String requestKey);
}
