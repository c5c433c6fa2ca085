package org.jexel.app.breakaway;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jexel.app.job.SumApi;
import org.jexel.app.security.Person;
import org.jexel.core.breakaway.BreakawayBattery;
import org.jexel.core.breakaway.CableFit;
import org.jexel.core.breakaway.CableWindow;
import org.jexel.core.breakaway.Coupling;
import org.jexel.core.breakaway.HoldingTime;
import org.jexel.core.breakaway.Point;
import org.jexel.core.quantity.Unit;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.BatteryChemistry;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The sums of a breakaway for programs: its cable and its battery, without a job. */
@RestController
@RequestMapping("/api/breakaway")
class BreakawayApi extends SumApi {
  private static final int MOST_CHAINS = 4;
  private static final double FARTHEST_M = 20;

  /** Metres from the ball's centre: x backwards, y to the right, z up. */
  record Place(@Nullable Double x, @Nullable Double y, @Nullable Double z) {
    private Point point(String name) {
      return new Point(-metres(x, name + ".x"), -metres(y, name + ".y"), metres(z, name + ".z"));
    }
  }

  /** A chain from eye to eye. */
  record Chain(@Nullable Place vehicle, @Nullable Place trailer, @Nullable Double lengthM) {}

  /**
   * Cable and chains.
   *
   * @param turnDeg greatest turn either way; 90 if it is left out
   * @param pitchDeg over crest and dip; 10 if it is left out
   * @param cableM eye to pin; left out while nobody has measured it
   */
  record Asked(
      @Nullable Place fixing,
      @io.swagger.v3.oas.annotations.media.Schema(name = "switch")
          @com.fasterxml.jackson.annotation.JsonProperty("switch")
          @Nullable Place pin,
      @Nullable List<Chain> chains,
      @Nullable Double turnDeg,
      @Nullable Double pitchDeg,
      @Nullable Double cableM) {}

  /**
   * The window, m.
   *
   * @param verdict holds, watch, fails, or not yet for a cable that nobody measured
   */
  record Window(double leastM, double greatestM, String verdict, String reason) {}

  @Operation(summary = "How long a breakaway cable may be, and how one of a length fits")
  @PostMapping("/cable-window")
  Window window(@RequestBody Asked asked, @Parameter(hidden = true) Person person) {
    Coupling coupling = coupling(asked);
    double cable = asked.cableM == null ? Double.NaN : within("cableM", asked.cableM, 0.05, 10);
    if (cable < coupling.straight()) {
      throw new IllegalArgumentException(
          String.format(
              Locale.ROOT,
              "cableM: shorter than straight from fixing to switch, %.3f",
              coupling.straight()));
    }
    CableWindow window = CableWindow.of(coupling);
    CableFit.Finding told =
        CableFit.chains(window).orElseGet(() -> CableFit.length(window, cable, person.units()));
    return new Window(window.least(), window.greatest(), verdict(told.verdict()), told.words());
  }

  private static Coupling coupling(Asked asked) {
    Point pin = given(asked.pin, "switch").point("switch");
    if (pin.x() >= 0) {
      throw new IllegalArgumentException("switch.x: it lies ahead of the ball; it is behind it");
    }
    List<Chain> chains = given(asked.chains, "chains");
    if (chains.isEmpty() || chains.size() > MOST_CHAINS) {
      throw new IllegalArgumentException("chains: one to " + MOST_CHAINS + " are expected");
    }
    return new Coupling(
        given(asked.fixing, "fixing").point("fixing"),
        pin,
        IntStream.range(0, chains.size()).mapToObj(i -> chain(chains.get(i), i)).toList(),
        Math.toRadians(within("turnDeg", Objects.requireNonNullElse(asked.turnDeg, 90.0), 1, 120)),
        Math.toRadians(
            within("pitchDeg", Objects.requireNonNullElse(asked.pitchDeg, 10.0), 0, 30)));
  }

  private static Coupling.Chain chain(@Nullable Chain chain, int i) {
    String name = "chains[" + i + "]";
    Chain there = given(chain, name);
    return new Coupling.Chain(
        given(there.vehicle, name + ".vehicle").point(name + ".vehicle"),
        given(there.trailer, name + ".trailer").point(name + ".trailer"),
        within(name + ".lengthM", given(there.lengthM, name + ".lengthM"), 0.05, 10));
  }

  /**
   * A battery and what hangs on it.
   *
   * @param years its age; 0 if it is left out
   * @param celsius that it has to hold in; 25 if it is left out
   * @param chemistry lead-acid or lithium-iron; lead-acid if it is left out
   */
  record Battery(
      @Nullable Double capacityAh,
      @Nullable Double amps,
      @Nullable Double years,
      @Nullable Double celsius,
      @Nullable String chemistry) {}

  record Holds(double minutes, String verdict) {}

  @Operation(summary = "How long a battery holds the brakes on; at least 15 minutes are asked for")
  @PostMapping("/holding-time")
  Holds holding(@RequestBody Battery asked) {
    double rated = BreakawayBattery.RATED_CELSIUS;
    BreakawayBattery battery =
        new BreakawayBattery(
            Unit.AMPERE_HOUR.toSi(
                within("capacityAh", given(asked.capacityAh, "capacityAh"), 0.5, 1000)),
            chemistry(asked.chemistry),
            Optional.empty(),
            within("years", Objects.requireNonNullElse(asked.years, 0.0), 0, 40),
            within("celsius", Objects.requireNonNullElse(asked.celsius, rated), -50, 60),
            true);
    HoldingTime time = battery.holding(within("amps", given(asked.amps, "amps"), 0.05, 200));
    return new Holds(time.seconds() / 60, verdict(time.verdict()));
  }

  private static BatteryChemistry chemistry(@Nullable String word) {
    return switch (Objects.requireNonNullElse(word, "lead-acid")) {
      case "lead-acid" -> BatteryChemistry.LEAD_ACID;
      case "lithium-iron" -> BatteryChemistry.LITHIUM_IRON;
      default -> throw new IllegalArgumentException("chemistry: lead-acid or lithium-iron");
    };
  }

  private static String verdict(Verdict verdict) {
    return verdict.label();
  }

  private static double metres(@Nullable Double value, String name) {
    return within(name, given(value, name), -FARTHEST_M, FARTHEST_M);
  }
}
