package org.jexel.core.braking;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BracketedUnivariateSolver;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.ODEStateAndDerivative;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.events.Action;
import org.hipparchus.ode.events.AdaptableInterval;
import org.hipparchus.ode.events.ODEEventDetector;
import org.hipparchus.ode.events.ODEEventHandler;
import org.hipparchus.ode.nonstiff.DormandPrince853Integrator;
import org.hipparchus.ode.sampling.ODEStateInterpolator;
import org.hipparchus.ode.sampling.ODEStepHandler;

/**
 * The integration of one stop: see {@link StopRun} for its equations.
 *
 * <p>State: speed, way, work of trailer, vehicle, drag and slope; then each brake's drive.
 */
final class StopMotion implements OrdinaryDifferentialEquation, ODEStepHandler {
  /** A rig that rolls for longer does not stop by what it has, s. */
  private static final double LONGEST_S = 60;

  /** From one moment of the series to the next, s. */
  private static final double SAMPLE_S = 0.05;

  /** No wheel slides for less; those whose forces differ by less slide together, N. */
  private static final double AS_NEAR = 1e-3;

  /** Less than any wheel's, N. */
  private static final double NONE_TURNS = -1e9;

  /** Speed, way, work of trailer, vehicle, drag and slope; then each brake's drive. */
  private static final int FIRST_DRIVE = 6;

  private final Train train;
  private final Drive drive;
  private final double tolerance;
  private final boolean[] slides;
  private final List<StopRun.Lock> locks = new ArrayList<>();
  private final List<StopRun.Moment> series = new ArrayList<>();
  private double push;
  private double pull;

  StopMotion(Train train, Drive drive, double tolerance) {
    this.train = train;
    this.drive = drive;
    this.tolerance = tolerance;
    this.slides = new boolean[train.brakes().size()];
  }

  StopRun toStand() {
    double[] state = new double[getDimension()];
    state[0] = drive.speed();
    double time = 0;
    note(time, state);
    while (time < LONGEST_S && state[0] > 0) {
      DormandPrince853Integrator integrator =
          new DormandPrince853Integrator(1e-9, 1, tolerance, tolerance);
      integrator.addStepHandler(this);
      When stood = new When(s -> -s[0]);
      integrator.addEventDetector(stood);
      // A wheel that the road does not bear asks for nothing of nothing: a figure that stays at
      // zero has no sign, and the integrator would look for one for ever.
      When slid = new When(now -> nearest(now) - AS_NEAR);
      integrator.addEventDetector(slid);
      ODEStateAndDerivative end = integrator.integrate(this, new ODEState(time, state), LONGEST_S);
      time = end.getTime();
      state = end.getPrimaryState();
      if (stood.happened) {
        state[0] = 0;
      }
      if (slid.happened) {
        slide(time, state);
      }
    }
    note(time, state);
    double kinetic = train.mass() / 2 * (drive.speed() * drive.speed() - state[0] * state[0]);
    return new StopRun(
        state[0] <= 0,
        time,
        state[1],
        push,
        pull,
        locks,
        series,
        new StopRun.Work(state[2], state[3], state[4], state[5], kinetic));
  }

  /** The wheel that is nearest to sliding slides, and those that are as near. */
  private void slide(double time, double[] state) {
    double most = nearest(state);
    for (int i = 0; i < slides.length; i++) {
      if (!slides[i] && beyond(i, state) >= most - AS_NEAR) {
        locks.add(new StopRun.Lock(i, time));
      }
    }
    locks.forEach(lock -> slides[lock.brake()] = true);
  }

  /** Of the wheels that turn: the most by which one's brake asks for more than grip, N. */
  private double nearest(double[] state) {
    double most = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < slides.length; i++) {
      most = slides[i] ? most : Math.max(most, beyond(i, state));
    }
    return Math.max(most, NONE_TURNS);
  }

  private double beyond(int brake, double[] state) {
    return asked(brake, state) - Forces.surface(train, drive, brake).peak() * at(state).wheel();
  }

  private double asked(int brake, double[] state) {
    return train.brakes().get(brake).forceAt(state[FIRST_DRIVE + brake]);
  }

  private Forces at(double[] state) {
    double[] forces = new double[slides.length];
    for (int i = 0; i < forces.length; i++) {
      forces[i] = asked(i, state);
    }
    return Forces.of(train, drive, state[0], forces, slides);
  }

  @Override
  public int getDimension() {
    return FIRST_DRIVE + train.brakes().size();
  }

  @Override
  public double[] computeDerivatives(double time, double[] state) {
    Forces now = at(state);
    double speed = state[0];
    double output = drive.control().output(time, now.felt(), drive.pedal(), drive.lever());
    double[] change = new double[state.length];
    change[0] = -now.deceleration();
    change[1] = speed;
    change[2] = now.trailer() * speed;
    change[3] = now.vehicle() * speed;
    change[4] = (now.drag() + now.trailerDrag()) * speed;
    change[5] = train.mass() * Stop.G * Math.sin(drive.slope()) * speed;
    for (int i = 0; i < slides.length; i++) {
      double driven = train.brakes().get(i).driveAt(output);
      change[FIRST_DRIVE + i] = (driven - state[FIRST_DRIVE + i]) / StopRun.LAG_S;
    }
    return change;
  }

  @Override
  public void handleStep(ODEStateInterpolator step) {
    double until = step.getCurrentState().getTime();
    double next = series.size() * SAMPLE_S;
    while (next < until) {
      note(next, step.getInterpolatedState(next).getPrimaryState());
      next = series.size() * SAMPLE_S;
    }
    greatest(at(step.getCurrentState().getPrimaryState()));
  }

  private void greatest(Forces now) {
    push = Math.max(push, now.coupler());
    pull = Math.max(pull, -now.coupler());
  }

  private void note(double time, double[] state) {
    Forces now = at(state);
    double[] uses = new double[slides.length];
    for (int i = 0; i < uses.length; i++) {
      Surface surface = Forces.surface(train, drive, i);
      double can = (slides[i] ? surface.slide() : surface.peak()) * now.wheel();
      uses[i] = asked(i, state) / Math.max(1e-9, can);
    }
    greatest(now);
    series.add(
        new StopRun.Moment(
            time,
            Math.max(0, state[0]),
            state[1],
            now.deceleration(),
            now.coupler(),
            now.trailer(),
            now.vehicle(),
            uses));
  }

  /** Ends an integration where a figure rises through zero. */
  private static final class When implements ODEEventDetector, ODEEventHandler {
    private static final double CHECK_S = 0.05;
    private static final double WITHIN_S = 1e-10;
    private static final int TRIES = 100;

    private final ToDoubleFunction<double[]> figure;
    private boolean happened;

    private When(ToDoubleFunction<double[]> figure) {
      this.figure = figure;
    }

    @Override
    public double g(ODEStateAndDerivative state) {
      return figure.applyAsDouble(state.getPrimaryState());
    }

    @Override
    public Action eventOccurred(
        ODEStateAndDerivative state, ODEEventDetector detector, boolean increasing) {
      happened |= increasing;
      return increasing ? Action.STOP : Action.CONTINUE;
    }

    @Override
    public ODEEventHandler getHandler() {
      return this;
    }

    @Override
    public AdaptableInterval getMaxCheckInterval() {
      return (state, forward) -> CHECK_S;
    }

    @Override
    public int getMaxIterationCount() {
      return TRIES;
    }

    @Override
    public BracketedUnivariateSolver<UnivariateFunction> getSolver() {
      return new BracketingNthOrderBrentSolver(0, WITHIN_S, 0, 5);
    }
  }
}
