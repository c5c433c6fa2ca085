package org.jexel.app.security;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

/** Tokens of the programming interface. */
public interface ApiTokenRepository extends JpaRepository<ApiToken, Long> {
  @Query(
      "select t from ApiToken t join fetch t.person p join fetch p.workshop where t.tokenHash = :hash")
  Optional<ApiToken> findByTokenHash(String hash);

  List<ApiToken> findByPersonIdAndRevokedAtIsNullOrderById(Long personId);

  /** Notes a use, at most once a minute. */
  @Modifying
  @Transactional
  @Query(
      "update ApiToken t set t.usedAt = :now where t.id = :id and (t.usedAt is null or t.usedAt <"
          + " :before)")
  void used(Long id, Instant now, Instant before);
}
