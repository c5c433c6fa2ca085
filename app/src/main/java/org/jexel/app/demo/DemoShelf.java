package org.jexel.app.demo;

import java.util.ArrayList;
import java.util.List;
import org.jexel.core.connector.WireColour;
import org.jexel.core.harness.CutList;

/** The valley workshop's shelf of wire: reels, some full and some nearly empty. */
final class DemoShelf {
  private DemoShelf() {}

  static List<CutList.Reel> reels() {
    List<CutList.Reel> reels = new ArrayList<>();
    for (WireColour colour :
        List.of(
            WireColour.WHITE,
            WireColour.BROWN,
            WireColour.YELLOW,
            WireColour.GREEN,
            WireColour.RED)) {
      add(reels, "16 AWG", colour, 1.4);
      add(reels, "16 AWG", colour, 30);
    }
    add(reels, "14 AWG", WireColour.BLUE, 12);
    add(reels, "12 AWG", WireColour.BLUE, 18);
    add(reels, "12 AWG", WireColour.WHITE, 15);
    add(reels, "12 AWG", WireColour.BLACK, 9.5);
    add(reels, "10 AWG", WireColour.BLACK, 25);
    add(reels, "10 AWG", WireColour.WHITE, 25);
    add(reels, "10 AWG", WireColour.BLUE, 7);
    add(reels, "8 AWG", WireColour.BLUE, 20);
    return reels;
  }

  private static void add(List<CutList.Reel> reels, String size, WireColour colour, double metres) {
    reels.add(new CutList.Reel(reels.size(), size, colour, metres));
  }
}
