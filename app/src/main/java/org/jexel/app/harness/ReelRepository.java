package org.jexel.app.harness;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface ReelRepository extends JpaRepository<Reel, Long> {
  List<Reel> findByWorkshopIdOrderById(long workshopId);

  boolean existsByWorkshopId(long workshopId);
}
