package org.jexel.app.library;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.EntityGraph;
import org.springframework.data.jpa.repository.JpaRepository;

/** The controller libraries. */
public interface ControllerEntryRepository extends JpaRepository<ControllerEntry, Long> {
  @EntityGraph(attributePaths = "person")
  List<ControllerEntry> findByWorkshopIdOrderByLabel(long workshopId);

  Optional<ControllerEntry> findByWorkshopIdAndId(long workshopId, long id);

  Optional<ControllerEntry> findByWorkshopIdAndLabel(long workshopId, String label);
}
