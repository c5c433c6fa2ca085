package org.jexel.app.job;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Embeddable;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.MapKeyColumn;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;
import org.hibernate.annotations.BatchSize;
import org.jexel.app.workshop.Words;
import org.jexel.core.job.Progress;
import org.jexel.core.job.Station;
import org.jexel.core.job.StationState;
import org.jspecify.annotations.Nullable;

/** How a job stood after the last act: what the board lists without working it out anew. */
@Embeddable
public class Standing {
  /** By name of the station: a word that this version does not know is no reason to stop. */
  @ElementCollection
  @CollectionTable(name = "job_station", joinColumns = @JoinColumn(name = "job_id"))
  @MapKeyColumn(name = "station")
  @Column(name = "state")
  @BatchSize(size = 100)
  private Map<String, String> states = new HashMap<>();

  private byte nextStation = 1;
  private String nextAct = "";
  private String stoodBy = "";
  private @Nullable LocalDate breakawayDue;

  protected Standing() {}

  /** How it stands by the rules of this build. */
  void judged(Progress progress, String build) {
    progress.states().forEach((station, state) -> states.put(station.name(), state.name()));
    this.nextStation = (byte) progress.next().station().number();
    this.nextAct = progress.next().text();
    this.breakawayDue = progress.breakawayDue().orElse(null);
    this.stoodBy = build;
  }

  /** Of every station. */
  public Map<Station, StationState> states() {
    Map<Station, StationState> map = new EnumMap<>(Station.class);
    for (Station station : Station.values()) {
      String word = states.getOrDefault(station.name(), "");
      map.put(station, Words.of(StationState.class, word, StationState.NOT_YET));
    }
    return map;
  }

  public String nextAct() {
    return nextAct;
  }

  public Station nextStation() {
    return Station.values()[Math.max(1, Math.min(Station.values().length, nextStation)) - 1];
  }

  /** By which build and on which day the stations were judged. */
  public String stoodBy() {
    return stoodBy;
  }

  /** When its pull test or its battery is due again, as far as anybody has recorded them. */
  public @Nullable LocalDate breakawayDue() {
    return breakawayDue;
  }
}
