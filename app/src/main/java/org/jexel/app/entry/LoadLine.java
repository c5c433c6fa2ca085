package org.jexel.app.entry;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import org.jexel.app.job.Job;
import org.jexel.app.security.Person;
import org.jexel.core.rig.LoadItem;
import org.jspecify.annotations.Nullable;

/** A line of the load sheet. */
@Entity
@Table(name = "load_item")
public class LoadLine {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Job job;

  private String name;
  private double massKg;

  @Column(name = "volume_m3")
  private @Nullable Double volumeM3;

  private @Nullable Double densityKgm3;

  @Column(name = "x_m")
  private double xM;

  private boolean removed;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Person person;

  private Instant enteredAt;
  private String requestKey;

  @Version private int version;

  protected LoadLine() {}

  public LoadLine(
      Job job,
      LoadItem item,
      @Nullable Double volumeM3,
      @Nullable Double densityKgm3,
      Person person,
      Instant at,
      String requestKey) {
    this.job = job;
    this.name = item.name();
    this.massKg = item.mass();
    this.xM = item.x();
    this.volumeM3 = volumeM3;
    this.densityKgm3 = densityKgm3;
    this.person = person;
    this.enteredAt = at;
    this.requestKey = requestKey;
  }

  public Long id() {
    return id;
  }

  public Job job() {
    return job;
  }

  public @Nullable Double volume() {
    return volumeM3;
  }

  public @Nullable Double density() {
    return densityKgm3;
  }

  public Person person() {
    return person;
  }

  public Instant enteredAt() {
    return enteredAt;
  }

  public String name() {
    return name;
  }

  public LoadItem item() {
    return new LoadItem(name, massKg, xM);
  }

  public void remove() {
    removed = true;
  }
}
