package org.jexel.app.harness;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface OwnConnectorRepository extends JpaRepository<OwnConnector, Long> {
  Optional<OwnConnector> findFirstByWorkshopIdOrderByIdDesc(long workshopId);
}
