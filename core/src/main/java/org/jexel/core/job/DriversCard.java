package org.jexel.core.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jexel.core.quantity.CalendarDay;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.road.Profile;
import org.jexel.core.road.Setting;

/**
 * What whoever drives this rig takes along: what to set, when to have it set anew, what to do when
 * something goes wrong. It tells of no setting that does not hold.
 *
 * @param set what to set the controller to; empty where nothing electric brakes
 * @param parts everything else, in the order in which it is looked for
 */
public record DriversCard(List<String> set, List<Part> parts) {
  /**
   * @param title a few words
   * @param lines sentences
   */
  public record Part(String title, List<String> lines) {}

  static DriversCard of(Work work, UnitSystem units) {
    List<Part> parts = new ArrayList<>();
    boolean braked = work.record().rig().hasElectricBrakes();
    if (braked) {
      parts.add(
          new Part(
              "Have it set anew",
              List.of(
                  "When the load differs by more than a tenth, another vehicle draws it, or the ground is another.",
                  "When tyres, linings, magnets or wiring were worked on, and after half a year.")));
      parts.add(
          new Part(
              "A wheel locks",
              List.of(
                  "All of them: one mark of gain less, tried at walking pace first.",
                  "One alone, or it pulls to one side: leave the gain, drive slowly to the workshop.",
                  "The brakes have no anti-lock: on wet, loose or icy ground they lock sooner.")));
      parts.add(
          new Part(
              "A brake drags, a hub is hot or smells",
              List.of(
                  "Stop where it is safe. Do not touch the drum.",
                  "Pull the plug on level ground: if it rolls free, the vehicle’s side holds it on; if not, the breakaway or a brake does.",
                  "Do not drive on with smoke, or a hub that stays hot.")));
    }
    parts.add(
        new Part(
            "It sways",
            braked
                ? List.of(
                    "Foot off, wheel straight, the manual lever on gently. Never brake hard with the vehicle.",
                    "Stop, then more load in front of the axles, and slower.")
                : List.of(
                    "Foot off, wheel straight. Never brake hard and never drive faster.",
                    "Stop, then more load in front of the axles, and slower.")));
    if (braked) {
      parts.add(
          new Part(
              "The controller shows no trailer",
              List.of(
                  "Plug in to its stop and latched, pins clean and dry; then its fuse.",
                  "While it shows none, the trailer does not brake: do not drive.")));
      parts.add(new Part("Breakaway", breakaway(work, units)));
    }
    return new DriversCard(
        braked ? settings(work.road().gains(), units) : List.of(), List.copyOf(parts));
  }

  private static List<String> settings(SettledGains gains, UnitSystem units) {
    List<Profile> sound = gains.forTheDriver();
    if (sound.isEmpty()) {
      return List.of("No gain holds for it: have it set before it is towed.");
    }
    List<String> lines = new ArrayList<>();
    sound.forEach(profile -> lines.add(setting(profile, units)));
    lines.add("Any other load or ground: not set.");
    return lines;
  }

  private static String setting(Profile profile, UnitSystem units) {
    Setting setting = profile.setting();
    return Phrase.of(
        "Gain %s on %s with %s behind, %s, until %s.",
        Measure.GAIN.number(setting.gain(), units),
        setting.surface().label().toLowerCase(Locale.ROOT),
        Measure.MASS.text(setting.trailerMass(), units),
        setting.school().label().toLowerCase(Locale.ROOT),
        Measure.DATE.text(CalendarDay.si(profile.until()), units));
  }

  private static List<String> breakaway(Work work, UnitSystem units) {
    BreakawayWork breakaway = work.breakaway();
    if (breakaway.isMissing()) {
      return List.of("It has none: nothing brakes it if it comes off.");
    }
    List<String> lines = new ArrayList<>();
    lines.add(
        "Its cable on its own eye of the vehicle, never on a chain; never as a parking brake.");
    breakaway
        .load()
        .holding()
        .ifPresent(
            time ->
                lines.add(
                    Phrase.of(
                        "Pulled, it is computed to hold for %s: chock the wheels at once.",
                        Measure.MINUTES.text(time.seconds(), units))));
    lines.add("Afterwards pin in, battery charged, and have it looked at.");
    return lines;
  }
}
