package org.jexel.app.job;

import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.jexel.core.job.NextAct;
import org.jexel.core.job.Station;
import org.jexel.core.quantity.Must;
import org.springframework.stereotype.Component;

/** The seven stations, each by what it is to the job. */
@Component
class Rooms {
  private final Map<Station, StationRoom> rooms = new EnumMap<>(Station.class);

  /**
   * @throws IllegalStateException if a station is missing or stands twice
   */
  Rooms(List<StationRoom> all) {
    for (StationRoom room : all) {
      if (rooms.put(room.station(), room) != null) {
        throw new IllegalStateException("two rooms for " + room.station());
      }
    }
    if (rooms.size() < Station.values().length) {
      throw new IllegalStateException("rooms for " + rooms.keySet() + " alone");
    }
  }

  StationRoom of(Station station) {
    return Must.have(rooms, station);
  }

  /** The stored rows of a job. */
  Rows rows(Job job) {
    return new Rows(rows(job, rooms.keySet()));
  }

  /** The stored rows of some stations. */
  Map<Station, StationRows> rows(Job job, Collection<Station> stations) {
    Map<Station, StationRows> rows = new EnumMap<>(Station.class);
    stations.forEach(station -> rows.put(station, of(station).rows(job)));
    return rows;
  }

  /** An act with the card on which it is done. */
  NextCard card(NextAct act) {
    StationRoom room = of(act.station());
    return new NextCard(
        act.station(), room.card(act.aim()), room.field(act.aim()), act.text(), act.waitsFor());
  }
}
