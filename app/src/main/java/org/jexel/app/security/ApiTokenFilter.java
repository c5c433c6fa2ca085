package org.jexel.app.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpHeaders;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Signs a request in by its bearer token. */
@Component
class ApiTokenFilter extends OncePerRequestFilter {
  private static final String BEARER = "Bearer ";

  private final ApiTokenRepository tokens;

  ApiTokenFilter(ApiTokenRepository tokens) {
    this.tokens = tokens;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String header = request.getHeader(HttpHeaders.AUTHORIZATION);
    if (header != null && header.startsWith(BEARER)) {
      tokens
          .findByTokenHash(ApiToken.hash(header.substring(BEARER.length()).strip()))
          .ifPresent(
              token -> {
                SignedIn signedIn = new SignedIn(token.person());
                SecurityContext context = SecurityContextHolder.createEmptyContext();
                context.setAuthentication(
                    UsernamePasswordAuthenticationToken.authenticated(
                        signedIn, null, signedIn.getAuthorities()));
                SecurityContextHolder.setContext(context);
              });
    }
    chain.doFilter(request, response);
  }
}
