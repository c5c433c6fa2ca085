package org.jexel.core.care;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.Set;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.BreakawayKit;
import org.jexel.core.rig.CouplingKind;
import org.jexel.core.rig.LoadSheet;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.TongueBand;
import org.jexel.core.rig.YesNo;

/**
 * What is looked at before each journey with one trailer, in one walk round it from the coupling;
 * made from what that trailer has.
 */
public record BeforeTow(List<Item> items) {
  /** What is looked at; its name is kept with what was seen. */
  public enum Part {
    COUPLER("Coupler"),
    CHAINS("Chains"),
    CABLE("Breakaway cable"),
    PLUG("Plug"),
    LAMPS("Lamps"),
    TYRES("Tyres"),
    NUTS("Wheel nuts"),
    LOAD("Load"),
    TONGUE("Tongue"),
    BRAKES("Brakes"),
    PULL("Breakaway"),
    JACK("Jack and chocks");

    private final String label;

    Part(String label) {
      this.label = label;
    }

    public String label() {
      return label;
    }
  }

  /**
   * @param look what must be so
   * @param seconds that it takes
   */
  public record Item(Part part, String look, int seconds) {}

  private static final double SECONDS_A_MINUTE = 60;

  public BeforeTow {
    items = List.copyOf(items);
  }

  /**
   * @param gain that holds for today's load; empty where none does
   */
  public static BeforeTow of(
      Rig rig, LoadSheet load, TongueBand band, OptionalDouble gain, UnitSystem units) {
    List<Item> items = new ArrayList<>();
    items.add(coupler(rig));
    if (rig.sheet().choice(RigField.CHAINS, YesNo.class) == YesNo.YES) {
      items.add(
          new Item(
              Part.CHAINS,
              "Both hooked on the vehicle, crossed under the coupling, no twist, clear of the road.",
              30));
    }
    boolean kit =
        rig.hasElectricBrakes()
            && rig.sheet().choice(RigField.BREAKAWAY_KIT, BreakawayKit.class) != BreakawayKit.NONE;
    if (kit) {
      items.add(
          new Item(
              Part.CABLE,
              "On its own eye of the vehicle, not on a chain, not on the ball, not round the jack.",
              20));
    }
    items.add(
        new Item(
            Part.PLUG,
            "In to its stop and latched, dry inside; the cord hangs clear of the road and turns freely.",
            20));
    items.add(lamps(rig));
    items.add(
        new Item(
            Part.TYRES,
            Phrase.of(
                "All %d and the spare: cold %s; no cut, no bulge, no cord.",
                2 * rig.axleCount(), TyrePressure.words(rig, units)),
            60 * 2 * rig.axleCount()));
    items.add(nuts(rig, units));
    items.add(
        new Item(
            Part.LOAD,
            Phrase.of(
                "Tied down, heaviest over the axles, as listed: %s in all. Doors and ramp shut.",
                Measure.MASS.text(load.mass(), units)),
            120));
    items.add(
        new Item(
            Part.TONGUE,
            Phrase.of(
                "Weighed or lifted: %s to %s for this load.",
                Measure.MASS.number(band.least() * load.mass(), units),
                Measure.MASS.text(band.greatest() * load.mass(), units)),
            120));
    if (rig.hasMagnets()) {
      items.add(brakes(rig, gain, units));
    }
    if (kit) {
      items.add(
          new Item(
              Part.PULL,
              "Wheels chocked, pin out: every brake hums and holds. Pin in again within a minute.",
              90));
    }
    items.add(new Item(Part.JACK, "Jack wheel up and pinned, chocks taken away.", 30));
    return new BeforeTow(items);
  }

  private static Item coupler(Rig rig) {
    String look =
        switch (rig.sheet().choice(RigField.COUPLING, CouplingKind.class)) {
          case BALL ->
              "Closed on the ball, its pin through. Lift with the jack: the vehicle comes up, the coupler stays.";
          case GOOSENECK ->
              "Closed on the ball and pinned; a gentle pull against the brakes holds.";
          case FIFTH_WHEEL ->
              "Jaws closed round the pin, lever in and pinned; a gentle pull against the brakes holds.";
        };
    return new Item(Part.COUPLER, look, 60);
  }

  private static Item lamps(Rig rig) {
    Set<String> roles = new LinkedHashSet<>();
    rig.fittedLamps().forEach(lamp -> roles.add(lamp.role().label().toLowerCase(Locale.ROOT)));
    return new Item(
        Part.LAMPS, "Each bright and alone when asked for: " + String.join(", ", roles) + ".", 60);
  }

  private static Item nuts(Rig rig, UnitSystem units) {
    List<String> torques =
        WheelNuts.of(rig).stream()
            .map(
                nuts ->
                    Phrase.of(
                        "%d on %s, %s to %s",
                        nuts.count(),
                        nuts.size().label(),
                        Measure.TORQUE.number(nuts.least(), units),
                        Measure.TORQUE.text(nuts.greatest(), units)))
            .toList();
    return new Item(
        Part.NUTS,
        "None loose, none missing: "
            + String.join("; ", torques)
            + ", or as the wheel maker says. New or off since: again after "
            + Measure.WAY.text(WheelNuts.AGAIN_AFTER_METRES, units)
            + ".",
        30 * 2 * rig.axleCount());
  }

  private static Item brakes(Rig rig, OptionalDouble gain, UnitSystem units) {
    int wheels = 2 * rig.brakedAxles().length;
    String set =
        gain.isPresent()
            ? "gain " + Measure.GAIN.number(gain.getAsDouble(), units) + " for this load."
            : "no gain holds for this load: set it first.";
    return new Item(
        Part.BRAKES,
        Phrase.of("Lever full: each of the %d hums. Rolling slowly, it slows; %s", wheels, set),
        20 * wheels + 30);
  }

  /** All of it, s. */
  int seconds() {
    return items.stream().mapToInt(Item::seconds).sum();
  }

  /** As in “12 parts, about 17 minutes”. */
  public String words() {
    return Phrase.of(
        "%d parts, about %d minutes", items.size(), Math.round(seconds() / SECONDS_A_MINUTE));
  }
}
