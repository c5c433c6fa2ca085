package org.jexel.app.security;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.web.authentication.AuthenticationFailureHandler;
import org.springframework.stereotype.Component;

/** Says why a sign-in failed: refused, too soon, or not looked at since the database is away. */
@Component
class SignInAnswers implements AuthenticationFailureHandler {
  @Override
  public void onAuthenticationFailure(
      HttpServletRequest request, HttpServletResponse response, AuthenticationException why)
      throws IOException, ServletException {
    if (DatabaseAway.is(why)) {
      throw new ServletException(why);
    }
    response.sendRedirect(
        why instanceof TooManyTries tries
            ? "/sign-in?wait=" + tries.seconds()
            : "/sign-in?refused");
  }
}
