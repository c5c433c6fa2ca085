package org.jexel.app.exchange;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** Files of instruments. */
interface KeptFileRepository extends JpaRepository<KeptFile, Long> {
  Optional<KeptFile> findByIdAndJobIdAndKind(Long id, Long jobId, String kind);

  List<KeptFile> findByJobIdAndKindOrderById(Long jobId, String kind);
}
