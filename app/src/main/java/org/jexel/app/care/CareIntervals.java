package org.jexel.app.care;

import java.util.EnumMap;
import java.util.Map;
import org.jexel.app.workshop.Words;
import org.jexel.app.workshop.Workshop;
import org.jexel.core.care.CareInterval;
import org.jexel.core.care.CarePart;
import org.springframework.stereotype.Service;

/** After how long a workshop has parts looked at again, where it goes by its own figures. */
@Service
class CareIntervals {
  private final CareIntervalRepository rows;

  CareIntervals(CareIntervalRepository rows) {
    this.rows = rows;
  }

  Map<CarePart, CareInterval> of(Workshop workshop) {
    Map<CarePart, CareInterval> own = new EnumMap<>(CarePart.class);
    rows.findByKeyWorkshopId(workshop.id()).stream()
        .filter(row -> Words.known(row::part) && Words.known(row::interval))
        .forEach(row -> own.put(row.part(), row.interval()));
    return own;
  }

  /** From now on the workshop goes by these. */
  void keep(Workshop workshop, Map<CarePart, CareInterval> own) {
    own.forEach((part, interval) -> rows.save(new CareIntervalRow(workshop.id(), part, interval)));
  }
}
