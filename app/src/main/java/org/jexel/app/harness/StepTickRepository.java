package org.jexel.app.harness;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Ticks of a job. */
public interface StepTickRepository extends JpaRepository<StepTick, Long> {
  @Query("select t from StepTick t join fetch t.person where t.job.id = :jobId order by t.id")
  List<StepTick> ofJob(long jobId);
}
