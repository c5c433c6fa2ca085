package org.jexel.core.connector;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Map;

/** All connectors and conventions that this installation knows, checked against each other. */
public final class ConnectorCatalog {
  private final Map<String, Connector> connectors = new LinkedHashMap<>();
  private final Map<String, Convention> conventions = new LinkedHashMap<>();

  /** Refuses an id that stands twice and a connector whose convention is unknown. */
  public ConnectorCatalog(Collection<Connector> connectors, Collection<Convention> conventions) {
    for (Convention convention : conventions) {
      if (this.conventions.put(convention.id(), convention) != null) {
        throw new IllegalArgumentException("convention " + convention.id() + " stands twice");
      }
    }
    for (Connector connector : connectors) {
      if (this.connectors.put(connector.id(), connector) != null) {
        throw new IllegalArgumentException("connector " + connector.id() + " stands twice");
      }
      if (!this.conventions.containsKey(connector.convention())) {
        throw new IllegalArgumentException(
            connector.id() + ": unknown convention " + connector.convention());
      }
    }
  }

  public Collection<Connector> connectors() {
    return connectors.values();
  }

  public Collection<Convention> conventions() {
    return conventions.values();
  }

  public Connector connector(String id) {
    return known(connectors, id, "connector");
  }

  public Convention convention(String id) {
    return known(conventions, id, "convention");
  }

  private static <T> T known(Map<String, T> map, String id, String what) {
    T found = map.get(id);
    if (found == null) {
      throw new IllegalArgumentException("unknown " + what + " " + id);
    }
    return found;
  }
}
