package org.jexel.app.bench;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import org.jexel.app.drawing.FaceDrawing;
import org.jexel.app.job.JobFile;
import org.jexel.core.check.Check;
import org.jexel.core.connector.Convention;
import org.jexel.core.connector.Face;
import org.jexel.core.connector.PinFunction;

/**
 * The connector in front of whoever takes a check, with the leads on its pins.
 *
 * @param view of the person standing there
 * @param drawing as SVG
 */
record BenchFace(Face.View view, String drawing) {
  static Optional<BenchFace> of(JobFile file, Check check) {
    Map<PinFunction, FaceDrawing.Lead> leads = new EnumMap<>(PinFunction.class);
    check.blackPin().ifPresent(pin -> leads.put(pin, FaceDrawing.Lead.BLACK));
    check.face().ifPresent(view -> leads.put(check.function(), FaceDrawing.Lead.RED));
    return check.face().map(view -> of(file, view, leads));
  }

  /** A face without leads. */
  static BenchFace of(JobFile file, Face.View view) {
    return of(file, view, Map.of());
  }

  private static BenchFace of(
      JobFile file, Face.View view, Map<PinFunction, FaceDrawing.Lead> leads) {
    return new BenchFace(
        view, FaceDrawing.draw(file.rig().connector(), colours(file, view), view, leads));
  }

  /** The socket's wires have the vehicle's colours, the plug's the trailer's. */
  private static Convention colours(JobFile file, Face.View view) {
    return view == Face.View.PLUG_FACE || view == Face.View.PLUG_WIRING
        ? file.rig().convention()
        : file.rig().towConvention();
  }
}
