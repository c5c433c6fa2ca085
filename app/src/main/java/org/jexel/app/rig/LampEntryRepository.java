package org.jexel.app.rig;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** Entries of lamps. */
public interface LampEntryRepository extends JpaRepository<LampEntry, Long> {
  List<LampEntry> findByPartIdOrderById(Long part);
}
