package org.jexel.core.harness;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jexel.core.Rigs;
import org.jexel.core.connector.WireColour;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.Wish;
import org.junit.jupiter.api.Test;

/** What each kind of job takes from the shelf and asks of hands, counted on paper. */
class WorkOfAJobTest {
  /** A 4-way trailer of two axles that is to get brakes and a 7-way. */
  private static final Rig TWO_AXLES =
      Rigs.rig(Rigs.sheet(RigField.AXLE_COUNT, 2, RigField.BRAKE_TYPE, "ELECTRIC"));

  private static final Rig STALL = Rigs.unbraked();

  private static Scope scope(Rig rig, Wish wish) {
    return new Scope(rig, wish, HarnessPlanner.plan(rig, WireSize.GAUGES));
  }

  private static Scope newBuild(Object... more) {
    Object[] kind = {RigField.TRAILER_KIND, "STALL"};
    Object[] pairs = Stream.of(kind, more).flatMap(Stream::of).toArray();
    return scope(Rigs.rig(Rigs.sheet(pairs)), Wish.NEW_BUILD);
  }

  /** The same rig with one lamp still to be fitted. */
  private static Rig wanting(Rig rig, String slot) {
    List<Lamp> lamps =
        rig.lamps().stream()
            .map(l -> l.slot().equals(slot) ? l.with(Lamp.State.WANTED, l.technology()) : l)
            .toList();
    return new Rig(rig.sheet(), lamps, List.of());
  }

  private static Map<String, Integer> items(Scope scope) {
    Map<String, Integer> counts = new LinkedHashMap<>();
    Materials.of(scope, UnitSystem.METRIC)
        .items()
        .forEach(item -> counts.merge(item.what(), item.count(), Integer::sum));
    return counts;
  }

  private static Map<String, Step> steps(Scope scope) {
    Map<String, Step> steps = new LinkedHashMap<>();
    StepPlan.of(scope, UnitSystem.METRIC).forEach(step -> steps.put(step.id(), step));
    return steps;
  }

  /**
   * Nine lamps on a 4-way: tail feeds eight others from one trunk. Every one of the 14 joints of
   * the tail circuit, and of its return, is a sleeve; left and right run home without one. The box
   * takes four cores of the cord and one run each of tail, left, right and return.
   */
  @Test
  void aSmallTrailerBuiltAnewTakesWhatItsDrawingShows() {
    assertThat(items(scope(STALL, Wish.NEW_BUILD)))
        .containsExactlyInAnyOrderEntriesOf(
            new LinkedHashMap<>(
                Map.ofEntries(
                    Map.entry("4-way flat plug with strain relief", 1),
                    Map.entry("junction box, 4 studs", 1),
                    Map.entry("Rear lamp, filament", 2),
                    Map.entry("Side marker, filament", 4),
                    Map.entry("Front marker, filament", 2),
                    Map.entry("Plate lamp, filament", 1),
                    Map.entry("ring M5 × 12 AWG", 1),
                    Map.entry("ring M5 × 16 AWG", 7),
                    Map.entry("sealed sleeve 16 AWG", 28),
                    Map.entry("earth screw with toothed washer", 1),
                    Map.entry("grommet for 8.0 mm", 9),
                    Map.entry("grommet for 10.0 mm", 3),
                    Map.entry("P-clip with screw", 35))));
  }

  @Test
  void oneLampMoreTakesItsOwnHoleItsOwnClipsAndTwoJoints() {
    Scope scope = scope(wanting(STALL, "plate"), Wish.ADD_LAMPS);
    // 0.48 m of rear member and lamp lead, a clip every 0.3 m.
    assertThat(items(scope))
        .containsExactlyInAnyOrderEntriesOf(
            Map.of(
                "Plate lamp, filament", 1,
                "sealed sleeve 16 AWG", 2,
                "grommet for 8.0 mm", 1,
                "P-clip with screw", 2));
    assertThat(Materials.of(scope, UnitSystem.METRIC).tools())
        .contains("meter", "ratchet crimper")
        .doesNotContain("spanner for the studs", "trim lever and inspection lamp");
    assertThat(steps(scope).keySet())
        .containsExactly(
            "prepare.tag",
            "prepare.off",
            "holes.plate",
            "pull.lamps",
            "mount.plate",
            "join.splices",
            "test.continuity",
            "power.on",
            "test.bench",
            "close.covers");
    assertThat(steps(scope).get("join.splices").title()).isEqualTo("Join 2 branches");
    assertThat(steps(scope).get("join.splices").minutes()).isEqualTo(4);
    // Two conductors of 0.48 m: 5 min, and 2 min a metre, rounded up.
    assertThat(steps(scope).get("pull.lamps").minutes()).isEqualTo(7);
    assertThat(steps(scope).get("pull.lamps").detail()).startsWith("2 conductors, 0.96 m in all");
  }

  @Test
  void aNewCordTakesNoGrommetNoClipAndARingForEachOfItsCores() {
    Scope scope = scope(TWO_AXLES, Wish.REPLACE_CORD);
    Map<String, Integer> items = items(scope);
    assertThat(items.keySet()).noneMatch(what -> what.startsWith("grommet"));
    assertThat(items).doesNotContainKeys("P-clip with screw", "junction box, 7 studs");
    assertThat(rings(items)).isEqualTo(6);
    assertThat(items).containsEntry("earth screw with toothed washer", 1);
    Step land = steps(scope).get("box.land");
    assertThat(land.title()).isEqualTo("Land 6 rings on the studs");
    assertThat(land.minutes()).isEqualTo(18);
    assertThat(steps(scope)).containsKeys("earth.frame").doesNotContainKeys("holes.entry");
  }

  @Test
  void aConversionLandsTheOldLampLoomsOnTheNewBoxAndDrillsForNoOldLamp() {
    Scope scope = scope(TWO_AXLES, Wish.CONVERT);
    Map<String, Integer> items = items(scope);
    // Cord: six cores. Trailer: brake out and back, breakaway, charge… and the four old lamp runs.
    assertThat(rings(items)).isEqualTo(13);
    assertThat(steps(scope).get("box.land").title()).isEqualTo("Land 13 rings on the studs");
    assertThat(steps(scope).keySet())
        .contains("holes.box", "holes.entry")
        .noneMatch(id -> id.startsWith("holes.rear"));
    int grommets =
        items.entrySet().stream()
            .filter(item -> item.getKey().startsWith("grommet"))
            .mapToInt(Map.Entry::getValue)
            .sum();
    assertThat(grommets).as("cord in, loom out, into the bed").isEqualTo(3);
    assertThat(items.get("P-clip with screw"))
        .isPositive()
        .isLessThan(items(scope(TWO_AXLES, Wish.NEW_BUILD)).get("P-clip with screw"));
  }

  @Test
  void aBreakawayAddedTakesItsThreePartsAndOneRing() {
    Scope scope = scope(TWO_AXLES, Wish.ADD_BREAKAWAY);
    assertThat(items(scope))
        .containsKeys(
            "breakaway switch with cable",
            "breakaway battery in its box",
            "isolating diode with fuse");
    assertThat(rings(items(scope))).isEqualTo(1);
    assertThat(steps(scope).get("box.land").title()).isEqualTo("Land 1 ring on the studs");
    assertThat(steps(scope)).containsKey("mount.breakaway").doesNotContainKey("mount.box");
  }

  private static int rings(Map<String, Integer> items) {
    return items.entrySet().stream()
        .filter(item -> item.getKey().startsWith("ring "))
        .mapToInt(Map.Entry::getValue)
        .sum();
  }

  @Test
  void lampsThatReturnThroughTheFrameTakeAScrewEachAndTheBoxOne() {
    Scope built = newBuild(RigField.LAMP_RETURN, "FRAME");
    assertThat(items(built)).containsEntry("earth screw with toothed washer", 9 + 1);
    Rig one = wanting(built.rig(), "plate");
    assertThat(items(scope(one, Wish.ADD_LAMPS)))
        .containsEntry("earth screw with toothed washer", 1);
    assertThat(steps(scope(one, Wish.ADD_LAMPS))).containsKey("earth.frame");
  }

  /** 2.5 m of drawbar and rail inside a tube: nothing to clip; along it, a clip each 0.3 m. */
  @Test
  void clipsAreCountedAlongTheFrameAndNoneInsideItsTubes() {
    Loom along = loom("ALONG");
    double metres = 0;
    for (Loom.Stretch stretch : along.stretches()) {
      double dx = stretch.from().x() - stretch.to().x();
      double dy = stretch.from().y() - stretch.to().y();
      metres += Math.sqrt(dx * dx + dy * dy);
    }
    assertThat(along.clips()).isEqualTo((int) Math.ceil(metres / 0.3));
    assertThat(loom("INSIDE").clips()).isZero();
  }

  private static Loom loom(String style) {
    Scope scope = newBuild(RigField.ROUTE_STYLE, style);
    return Loom.of(scope.rig(), scope.harness());
  }

  /**
   * 16 AWG is 1.291 mm of copper, 1.484 mm stranded, 2.884 mm over its insulation. Two of them lie
   * in 5.769 mm, want 7.21 mm, and get 8 mm; four of one and two of another fill by their area.
   */
  @Test
  void aBundleAndItsHoleByHand() {
    WireSize thin =
        WireSize.GAUGES.stream().filter(w -> w.label().equals("16 AWG")).findFirst().orElseThrow();
    double outer = 1.15 * 1.29085e-3 + 1.4e-3;
    assertThat(Loom.outer(thin)).isCloseTo(outer, within(1e-7));
    Loom loom = loom("ALONG");
    Loom.Hole plate =
        loom.holes().stream().filter(h -> h.where().startsWith("Plate")).findFirst().orElseThrow();
    assertThat(plate.conductors()).isEqualTo(2);
    assertThat(plate.bundle()).isCloseTo(2 * outer, within(1e-7));
    assertThat(plate.drill()).isEqualTo(0.008);
    Loom.Hole entry =
        loom.holes().stream().filter(h -> h.where().startsWith("Entry")).findFirst().orElseThrow();
    assertThat(entry.conductors()).as("tail, left, right and their return").isEqualTo(4);
    assertThat(entry.bundle()).isCloseTo(outer * Math.sqrt(4 / 0.75), within(1e-7));
    assertThat(entry.drill()).isEqualTo(0.010);
    assertThat(loom.holes()).extracting(Loom.Hole::where).contains("Box, cord in");
  }

  @Test
  void aSingleConductorNeedsAHoleForItselfAlone() {
    Scope frame = newBuild(RigField.LAMP_RETURN, "FRAME");
    Loom.Hole plate =
        Loom.of(frame.rig(), frame.harness()).holes().stream()
            .filter(h -> h.where().startsWith("Plate"))
            .findFirst()
            .orElseThrow();
    assertThat(plate.conductors()).isEqualTo(1);
    assertThat(plate.bundle()).isCloseTo(1.15 * 1.29085e-3 + 1.4e-3, within(1e-7));
    assertThat(plate.drill()).isEqualTo(0.006);
  }

  /** Three reels of the same brown wire, one used up, one of another gauge. */
  @Test
  void piecesComeOffTheFirstReelThatHasEnoughAndTheRestIsBought() {
    Scope scope = scope(STALL, Wish.NEW_BUILD);
    CutList bare = CutList.of(scope, List.of());
    CutList.Line brown =
        bare.lines().stream()
            .filter(l -> l.colour().equals(Optional.of(WireColour.BROWN)))
            .findFirst()
            .orElseThrow();
    double longest = brown.pieces().get(0).length();
    double second = brown.pieces().get(1).length();
    assertThat(brown.pieces())
        .isSortedAccordingTo((a, b) -> Double.compare(b.length(), a.length()));
    List<CutList.Reel> reels = new ArrayList<>();
    reels.add(new CutList.Reel(1, "16 AWG", WireColour.BROWN, 0));
    reels.add(new CutList.Reel(2, "12 AWG", WireColour.BROWN, 100));
    reels.add(new CutList.Reel(3, "16 AWG", WireColour.BROWN, longest));
    reels.add(new CutList.Reel(4, "16 AWG", WireColour.BROWN, second + 0.01));
    CutList list = CutList.of(scope, reels);
    CutList.Line cut =
        list.lines().stream()
            .filter(l -> l.colour().equals(Optional.of(WireColour.BROWN)))
            .findFirst()
            .orElseThrow();
    assertThat(cut.cuts()).containsOnlyKeys(3L, 4L);
    assertThat(cut.cuts().get(3L)).isCloseTo(longest, within(1e-9));
    assertThat(cut.cuts().get(4L)).isCloseTo(second, within(1e-9));
    assertThat(cut.offcut()).isCloseTo(0.01, within(1e-9));
    assertThat(cut.buy()).isCloseTo(cut.metres() - longest - second, within(1e-9));
    assertThat(cut.remark()).as("the reels were long enough when they were whole").isEmpty();
    assertThat(list.cuts()).isEqualTo(cut.cuts());
  }

  @Test
  void stepsWaitForThePhaseBeforeThemAndForNoOther() {
    Map<String, Step> steps = steps(scope(TWO_AXLES, Wish.CONVERT));
    assertThat(steps.get("cab.signal").needs()).isEmpty();
    assertThat(steps.get("vehicle.source").needs()).isEmpty();
    assertThat(steps.get("prepare.off").needs()).containsExactly("cab.signal", "vehicle.source");
    assertThat(steps.get("holes.entry").needs())
        .containsExactly("prepare.tag", "prepare.off", "prepare.old-cord");
    assertThat(steps.get("box.land").needs()).containsExactly("earth.frame");
    assertThat(steps.get("join.magnets").needs()).containsExactly("mount.box", "mount.breakaway");
    // Two braked axles, four wheels, two leads each, 6 min a wheel's pair.
    assertThat(steps.get("join.magnets").minutes()).isEqualTo(24);
    assertThat(steps.get("test.continuity").minutes()).isEqualTo(14);
  }
}
