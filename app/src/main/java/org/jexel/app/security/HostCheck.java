package org.jexel.app.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Answers under the configured address and this machine's own names alone: links in answers are
 * made from the name that a request gives.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class HostCheck extends OncePerRequestFilter {
  private final Set<String> names =
      new HashSet<>(List.of("127.0.0.1", "localhost", "[::1]", "::1", "0:0:0:0:0:0:0:1"));

  /**
   * @param address under which people reach this server, such as https://jexel.workshop.example;
   *     empty where they sit at this machine
   */
  HostCheck(@Value("${jexel.address:}") String address) {
    if (!address.isBlank()) {
      String host = URI.create(address.strip()).getHost();
      if (host == null) {
        throw new IllegalArgumentException("jexel.address is no address: " + address);
      }
      names.add(host.toLowerCase(Locale.ROOT));
    }
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String name = request.getServerName();
    if (name != null && names.contains(name.toLowerCase(Locale.ROOT))) {
      chain.doFilter(request, response);
    } else {
      response.setStatus(421);
      response.setContentType("text/plain;charset=UTF-8");
      response.getWriter().write("Jexel does not answer under this name. See JEXEL_ADDRESS.");
    }
  }
}
