package org.jexel.app.harness;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface PlanMoveRepository extends JpaRepository<PlanMove, Long> {
  Optional<PlanMove> findFirstByJobIdAndUndoneFalseOrderByIdDesc(long jobId);
}
