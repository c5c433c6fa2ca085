package org.jexel.core.check;

import java.util.Optional;
import org.jexel.core.harness.Load;
import org.jexel.core.harness.Spot;

/**
 * What a check is, apart from all words: which reading, of which part.
 *
 * @param reading the kind of reading, with its state where one kind is taken in several
 * @param part the part of the rig
 * @param spot what that part belongs to; empty for what is no load
 */
public record CheckId(String reading, String part, Optional<Spot> spot) {
  public CheckId(String reading, String part) {
    this(reading, part, Optional.empty());
  }

  static CheckId of(String reading, Load load) {
    return new CheckId(reading, load.name(), Optional.of(load.spot()));
  }

  /** As programs, forms and stored rows know it. */
  public String text() {
    return reading + "." + part;
  }

  /** The same reading of another part. */
  CheckId with(String other) {
    return new CheckId(reading, other);
  }
}
