package org.jexel.core.quantity;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * An exact fraction of an inch, such as 1 3/8. Never rounded until somebody asks for the nearest
 * 64th.
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
      Pattern.compile("\\s*(\\d{1,4})(?:[.,](\\d{1,4}))?\\s*(?:in|\")?\\s*");

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
   * @throws IllegalArgumentException with what would be understood
   */
  public static Fraction parse(String text) {
    Matcher written = WRITTEN.matcher(text);
    if (written.matches()) {
      long whole = written.group(1) == null ? 0 : Long.parseLong(written.group(1));
      Fraction part =
          new Fraction(Long.parseLong(written.group(2)), Long.parseLong(written.group(3)));
      return of(whole).plus(part);
    }
    Matcher decimal = DECIMAL.matcher(text);
    if (decimal.matches()) {
      String places = decimal.group(2) == null ? "" : decimal.group(2);
      long ten = (long) Math.pow(10, places.length());
      return new Fraction(
          Long.parseLong(decimal.group(1)) * ten + (places.isEmpty() ? 0 : Long.parseLong(places)),
          ten);
    }
    throw new IllegalArgumentException(
        "“%s” is not understood. Write inches like 2 5/8, 2-5/8 or 2.625.".formatted(text.strip()));
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
