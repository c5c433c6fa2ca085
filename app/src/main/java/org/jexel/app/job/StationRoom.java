package org.jexel.app.job;

import java.util.List;
import org.jexel.app.drawing.Canvas;
import org.jexel.app.exchange.Sheet;
import org.jexel.app.exchange.Sheets;
import org.jexel.core.job.Aim;
import org.jexel.core.job.Station;

/**
 * What a station is to the job: the rows that it keeps, the layer that it paints on the Towline,
 * and the card on which an act is done. {@code job} knows stations by this alone.
 */
public interface StationRoom extends Sheets {
  Station station();

  @Override
  default String place() {
    return station().path();
  }

  /** Its tables as they go into a job's file; none where it keeps none of its own. */
  @Override
  default List<Sheet> sheets() {
    return List.of();
  }

  /** The station's stored rows of a job, read anew. */
  default StationRows rows(Job job) {
    return StationRows.NONE;
  }

  /** Id of the card on which an act of this station is done. */
  String card(Aim aim);

  /** Id of the field that an act asks for; empty where the card says by itself. */
  default String field(Aim aim) {
    return "";
  }

  /** Paints the station's layer. */
  void paint(JobFile file, Looked looked, Canvas canvas);
}
