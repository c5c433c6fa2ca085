package org.jexel.app.handover;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Addresses of drivers' cards. */
interface DriversLinkRepository extends JpaRepository<DriversLink, Long> {
  @Query(
      "select l from DriversLink l join fetch l.job join fetch l.person p join fetch p.workshop"
          + " where l.token = :token")
  Optional<DriversLink> byToken(String token);

  List<DriversLink> findByJobIdAndRevokedFalse(long job);
}
