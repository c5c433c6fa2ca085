package org.jexel.app.demo;

import java.util.Arrays;
import java.util.LinkedHashMap;
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

  /**
   * The same with its coupling measured, in mm but for the switch's place, in m. The date of a
   * breakaway's battery is told as its age in years.
   */
  DemoRig coupled(String cable, String chain) {
    Map<String, String> all = new LinkedHashMap<>(figures);
    all.putAll(
        Map.ofEntries(
            Map.entry("CABLE_LENGTH.0", cable),
            Map.entry("CABLE_FIXING.0", "OWN_EYE"),
            Map.entry("FIXING_X.0", "140"),
            Map.entry("FIXING_Y.0", "90"),
            Map.entry("FIXING_Z.0", "-80"),
            Map.entry("BREAKAWAY_X.0", "0.42"),
            Map.entry("BREAKAWAY_Y.0", "0"),
            Map.entry("SWITCH_Z.0", "60"),
            Map.entry("GREATEST_TURN.0", "85"),
            Map.entry("CHAIN_LENGTH.0", chain),
            Map.entry("CHAIN_EYE_X.0", "140"),
            Map.entry("CHAIN_EYE_Y.0", "110"),
            Map.entry("CHAIN_EYE_Z.0", "-80"),
            Map.entry("CHAIN_END_X.0", "240"),
            Map.entry("CHAIN_END_Y.0", "55"),
            Map.entry("CHAIN_END_Z.0", "-95")));
    return new DemoRig(start, all, load, readings, stops, settle, wantedLamps, hidden, rounds);
  }

  record Item(String name, double kg, double x) {}

  record Read(String check, double share) {
    /** Several, each a check and its share, between commas. */
    static List<Read> all(String readings) {
      return Arrays.stream(readings.split(","))
          .map(read -> read.strip().split("\\s+"))
          .map(read -> new Read(read[0], Double.parseDouble(read[1])))
          .toList();
    }
  }

  record Made(double gain, String outcome, double metres) {}
}
