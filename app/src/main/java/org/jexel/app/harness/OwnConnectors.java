package org.jexel.app.harness;

import java.time.Clock;
import java.util.Optional;
import org.jexel.app.security.Person;
import org.jexel.core.connector.Connector;
import org.jexel.core.connector.PinList;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The workshop's own connector from a pin list. What cannot be read stays as it was given. */
@Service
class OwnConnectors {
  static final int LONGEST = 8000;

  private final OwnConnectorRepository own;
  private final Clock clock;

  OwnConnectors(OwnConnectorRepository own, Clock clock) {
    this.own = own;
    this.clock = clock;
  }

  /**
   * @param text the list as given
   * @param connector what it says; null if it cannot be read
   * @param problem why it cannot; null if it can
   */
  record Given(String text, @Nullable Connector connector, @Nullable String problem) {}

  @Transactional(readOnly = true)
  Given of(Person person) {
    Optional<String> text =
        own.findFirstByWorkshopIdOrderByIdDesc(person.workshop().id()).map(OwnConnector::pinList);
    return text.isEmpty() || text.get().isBlank() ? new Given("", null, null) : read(text.get());
  }

  private static Given read(String text) {
    if (text.length() > LONGEST) {
      return new Given(
          text, null, "A pin list has at most " + LONGEST + " letters; this one is longer.");
    }
    try {
      return new Given(text, PinList.parse(text, "utility"), null);
    } catch (PinList.Unreadable e) {
      return new Given(text, null, e.getMessage());
    }
  }

  /** Keeps a list as it was given; what cannot be read is said beside it. */
  @Transactional
  public void take(String text, Person person) {
    own.save(new OwnConnector(text, person, clock.instant()));
  }
}
