package org.jexel.app.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.http.HttpHeaders;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Signs a request in by its bearer token, while that works. */
@Component
class ApiTokenFilter extends OncePerRequestFilter {
  private static final String BEARER = "Bearer ";

  private final ApiTokenRepository tokens;
  private final Clock clock;

  ApiTokenFilter(ApiTokenRepository tokens, Clock clock) {
    this.tokens = tokens;
    this.clock = clock;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String header = request.getHeader(HttpHeaders.AUTHORIZATION);
    if (header != null && header.startsWith(BEARER)) {
      Instant now = clock.instant();
      tokens
          .findByTokenHash(ApiToken.hash(header.substring(BEARER.length()).strip()))
          .filter(token -> token.works(now))
          .ifPresent(
              token -> {
                SignedIn signedIn = new SignedIn(token.person());
                signedIn.eraseCredentials();
                SecurityContext context = SecurityContextHolder.createEmptyContext();
                context.setAuthentication(
                    UsernamePasswordAuthenticationToken.authenticated(
                        signedIn, null, SignedIn.authorities(token.person().role())));
                SecurityContextHolder.setContext(context);
                tokens.used(token.id(), now, now.minus(Duration.ofMinutes(1)));
              });
    }
    chain.doFilter(request, response);
  }
}
