package org.jexel.app.care;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** What trailers were cared for. */
interface CareActRepository extends JpaRepository<CareAct, Long> {
  @Query(
      """
      select distinct a from CareAct a join fetch a.person left join fetch a.found
      where a.trailer.id = :trailer order by a.id
      """)
  List<CareAct> ofTrailer(Long trailer);

  boolean existsByTrailerIdAndRequestKey(Long trailer, String requestKey);
}
