package org.jexel.app.harness;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface BuiltColourRepository extends JpaRepository<BuiltColour, Long> {
  @Query("select c from BuiltColour c join fetch c.person where c.job.id = :jobId order by c.id")
  List<BuiltColour> ofJob(long jobId);
}
