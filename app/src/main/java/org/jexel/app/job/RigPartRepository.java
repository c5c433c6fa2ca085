package org.jexel.app.job;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** Parts of rigs. */
public interface RigPartRepository extends JpaRepository<RigPart, Long> {
  /** As the newest job knows a vehicle or a trailer; empty while only its first one does. */
  Optional<RigPart> findFirstByFirstIdOrderByIdDesc(Long first);
}
