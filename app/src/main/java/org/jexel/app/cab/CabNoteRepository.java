package org.jexel.app.cab;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Notes of a job's cab. */
public interface CabNoteRepository extends JpaRepository<CabNote, Long> {
  /** The newest note of each card. */
  @Query(
      "select n from CabNote n join fetch n.person where n.id in"
          + " (select max(m.id) from CabNote m where m.job.id = :jobId group by m.card)")
  List<CabNote> newestOf(long jobId);
}
