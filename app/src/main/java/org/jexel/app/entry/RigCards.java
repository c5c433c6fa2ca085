package org.jexel.app.entry;

import static org.jexel.core.rig.RigField.*;

import java.util.List;
import org.jexel.core.job.Station;
import org.jexel.core.rig.RigField;

/** Which figures stand on which card of which station: a card is one look at one part. */
public enum RigCards {
  VEHICLE(
      Station.RIG,
      "vehicle",
      "Tow vehicle: plate and tape",
      KERB_MASS,
      TOW_PERMITTED_MASS,
      TRAIN_MASS,
      TOW_RATING,
      TONGUE_RATING,
      TOW_LENGTH,
      TOW_WIDTH,
      WHEELBASE,
      REAR_OVERHANG,
      SOLO_STOP),
  SUPPLY(
      Station.RIG,
      "supply",
      "Tow vehicle: battery and socket",
      BATTERY_PLACE,
      ENGINE_OFF_VOLTS,
      RUNNING_VOLTS,
      FEED_RUN,
      TOW_CONNECTOR,
      SECOND_TOW_CONNECTOR,
      TOW_CONVENTION,
      TOW_PREP,
      LAMPS_MONITORED,
      LAMP_FEED),
  TRAILER(
      Station.RIG,
      "trailer",
      "Trailer: plate and tape",
      TRAILER_KIND,
      EMPTY_MASS,
      TRAILER_PERMITTED_MASS,
      OVERALL_LENGTH,
      OVERALL_WIDTH,
      DRAWBAR_LENGTH,
      EMPTY_BALANCE,
      BODY_MATERIAL,
      FRAME_MATERIAL),
  AXLES(
      Station.RIG,
      "axles",
      "Axles, brakes and wheels",
      AXLE_COUNT,
      AXLE_CENTRE,
      AXLE_SPACING,
      AXLE_RATING,
      BRAKE_TYPE,
      AXLE_BRAKED,
      DRUM_DIAMETER,
      MAGNET_OHMS,
      TYRE_RADIUS,
      TYRE_WALL,
      TYRE_TABLE,
      STUD_COUNT,
      STUD_SIZE),
  CONNECTION(
      Station.RIG,
      "connection",
      "Plug, box and lamps",
      TRAILER_CONNECTOR,
      PLANNED_CONNECTOR,
      TRAILER_CONVENTION,
      JUNCTION_BOX,
      HOUSE_BATTERY,
      CHARGE_AMPS,
      LAMP_TECHNOLOGY,
      LAMPS_SUBMERGED,
      REAR_TAIL_WATTS,
      REAR_STOP_WATTS),
  SCALE(Station.RIG, "scale", "On the scale", WEIGHED_TONGUE, WEIGHED_AXLES),
  HARNESS(
      Station.HARNESS,
      "choices",
      "How it is to be wired",
      PLANNED_BOX,
      PLANNED_BREAKAWAY,
      JOINT_METHOD,
      LAMP_RETURN,
      BRAKE_FEED,
      ROUTE_STYLE,
      CORD_SLACK,
      BOX_X,
      BOX_Y,
      ENTRY_X,
      ENTRY_Y,
      MIDDLE_PIN),
  KIT(
      Station.BREAKAWAY,
      "kit",
      "Kit and battery",
      BREAKAWAY_KIT,
      BREAKAWAY_CAPACITY,
      BREAKAWAY_CHEMISTRY,
      BREAKAWAY_MADE,
      BREAKAWAY_COLD,
      BATTERY_INDOORS,
      KIT_WORK),
  LEADS(
      Station.BREAKAWAY,
      "wiring",
      "Wiring of the kit",
      LEAD_CHARGE,
      LEAD_PLUS,
      LEAD_MINUS,
      LEAD_SWITCH_IN,
      LEAD_SWITCH_OUT),
  CABLE(
      Station.BREAKAWAY,
      "cable",
      "Cable and chains",
      COUPLING,
      CABLE_LENGTH,
      CABLE_FIXING,
      FIXING_X,
      FIXING_Y,
      FIXING_Z,
      BREAKAWAY_X,
      BREAKAWAY_Y,
      SWITCH_Z,
      SWITCH_TURNED,
      JACK_X,
      JACK_Y,
      GREATEST_TURN,
      CHAINS,
      CHAIN_LENGTH,
      CHAINS_CROSSED,
      CHAIN_EYE_X,
      CHAIN_EYE_Y,
      CHAIN_EYE_Z,
      CHAIN_END_X,
      CHAIN_END_Y,
      CHAIN_END_Z),
  CONTROLLER(
      Station.CAB,
      "controller",
      "Controller",
      CONTROLLER_KIND,
      GAIN_LEAST,
      GAIN_GREATEST,
      GAIN_STEP,
      CONTROLLER_DROP,
      BREAKER_FITTED);

  private final Station station;
  private final String id;
  private final String title;
  private final List<RigField> fields;

  RigCards(Station station, String id, String title, RigField... fields) {
    this.station = station;
    this.id = id;
    this.title = title;
    this.fields = List.of(fields);
  }

  /** Where the card lies. */
  public Station station() {
    return station;
  }

  public String id() {
    return id;
  }

  public String title() {
    return title;
  }

  public List<RigField> fields() {
    return fields;
  }

  /** Id of the card that holds a field. */
  public static String cardOf(RigField field) {
    for (RigCards card : values()) {
      if (card.fields.contains(field)) {
        return card.id;
      }
    }
    throw new IllegalArgumentException(field + " is on no card");
  }

  public static RigCards of(String id) {
    for (RigCards card : values()) {
      if (card.id.equals(id)) {
        return card;
      }
    }
    throw new org.springframework.web.server.ResponseStatusException(
        org.springframework.http.HttpStatus.NOT_FOUND, "There is no card " + id);
  }
}
