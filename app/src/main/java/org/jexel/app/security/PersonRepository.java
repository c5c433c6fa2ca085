package org.jexel.app.security;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.EntityGraph;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** People. */
public interface PersonRepository extends JpaRepository<Person, Long> {
  @Query("select p from Person p join fetch p.workshop where p.signIn = :signIn")
  Optional<Person> findBySignIn(String signIn);

  List<Person> findByWorkshopIdAndElsewhereFalseOrderByEndedAtAscNameAsc(Long workshop);

  /** Somebody of the workshop, with the workshop itself. */
  @EntityGraph(attributePaths = "workshop")
  Optional<Person> findFirstByWorkshopIdOrderById(Long workshop);

  Optional<Person> findByWorkshopIdAndIdAndElsewhereFalse(Long workshop, Long id);

  /** Locks the workshop's row: whoever changes its people follows whoever does so now. */
  @Query(value = "select id from workshop where id = :workshop for update", nativeQuery = true)
  Long hold(long workshop);
}
