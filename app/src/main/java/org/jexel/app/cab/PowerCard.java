package org.jexel.app.cab;

import java.util.List;
import java.util.Map;
import org.jexel.app.device.ControllerLink;
import org.jexel.app.job.JobFile;
import org.jexel.core.cab.PowerUp;
import org.jexel.core.rig.ControllerKind;
import org.jspecify.annotations.Nullable;

/**
 * The first power-up, act by act.
 *
 * @param stages in order
 * @param at the act that is held now; −1 before the first
 * @param shown what the controller shows then; null before the first
 */
record PowerCard(List<PowerUp.Stage> stages, int at, PowerUp.@Nullable Shown shown) {

  static PowerCard of(JobFile file, Map<String, String> typed, ControllerLink link) {
    ControllerKind kind = file.rig().controllerKind();
    List<PowerUp.Stage> stages =
        file.rig().hasElectricBrakes() ? PowerUp.sequence(kind) : List.of();
    String text = typed.getOrDefault("stage", "");
    int at = text.matches("\\d{1,2}") ? Integer.parseInt(text) : -1;
    if (at < 0 || at >= stages.size()) {
      return new PowerCard(stages, -1, null);
    }
    double gain = file.work().road().scale().share(file.work().road().scale().middle());
    return new PowerCard(stages, at, link.show(kind, stages.get(at).held(), gain));
  }

  /** Whether the controller shows what a sound one would. */
  public boolean asExpected() {
    return shown != null && shown.display() == stages.get(at).expect();
  }

  public int percent() {
    return shown == null ? 0 : (int) Math.round(100 * shown.share());
  }
}
