package org.jexel.app.handover;

import java.util.List;
import java.util.Locale;
import org.jexel.app.drawing.Canvas;
import org.jexel.app.job.JobFile;
import org.jexel.core.check.Round;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;
import org.jexel.core.road.Profile;

/** What was set, and how much was proved. */
final class HandoverLayer {
  private final JobFile file;
  private final RigSheet sheet;
  private final UnitSystem units;
  private final Canvas canvas;

  HandoverLayer(JobFile file, Canvas canvas) {
    this.file = file;
    this.sheet = file.rig().sheet();
    this.units = file.units();
    this.canvas = canvas;
  }

  void paint() {
    file.work()
        .road()
        .newest()
        .map(Profile::setting)
        .ifPresent(
            s -> {
              double[] box = canvas.vehicle().controller();
              canvas.marks().mark(canvas.at().x(box[0]), canvas.at().y(box[1]), Verdict.HOLDS);
              canvas.foot(
                  canvas.at().x(box[0]),
                  "gain %s, %s, %s behind"
                      .formatted(
                          Measure.GAIN.number(s.gain(), units),
                          s.surface().label().toLowerCase(Locale.ROOT),
                          Measure.MASS.text(s.trailerMass(), units)),
                  "middle");
            });
    List<Round> proof = Round.of(file.work().bench().proof());
    long read =
        proof.stream().filter(r -> file.work().bench().verdict(r) != Verdict.NOT_YET).count();
    canvas.foot(
        canvas.at().x(sheet.si(RigField.AXLE_CENTRE)),
        Phrase.of(
            "%d of %d checks read · %d stops", read, proof.size(), file.record().stops().size()),
        "middle");
  }
}
