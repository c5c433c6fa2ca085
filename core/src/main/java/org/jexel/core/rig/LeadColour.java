package org.jexel.core.rig;

import java.util.Optional;
import org.jexel.core.connector.WireColour;

/** Colour of a kit's lead, as somebody saw it. */
public enum LeadColour implements Option {
  UNSEEN(null),
  BLACK(WireColour.BLACK),
  BLUE(WireColour.BLUE),
  BROWN(WireColour.BROWN),
  GREEN(WireColour.GREEN),
  GREY(WireColour.GREY),
  ORANGE(WireColour.ORANGE),
  PURPLE(WireColour.PURPLE),
  RED(WireColour.RED),
  WHITE(WireColour.WHITE),
  YELLOW(WireColour.YELLOW);

  private final Optional<WireColour> colour;

  LeadColour(@org.jspecify.annotations.Nullable WireColour colour) {
    this.colour = Optional.ofNullable(colour);
  }

  /** Empty while nobody looked. */
  public Optional<WireColour> colour() {
    return colour;
  }

  @Override
  public String label() {
    return colour.map(WireColour::label).orElse("not looked at");
  }
}
