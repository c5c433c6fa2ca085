package org.jexel.core.harness;

import java.util.List;

/**
 * One physical act of the work.
 *
 * @param id stays the same as long as the rig asks for the act
 * @param phase its place in the order of work
 * @param title what to do
 * @param detail how, with this rig's figures
 * @param tools what to have at hand
 * @param materials what it uses up
 * @param minutes usual time
 * @param caution what can go wrong for people; empty if nothing
 * @param needs ids of the acts that come before it
 */
public record Step(
    String id,
    Phase phase,
    String title,
    String detail,
    List<String> tools,
    List<String> materials,
    double minutes,
    String caution,
    List<String> needs) {
  public Step {
    tools = List.copyOf(tools);
    materials = List.copyOf(materials);
    needs = List.copyOf(needs);
  }

  /** The order in which work on a harness holds together. */
  public enum Phase {
    PREPARE("Prepare"),
    HOLES("Holes and grommets"),
    PULL("Pull"),
    MOUNT("Mount"),
    JOIN("Join"),
    EARTH("Earth"),
    BOX("Box"),
    CONNECTOR("Connector"),
    CAB("Cab"),
    TEST("Test"),
    CLOSE("Close up");

    private final String label;

    Phase(String label) {
      this.label = label;
    }

    public String label() {
      return label;
    }
  }
}
