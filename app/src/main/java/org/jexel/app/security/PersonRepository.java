package org.jexel.app.security;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** People. */
public interface PersonRepository extends JpaRepository<Person, Long> {
  @Query("select p from Person p join fetch p.workshop where p.signIn = :signIn")
  Optional<Person> findBySignIn(String signIn);
}
