package org.jexel.core.rig;

/** Where looms run on the frame. */
public enum RouteStyle implements Option {
  ALONG("Along the frame, clipped"),
  INSIDE("Inside the tubes");

  private final String label;

  RouteStyle(String label) {
    this.label = label;
  }

  @Override
  public String label() {
    return label;
  }
}
