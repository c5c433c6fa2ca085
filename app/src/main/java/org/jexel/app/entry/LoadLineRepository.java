package org.jexel.app.entry;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** Lines of load sheets. */
public interface LoadLineRepository extends JpaRepository<LoadLine, Long> {
  List<LoadLine> findByJobIdAndRemovedFalseOrderById(Long job);

  boolean existsByJobIdAndRequestKey(Long jobId, String requestKey);
}
