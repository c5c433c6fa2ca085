package org.jexel.app.harness;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import java.time.Instant;
import org.jexel.app.job.Job;
import org.jexel.app.security.Person;

/** A part that was moved on the plan drawing. */
@Entity
public class PlanMove {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Job job;

  private String part;

  @Column(name = "from_x_m")
  private double fromX;

  @Column(name = "from_y_m")
  private double fromY;

  @Column(name = "to_x_m")
  private double toX;

  @Column(name = "to_y_m")
  private double toY;

  private boolean undone;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Person person;

  private Instant movedAt;

  protected PlanMove() {}

  PlanMove(Job job, String part, double[] from, double[] to, Person person, Instant at) {
    this.job = job;
    this.part = part;
    this.fromX = from[0];
    this.fromY = from[1];
    this.toX = to[0];
    this.toY = to[1];
    this.person = person;
    this.movedAt = at;
  }

  String part() {
    return part;
  }

  double fromX() {
    return fromX;
  }

  double fromY() {
    return fromY;
  }

  void undo() {
    undone = true;
  }
}
