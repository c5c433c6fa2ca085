package org.jexel.app.bench;

import static org.jexel.app.drawing.Palette.INK;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.jexel.app.drawing.Canvas;
import org.jexel.app.drawing.Marks;
import org.jexel.app.drawing.Palette;
import org.jexel.app.drawing.PlanScale;
import org.jexel.app.drawing.Svg;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.Looked;
import org.jexel.core.check.Check;
import org.jexel.core.check.FaultyRig;
import org.jexel.core.check.Setup;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Load;
import org.jexel.core.harness.Nodes;
import org.jexel.core.network.Fault;
import org.jexel.core.network.LampPins;
import org.jexel.core.network.Lit;
import org.jexel.core.network.NetworkException;
import org.jexel.core.network.Readout;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.Side;

/**
 * Every lamp at its computed brightness in the state of the open check, as wired or under the
 * leading suspicion, and the current in the returns.
 */
final class LitLayer {
  private static final String CORD_RETURN = Nodes.core(PinFunction.EARTH);

  /** From the vehicle's corner to its rear lamps, m. */
  private static final double VEHICLES_LAMPS_M = 0.26;

  private final JobFile file;
  private final PlanScale at;
  private final Svg svg;
  private final Marks marks;

  LitLayer(JobFile file, Canvas canvas) {
    this.file = file;
    this.at = canvas.at();
    this.svg = canvas.svg();
    this.marks = canvas.marks();
  }

  void paint(Looked looked) {
    Optional<Check> check = file.work().bench().check(looked.card());
    Optional<Setup> setup =
        check.map(c -> c.probing().setup()).filter(s -> s.kind() != Setup.Kind.DEAD);
    if (setup.isEmpty()) {
      return;
    }
    List<Fault> faults = looked.suspected() ? suspected() : List.of();
    try {
      Rig rig = file.work().bench().asRead();
      Harness plan = file.work().harness().plan();
      Readout whole = FaultyRig.of(rig, plan, List.of()).in(setup.get());
      Readout shown = faults.isEmpty() ? whole : FaultyRig.of(rig, plan, faults).in(setup.get());
      List<Lit> lit = Lit.of(plan, shown, whole);
      file.rig().fittedLamps().forEach(lamp -> lamp(lamp, lit));
      ofTheVehicle(shown, whole);
      svg.label(24, 17, words(setup.get(), !faults.isEmpty(), shown), "start", 14, INK);
    } catch (NetworkException cannot) {
      svg.label(24, 17, "no light can be computed: " + cannot.getMessage(), "start", 14, INK);
    }
  }

  private List<Fault> suspected() {
    boolean read =
        !file.work().bench().newest().isEmpty() && file.work().bench().diagnosis().fits();
    return read ? file.work().bench().diagnosis().groups().get(0).leading().faults() : List.of();
  }

  private void lamp(Lamp lamp, List<Lit> all) {
    List<Lit> own = all.stream().filter(lit -> lit.load().spot().is(lamp)).toList();
    double most = own.stream().mapToDouble(Lit::brightness).max().orElse(0);
    double x = at.x(lamp.x());
    double y = at.y(lamp.y());
    glow(x, y, most);
    if (own.stream().anyMatch(Lit::differs)) {
      boolean dark = own.stream().anyMatch(l -> l.differs() && Lit.dark(l.brightness()));
      marks.mark(x + 20, y, dark ? Verdict.FAILS : Verdict.WATCH);
    }
  }

  /** Its own bulbs hang on the same circuits where no module parts them. */
  private void ofTheVehicle(Readout shown, Readout whole) {
    double half = file.rig().sheet().si(RigField.TOW_WIDTH) / 2;
    for (Side side : Side.values()) {
      PinFunction own = side == Side.LEFT ? PinFunction.LEFT : PinFunction.RIGHT;
      List<String> bulbs =
          Stream.of(PinFunction.TAIL, own, PinFunction.STOP)
              .map(LampPins::own)
              .filter(whole::has)
              .toList();
      double x = at.x(-VEHICLES_LAMPS_M);
      double y = at.y(side.sign() * (half - VEHICLES_LAMPS_M));
      glow(x, y, bulbs.stream().mapToDouble(shown::brightness).max().orElse(0));
      if (bulbs.stream()
          .anyMatch(b -> !Lit.word(shown.brightness(b)).equals(Lit.word(whole.brightness(b))))) {
        marks.mark(x - 20, y, Verdict.WATCH);
      }
    }
  }

  private void glow(double x, double y, double brightness) {
    if (!Lit.dark(brightness)) {
      double share = Math.min(1, brightness);
      Object[] look = {"class", "lit", "fill", Palette.GLOW, "fill-opacity", 0.25 + 0.5 * share};
      svg.circle(x, y, 6 + 9 * Math.sqrt(share), look);
      svg.circle(
          x, y, 3.5, "class", "lit", "fill", Palette.GLOW, "stroke", INK, "stroke-width", 1.0);
    }
  }

  private String words(Setup setup, boolean suspected, Readout shown) {
    List<String> on = new ArrayList<>();
    if (setup.kind() == Setup.Kind.BENCH) {
      on.add("bench supply on " + Objects.requireNonNull(setup.pin()).label());
    }
    for (StateWord word : StateWord.values()) {
      if (setup.state().is(word)) {
        on.add(word.word());
      }
    }
    String state = on.isEmpty() ? "all off" : String.join(" + ", on);
    String returned =
        shown.has(CORD_RETURN) ? " · earth of the cord " + amps(shown.amps(CORD_RETURN)) : "";
    return (suspected ? "if it is so: " : "as wired: ") + state + returned + lampReturns(shown);
  }

  /** The greatest return of a single lamp, where one stands out: what shares it shows there. */
  private String lampReturns(Readout shown) {
    String most = "";
    double greatest = 0.01;
    for (Load load : file.work().harness().plan().loads()) {
      String wire = Nodes.wire(load.back());
      if (shown.has(wire) && Math.abs(shown.amps(wire)) > greatest) {
        greatest = Math.abs(shown.amps(wire));
        most = " · return of " + Phrase.within(load.label()) + " " + amps(greatest);
      }
    }
    return most;
  }

  private String amps(double value) {
    return Measure.AMPS.text(Math.abs(value), file.units());
  }
}
