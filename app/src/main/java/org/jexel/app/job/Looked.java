package org.jexel.app.job;

import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What somebody looks at, for the Towline.
 *
 * @param card the open card, or the check that is taken
 * @param suspected whether to draw what the readings make most likely, not the rig as wired
 * @param shown what the card's own picture stands at, in the words of its station; null for nothing
 */
public record Looked(String card, boolean suspected, @Nullable Object shown) {
  /** At a card, on the rig as wired. */
  public static Looked at(String card) {
    return new Looked(card, false, null);
  }

  /** At a card whose picture stands at something. */
  public static Looked at(String card, Object shown) {
    return new Looked(card, false, shown);
  }

  /** What is shown, where it is of this kind. */
  public <T> Optional<T> shown(Class<T> kind) {
    return kind.isInstance(shown) ? Optional.of(kind.cast(shown)) : Optional.empty();
  }
}
