package org.jexel.core.quantity;

import java.util.Map;

/** What has to be there by the way it was made. */
public final class Must {
  private Must() {}

  /**
   * The value under a key that the map was filled with.
   *
   * @throws IllegalStateException if it is not there: a mistake of the program, not of a person
   */
  public static <K, V> V have(Map<K, V> map, K key) {
    V value = map.get(key);
    if (value == null) {
      throw new IllegalStateException("nothing under " + key);
    }
    return value;
  }
}
