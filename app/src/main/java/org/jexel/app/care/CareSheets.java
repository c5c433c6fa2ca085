package org.jexel.app.care;

import java.util.List;
import org.jexel.app.exchange.Sheet;
import org.jexel.app.exchange.Sheets;
import org.springframework.stereotype.Component;

/** A trailer's care goes wherever the trailer goes. */
@Component
class CareSheets implements Sheets {
  @Override
  public String place() {
    return OF_LIFE;
  }

  @Override
  public List<Sheet> sheets() {
    return List.of(
        Sheet.of("care", "care_act", "trailer_id")
            .named()
            .naming("corrects_id", "care_act")
            .with(Sheet.of("found", "care_found", "act_id").by("place")));
  }
}
