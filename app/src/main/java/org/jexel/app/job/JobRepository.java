package org.jexel.app.job;

import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.JpaSpecificationExecutor;
import org.springframework.data.jpa.repository.Query;

/** Jobs. */
public interface JobRepository extends JpaRepository<Job, Long>, JpaSpecificationExecutor<Job> {
  @Query(
      "select j from Job j join fetch j.workshop join fetch j.tow join fetch j.trailer join fetch j.controller c"
          + " left join fetch c.model where j.workshop.id = :workshop and j.ref = :ref")
  Optional<Job> find(Long workshop, String ref);

  /** Locks the job's row until the transaction ends. */
  @Query(
      value = "select id from job where workshop_id = :workshop and ref = :ref for update",
      nativeQuery = true)
  Optional<Long> hold(long workshop, String ref);

  /** Every job on one trailer, newest first, by the part that its first job knew. */
  @Query(
      "select j from Job j join fetch j.workshop join fetch j.tow join fetch j.trailer t join fetch"
          + " j.controller where j.workshop.id = :workshop"
          + " and (t.id = :life or t.firstId = :life) order by j.id desc")
  List<Job> onTrailer(Long workshop, Long life);

  /** A page of the workshop's jobs, oldest first, from behind one on. */
  List<Job> findByWorkshopIdAndIdGreaterThanOrderById(Long workshop, Long behind, Limit most);

  /** A job whose stations another build judged, or this one on another day. */
  record Judged(long id, String ref) {}

  @Query(
      "select new org.jexel.app.job.JobRepository$Judged(j.id, j.ref) from Job j where"
          + " j.workshop.id = :workshop and j.standing.stoodBy <> :judge and j.id > :behind order by j.id")
  List<Judged> judgedOtherwise(long workshop, String judge, long behind, Limit most);

  Optional<Job> findByWorkshopIdAndBegunSha256(Long workshop, String hash);

  Optional<Job> findByWorkshopIdAndRequestKey(Long workshop, String requestKey);
}
