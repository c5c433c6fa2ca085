package org.jexel.app.care;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Addresses of calendars. */
interface CalendarLinkRepository extends JpaRepository<CalendarLink, Long> {
  @Query(
      "select l from CalendarLink l left join fetch l.job join fetch l.person p"
          + " join fetch p.workshop where l.token = :token and l.revoked = false")
  Optional<CalendarLink> byToken(String token);

  List<CalendarLink> findByJobIdAndRevokedFalse(Long job);

  List<CalendarLink> findByWorkshopIdAndJobIsNullAndRevokedFalse(Long workshop);
}
