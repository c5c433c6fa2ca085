package org.jexel.app.harness;

import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Version;
import org.jexel.app.workshop.Words;
import org.jexel.app.workshop.Workshop;
import org.jexel.core.connector.WireColour;
import org.jexel.core.harness.CutList;

/** A reel on the workshop's shelf. */
@Entity
public class Reel {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Workshop workshop;

  private String size;

  private String colour;

  private double metres;

  @Version private int version;

  protected Reel() {}

  Reel(Workshop workshop, String size, WireColour colour, double metres) {
    this.workshop = workshop;
    this.size = size;
    this.colour = colour.name();
    this.metres = metres;
  }

  Long id() {
    return id;
  }

  String size() {
    return size;
  }

  String colour() {
    return colour;
  }

  double metres() {
    return metres;
  }

  /** Whether this version still knows its size and colour. */
  boolean readable() {
    return Words.known(this::asCut);
  }

  CutList.Reel asCut() {
    return new CutList.Reel(id, size, WireColour.valueOf(colour), metres);
  }

  /** Takes off, or puts back what is negative. */
  void take(double taken) {
    metres -= taken;
  }
}
