package org.jexel.core.care;

import java.util.stream.Collectors;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.CouplingKind;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;

/**
 * Why a part is cared for and how, in the order of the work.
 *
 * @param why what goes wrong without
 * @param how what is done, and what is recorded
 * @param tool what is taken along
 */
public record CareHow(String why, String how, String tool) {
  static CareHow of(CarePart part, Rig rig, UnitSystem units) {
    return switch (part) {
      case TYRE_AGE ->
          new CareHow(
              "Rubber ages standing still: a trailer’s tyre is old before it is worn.",
              "Read the last four figures of the code on each tyre’s wall, week and year.",
              "lamp, brush");
      case TREAD ->
          new CareHow(
              "Little tread carries no water away; wear on one edge tells of a bent axle or a wrong pressure.",
              "Measure each tyre where it is worn most, not on the bars.",
              "tread gauge");
      case PRESSURE ->
          new CareHow(
              "A crack lets water at the cords, and a bulge is where they have gone already.",
              "Walls on both sides and the tread all round: cuts, bulges, cracks, nails. A tyre that has one, or looks flat, is not sound.",
              "lamp, brush");
      case INFLATION -> pressure(rig, units);
      case NUTS -> nuts(rig, units);
      case RIMS ->
          new CareHow(
              "Axles set far apart scrub in every turn and crack rims at bolt holes and welds.",
              "Clean each rim, look along bolt holes and weld seams on both sides. A crack is out, never welded.",
              "brush, lamp");
      case HUB_GREASE ->
          new CareHow(
              "Dry bearings seize, and a wheel comes off.",
              "Wheel up and turning, by hand pump until fresh grease shows in front. A powered gun blows the rear seal, and the brake is greasy.",
              "hand grease pump, jack, stands");
      case BEARINGS ->
          new CareHow(
              "Worn bearings tilt the drum: the magnet wears on one edge, the wheel gets hot.",
              "Wheel off the ground, hands at top and bottom, then turn it and listen. Once a year out, washed, looked at, packed, new seal and new split pin.",
              "jack, stands, grease, seals, split pins");
      case ADJUSTMENT ->
          new CareHow(
              "Slack shoes take travel from the magnet’s lever: weak brakes, and sides that differ.",
              "Wheel up, turn it forwards and draw the adjuster up until it drags, then back until it turns freely; count what is left.",
              "jack, stands, brake spoon");
      case SHOES ->
          new CareHow(
              "Worn linings score the drum; greasy ones never grip again.",
              "Drum off, measure each lining at its thinnest. Grease or oil on one: new shoes on both wheels of that axle.",
              "slide gauge, jack, stands");
      case DRUMS ->
          new CareHow(
              "A drum that is worn wide or scored lets the shoes run out of travel.",
              Phrase.of(
                  "Measure across the worn face, twice, at right angles; the widest counts. Made as %s.",
                  Measure.WEAR.text(
                      rig.sheet().si(new FieldKey(RigField.DRUM_DIAMETER, rig.brakedAxles()[0])),
                      units)),
              "inside gauge, jack, stands");
      case MAGNETS ->
          new CareHow(
              "A magnet worn at an angle or stuck on its post pulls weakly or not at all.",
              "Look at its face for grooves and a worn mark, push it in and tilt it: it comes back by itself.",
              "jack, stands, brush");
      case FLUID ->
          new CareHow(
              "Old fluid has taken up water: it boils in a long descent and rusts the cylinders.",
              "Level in the actuator, colour of the fluid; change it by its maker’s book.",
              "fluid, hose, bottle");
      case COUPLER -> coupler(rig);
      case CHAINS ->
          new CareHow(
              "They hold the trailer when all else failed.",
              "Look at each link and at where they are fixed: worn by a tenth, bent, rusted or cracked is out.",
              "slide gauge");
      case SWITCH ->
          new CareHow(
              "Water and rust keep the pin in, or the contacts apart.",
              "Pin out and in again by hand, a drop of oil for the pin; cable without a broken strand. Brakes on for less than a minute.",
              "oil, chocks");
      case BATTERY ->
          new CareHow(
              "An old battery shows full volts and holds for a minute.",
              "At rest, a day off the charger or the vehicle: volts at its posts.",
              "meter");
      case LAMPS ->
          new CareHow(
              "Rust at an earth dims lamps before it puts them out.",
              "Each lamp alone, then together; lenses whole, no water inside, earth points bright.",
              "brush, grease for contacts");
      case CORD ->
          new CareHow(
              "It chafes at the drawbar, where it bends, and the first strand breaks unseen.",
              "Bend it all along with the lamps on. No cut, no flat place, held where it enters the frame.",
              "ties");
      case PLUG ->
          new CareHow(
              "Green pins add resistance where all of the current goes through.",
              "Pins bright, springs tight, wires firm behind them; a little contact grease, cap shut.",
              "contact brush, contact grease");
      case RAMP ->
          new CareHow(
              "A spring that lets go throws the ramp.",
              "Spring, cable and hinges without a crack, latches close by themselves. Stand beside it, never behind.",
              "grease, lamp");
      case DOORS ->
          new CareHow(
              "A door that opens on the road takes somebody along.",
              "Hinges, latches and locks close, hold and open again.",
              "oil");
    };
  }

  private static CareHow nuts(Rig rig, UnitSystem units) {
    String torques =
        WheelNuts.of(rig).stream()
            .map(nuts -> nuts.size().label() + " " + torque(nuts, units))
            .collect(Collectors.joining("; "));
    return new CareHow(
        "New rims and fresh paint settle: a nut that was tight at the door is loose after an hour.",
        "Crosswise, cold, threads dry, in two rounds: "
            + torques
            + ", or as the wheel maker says. Record what the wrench was set to, and again after "
            + Measure.WAY.text(WheelNuts.AGAIN_AFTER_METRES, units)
            + ".",
        "torque wrench");
  }

  private static CareHow pressure(Rig rig, UnitSystem units) {
    return new CareHow(
        "A soft tyre runs hot and bursts; most burst tyres were soft.",
        "Cold: in the shade, not driven for three hours. Record what the gauge shows, then fill each to "
            + TyrePressure.words(rig, units)
            + ". One that was short is recorded again: it has a leak until a second day shows the same.",
        "gauge, pump");
  }

  private static String torque(WheelNuts nuts, UnitSystem units) {
    return Phrase.of(
        "%s to %s",
        Measure.TORQUE.number(nuts.least(), units), Measure.TORQUE.text(nuts.greatest(), units));
  }

  private static CareHow coupler(Rig rig) {
    String how =
        switch (rig.sheet().choice(RigField.COUPLING, CouplingKind.class)) {
          case BALL, GOOSENECK ->
              "Closed on a clean ball, lift and let go: no knock. Latch, spring and the bolt through the drawbar whole and tight. Grease where its maker asks for it.";
          case FIFTH_WHEEL ->
              "Jaws close fully round the pin, no knock at a gentle pull; the pin not worn to a waist, the plate greased.";
        };
    return new CareHow("A worn coupler lets go of the ball over a hump.", how, "lamp, spanner");
  }
}
