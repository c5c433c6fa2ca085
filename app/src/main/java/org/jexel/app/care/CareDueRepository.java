package org.jexel.app.care;

import java.time.LocalDate;
import java.util.List;
import org.jexel.app.job.Job;
import org.jexel.app.job.RigPart;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

/** What is due of the workshop's trailers, as the last act on each worked it out. */
interface CareDueRepository extends Repository<Job, Long> {
  /**
   * A trailer of which somebody keeps the plan.
   *
   * @param ref of the newest job on it
   */
  record Due(String ref, String customer, RigPart trailer) {
    public LocalDate day() {
      return trailer.careDue() == null ? LocalDate.MAX : trailer.careDue();
    }
  }

  @Query(
      """
      select new org.jexel.app.care.CareDueRepository$Due(j.ref, j.customer, t)
      from Job j join j.trailer t
      where t.workshop.id = :workshop and t.careDue is not null
        and j.id = (select max(k.id) from Job k where k.trailer = t)
      order by t.careDue, j.id
      """)
  List<Due> all(Long workshop);
}
