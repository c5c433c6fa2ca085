package org.jexel.app.security;

import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Version;
import java.time.Instant;
import org.jexel.app.workshop.Words;
import org.jexel.app.workshop.Workshop;
import org.jexel.core.quantity.UnitSystem;
import org.jspecify.annotations.Nullable;

/** Somebody who signs in. */
@Entity
public class Person {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Workshop workshop;

  private String signIn;
  private String name;
  private String passwordHash;

  private String role;
  private String units;

  private @Nullable Instant endedAt;
  private @Nullable Instant passwordAt;

  /** Somebody of another workshop, whose name came with a job's file. */
  private boolean elsewhere;

  @Version private int version;

  protected Person() {}

  public Person(Workshop workshop, String signIn, String name, String passwordHash, Role role) {
    this.workshop = workshop;
    this.signIn = signIn;
    this.name = name;
    this.passwordHash = passwordHash;
    this.role = role.name();
    this.units = UnitSystem.METRIC.name();
  }

  /** Somebody of another workshop, who did something on a job that came in a file. */
  static Person elsewhere(Workshop workshop, String signIn, String name, Instant at) {
    Person person = new Person(workshop, signIn, name, "", Role.VIEWER);
    person.elsewhere = true;
    person.endedAt = at;
    return person;
  }

  public Long id() {
    return id;
  }

  public Workshop workshop() {
    return workshop;
  }

  public String signIn() {
    return signIn;
  }

  public String name() {
    return name;
  }

  /** An unknown role may look and change nothing. */
  public Role role() {
    return Words.of(Role.class, role, Role.VIEWER);
  }

  public UnitSystem units() {
    return Words.of(UnitSystem.class, units, UnitSystem.METRIC);
  }

  public void use(UnitSystem system) {
    this.units = system.name();
  }

  /** Whether this person works here no more. */
  public boolean ended() {
    return endedAt != null;
  }

  public boolean isElsewhere() {
    return elsewhere;
  }

  void end(@Nullable Instant at) {
    this.endedAt = at;
  }

  void become(Role newRole) {
    this.role = newRole.name();
  }

  void password(String hash, Instant at) {
    this.passwordHash = hash;
    this.passwordAt = at;
  }

  String passwordHash() {
    return passwordHash;
  }
}
