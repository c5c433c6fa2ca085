package org.jexel.core.cab;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.jexel.core.harness.BreakerChoice;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.ControllerKind;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.TowPrep;
import org.jexel.core.rig.Wish;

/**
 * How the controller stands in this vehicle: everything that was found of it, judged together.
 *
 * <p>A job that fits a controller has to show each topic; on any other job only what somebody
 * looked at counts.
 */
public final class Fitting {

  /** What a finding is about. */
  public enum Topic {
    CONTROLLER,
    SUPPLY,
    SIGNAL,
    PLUG,
    MOUNTING
  }

  /**
   * @param topic what it is about
   * @param verdict not yet where something is still to be looked at
   * @param words one sentence
   * @param proved whether somebody read, measured or saw it; else it is computed
   */
  public record Finding(Topic topic, Verdict verdict, String words, boolean proved) {}

  /**
   * What somebody found.
   *
   * @param model the model from the workshop's library
   * @param breaker what is fitted in the feed, A
   * @param signal the stop-signal wires that were read
   * @param plug both ends of the plug, where both were listed
   * @param mounting by its angles
   * @param clear what was seen to be clear
   */
  public record Found(
      Optional<ControllerModel> model,
      OptionalDouble breaker,
      Optional<StopSignal> signal,
      Optional<CavityMatch> plug,
      Optional<Mounting> mounting,
      Set<Clearance> clear) {
    public static final Found NOTHING =
        new Found(
            Optional.empty(),
            OptionalDouble.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            EnumSet.noneOf(Clearance.class));
  }

  /**
   * How a topic stands by its findings: what fails or is still to be looked at outweighs what
   * holds.
   *
   * @return empty without a finding
   */
  public static Optional<Verdict> stands(List<Finding> findings, Topic topic) {
    List<Verdict> verdicts =
        findings.stream().filter(f -> f.topic() == topic).map(Finding::verdict).toList();
    Optional<Verdict> worst = verdicts.stream().reduce(Verdict::and);
    return worst.filter(v -> v != Verdict.FAILS).isPresent() && verdicts.contains(Verdict.NOT_YET)
        ? Optional.of(Verdict.NOT_YET)
        : worst;
  }

  /** Whether a topic rests on what somebody found, in all that is said of it. */
  public static boolean proved(List<Finding> findings, Topic topic) {
    return findings.stream().filter(f -> f.topic() == topic).allMatch(Finding::proved);
  }

  private final Rig rig;
  private final Found found;
  private final ControllerKind kind;
  private final boolean fits;
  private final List<Finding> findings = new ArrayList<>();

  private Fitting(Rig rig, Wish wish, Found found) {
    this.rig = rig;
    this.found = found;
    this.kind = rig.controllerKind();
    boolean asked = wish == Wish.NEW_BUILD || wish == Wish.CONVERT || wish == Wish.NEW_CONTROLLER;
    this.fits = asked && kind != ControllerKind.BUILT_IN;
  }

  /**
   * @param feed the controller's supply; empty without a brake pin
   * @return nothing for a rig without electric brakes
   */
  public static List<Finding> of(Rig rig, Wish wish, Optional<ControllerFeed> feed, Found found) {
    Fitting fitting = new Fitting(rig, wish, found);
    if (rig.hasElectricBrakes()) {
      fitting.controller();
      if (fitting.kind != ControllerKind.NONE) {
        fitting.supply(feed);
        fitting.signal();
        fitting.plug();
        fitting.mounting();
      }
    }
    return List.copyOf(fitting.findings);
  }

  private void say(Topic topic, Verdict verdict, String words, Object... values) {
    boolean proved = topic != Topic.SUPPLY || found.breaker().isPresent();
    findings.add(new Finding(topic, verdict, Phrase.of(words, values), proved));
  }

  private void controller() {
    if (kind == ControllerKind.NONE) {
      say(Topic.CONTROLLER, Verdict.FAILS, "Electric brakes and no controller.");
    } else if (rig.sheet().choice(RigField.CONTROLLER_KIND).assumed()) {
      say(Topic.CONTROLLER, Verdict.NOT_YET, "Say which controller it is.");
    } else if (rig.sheet().enteredOf(RigField.GAIN_GREATEST, RigField.GAIN_STEP) < 2) {
      say(Topic.CONTROLLER, Verdict.NOT_YET, "Read its scale: greatest mark and step.");
    } else {
      say(Topic.CONTROLLER, Verdict.HOLDS, "Kind and scale are known.");
    }
  }

  private void supply(Optional<ControllerFeed> feed) {
    if (feed.isEmpty()) {
      say(Topic.SUPPLY, Verdict.WATCH, "No brake pin on the way, so nothing feeds the brakes.");
      return;
    }
    double amps = feed.get().amps();
    Verdict before = worst(Topic.SUPPLY);
    BreakerChoice breaker = feed.get().breaker();
    if (found.breaker().isPresent()) {
      breaker
          .against(found.breaker().getAsDouble())
          .ifPresent(problem -> say(Topic.SUPPLY, Verdict.FAILS, "%s", problem));
      breaker
          .mayOpen(found.breaker().getAsDouble())
          .ifPresent(words -> say(Topic.SUPPLY, Verdict.WATCH, "%s", words));
    } else {
      breaker.reason().ifPresent(words -> say(Topic.SUPPLY, breaker.verdict(), "%s", words));
    }
    found.model().ifPresent(model -> within(model, amps));
    if (worst(Topic.SUPPLY) == before) {
      say(Topic.SUPPLY, Verdict.HOLDS, "Feed, breaker and load agree.");
    }
  }

  private void within(ControllerModel model, double amps) {
    if (amps > model.outputAmps()) {
      say(
          Topic.SUPPLY,
          Verdict.FAILS,
          "All brakes together draw %.1f A; this model gives %.0f A at most.",
          amps,
          model.outputAmps());
    }
    for (RigField field : List.of(RigField.ENGINE_OFF_VOLTS, RigField.RUNNING_VOLTS)) {
      double volts = rig.sheet().si(field);
      if (volts < model.supplyLeast() || volts > model.supplyGreatest()) {
        say(
            Topic.SUPPLY,
            Verdict.FAILS,
            "%s: %.2f V is outside the %.1f to %.1f V of this model.",
            field.label(),
            volts,
            model.supplyLeast(),
            model.supplyGreatest());
      }
    }
  }

  private Verdict worst(Topic topic) {
    return findings.stream()
        .filter(f -> f.topic() == topic)
        .map(Finding::verdict)
        .reduce(Verdict.HOLDS, Verdict::and);
  }

  private void signal() {
    boolean plugged =
        rig.sheet().choice(RigField.TOW_PREP, TowPrep.class) == TowPrep.CONTROLLER_PLUG;
    boolean read = found.signal().filter(s -> !s.wires().isEmpty()).isPresent();
    if (!read) {
      if (fits && kind.takesStopSignal() && !plugged) {
        say(Topic.SIGNAL, Verdict.NOT_YET, "Find the wire of the stop signal.");
      }
      return;
    }
    StopSignal signal = found.signal().get();
    boolean contradiction =
        signal.wires().stream().anyMatch(w -> w.kind() == StopSignal.Kind.CONTRADICTION);
    say(
        Topic.SIGNAL,
        signal.use().isEmpty()
            ? Verdict.FAILS
            : contradiction || signal.isDoubtful() ? Verdict.WATCH : Verdict.HOLDS,
        "%s",
        signal.advice());
  }

  private void plug() {
    found
        .plug()
        .ifPresent(
            match -> {
              if (match.moves() > 0) {
                say(
                    Topic.PLUG,
                    Verdict.FAILS,
                    "%d terminals are to be moved before the controller is plugged in.",
                    match.moves());
              } else {
                say(
                    Topic.PLUG,
                    match.agrees() ? Verdict.HOLDS : Verdict.WATCH,
                    match.agrees() ? "Both ends agree." : "Some cavities are not known yet.");
              }
            });
  }

  private void mounting() {
    if (kind.sensesMotion() || found.mounting().isPresent()) {
      if (found.mounting().isPresent()) {
        Mounting mounting = found.mounting().get();
        say(
            Topic.MOUNTING,
            mounting.verdict(),
            "%s",
            mounting.reasons().isEmpty()
                ? "The angles are inside. " + mounting.basis()
                : String.join(" ", mounting.reasons()));
      } else if (fits) {
        say(Topic.MOUNTING, Verdict.NOT_YET, "Take the angles of the mounting.");
      }
    }
    long open = Clearance.of(kind).stream().filter(place -> !found.clear().contains(place)).count();
    if (fits && open > 0) {
      say(
          Topic.MOUNTING,
          Verdict.NOT_YET,
          "%d of %d places are still to be seen clear.",
          open,
          Clearance.of(kind).size());
    }
  }
}
