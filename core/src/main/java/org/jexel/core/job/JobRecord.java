package org.jexel.core.job;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.jexel.core.cab.Fitting;
import org.jexel.core.connector.WireColour;
import org.jexel.core.harness.Crosswalk;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.Wish;
import org.jexel.core.road.Said;
import org.jexel.core.road.Setting;
import org.jexel.core.road.TestStop;
import org.jexel.core.road.VoltsByGain;
import org.jspecify.annotations.Nullable;

/**
 * Everything that is recorded of one job at one moment, and nothing that is computed. Equal records
 * stand equally, whoever looks at them and when.
 *
 * @param rig as entered; the rest of it assumed
 * @param wish what is wanted
 * @param alone whether somebody works without a helper
 * @param shop what the workshop decides for all of its jobs
 * @param day on which it is looked at, where the workshop is: batteries age, and proofs run out
 * @param readings every one, oldest first
 * @param repairs oldest first
 * @param ticks the steps that people say are done
 * @param colours of conductors, as somebody found them
 * @param found in the cab
 * @param stops those that no later one corrects, oldest first
 * @param said before wheels turn, oldest first
 * @param settings every settled gain, oldest first
 * @param volts by gain, as read at the connector
 * @param signed whether a report of just this was signed
 */
public record JobRecord(
    Rig rig,
    Wish wish,
    boolean alone,
    Shop shop,
    LocalDate day,
    List<Taken> readings,
    List<Mended> repairs,
    List<Ticked> ticks,
    Map<Crosswalk.Seen, WireColour> colours,
    Fitting.Found found,
    List<TestStop> stops,
    List<Said> said,
    List<Setting> settings,
    List<VoltsByGain.Reading> volts,
    boolean signed) {
  public JobRecord {
    readings = List.copyOf(readings);
    repairs = List.copyOf(repairs);
    ticks = List.copyOf(ticks);
    colours = Map.copyOf(colours);
    stops = List.copyOf(stops);
    said = List.copyOf(said);
    settings = List.copyOf(settings);
    volts = List.copyOf(volts);
  }

  /** Ids of the steps that people say are done. */
  Set<String> ticked() {
    return ticks.stream().map(Ticked::step).collect(Collectors.toSet());
  }

  /**
   * What of it was recorded up to a moment, looked at on that day. The rig, its steps, its colours
   * and what was found in the cab are those of now: they do not say when.
   */
  JobRecord asOf(Instant at, LocalDate then) {
    return new JobRecord(
        rig,
        wish,
        alone,
        shop,
        then,
        readings.stream().filter(reading -> !reading.at().isAfter(at)).toList(),
        repairs.stream().filter(repair -> !repair.at().isAfter(at)).toList(),
        ticks,
        colours,
        found,
        stops.stream().filter(stop -> !stop.at().isAfter(at)).toList(),
        said.stream().filter(word -> !word.at().isAfter(at)).toList(),
        settings.stream().filter(setting -> !setting.at().isAfter(at)).toList(),
        volts,
        signed);
  }

  /** A job of which nothing is recorded but what it starts from. */
  public static Builder of(Wish wish, boolean alone, Shop shop, LocalDate day) {
    return new Builder(wish, alone, shop, day);
  }

  /** Takes each station's part, one after the other; for one thread. */
  public static final class Builder {
    private final Wish wish;
    private final boolean alone;
    private final Shop shop;
    private final LocalDate day;
    private @Nullable Rig rig;
    private List<Taken> readings = List.of();
    private List<Mended> repairs = List.of();
    private List<Ticked> ticks = List.of();
    private Map<Crosswalk.Seen, WireColour> colours = Map.of();
    private Fitting.Found found = Fitting.Found.NOTHING;
    private List<TestStop> stops = List.of();
    private List<Said> said = List.of();
    private List<Setting> settings = List.of();
    private List<VoltsByGain.Reading> volts = List.of();
    private boolean signed;

    private Builder(Wish wish, boolean alone, Shop shop, LocalDate day) {
      this.wish = wish;
      this.alone = alone;
      this.shop = shop;
      this.day = day;
    }

    public Builder rig(Rig entered) {
      this.rig = entered;
      return this;
    }

    /** The rig so far, for a station whose part is read against it. */
    public Rig rig() {
      return Objects.requireNonNull(rig, "the rig is told first");
    }

    public Builder read(List<Taken> all, List<Mended> mended) {
      this.readings = all;
      this.repairs = mended;
      return this;
    }

    public Builder ticked(List<Ticked> steps) {
      this.ticks = steps;
      return this;
    }

    public Builder coloured(Map<Crosswalk.Seen, WireColour> seen) {
      this.colours = seen;
      return this;
    }

    public Builder found(Fitting.Found inTheCab) {
      this.found = inTheCab;
      return this;
    }

    public Builder driven(List<TestStop> all, List<Said> words, List<Setting> settled) {
      this.stops = all;
      this.said = words;
      this.settings = settled;
      return this;
    }

    public Builder measured(List<VoltsByGain.Reading> byGain) {
      this.volts = byGain;
      return this;
    }

    public Builder signed(boolean asItStands) {
      this.signed = asItStands;
      return this;
    }

    public JobRecord build() {
      return new JobRecord(
          rig(), wish, alone, shop, day, readings, repairs, ticks, colours, found, stops, said,
          settings, volts, signed);
    }
  }
}
