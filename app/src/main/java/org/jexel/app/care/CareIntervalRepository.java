package org.jexel.app.care;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** Workshops' own intervals of care. */
interface CareIntervalRepository extends JpaRepository<CareIntervalRow, CareIntervalRow.Key> {
  List<CareIntervalRow> findByKeyWorkshopId(Long workshop);
}
