package org.jexel.app.library;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.jexel.app.exchange.ControllerFile;
import org.jexel.app.security.Person;
import org.jexel.core.cab.ControllerModel;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.server.ResponseStatusException;

/** The controller models of a workshop. */
@Service
public class ControllerLibrary {
  private final ControllerEntryRepository entries;
  private final Clock clock;

  ControllerLibrary(ControllerEntryRepository entries, Clock clock) {
    this.entries = entries;
    this.clock = clock;
  }

  @Transactional(readOnly = true)
  public List<ControllerEntry> all(Person person) {
    return entries.findByWorkshopIdOrderByLabel(person.workshop().id());
  }

  /** The entry of this number, or 404. */
  @Transactional(readOnly = true)
  public ControllerEntry entry(Person person, long id) {
    return entries
        .findByWorkshopIdAndId(person.workshop().id(), id)
        .orElseThrow(
            () -> new ResponseStatusException(HttpStatus.NOT_FOUND, "There is no such controller"));
  }

  /**
   * Keeps a model, as a new entry or in the place of one.
   *
   * @param id of the entry that it replaces; 0 for a new one
   * @param seen the entry's version when the form was opened
   * @return why it was not kept; empty if it was
   */
  @Transactional
  public Optional<String> keep(Person person, long id, int seen, ControllerModel model) {
    Optional<ControllerEntry> same =
        entries.findByWorkshopIdAndLabel(person.workshop().id(), model.label());
    if (same.isPresent() && same.get().id() != id) {
      return Optional.of("There is a model of this name already.");
    }
    if (id == 0) {
      entries.saveAndFlush(new ControllerEntry(model, person, clock.instant()));
      return Optional.empty();
    }
    ControllerEntry entry = entry(person, id);
    if (entry.version() != seen) {
      return Optional.of(
          entry.person().name() + " changed this model while you had it open. Open it anew.");
    }
    entry.change(model, person, clock.instant());
    entries.flush();
    return Optional.empty();
  }

  /**
   * Takes a file in: a model of a known name replaces the one that is here, others are added.
   *
   * @return how many
   * @throws ControllerFile.Unreadable if any of it cannot stand; then nothing is taken
   */
  @Transactional(rollbackFor = ControllerFile.Unreadable.class)
  public int take(Person person, String text) throws ControllerFile.Unreadable {
    List<ControllerModel> models = ControllerFile.read(text);
    for (ControllerModel model : models) {
      entries
          .findByWorkshopIdAndLabel(person.workshop().id(), model.label())
          .ifPresentOrElse(
              entry -> entry.change(model, person, clock.instant()),
              () -> entries.save(new ControllerEntry(model, person, clock.instant())));
    }
    entries.flush();
    return models.size();
  }
}
