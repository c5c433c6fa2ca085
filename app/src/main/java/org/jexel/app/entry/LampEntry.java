package org.jexel.app.entry;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import java.time.Instant;
import org.jexel.app.job.RigPart;
import org.jexel.app.security.Person;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.LampRole;
import org.jexel.core.rig.LampTechnology;
import org.jexel.core.rig.Side;

/** What somebody said of one lamp. Append-only: the newest row of a slot stands. */
@Entity
public class LampEntry {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private RigPart part;

  private String slot;

  private String role;

  private String side;

  @Column(name = "x_m")
  private double xM;

  @Column(name = "y_m")
  private double yM;

  private boolean placed;

  private String technology;

  private String state;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Person person;

  private Instant enteredAt;

  protected LampEntry() {}

  public LampEntry(RigPart part, Lamp lamp, Person person, Instant at) {
    this.part = part;
    this.slot = lamp.slot();
    this.role = lamp.role().name();
    this.side = lamp.side().name();
    this.xM = lamp.x();
    this.yM = lamp.y();
    this.placed = lamp.placed();
    this.technology = lamp.technology().name();
    this.state = lamp.state().name();
    this.person = person;
    this.enteredAt = at;
  }

  public Long id() {
    return id;
  }

  public String slot() {
    return slot;
  }

  public Person person() {
    return person;
  }

  public Instant enteredAt() {
    return enteredAt;
  }

  /**
   * @throws IllegalArgumentException if the row holds a word that is none
   */
  public Lamp lamp() {
    return new Lamp(
        slot,
        LampRole.valueOf(role),
        Side.valueOf(side),
        xM,
        yM,
        LampTechnology.valueOf(technology),
        Lamp.State.valueOf(state),
        "entered by hand",
        placed);
  }
}
