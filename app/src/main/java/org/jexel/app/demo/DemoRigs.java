package org.jexel.app.demo;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The six rigs of the valley. Everything here is made up. */
final class DemoRigs {
  /** Lamps by eye, magnets by ear, wheels by hand. */
  private static final List<String> EVERY_ROUND =
      List.of("look", "kind", "rear", "hums", "held", "turns", "wakes");

  private DemoRigs() {}

  static List<DemoRig> all() {
    return List.of(
        beehives(),
        planetarium(),
        alpacas().coupled("745", "950"),
        digger().coupled("760", "1000"),
        coffee(),
        sauna().coupled("740", "920"));
  }

  private static Map<String, String> start(
      String trailer,
      String tow,
      String customer,
      String wish,
      String kind,
      String axles,
      String brakes,
      String towConnector,
      String trailerConnector,
      String controller) {
    return Map.of(
        "trailer", trailer,
        "tow", tow,
        "customer", customer,
        "wish", wish,
        "kind", kind,
        "axles", axles,
        "brakes", brakes,
        "towConnector", towConnector,
        "trailerConnector", trailerConnector,
        "controller", controller);
  }

  private static Map<String, String> figures(String... pairs) {
    Map<String, String> figures = new LinkedHashMap<>();
    for (int i = 0; i < pairs.length; i += 2) {
      figures.put(pairs[i].contains(".") ? pairs[i] : pairs[i] + ".0", pairs[i + 1]);
    }
    return figures;
  }

  /** Rig station: plates read, being converted, gaps open. */
  private static DemoRig beehives() {
    return new DemoRig(
        start(
            "Beehive flatbed",
            "Green pick-up",
            "Honeyfield Apiary",
            "CONVERT",
            "FLATBED",
            "2",
            "ELECTRIC",
            "flat-4",
            "flat-4",
            "UNDER_DASH"),
        figures(
            "KERB_MASS",
            "2050",
            "TOW_PERMITTED_MASS",
            "2950",
            "TOW_RATING",
            "3200",
            "TONGUE_RATING",
            "320",
            "EMPTY_MASS",
            "690",
            "TRAILER_PERMITTED_MASS",
            "2800",
            "AXLE_RATING.0",
            "1400",
            "AXLE_RATING.1",
            "1400"),
        List.of(
            new DemoRig.Item("24 hives, front rows", 840, 2.55),
            new DemoRig.Item("24 hives, rear rows", 840, 4.35),
            new DemoRig.Item("Water and frames", 110, 2.0)),
        List.of(),
        List.of(),
        false,
        List.of("front-left", "front-right"),
        "exchanged:wire_cord_tail:wire_cord_right",
        List.of());
  }

  /** Bench: one magnet's worth of current is missing, so that it pulls to one side. */
  private static DemoRig planetarium() {
    return new DemoRig(
        start(
            "Travelling planetarium",
            "White van",
            "Starlight School Tours",
            "REPAIR",
            "BOX",
            "1",
            "ELECTRIC",
            "blade-7",
            "blade-7",
            "UNDER_DASH"),
        figures(
            "KERB_MASS",
            "2180",
            "TOW_PERMITTED_MASS",
            "3200",
            "TOW_RATING",
            "2500",
            "TONGUE_RATING",
            "150",
            "EMPTY_MASS",
            "610",
            "TRAILER_PERMITTED_MASS",
            "1400",
            "AXLE_RATING",
            "1500",
            "FEED_RUN",
            "6.4",
            "OVERALL_LENGTH",
            "4.6",
            "DRAWBAR_LENGTH",
            "1.25",
            "OVERALL_WIDTH",
            "1.9",
            "GAIN_GREATEST",
            "10",
            "GAIN_STEP",
            "0.5",
            "CONTROLLER_KIND",
            "UNDER_DASH",
            "JUNCTION_BOX",
            "YES",
            "BREAKAWAY_KIT",
            "OWN_BATTERY",
            "BREAKAWAY_MADE",
            "2",
            "BREAKAWAY_CAPACITY",
            "5"),
        List.of(
            new DemoRig.Item("Dome and blower", 310, 2.7),
            new DemoRig.Item("Projector case", 95, 2.2)),
        DemoRig.Read.all(
            """
            supply.battery 0.2, socket.tail -0.4, socket.charge 0.1, socket.left -0.3,
            socket.right 0.3, socket.reverse -0.2, brake.resistance 6.7"""),
        List.of(),
        false,
        List.of(),
        "open:magnet_axle1_left",
        List.of());
  }

  /** Road: the bracket is closing. */
  private static DemoRig alpacas() {
    return new DemoRig(
        start(
            "Alpaca float",
            "Blue estate",
            "Upper Meadow Alpacas",
            "NEW_CONTROLLER",
            "LIVESTOCK",
            "2",
            "ELECTRIC",
            "blade-7",
            "blade-7",
            "REMOTE_KNOB"),
        figures(
            "KERB_MASS",
            "2120",
            "TOW_PERMITTED_MASS",
            "2900",
            "TOW_RATING",
            "2800",
            "TONGUE_RATING",
            "350",
            "EMPTY_MASS",
            "980",
            "TRAILER_PERMITTED_MASS",
            "2600",
            "AXLE_RATING.0",
            "1350",
            "AXLE_RATING.1",
            "1350",
            "FEED_RUN",
            "5.9",
            "OVERALL_LENGTH",
            "5.4",
            "DRAWBAR_LENGTH",
            "1.35",
            "OVERALL_WIDTH",
            "2.1",
            "GAIN_GREATEST",
            "10",
            "GAIN_STEP",
            "0.5",
            "CONTROLLER_DROP",
            "0.32",
            "JUNCTION_BOX",
            "YES",
            "BREAKAWAY_KIT",
            "OWN_BATTERY",
            "BREAKAWAY_MADE",
            "1.5",
            "CHARGE_AMPS",
            "4",
            "BREAKAWAY_CAPACITY",
            "12",
            "MAGNET_OHMS",
            "3.2",
            "LAMP_TECHNOLOGY",
            "LED"),
        List.of(
            new DemoRig.Item("Six alpacas, front stall", 410, 2.75),
            new DemoRig.Item("Six alpacas, rear stall", 400, 4.2)),
        DemoRig.Read.all(
            """
            supply.battery 0.25, socket.tail 0.2, socket.charge -0.3, socket.left 0.4,
            socket.right -0.1, socket.reverse 0.2, loaded.tail 0.2, clamp.tail -0.35, loaded.left 0.15,
            loaded.right 0.2, loaded.return 0.25, brake.resistance 0.3, brake.volts 0.1,
            brake.amps -0.3, brake.unasked 0.5, charge.box -0.3, charge.battery 0.2,
            charge.diode -0.1, lamp.lamp_tail_rear_left -0.1,
            lamp.lamp_left_rear_left 0.25, lamp.lamp_tail_rear_right 0.15,
            lamp.lamp_right_rear_right 0.1, box.breakaway 0.2, breakaway.rest 0,
            breakaway.pulled 0.3, breakaway.amps -0.25, breakaway.after 0.1"""),
        List.of(
            new DemoRig.Made(5.0, "FIRM", 27.4),
            new DemoRig.Made(7.5, "LOCKED", 21.3),
            new DemoRig.Made(6.0, "FIRM", 23.8)),
        false,
        List.of(),
        "",
        EVERY_ROUND);
  }

  /** Bench under way: electric over hydraulic, three axles. */
  private static DemoRig digger() {
    return new DemoRig(
        start(
            "Digger trailer",
            "Grey truck",
            "Ridge Drainage",
            "ANNUAL",
            "PLANT",
            "3",
            "ELECTRIC_HYDRAULIC",
            "blade-7",
            "blade-7",
            "BUILT_IN"),
        figures(
            "KERB_MASS",
            "3100",
            "TOW_PERMITTED_MASS",
            "4500",
            "TOW_RATING",
            "5400",
            "TONGUE_RATING",
            "700",
            "EMPTY_MASS",
            "1120",
            "TRAILER_PERMITTED_MASS",
            "5200",
            "AXLE_RATING.0",
            "1800",
            "AXLE_RATING.1",
            "1800",
            "AXLE_RATING.2",
            "1800",
            "FEED_RUN",
            "7.2",
            "OVERALL_LENGTH",
            "7.4",
            "DRAWBAR_LENGTH",
            "1.5",
            "OVERALL_WIDTH",
            "2.2",
            "TOW_LENGTH",
            "5.8",
            "WHEELBASE",
            "3.6",
            "GAIN_GREATEST",
            "10",
            "GAIN_STEP",
            "0.5",
            "JUNCTION_BOX",
            "YES",
            "BREAKAWAY_KIT",
            "OWN_BATTERY",
            "BREAKAWAY_MADE",
            "3",
            "BREAKAWAY_CAPACITY",
            "12"),
        List.of(
            new DemoRig.Item("Small digger", 2650, 4.55), new DemoRig.Item("Buckets", 260, 2.6)),
        DemoRig.Read.all("supply.battery -0.2, socket.tail -0.2, socket.charge 0.3"),
        List.of(),
        false,
        List.of(),
        "pulled",
        List.of());
  }

  /** Bench: the lamps glow wrongly; the vehicle's socket is sound. */
  private static DemoRig coffee() {
    return new DemoRig(
        start(
            "Market coffee trailer",
            "Small red car",
            "Corner Cup",
            "REPAIR",
            "STALL",
            "1",
            "NONE",
            "flat-4",
            "flat-4",
            "NONE"),
        figures(
            "KERB_MASS",
            "1290",
            "TOW_PERMITTED_MASS",
            "1850",
            "TOW_RATING",
            "1200",
            "TONGUE_RATING",
            "90",
            "EMPTY_MASS",
            "560",
            "TRAILER_PERMITTED_MASS",
            "750",
            "AXLE_RATING",
            "800",
            "FEED_RUN",
            "4.6",
            "OVERALL_LENGTH",
            "3.6",
            "DRAWBAR_LENGTH",
            "1.1",
            "OVERALL_WIDTH",
            "1.8",
            "TOW_LENGTH",
            "4.1",
            "TOW_WIDTH",
            "1.75",
            "WHEELBASE",
            "2.5",
            "REAR_OVERHANG",
            "0.9",
            "EMPTY_BALANCE",
            "2.28",
            "AXLE_CENTRE",
            "2.5"),
        List.of(
            new DemoRig.Item("Machine and grinder", 70, 2.2), new DemoRig.Item("Water", 40, 2.7)),
        DemoRig.Read.all("supply.battery 0.1, socket.tail 0.3, socket.left 0.2"),
        List.of(),
        false,
        List.of(),
        "open:wire_earth_rear_left",
        List.of("look.tail", "look.left", "look.right", "told"));
  }

  /** Handover: everything holds. */
  private static DemoRig sauna() {
    return new DemoRig(
        start(
            "Mobile sauna",
            "Black off-roader",
            "Birch and Steam",
            "ANNUAL",
            "CABIN",
            "2",
            "ELECTRIC",
            "blade-7",
            "blade-7",
            "UNDER_DASH"),
        figures(
            "KERB_MASS",
            "2340",
            "TOW_PERMITTED_MASS",
            "3200",
            "TRAIN_MASS",
            "6200",
            "TOW_RATING",
            "3500",
            "TONGUE_RATING",
            "350",
            "EMPTY_MASS",
            "1480",
            "TRAILER_PERMITTED_MASS",
            "2700",
            "AXLE_RATING.0",
            "1400",
            "AXLE_RATING.1",
            "1400",
            "FEED_RUN",
            "5.8",
            "OVERALL_LENGTH",
            "5.8",
            "DRAWBAR_LENGTH",
            "1.4",
            "OVERALL_WIDTH",
            "2.2",
            "CONTROLLER_DROP",
            "0.3",
            "GAIN_GREATEST",
            "10",
            "GAIN_STEP",
            "0.5",
            "JUNCTION_BOX",
            "YES",
            "BREAKAWAY_KIT",
            "OWN_BATTERY",
            "BREAKAWAY_MADE",
            "4",
            "CHARGE_AMPS",
            "4",
            "BREAKAWAY_CAPACITY",
            "12",
            "MAGNET_OHMS",
            "3.25",
            "TYRE_WALL",
            "4.5",
            "TYRE_WALL.1",
            "4.5",
            "BODY_MATERIAL",
            "WOOD",
            "BRAKE_TYPE",
            "ELECTRIC"),
        List.of(
            new DemoRig.Item("Stove and stones", 240, 3.0), new DemoRig.Item("Firewood", 160, 2.3)),
        DemoRig.Read.all(
            """
            supply.battery -0.3, socket.tail 0.3, socket.charge 0.1, socket.left -0.2,
            socket.right 0.2, socket.reverse -0.5, loaded.tail -0.2, clamp.tail 0.15, loaded.left -0.1,
            loaded.right -0.15, loaded.return 0.3, brake.resistance -0.2,
            brake.volts -0.05, brake.amps 0.3, brake.unasked 0.5, charge.box 0.2,
            charge.battery -0.25, charge.diode 0.2, lamp.lamp_tail_rear_left -0.3,
            lamp.lamp_left_rear_left -0.2, lamp.lamp_tail_rear_right -0.15,
            lamp.lamp_right_rear_right -0.3, box.breakaway 0.1, breakaway.rest 0,
            breakaway.pulled -0.2, breakaway.amps 0.2, breakaway.after -0.1"""),
        List.of(
            new DemoRig.Made(5.0, "FIRM", 29.6),
            new DemoRig.Made(7.5, "LOCKED", 22.9),
            new DemoRig.Made(6.0, "VERGE", 24.4),
            new DemoRig.Made(6.0, "VERGE", 24.9)),
        true,
        List.of(),
        "",
        EVERY_ROUND);
  }
}
