package org.jexel.core.rig;

/** What a body or frame is made of. */
public enum Material implements Option {
  STEEL("Steel"),
  GALVANISED("Galvanised steel"),
  ALUMINIUM("Aluminium"),
  WOOD("Wood on steel"),
  MIXED("Mixed");

  private final String label;

  Material(String label) {
    this.label = label;
  }

  @Override
  public String label() {
    return label;
  }
}
