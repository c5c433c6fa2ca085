package org.jexel.app.exchange;

import java.util.List;

/** What one room of the house adds to a job's file. */
public interface Sheets {
  /** Of a vehicle, a trailer or a controller, and not of the job. */
  String OF_PART = "part";

  /** Of a vehicle or a trailer over all of its jobs. */
  String OF_LIFE = "life";

  /**
   * The member of the file in which its lists stand; {@link #OF_PART} or {@link #OF_LIFE} for each
   * part's own.
   */
  String place();

  /** Its tables; a row may name rows of those before it. */
  List<Sheet> sheets();
}
