package org.jexel.core.network;

/** A network that cannot be solved; the message names the part. */
public final class NetworkException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  public NetworkException(String message) {
    super(message);
  }
}
