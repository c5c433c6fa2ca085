package org.jexel.core.road;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.TreeMap;
import org.jexel.core.braking.Surface;
import org.jexel.core.quantity.Must;

/**
 * The whole search from where it stands now, to be followed where nothing computes: at each row a
 * gain to drive, and for each outcome the row that comes next, until it settles or says to look.
 *
 * <p>What follows a stop depends on the stops and not on their order, so ways that meet are one
 * row. The likely ways are worked out first; what lies beyond is left to the next visit of the
 * station.
 *
 * @param rows in the order in which they are likely to be reached; the first is where it stands
 */
public record RoadCard(List<Row> rows) {
  /** A card that somebody reads in a cab holds no more. */
  private static final int MOST = 40;

  /** What happens in fewer of a hundred ways than this is not followed. */
  private static final double RARE = 0.01;

  public RoadCard {
    rows = List.copyOf(rows);
  }

  /**
   * One state of the search.
   *
   * @param number from 1
   * @param advice what to do in it
   * @param locked number of the row that follows a lock; empty where the card does not go on
   * @param verge of the row that follows a stop on the verge
   * @param held of the row that follows a stop that did not lock
   */
  public record Row(
      int number,
      GainAdvice advice,
      Optional<Integer> locked,
      Optional<Integer> verge,
      Optional<Integer> held) {
    /** Whether it asks for a stop. */
    public boolean asks() {
      return switch (advice.act()) {
        case TRY, CONFIRM, REPEAT -> true;
        case SETTLE, LOOK_FOR_FAULT -> false;
      };
    }
  }

  /** A state on its way onto the card. */
  private static final class State {
    private final List<GainStop> stops;
    private double likely;
    private int number;
    private final Map<Outcome, State> next = new HashMap<>();

    private State(List<GainStop> stops, double likely) {
      this.stops = stops;
      this.likely = likely;
    }
  }

  /**
   * @param stops at full lever so far, oldest first
   */
  public static RoadCard of(
      GainScale scale, BrakeCurve curve, Surface surface, List<GainStop> stops) {
    State first = new State(List.copyOf(stops), 1);
    Map<Map<String, Integer>, State> known = new HashMap<>();
    known.put(key(first), first);
    PriorityQueue<State> open =
        new PriorityQueue<>(Comparator.comparingDouble((State s) -> -s.likely));
    open.add(first);
    Map<State, GainAdvice> told = new HashMap<>();
    List<State> rows = new ArrayList<>();
    while (!open.isEmpty() && rows.size() < MOST) {
      State state = open.remove();
      GainAdvice advice = GainFinder.advise(scale, curve, surface, state.stops);
      told.put(state, advice);
      rows.add(state);
      state.number = rows.size();
      if (!Double.isNaN(advice.gain()) && advice.act() != GainAdvice.Act.SETTLE) {
        for (Outcome outcome : List.of(Outcome.LOCKED, Outcome.VERGE, Outcome.FIRM)) {
          double likely = state.likely * chance(advice, outcome);
          if (likely >= RARE) {
            State child = after(state, new GainStop(advice.gain(), outcome), likely, known, open);
            state.next.put(outcome, child);
          }
        }
      }
    }
    return new RoadCard(rows.stream().map(state -> row(state, Must.have(told, state))).toList());
  }

  private static State after(
      State state,
      GainStop stop,
      double likely,
      Map<Map<String, Integer>, State> known,
      PriorityQueue<State> open) {
    List<GainStop> stops = new ArrayList<>(state.stops);
    stops.add(stop);
    State next = new State(stops, likely);
    State before = known.putIfAbsent(key(next), next);
    if (before == null) {
      open.add(next);
      return next;
    }
    if (before.number == 0 && open.remove(before)) {
      before.likely += likely;
      open.add(before);
    }
    return before;
  }

  /** How often each gain had each outcome. */
  private static Map<String, Integer> key(State state) {
    Map<String, Integer> counts = new TreeMap<>();
    state.stops.forEach(stop -> counts.merge(stop.gain() + " " + stop.outcome(), 1, Integer::sum));
    return counts;
  }

  /** By the belief: a lock, the mark below one, or neither. */
  private static double chance(GainAdvice advice, Outcome outcome) {
    double locks = 0;
    double above = 1;
    for (GainAdvice.Chance chance : advice.chances()) {
      if (chance.gain() <= advice.gain()) {
        locks = chance.locks();
      } else {
        above = chance.locks();
        break;
      }
    }
    return switch (outcome) {
      case LOCKED -> locks;
      case VERGE -> (above - locks) / 2;
      default -> 1 - locks - (above - locks) / 2;
    };
  }

  private static Row row(State state, GainAdvice advice) {
    return new Row(
        state.number,
        advice,
        number(state, Outcome.LOCKED),
        number(state, Outcome.VERGE),
        number(state, Outcome.FIRM));
  }

  private static Optional<Integer> number(State state, Outcome outcome) {
    State next = state.next.get(outcome);
    return next == null || next.number == 0 ? Optional.empty() : Optional.of(next.number);
  }
}
