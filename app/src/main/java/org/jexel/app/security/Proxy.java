package org.jexel.app.security;

import java.util.regex.Pattern;
import org.apache.catalina.valves.RemoteIpValve;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.web.embedded.tomcat.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/** Believes forwarded addresses and HTTPS from the one configured proxy, and from nobody else. */
@Component
class Proxy implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
  private final String address;

  Proxy(@Value("${jexel.proxy:}") String address) {
    this.address = address.strip();
  }

  @Override
  public void customize(TomcatServletWebServerFactory server) {
    if (!address.isEmpty()) {
      RemoteIpValve valve = new RemoteIpValve();
      valve.setInternalProxies(Pattern.quote(address));
      valve.setRemoteIpHeader("X-Forwarded-For");
      valve.setProtocolHeader("X-Forwarded-Proto");
      server.addEngineValves(valve);
    }
  }
}
