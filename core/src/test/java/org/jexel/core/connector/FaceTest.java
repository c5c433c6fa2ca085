package org.jexel.core.connector;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.jexel.core.Rigs;
import org.jexel.core.rig.RigField;
import org.junit.jupiter.api.Test;

class FaceTest {
  private static Face.Contact contact(Face face, PinFunction function) {
    return face.contacts().stream()
        .filter(c -> c.pin().function() == function)
        .findFirst()
        .orElseThrow();
  }

  @Property
  void mirrorOfMirrorIsTheFace(@ForAll Face.View view) {
    for (Connector connector : Rigs.CATALOG.connectors()) {
      Face face = Face.of(connector, view);
      assertThat(face.mirror(Face.View.PLUG_FACE).mirror(view)).isEqualTo(face);
    }
  }

  @Test
  void theBladeSocketLooksAsTheTradeKnowsIt() {
    Face socket = Face.of(Rigs.CATALOG.connector("blade-7"), Face.View.SOCKET_FACE);
    assertThat(contact(socket, PinFunction.CHARGE).x()).isPositive();
    assertThat(contact(socket, PinFunction.CHARGE).y()).isNegative();
    assertThat(contact(socket, PinFunction.RIGHT).x()).isCloseTo(-0.66, within(0.01));
    assertThat(contact(socket, PinFunction.REVERSE).x()).isZero();
    Face plug = Face.of(Rigs.CATALOG.connector("blade-7"), Face.View.PLUG_FACE);
    assertThat(contact(plug, PinFunction.CHARGE).x()).isNegative();
  }

  @Test
  void aPlugsWiringSideIsTheSocketsFace() {
    Connector blade = Rigs.CATALOG.connector("blade-7");
    assertThat(Face.of(blade, Face.View.PLUG_WIRING).contacts())
        .isEqualTo(Face.of(blade, Face.View.SOCKET_FACE).contacts());
    assertThat(Face.of(blade, Face.View.SOCKET_WIRING).contacts())
        .isEqualTo(Face.of(blade, Face.View.PLUG_FACE).contacts());
  }

  @Test
  void theMiddleOfARoundSixIsWhatTheLetterSays() {
    Connector round = Rigs.CATALOG.connector("round-6");
    assertThat(round.pin(PinFunction.CHARGE).orElseThrow().clock()).isZero();
    Connector other = round.withMiddle(PinFunction.BRAKE);
    assertThat(other.pin(PinFunction.BRAKE).orElseThrow().clock()).isZero();
    assertThat(other.pin(PinFunction.CHARGE).orElseThrow().clock()).isEqualTo(12);
    assertThat(other.withMiddle(PinFunction.CHARGE).pins()).isEqualTo(round.pins());
    Object[] read = {RigField.PLANNED_CONNECTOR, "round-6", RigField.MIDDLE_PIN, "BRAKE"};
    assertThat(Rigs.twoAxles(read).connector()).isEqualTo(other);
  }

  @Test
  void anOwnConnectorIsReadFromItsPinList() {
    Connector own = PinList.parse("# mine\n1 earth 30A 5\n2, S, 25, 7\n3 tail\n\n", "utility");
    assertThat(own.pins()).hasSize(3);
    assertThat(own.pin(PinFunction.BRAKE).orElseThrow().ratingAmps()).isEqualTo(25);
    assertThat(own.pin(PinFunction.TAIL).orElseThrow().clock()).isEqualTo(-1);
  }

  @Test
  void aPinListThatCannotBeIsRefusedWithItsLine() {
    assertThatThrownBy(() -> PinList.parse("1 earth\n1 tail", "utility"))
        .hasMessage("Line 2: pin 1 stands twice.");
    assertThatThrownBy(() -> PinList.parse("1 earth\n2 fog", "utility"))
        .hasMessageStartingWith("Line 2: “fog” is no function.");
    assertThatThrownBy(() -> PinList.parse("1 earth\n2 tail\n3 tail", "utility"))
        .hasMessage("Line 3: tail stands on line 2 already.");
    assertThatThrownBy(() -> PinList.parse("1 earth\n" + "#\n".repeat(1_000_000), "utility"))
        .hasMessageContaining("Line 65");
    assertThatThrownBy(() -> PinList.parse("1 tail", "utility")).hasMessageContaining("No earth");
    assertThatThrownBy(() -> PinList.parse("x earth", "utility")).hasMessageContaining("Line 1");
    assertThatThrownBy(() -> PinList.parse("1 earth 5000", "utility"))
        .hasMessageContaining("no rating");
    assertThatThrownBy(() -> PinList.parse("", "utility")).hasMessageContaining("No pin yet");
  }
}
