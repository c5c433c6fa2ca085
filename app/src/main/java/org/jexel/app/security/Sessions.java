package org.jexel.app.security;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.authentication.SavedRequestAwareAuthenticationSuccessHandler;
import org.springframework.security.web.savedrequest.CookieRequestCache;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;

/** Where people are signed in, and how that ends. */
@Component
class Sessions {
  private static final String AT = "at";

  private final FindByIndexNameSessionRepository<? extends Session> sessions;

  Sessions(FindByIndexNameSessionRepository<? extends Session> sessions) {
    this.sessions = sessions;
  }

  /**
   * A place where somebody is signed in.
   *
   * @param id a stand-in for the session's own id, which stays with its cookie
   * @param where what it is signed in on
   * @param here whether it is the one that asks
   */
  record Place(String id, String where, Instant since, Instant last, boolean here) {}

  List<Place> of(Person person, @Nullable String here) {
    return sessions.findByPrincipalName(person.signIn()).values().stream()
        .map(
            s ->
                new Place(
                    ApiToken.hash(s.getId()),
                    String.valueOf(s.<Object>getAttribute(AT)),
                    s.getCreationTime(),
                    s.getLastAccessedTime(),
                    s.getId().equals(here)))
        .sorted(Comparator.comparing(Place::last).reversed())
        .toList();
  }

  /** Ends the session under a stand-in; one that has ended already is no matter. */
  void end(Person person, String standIn) {
    sessions.findByPrincipalName(person.signIn()).keySet().stream()
        .filter(id -> ApiToken.hash(id).equals(standIn))
        .toList()
        .forEach(sessions::deleteById);
  }

  /**
   * Ends all sessions of somebody.
   *
   * @param but the one that stays; null for none
   */
  void endAll(Person person, @Nullable String but) {
    sessions.findByPrincipalName(person.signIn()).keySet().stream()
        .filter(id -> !id.equals(but))
        .toList()
        .forEach(sessions::deleteById);
  }

  /** After a sign-in: notes where it was, and goes where the person wanted to go. */
  @Component
  static class Begun extends SavedRequestAwareAuthenticationSuccessHandler {
    Begun() {
      setDefaultTargetUrl("/");
      setRequestCache(new CookieRequestCache());
    }

    @Override
    public void onAuthenticationSuccess(
        HttpServletRequest request, HttpServletResponse response, Authentication signedIn)
        throws jakarta.servlet.ServletException, IOException {
      HttpSession session = request.getSession();
      String agent = String.valueOf(request.getHeader("User-Agent"));
      String device = agent.contains("Mobi") ? "Phone" : "Computer or tablet";
      session.setAttribute(AT, device + " at " + request.getRemoteAddr());
      super.onAuthenticationSuccess(request, response, signedIn);
    }
  }
}
