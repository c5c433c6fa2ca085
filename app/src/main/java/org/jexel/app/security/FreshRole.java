package org.jexel.app.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.springframework.security.authentication.AnonymousAuthenticationToken;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Reads the person of a session anew: a role that was changed holds at once, and who left, or whose
 * session is older than a working day, is signed out.
 */
@Component
class FreshRole extends OncePerRequestFilter {
  /** The longest a session lasts, however busy it is; it ends much sooner when it is not used. */
  static final Duration LONGEST = Duration.ofHours(12);

  private static final String PERSON = FreshRole.class.getName();

  private final PersonRepository people;
  private final Clock clock;

  FreshRole(PersonRepository people, Clock clock) {
    this.people = people;
    this.clock = clock;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    Authentication signedIn = SecurityContextHolder.getContext().getAuthentication();
    if (signedIn != null && !(signedIn instanceof AnonymousAuthenticationToken)) {
      Optional<Person> person =
          people.findBySignIn(signedIn.getName()).filter(p -> !p.ended() && fresh(request));
      SecurityContext context = SecurityContextHolder.createEmptyContext();
      if (person.isPresent()) {
        request.setAttribute(PERSON, person.get());
        context.setAuthentication(
            UsernamePasswordAuthenticationToken.authenticated(
                signedIn.getPrincipal(), null, SignedIn.authorities(person.get().role())));
      } else {
        HttpSession session = request.getSession(false);
        if (session != null) {
          session.invalidate();
        }
      }
      SecurityContextHolder.setContext(context);
    }
    chain.doFilter(request, response);
  }

  private boolean fresh(HttpServletRequest request) {
    HttpSession session = request.getSession(false);
    return session == null
        || Instant.ofEpochMilli(session.getCreationTime()).plus(LONGEST).isAfter(clock.instant());
  }

  /** The person of this request, with the workshop. */
  static Optional<Person> person(HttpServletRequest request) {
    return Optional.ofNullable((Person) request.getAttribute(PERSON));
  }
}
