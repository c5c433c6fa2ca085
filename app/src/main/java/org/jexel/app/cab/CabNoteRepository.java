package org.jexel.app.cab;

import java.util.Optional;
import org.springframework.data.jpa.repository.EntityGraph;
import org.springframework.data.jpa.repository.JpaRepository;

interface CabNoteRepository extends JpaRepository<CabNote, Long> {
  @EntityGraph(attributePaths = "person")
  Optional<CabNote> findFirstByJobIdAndCardOrderByIdDesc(long jobId, String card);
}
