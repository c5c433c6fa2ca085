package org.jexel.app.road;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Settled gains. */
public interface GainSettingRepository extends JpaRepository<GainSetting, Long> {
  @Query("select s from GainSetting s join fetch s.person where s.job.id = :job order by s.id")
  List<GainSetting> ofJob(Long job);

  boolean existsByJobIdAndRequestKey(Long jobId, String requestKey);
}
