package org.jexel.app.cab;

import java.util.Map;
import java.util.Optional;
import org.jexel.core.cab.ControllerLead;
import org.jexel.core.cab.ControllerLines;
import org.jexel.core.cab.ControllerModel;
import org.jexel.core.connector.WireColour;
import org.jspecify.annotations.Nullable;

/**
 * The colours of the controller's leads: its model's, else what somebody read on it.
 *
 * @param ofModel whether the library has them
 * @param typed one lead and its colour a line
 * @param problem why a line is none; null if all are
 * @param leads what is known of them
 */
record LeadsCard(
    boolean ofModel,
    String typed,
    @Nullable String problem,
    Map<ControllerLead, WireColour> leads) {

  static LeadsCard of(Optional<ControllerModel> model, Map<String, String> fields) {
    String typed = fields.getOrDefault("leads", "");
    Map<ControllerLead, WireColour> known = model.map(ControllerModel::leads).orElse(Map.of());
    if (!known.isEmpty()) {
      return new LeadsCard(true, typed, null, known);
    }
    try {
      return new LeadsCard(false, typed, null, ControllerLines.leads(typed));
    } catch (IllegalArgumentException e) {
      return new LeadsCard(false, typed, e.getMessage(), Map.of());
    }
  }
}
