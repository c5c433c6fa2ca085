package org.jexel.app.bench;

import java.util.List;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Readings. */
public interface ReadingRepository extends JpaRepository<Reading, Long> {
  @Query("select r from Reading r join fetch r.person where r.job.id = :job order by r.id")
  List<Reading> ofJob(Long job);

  /** What a check read in earlier jobs on the same trailer and stands, newest first. */
  @Query(
      "select r from Reading r join fetch r.job j join j.trailer t"
          + " where (t.id = :life or t.firstId = :life) and j.id < :job and r.checkId = :check"
          + " and not exists (select c.id from Reading c where c.correctsId = r.id)"
          + " order by r.id desc")
  List<Reading> before(Long life, Long job, String check, Limit most);

  int countByLogId(Long log);
}
