package org.jexel.app.bench;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Repairs. */
public interface RepairRepository extends JpaRepository<Repair, Long> {
  @Query(
      "select distinct r from Repair r join fetch r.person left join fetch r.again"
          + " where r.job.id = :job order by r.id")
  List<Repair> ofJob(long job);
}
