package org.jexel.app.road;

import java.time.Clock;
import java.util.OptionalDouble;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.RequestKey;
import org.jexel.core.rig.RigField;
import org.jexel.core.road.GainAdvice;
import org.jexel.core.road.Setting;
import org.springframework.stereotype.Service;

/** Settles the gain. */
@Service
public class Settling {
  private final GainSettingRepository settings;
  private final Clock clock;

  Settling(GainSettingRepository settings, Clock clock) {
    this.settings = settings;
    this.clock = clock;
  }

  /** Settles on the advised gain; does nothing when the advice is another by now. */
  public void belowLock(JobFile file, String requestKey) {
    GainAdvice advice = file.work().road().advice();
    String key = RequestKey.of(requestKey);
    if (advice.act() != GainAdvice.Act.SETTLE
        || settings.existsByJobIdAndRequestKey(file.job().id(), key)) {
      return;
    }
    settle(file, advice.gain(), Setting.School.BELOW_LOCK, key);
  }

  /** Settles on the gain of even pull; does nothing while no stop by the pedal found one. */
  void even(JobFile file, String requestKey) {
    String key = RequestKey.of(requestKey);
    OptionalDouble even = file.work().road().even().even();
    if (file.work().road().even().found()
        && even.isPresent()
        && !settings.existsByJobIdAndRequestKey(file.job().id(), key)) {
      settle(file, even.getAsDouble(), Setting.School.EVEN_PULL, key);
    }
  }

  private void settle(JobFile file, double gain, Setting.School school, String key) {
    Setting setting =
        new Setting(
            gain,
            school,
            file.work().road().surface().orElseThrow(),
            file.rig().sheet().si(RigField.KERB_MASS),
            file.work().rig().load().mass(),
            clock.instant(),
            file.person().name());
    settings.save(new GainSetting(file.job(), setting, file.person(), key));
    file.changed();
  }
}
