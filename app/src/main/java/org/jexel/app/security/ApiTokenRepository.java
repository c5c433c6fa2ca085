package org.jexel.app.security;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Tokens of the programming interface. */
public interface ApiTokenRepository extends JpaRepository<ApiToken, Long> {
  @Query(
      "select t from ApiToken t join fetch t.person p join fetch p.workshop where t.tokenHash = :hash")
  Optional<ApiToken> findByTokenHash(String hash);
}
