package org.jexel.core.connector;

/**
 * One contact of a connector.
 *
 * @param number the number moulded beside it
 * @param function its job
 * @param ratingAmps greatest continuous current, A
 * @param clock position on the vehicle socket's mating face as an hour, 0 for the middle, negative
 *     for connectors in line
 */
public record Pin(int number, PinFunction function, double ratingAmps, int clock) {
  public Pin {
    if (ratingAmps <= 0) {
      throw new IllegalArgumentException("pin " + number + ": rating must be above 0 A");
    }
    if (clock > 12) {
      throw new IllegalArgumentException("pin " + number + ": no clock position " + clock);
    }
  }

  Pin at(int newClock) {
    return new Pin(number, function, ratingAmps, newClock);
  }
}
