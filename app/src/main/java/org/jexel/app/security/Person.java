package org.jexel.app.security;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Version;
import org.jexel.app.workshop.Workshop;
import org.jexel.core.quantity.UnitSystem;

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

  @Enumerated(EnumType.STRING)
  private Role role;

  @Enumerated(EnumType.STRING)
  private UnitSystem units;

  @Version private int version;

  protected Person() {}

  public Person(Workshop workshop, String signIn, String name, String passwordHash, Role role) {
    this.workshop = workshop;
    this.signIn = signIn;
    this.name = name;
    this.passwordHash = passwordHash;
    this.role = role;
    this.units = UnitSystem.METRIC;
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

  public Role role() {
    return role;
  }

  public UnitSystem units() {
    return units;
  }

  public void use(UnitSystem system) {
    this.units = system;
  }

  String passwordHash() {
    return passwordHash;
  }
}
