package org.jexel.app.library;

import com.fasterxml.jackson.databind.JsonNode;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.jexel.app.exchange.ControllerFile;
import org.jexel.app.exchange.Unreadable;
import org.jexel.app.security.Person;
import org.jexel.core.cab.ControllerModel;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.server.ResponseStatusException;

/** The controller models of a workshop. */
@Service
public class ControllerLibrary {
  private static final int LONGEST_LABEL = 60;

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

  /** An entry as one of the open format. */
  public JsonNode told(ControllerEntry entry) {
    return ControllerFile.told(entry.content());
  }

  /**
   * The entry that says just this: one of the library, or a new one. Where the library has another
   * model of that name, both stand, and this one has a number behind its name.
   */
  @Transactional
  public ControllerEntry like(JsonNode told, Person person) {
    String content = ControllerFile.content(told);
    ControllerModel model = ControllerFile.stored(content);
    return all(person).stream()
        .filter(entry -> entry.content().equals(content))
        .findFirst()
        .orElseGet(
            () -> {
              ControllerEntry entry = new ControllerEntry(model, person, clock.instant());
              entry.bring(content, free(person, model.label()));
              return entries.saveAndFlush(entry);
            });
  }

  private String free(Person person, String label) {
    String free = label;
    for (int n = 2;
        entries.findByWorkshopIdAndLabel(person.workshop().id(), free).isPresent();
        n++) {
      String number = " (" + n + ")";
      free = label.substring(0, Math.min(label.length(), LONGEST_LABEL - number.length())) + number;
    }
    return free;
  }

  /**
   * Takes a file in: a model of a known name replaces the one that is here, others are added.
   *
   * @return how many
   * @throws Unreadable if any of it cannot stand; then nothing is taken
   */
  @Transactional(rollbackFor = Unreadable.class)
  public int take(Person person, String text) throws Unreadable {
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
