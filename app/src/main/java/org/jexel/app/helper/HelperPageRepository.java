package org.jexel.app.helper;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

/** Helper pages by code and by job. */
interface HelperPageRepository extends JpaRepository<HelperPage, Long> {
  @Query(
      "select h from HelperPage h join fetch h.job join fetch h.person p join fetch p.workshop"
          + " where h.code = :code")
  Optional<HelperPage> byCode(String code);

  List<HelperPage> findByJobIdAndClosedFalse(long job);

  @Modifying
  @Query("delete from HelperPage h where h.endsAt < :then")
  int deleteByEndsAtBefore(Instant then);
}
