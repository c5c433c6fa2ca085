package org.jexel.core.road;

import java.util.List;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jexel.core.quantity.TheilSen;

/**
 * Volts at the connector over the marks of a controller, as somebody read them with the brakes
 * joined: a straight line by Theil and Sen, V = a + b·gain, and how far each reading lies off it.
 *
 * <p>b is the median of the slopes of all pairs of readings at two gains, a the median of V −
 * b·gain; up to 29 % of the readings may be anything without moving it. A reading is odd that lies
 * off by more than 0.4 V and by more than three times the median of all that lie off.
 *
 * @param readings by gain
 * @param offset a, V
 * @param slope b, V for one of the scale
 * @param residuals of each reading, V
 */
public record VoltsByGain(
    List<Reading> readings, double offset, double slope, List<Double> residuals) {
  /** Readings at so many gains make a line that one of them can be odd to. */
  public static final int ENOUGH = 3;

  private static final double FAR_V = 0.4;
  private static final double TIMES = 3;

  public VoltsByGain {
    readings = List.copyOf(readings);
    residuals = List.copyOf(residuals);
  }

  /**
   * @param gain on the scale
   * @param volts at the brake pin, trailer joined, lever full
   */
  public record Reading(double gain, double volts) {
    public Reading {
      if (!(gain >= 0) || !(volts >= 0) || Double.isInfinite(gain + volts)) {
        throw new IllegalArgumentException(volts + " V at gain " + gain);
      }
    }
  }

  /**
   * @throws IllegalArgumentException if they are of fewer gains than {@link #ENOUGH}
   */
  public static VoltsByGain of(List<Reading> read) {
    if (gains(read) < ENOUGH) {
      throw new IllegalArgumentException("readings at " + gains(read) + " gains make no line");
    }
    TheilSen line =
        TheilSen.of(
            read.stream().mapToDouble(Reading::gain).toArray(),
            read.stream().mapToDouble(Reading::volts).toArray());
    List<Double> off = read.stream().map(r -> r.volts - line.at(r.gain)).toList();
    return new VoltsByGain(read, line.offset(), line.slope(), off);
  }

  /** At how many gains something was read. */
  public static long gains(List<Reading> read) {
    return read.stream().mapToDouble(Reading::gain).distinct().count();
  }

  /** Whether a reading does not belong to the others. */
  public boolean odd(int reading) {
    double usual = TheilSen.median(residuals.stream().mapToDouble(Math::abs).toArray());
    double off = Math.abs(residuals.get(reading));
    return off > FAR_V && off > TIMES * usual;
  }

  /** The curve to keep: at each gain the mean of its readings that are not odd, never falling. */
  public List<Reading> curve() {
    TreeMap<Double, Double> means =
        IntStream.range(0, readings.size())
            .filter(i -> !odd(i))
            .mapToObj(readings::get)
            .collect(
                Collectors.groupingBy(
                    Reading::gain, TreeMap::new, Collectors.averagingDouble(Reading::volts)));
    double[] highest = {0};
    return means.entrySet().stream()
        .map(
            mean -> {
              highest[0] = Math.max(highest[0], mean.getValue());
              return new Reading(mean.getKey(), highest[0]);
            })
        .toList();
  }
}
