package org.jexel.app.cab;

import java.util.Locale;
import org.jexel.core.cab.Fitting;

/** Cards of the station, and the topic of the core that each tells of. */
final class CabCards {
  static final String CONTROLLER = of(Fitting.Topic.CONTROLLER);

  private CabCards() {}

  /** Topics and their cards share their names. */
  static String of(Fitting.Topic topic) {
    return topic.name().toLowerCase(Locale.ROOT);
  }
}
