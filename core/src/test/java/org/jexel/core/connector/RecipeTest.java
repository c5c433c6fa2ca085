package org.jexel.core.connector;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.jexel.core.Rigs;
import org.jexel.core.check.Check;
import org.jexel.core.check.CheckSheet;
import org.jexel.core.harness.Circuit;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.Nodes;
import org.jexel.core.harness.StudPlan;
import org.jexel.core.harness.WireSize;
import org.jexel.core.network.Network;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.network.RigState;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Provenance;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.Entry;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;
import org.junit.jupiter.api.Test;

/**
 * The recipe for a connector, followed to the letter: one file, and nothing else. The connector is
 * made up: five pins in a ring, numbered and placed as no other, with a tail pin of 4 A.
 */
class RecipeTest {
  private static final String FILE =
      """
      {
        "id": "made-up-5", "label": "5-way of this test", "convention": "blade", "accepts": [],
        "pins": [
          {"number": 3, "function": "EARTH", "ratingAmps": 18, "clock": 12},
          {"number": 1, "function": "BRAKE", "ratingAmps": 17, "clock": 2},
          {"number": 5, "function": "TAIL", "ratingAmps": 4, "clock": 5},
          {"number": 2, "function": "LEFT", "ratingAmps": 8, "clock": 7},
          {"number": 4, "function": "RIGHT", "ratingAmps": 8, "clock": 10}
        ]
      }
      """;

  private final Connector made = read();
  private final Rig rig = rig();
  private final Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);

  private static Connector read() {
    try {
      return new ObjectMapper().readValue(FILE, Connector.class);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private Rig rig() {
    List<Connector> all = new ArrayList<>(Rigs.CATALOG.connectors());
    all.add(made);
    ConnectorCatalog catalog = new ConnectorCatalog(all, Rigs.CATALOG.conventions());
    Map<FieldKey, Entry> entries = new HashMap<>();
    for (RigField half : List.of(RigField.TOW_CONNECTOR, RigField.TRAILER_CONNECTOR)) {
      entries.put(FieldKey.of(half), Entry.choice(made.id(), Provenance.MEASURED));
    }
    entries.put(FieldKey.of(RigField.BRAKE_TYPE), Entry.choice("ELECTRIC", Provenance.MEASURED));
    entries.put(FieldKey.of(RigField.AXLE_COUNT), Entry.number(1, Provenance.MEASURED));
    return Rigs.rig(new RigSheet(entries, catalog));
  }

  @Test
  void theRigTakesItAndItsFacesAreMirrors() {
    assertThat(rig.connector()).isEqualTo(made);
    List<Face.Contact> socket = Face.of(made, Face.View.SOCKET_FACE).contacts();
    List<Face.Contact> plug = Face.of(made, Face.View.PLUG_FACE).contacts();
    assertThat(socket).extracting(Face.Contact::pin).containsExactlyElementsOf(made.pins());
    for (int i = 0; i < socket.size(); i++) {
      assertThat(plug.get(i).pin()).isEqualTo(socket.get(i).pin());
      assertThat(plug.get(i).x()).isCloseTo(-socket.get(i).x(), within(1e-9));
      assertThat(plug.get(i).y()).isCloseTo(socket.get(i).y(), within(1e-9));
    }
  }

  @Test
  void everyPinIsWiredLandedAndJudgedByItsOwnRating() {
    for (Pin pin : made.pins()) {
      assertThat(harness.has(pin.function())).as(pin.function().label()).isTrue();
    }
    assertThat(StudPlan.of(rig, harness).studs()).hasSizeGreaterThanOrEqualTo(made.pins().size());
    Circuit tail =
        harness.circuits().stream()
            .filter(c -> c.function() == PinFunction.TAIL)
            .findFirst()
            .orElseThrow();
    assertThat(tail.verdict()).isEqualTo(Verdict.FAILS);
    assertThat(tail.reason()).contains("tail pin behind it carries 4 A");
  }

  @Test
  void eachLivePinHasItsCheckAndItsVolts() {
    List<Check> sheet = CheckSheet.of(rig, harness, OptionalDouble.empty());
    for (String pin : List.of("Socket pin 5, tail", "Socket pin 2, left", "Socket pin 4, right")) {
      assertThat(sheet).extracting(Check::title).contains(pin);
    }
    Network network = RigNetwork.of(rig, harness, RigState.of(StateWord.TAIL)).network();
    assertThat(network.solve().volts(Nodes.socket(PinFunction.TAIL), Harness.BATTERY_MINUS))
        .isBetween(11.5, 12.7);
  }
}
