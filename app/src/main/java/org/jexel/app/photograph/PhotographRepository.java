package org.jexel.app.photograph;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Photographs, without their pictures. */
interface PhotographRepository extends JpaRepository<Photograph, Long> {
  /**
   * A stored row.
   *
   * @param sha256 of its picture; null once it was taken away
   */
  record Row(
      long id,
      String about,
      String subject,
      String caption,
      @Nullable Long corrects,
      String who,
      Instant at,
      @Nullable String sha256) {}

  /** Every row of a job and of its trailer's care, oldest first. */
  @Query(
      "select new org.jexel.app.photograph.PhotographRepository$Row(p.id, p.about, p.subject,"
          + " p.caption, p.correctsId, who.name, p.takenAt, i.sha256) from Photograph p"
          + " join p.person who left join Picture i on i.id = p.pictureId"
          + " where p.jobId = :job or p.trailerId = :trailer order by p.takenAt, p.id")
  List<Row> all(Long job, Long trailer);

  /** Whether a job, or where that is null a trailer, has one of this request. */
  @Query(
      "select count(p) > 0 from Photograph p where p.requestKey = :requestKey"
          + " and (p.jobId = :job or p.trailerId = :trailer)")
  boolean isKept(@Nullable Long job, @Nullable Long trailer, String requestKey);
}
