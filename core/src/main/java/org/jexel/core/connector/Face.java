package org.jexel.core.connector;

import java.util.List;

/**
 * The contacts of a connector as one person sees them, in a frame of half-width 1, x to the right
 * and y down.
 *
 * @param view who looks at what
 * @param contacts every pin with its place
 */
public record Face(View view, List<Contact> contacts) {
  /** Ring of a round connector, as a share of its half-width. */
  private static final double RING = 0.66;

  /** The four ways to look at a pair. The plug's mating face is the socket's mirrored. */
  public enum View {
    SOCKET_FACE("Socket, mating face", "stand behind the vehicle, flap up", false),
    SOCKET_WIRING("Socket, wiring side", "look at the terminals from inside the bumper", true),
    PLUG_FACE("Plug, mating face", "hold the plug with its open end to you", true),
    PLUG_WIRING("Plug, wiring side", "look into the opened plug from the cord", false);

    private final String label;
    private final String stand;
    private final boolean mirrored;

    View(String label, String stand, boolean mirrored) {
      this.label = label;
      this.stand = stand;
      this.mirrored = mirrored;
    }

    public String label() {
      return label;
    }

    public String stand() {
      return stand;
    }

    /** Whether left and right are exchanged against the socket's mating face. */
    public boolean mirrored() {
      return mirrored;
    }
  }

  /**
   * @param pin the contact
   * @param x to the right, −1 to 1
   * @param y down, −1 to 1
   */
  public record Contact(Pin pin, double x, double y) {}

  public Face {
    contacts = List.copyOf(contacts);
  }

  public static Face of(Connector connector, View view) {
    List<Pin> pins = connector.pins();
    List<Contact> contacts =
        java.util.stream.IntStream.range(0, pins.size())
            .mapToObj(i -> contact(pins.get(i), i, pins.size()))
            .toList();
    Face face = new Face(View.SOCKET_FACE, contacts);
    return view.mirrored() ? face.mirror(view) : new Face(view, contacts);
  }

  private static Contact contact(Pin pin, int index, int count) {
    if (pin.clock() < 0) {
      double x = count == 1 ? 0 : -1 + 2.0 * (index + 0.5) / count;
      return new Contact(pin, x, 0);
    }
    if (pin.clock() == 0) {
      return new Contact(pin, 0, 0);
    }
    double angle = Math.toRadians(30.0 * pin.clock());
    return new Contact(pin, RING * Math.sin(angle), -RING * Math.cos(angle));
  }

  /** The same contacts seen from the other side. */
  public Face mirror(View as) {
    return new Face(
        as, contacts.stream().map(c -> new Contact(c.pin(), 0.0 - c.x(), c.y())).toList());
  }

  public boolean inLine() {
    return contacts.stream().allMatch(c -> c.pin().clock() < 0);
  }
}
