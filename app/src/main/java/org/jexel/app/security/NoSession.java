package org.jexel.app.security;

import jakarta.servlet.Filter;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletRequest;
import jakarta.servlet.ServletResponse;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import org.jspecify.annotations.Nullable;

/**
 * Hides the session from whatever stands behind: the dispatcher looks for messages in it with every
 * request, and a session is looked up in the database.
 */
class NoSession implements Filter {
  @Override
  public void doFilter(ServletRequest request, ServletResponse response, FilterChain chain)
      throws IOException, ServletException {
    chain.doFilter(
        new HttpServletRequestWrapper((HttpServletRequest) request) {
          @Override
          public @Nullable HttpSession getSession(boolean create) {
            if (create) {
              throw new IllegalStateException("What is plain has no session");
            }
            return null;
          }

          @Override
          public HttpSession getSession() {
            throw new IllegalStateException("What is plain has no session");
          }

          @Override
          public @Nullable String getRequestedSessionId() {
            return null;
          }

          @Override
          public boolean isRequestedSessionIdValid() {
            return false;
          }
        },
        response);
  }
}
