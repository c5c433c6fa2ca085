package org.jexel.core.quantity;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * An exact fraction of an inch, such as 1 3/8; a millimetre is 5/127 of one, exactly. Never rounded
 * until somebody asks for the nearest 64th.
 *
 * @param numerator any sign
 * @param denominator above zero, without a common divisor
 */
public record Fraction(long numerator, long denominator) implements Comparable<Fraction> {
  /** One inch, m. */
  public static final double INCH_M = 0.0254;

  private static final long FINEST = 64;
  private static final long LARGEST = 1_000_000;

  private static final Pattern WRITTEN =
      Pattern.compile(
          "\\s*(?:(\\d{1,4})(?:\\s+|-))?(\\d{1,4})\\s*/\\s*(\\d{1,4})\\s*(?:in|\")?\\s*");
  private static final Pattern DECIMAL =
      Pattern.compile("\\s*(\\d{1,4})(?:[.,](\\d{1,4}))?\\s*(in|\"|mm)?\\s*");
  private static final Fraction MILLIMETRE = new Fraction(5, 127);

  public Fraction {
    if (denominator == 0) {
      throw new IllegalArgumentException(
          numerator + "/0 is no fraction. Write it like 3/8 or 1 3/8.");
    }
    long sign = denominator < 0 ? -1 : 1;
    long common = gcd(Math.abs(numerator), Math.abs(denominator));
    numerator = sign * numerator / common;
    denominator = sign * denominator / common;
  }

  private static long gcd(long a, long b) {
    return b == 0 ? Math.max(1, a) : gcd(b, a % b);
  }

  public static Fraction of(long whole) {
    return new Fraction(whole, 1);
  }

  /**
   * Inches as a tape shows them, or a decimal number of inches or millimetres.
   *
   * @param units whose unit a bare number has; a fraction is always of an inch
   * @throws IllegalArgumentException with what would be understood
   */
  public static Fraction parse(String text, UnitSystem units) {
    Matcher written = WRITTEN.matcher(text);
    if (written.matches()) {
      long whole = written.group(1) == null ? 0 : Long.parseLong(written.group(1));
      Fraction part =
          new Fraction(Long.parseLong(written.group(2)), Long.parseLong(written.group(3)));
      if (!part.onTheTape()) {
        throw new IllegalArgumentException(
            "“%s”: a tape shows halves of halves, down to 1/64 in.".formatted(text.strip()));
      }
      return of(whole).plus(part);
    }
    Matcher decimal = DECIMAL.matcher(text);
    if (decimal.matches()) {
      String places = decimal.group(2) == null ? "" : decimal.group(2);
      long ten = (long) Math.pow(10, places.length());
      Fraction number =
          new Fraction(
              Long.parseLong(decimal.group(1)) * ten
                  + (places.isEmpty() ? 0 : Long.parseLong(places)),
              ten);
      String unit = decimal.group(3) == null ? "" : decimal.group(3);
      boolean metric = unit.isEmpty() ? units == UnitSystem.METRIC : unit.equals("mm");
      return metric ? number.times(MILLIMETRE) : number;
    }
    throw new IllegalArgumentException(
        "“%s” is not understood. Write 2 5/8 in, 2.625 in or 66.7 mm.".formatted(text.strip()));
  }

  private Fraction times(Fraction other) {
    return new Fraction(
        Math.multiplyExact(numerator, other.numerator),
        Math.multiplyExact(denominator, other.denominator));
  }

  /** The 64th nearest to a length in metres. */
  public static Fraction nearest(double metres) {
    long sixtyFourths = Math.round(metres / INCH_M * FINEST);
    if (Math.abs(sixtyFourths) > LARGEST * FINEST) {
      throw new IllegalArgumentException(metres + " m");
    }
    return new Fraction(sixtyFourths, FINEST);
  }

  public Fraction plus(Fraction other) {
    return new Fraction(
        Math.addExact(
            Math.multiplyExact(numerator, other.denominator),
            Math.multiplyExact(other.numerator, denominator)),
        Math.multiplyExact(denominator, other.denominator));
  }

  public Fraction minus(Fraction other) {
    return plus(new Fraction(-other.numerator, other.denominator));
  }

  public Fraction half() {
    return new Fraction(numerator, 2 * denominator);
  }

  public double metres() {
    return INCH_M * numerator / denominator;
  }

  /** Whether a tape shows it: down to a 64th. */
  public boolean onTheTape() {
    return FINEST % denominator == 0;
  }

  @Override
  public int compareTo(Fraction other) {
    return Long.signum(minus(other).numerator);
  }

  /** In a person's units: millimetres, or as on a tape, about which where it shows no such mark. */
  public String text(UnitSystem units) {
    if (units == UnitSystem.METRIC) {
      BigDecimal millimetres =
          new BigDecimal("25.4")
              .multiply(BigDecimal.valueOf(numerator))
              .divide(BigDecimal.valueOf(denominator), 1, RoundingMode.HALF_UP);
      return millimetres.toPlainString().replace('-', '−') + " mm";
    }
    return onTheTape() ? toString() : "about " + nearest(metres());
  }

  /** As on a tape: 2 5/8 in. */
  @Override
  public String toString() {
    long whole = numerator / denominator;
    long rest = Math.abs(numerator % denominator);
    String sign = numerator < 0 && whole == 0 ? "−" : "";
    if (rest == 0) {
      return whole + " in";
    }
    String part = rest + "/" + denominator + " in";
    return whole == 0 ? sign + part : whole + " " + part;
  }
}
