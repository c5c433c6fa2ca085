package org.jexel.core.rig;

/** What the trailer is for; it sets the outline and the first assumptions. */
public enum TrailerKind implements Option {
  FLATBED("Flatbed"),
  BOX("Box"),
  LIVESTOCK("Livestock float"),
  PLANT("Plant carrier"),
  STALL("Market stall"),
  CABIN("Living cabin"),
  SKELETON("Skeleton frame"),
  GOOSENECK("Gooseneck");

  private final String label;

  TrailerKind(String label) {
    this.label = label;
  }

  @Override
  public String label() {
    return label;
  }
}
