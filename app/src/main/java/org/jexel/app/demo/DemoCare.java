package org.jexel.app.demo;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jexel.core.care.CarePart;

/** Four years of the sauna's care; this year's is due. */
final class DemoCare {
  /** Place of the sauna among the demo's rigs. */
  private static final int SAUNA = 5;

  private DemoCare() {}

  /**
   * A part, cared for.
   *
   * @param months ago
   * @param typed as its form would post it, without the day
   */
  record Done(int months, CarePart part, Map<String, String> typed) {}

  static List<Done> of(int rig) {
    if (rig != SAUNA) {
      return List.of();
    }
    List<Done> done = new ArrayList<>();
    year(done, 37, "7.6 7.5 7.6 7.4", "4.8 4.7 4.8 4.8", "254.1 254.1 254.2 254.1");
    year(done, 25, "6.4 6.2 6.3 5.9", "4.2 4.1 4.2 4.0", "254.3 254.3 254.4 254.3");
    year(done, 13, "5.2 4.9 5.1 4.2", "3.6 3.4 3.6 3.2", "254.6 254.6 254.8 254.7");
    for (int months : new int[] {34, 30, 27, 22, 18, 14, 9, 5}) {
      done.add(new Done(months, CarePart.HUB_GREASE, wheels("shows in front", way(months))));
    }
    done.add(new Done(20, CarePart.BATTERY, one("12.8", way(20), "")));
    done.add(new Done(8, CarePart.BATTERY, one("12.7", way(8), "")));
    done.add(new Done(2, CarePart.BATTERY, one("12.45", way(2), "After a night of frost")));
    done.add(new Done(14, CarePart.INFLATION, each("4.4 4.45 4.4 4.3", way(14))));
    done.add(new Done(9, CarePart.INFLATION, each("4.35 4.4 4.4 4.2", way(9))));
    done.add(new Done(5, CarePart.INFLATION, each("4.4 4.35 4.4 4.15", way(5))));
    done.add(new Done(5, CarePart.PRESSURE, wheels("sound", way(5))));
    done.add(new Done(8, CarePart.LAMPS, one("in order", way(8), "")));
    done.add(new Done(8, CarePart.PLUG, one("to be watched", way(8), "Earth pin dull, brushed")));
    done.sort((a, b) -> b.months() - a.months());
    return List.copyOf(done);
  }

  /** What is done once a year, wheels off; their nuts once more after the first way. */
  private static void year(List<Done> done, int months, String tread, String shoes, String drums) {
    String way = way(months);
    done.add(new Done(months, CarePart.TREAD, each(tread, way)));
    done.add(new Done(months, CarePart.TYRE_AGE, each("1421 1421 1421 3022", way)));
    done.add(new Done(months, CarePart.BEARINGS, wheels("firm and quiet", way)));
    done.add(new Done(months, CarePart.MAGNETS, wheels("flat and free", way)));
    done.add(new Done(months, CarePart.SHOES, each(shoes, way)));
    done.add(new Done(months, CarePart.DRUMS, each(drums, way)));
    done.add(new Done(months, CarePart.ADJUSTMENT, wheels("a few notches", way)));
    done.add(new Done(months, CarePart.NUTS, each("100 100 100 100", way)));
    done.add(new Done(months, CarePart.COUPLER, one("in order", way, "")));
    done.add(new Done(months, CarePart.CORD, one("in order", way, "")));
    done.add(new Done(months - 1, CarePart.NUTS, each("105 105 105 105", way(months - 1))));
  }

  /** It goes to fairs, 390 km a month. */
  private static String way(int monthsAgo) {
    return String.valueOf(1840 + 390 * (37 - monthsAgo));
  }

  private static Map<String, String> wheels(String found, String way) {
    return typed(List.of(found, found, found, found), 1, way, "");
  }

  private static Map<String, String> each(String found, String way) {
    return typed(List.of(found.split(" ")), 1, way, "");
  }

  private static Map<String, String> one(String found, String way, String note) {
    return typed(List.of(found), 0, way, note);
  }

  private static Map<String, String> typed(List<String> found, int first, String way, String note) {
    Map<String, String> typed = new LinkedHashMap<>();
    for (int i = 0; i < found.size(); i++) {
      typed.put("place-" + (first + i), found.get(i));
    }
    typed.put("way", way + " km");
    typed.put("note", note);
    return typed;
  }
}
