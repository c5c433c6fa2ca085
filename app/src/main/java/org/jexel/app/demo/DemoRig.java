package org.jexel.app.demo;

import java.util.List;
import java.util.Map;

/**
 * One rig of the demo, told the way a person would enter it.
 *
 * @param start the quick start of the job
 * @param figures field code and what is typed
 * @param load name, kg, m behind the ball
 * @param readings check id and the share of the band at which it is read: 0 is the expected value,
 *     ±1 its edges, beyond that it fails
 * @param stops gain, outcome, metres from 40 km/h
 * @param settle whether the advised gain is taken at the end
 * @param wantedLamps slots of lamps still to be fitted
 * @param hidden faults that nobody knows of yet; empty for a sound rig
 * @param rounds that somebody walked: one round, or all that begin so
 */
record DemoRig(
    Map<String, String> start,
    Map<String, String> figures,
    List<Item> load,
    List<Read> readings,
    List<Made> stops,
    boolean settle,
    List<String> wantedLamps,
    String hidden,
    List<String> rounds) {

  DemoRig(
      Map<String, String> start,
      Map<String, String> figures,
      List<Item> load,
      List<Read> readings,
      List<Made> stops,
      boolean settle,
      List<String> wantedLamps) {
    this(start, figures, load, readings, stops, settle, wantedLamps, "", List.of());
  }

  record Item(String name, double kg, double x) {}

  record Read(String check, double share) {}

  record Made(double gain, String outcome, double metres) {}
}
