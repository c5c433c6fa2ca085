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
 * @param items the same act on several parts, each ticked by itself; empty for a single act
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
    List<String> needs,
    List<Item> items) {
  public Step {
    items = List.copyOf(items);
    tools = List.copyOf(tools);
    materials = List.copyOf(materials);
    needs = List.copyOf(needs);
  }

  /**
   * One part of an act that is done on several.
   *
   * @param id stays the same as long as the part asks for it
   */
  public record Item(String id, String words) {}

  /** What is ticked for it to be done. */
  public List<String> ticks() {
    return items.isEmpty() ? List.of(id) : items.stream().map(Item::id).toList();
  }

  /**
   * The order in which work on a harness holds together. What needs volts stands before the
   * batteries are opened or after they are joined, and nothing in between does.
   */
  public enum Phase {
    LIVE("While the battery is on"),
    PREPARE("Batteries off"),
    HOLES("Holes and grommets"),
    PULL("Pull"),
    MOUNT("Mount"),
    JOIN("Join"),
    EARTH("Earth"),
    BOX("Box"),
    CONNECTOR("Connector"),
    CAB("Cab"),
    MEASURE("Measure, still dead"),
    POWER("Batteries on"),
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
