package org.jexel.app.photograph;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Pictures. */
interface PictureRepository extends JpaRepository<Picture, Long> {
  /** Of a job of this workshop, or of its trailer's care. */
  String OF_A_JOB =
      " from Picture i, Job j where j.workshop.id = :workshop and j.ref = :ref and i.sha256 = :sha256"
          + " and (i.jobId = j.id or i.trailerId = coalesce(j.trailer.firstId, j.trailer.id))";

  @Query("select i.large" + OF_A_JOB)
  List<byte[]> large(Long workshop, String ref, String sha256);

  @Query("select i.small" + OF_A_JOB)
  List<byte[]> small(Long workshop, String ref, String sha256);

  /** A picture by its hash. */
  record Small(String sha256, byte[] jpeg) {}

  @Query(
      "select new org.jexel.app.photograph.PictureRepository$Small(i.sha256, i.small) from Picture i"
          + " where i.sha256 in :hashes and (i.jobId = :job or i.trailerId = :trailer)")
  List<Small> small(Long job, Long trailer, Collection<String> hashes);

  /** Bytes of all pictures that a job's file holds. */
  @Query(
      value =
          "select coalesce(sum(bytes), 0) from picture where job_id = :job or trailer_id = :trailer",
      nativeQuery = true)
  long bytes(Long job, Long trailer);

  /** The picture that a job, or where that is null a trailer, has under a hash. */
  @Query(
      "select i.id from Picture i where i.sha256 = :sha256"
          + " and (i.jobId = :job or i.trailerId = :trailer)")
  Optional<Long> find(@Nullable Long job, @Nullable Long trailer, String sha256);
}
