package org.jexel.app.job;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

/** Unfinished typing. */
interface DraftRepository extends JpaRepository<Draft, Long> {
  List<Draft> findByJobIdAndPersonId(Long jobId, Long personId);

  Optional<Draft> findByJobIdAndPersonIdAndFormAndField(
      Long jobId, Long personId, String form, String field);

  @Modifying
  @Query("delete from Draft d where d.typedAt < :then")
  int deleteByTypedAtBefore(Instant then);

  @Modifying
  @Query(
      "delete from Draft d where d.jobId = :jobId and d.personId = :personId and d.form = :form"
          + " and d.field = :field")
  void drop(Long jobId, Long personId, String form, String field);

  @Modifying
  @Query("delete from Draft d where d.jobId = :jobId and d.personId = :personId and d.form = :form")
  void dropForm(Long jobId, Long personId, String form);
}
