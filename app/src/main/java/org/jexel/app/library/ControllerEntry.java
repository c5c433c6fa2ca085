package org.jexel.app.library;

import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Transient;
import jakarta.persistence.Version;
import java.time.Instant;
import org.jexel.app.exchange.ControllerFile;
import org.jexel.app.security.Person;
import org.jexel.app.workshop.Words;
import org.jexel.app.workshop.Workshop;
import org.jexel.core.cab.ControllerModel;

/** A controller model in a workshop's library, with who changed it last. */
@Entity
public class ControllerEntry {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Workshop workshop;

  private String label;

  private String content;

  @Transient private ControllerModel model;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Person person;

  private Instant changedAt;

  @Version private int version;

  protected ControllerEntry() {}

  ControllerEntry(ControllerModel model, Person person, Instant at) {
    this.workshop = person.workshop();
    change(model, person, at);
  }

  final void change(ControllerModel model, Person by, Instant at) {
    this.label = model.label();
    this.content = ControllerFile.stored(model);
    this.model = model;
    this.person = by;
    this.changedAt = at;
  }

  /** What a file told, word for word, under a name that is free here. */
  void bring(String told, String name) {
    this.content = told;
    this.label = name;
  }

  String content() {
    return content;
  }

  public Long id() {
    return id;
  }

  public String label() {
    return label;
  }

  /**
   * @throws IllegalArgumentException if what is stored cannot be read
   */
  public ControllerModel model() {
    if (model == null) {
      model = ControllerFile.stored(content);
    }
    return model;
  }

  /** Whether this version can read what is stored. */
  public boolean readable() {
    return Words.known(this::model);
  }

  public Person person() {
    return person;
  }

  public Instant changedAt() {
    return changedAt;
  }

  public int version() {
    return version;
  }
}
