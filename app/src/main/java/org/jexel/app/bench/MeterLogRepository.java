package org.jexel.app.bench;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** Files of logging meters. */
interface MeterLogRepository extends JpaRepository<MeterLog, Long> {
  Optional<MeterLog> findByIdAndJobId(Long id, Long jobId);
}
