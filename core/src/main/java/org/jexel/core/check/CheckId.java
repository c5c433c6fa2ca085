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
 * @param against what a word is held against, where it says “as listed”: said of a bulb of 8 W it
 *     says nothing of one of 5 W; empty where a figure is read, or a word that stands by itself
 */
public record CheckId(String reading, String part, Optional<Spot> spot, String against) {
  public CheckId(String reading, String part) {
    this(reading, part, Optional.empty(), "");
  }

  static CheckId of(String reading, Load load) {
    return new CheckId(reading, load.name(), Optional.of(load.spot()), "");
  }

  /** The same, held against what is listed. */
  CheckId against(String listed) {
    return new CheckId(reading, part, spot, listed);
  }

  /** As programs, forms and stored rows know it. */
  public String text() {
    return reading + "." + part + (against.isEmpty() ? "" : "." + against);
  }

  /** The same reading of another part. */
  CheckId with(String other) {
    return new CheckId(reading, other);
  }
}
