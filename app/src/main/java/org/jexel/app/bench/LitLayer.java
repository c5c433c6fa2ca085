package org.jexel.app.bench;

import static org.jexel.app.drawing.Palette.INK;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jexel.app.drawing.Canvas;
import org.jexel.app.drawing.Marks;
import org.jexel.app.drawing.Palette;
import org.jexel.app.drawing.PlanScale;
import org.jexel.app.drawing.Svg;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.Looked;
import org.jexel.core.check.Check;
import org.jexel.core.check.Setup;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Load;
import org.jexel.core.harness.Nodes;
import org.jexel.core.network.Fault;
import org.jexel.core.network.Lit;
import org.jexel.core.network.NetworkException;
import org.jexel.core.network.Solution;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.Lamp;

/**
 * Every lamp at its computed brightness in the state of the open check, as wired or under the
 * leading suspicion, and the current in the returns.
 */
final class LitLayer {
  private static final String CORD_RETURN = Nodes.core(PinFunction.EARTH);

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
      Solution whole =
          setup.get().solve(file.work().bench().asRead(), file.work().harness().plan(), List.of());
      Solution shown =
          faults.isEmpty()
              ? whole
              : setup
                  .get()
                  .solve(file.work().bench().asRead(), file.work().harness().plan(), faults);
      List<Lit> lit = Lit.of(file.work().harness().plan(), shown, whole);
      file.rig().fittedLamps().forEach(lamp -> lamp(lamp, lit));
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
    if (!Lit.dark(most)) {
      double share = Math.min(1, most);
      Object[] look = {"class", "lit", "fill", Palette.GLOW, "fill-opacity", 0.25 + 0.5 * share};
      svg.circle(x, y, 6 + 9 * Math.sqrt(share), look);
      svg.circle(
          x, y, 3.5, "class", "lit", "fill", Palette.GLOW, "stroke", INK, "stroke-width", 1.0);
    }
    if (own.stream().anyMatch(Lit::differs)) {
      boolean dark = own.stream().anyMatch(l -> l.differs() && Lit.dark(l.brightness()));
      marks.mark(x + 20, y, dark ? Verdict.FAILS : Verdict.WATCH);
    }
  }

  private String words(Setup setup, boolean suspected, Solution shown) {
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
        shown.network().has(CORD_RETURN)
            ? " · earth of the cord " + amps(shown.amps(CORD_RETURN))
            : "";
    return (suspected ? "if it is so: " : "as wired: ") + state + returned + lampReturns(shown);
  }

  /** The greatest return of a single lamp, where one stands out: what shares it shows there. */
  private String lampReturns(Solution shown) {
    String most = "";
    double greatest = 0.01;
    for (Load load : file.work().harness().plan().loads()) {
      String wire = Nodes.wire(load.back());
      if (shown.network().has(wire) && Math.abs(shown.amps(wire)) > greatest) {
        greatest = Math.abs(shown.amps(wire));
        most =
            " · return of "
                + load.label().toLowerCase(java.util.Locale.ROOT)
                + " "
                + amps(greatest);
      }
    }
    return most;
  }

  private String amps(double value) {
    return Measure.AMPS.text(Math.abs(value), file.units());
  }
}
