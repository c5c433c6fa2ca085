package org.jexel.app.handover;

import java.util.List;
import java.util.Locale;
import org.jexel.app.drawing.Canvas;
import org.jexel.app.job.JobFile;
import org.jexel.core.check.Round;
import org.jexel.core.job.BenchWork;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;
import org.jexel.core.road.Profile;
import org.jexel.core.road.Setting;

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
    file.work().road().gains().newest().ifPresent(this::setting);
    List<Round> proof = Round.of(file.work().bench().proof());
    BenchWork bench = file.work().bench();
    long read =
        proof.stream()
            .filter(round -> bench.verdict(round) != Verdict.NOT_YET && !bench.isPractised(round))
            .count();
    canvas.foot(
        canvas.at().x(sheet.si(RigField.AXLE_CENTRE)),
        Phrase.of(
            "%d of %d checks read · %d stops", read, proof.size(), file.record().stops().size()),
        "middle");
  }

  private void setting(Profile profile) {
    Setting set = profile.setting();
    double[] box = canvas.vehicle().controller();
    Verdict verdict = profile.holds() ? Verdict.HOLDS : Verdict.WATCH;
    canvas.marks().mark(canvas.at().x(box[0]), canvas.at().y(box[1]), verdict);
    canvas.foot(
        canvas.at().x(box[0]),
        Phrase.of(
            "gain %s, %s, %s behind%s",
            Measure.GAIN.number(set.gain(), units),
            set.surface().label().toLowerCase(Locale.ROOT),
            Measure.MASS.text(set.trailerMass(), units),
            profile.holds() ? "" : ": does not hold"),
        "middle");
  }
}
