package org.jexel.app.rig;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import java.time.Instant;
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

  @Enumerated(EnumType.STRING)
  private LampRole role;

  @Enumerated(EnumType.STRING)
  private Side side;

  @Column(name = "x_m")
  private double xM;

  @Column(name = "y_m")
  private double yM;

  private boolean placed;

  @Enumerated(EnumType.STRING)
  private LampTechnology technology;

  @Enumerated(EnumType.STRING)
  private Lamp.State state;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Person person;

  private Instant enteredAt;

  protected LampEntry() {}

  public LampEntry(RigPart part, Lamp lamp, Person person, Instant at) {
    this.part = part;
    this.slot = lamp.slot();
    this.role = lamp.role();
    this.side = lamp.side();
    this.xM = lamp.x();
    this.yM = lamp.y();
    this.placed = lamp.placed();
    this.technology = lamp.technology();
    this.state = lamp.state();
    this.person = person;
    this.enteredAt = at;
  }

  public Lamp lamp() {
    return new Lamp(slot, role, side, xM, yM, technology, state, "entered by hand", placed);
  }
}
