package org.jexel.app.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.sql.SQLNonTransientConnectionException;
import java.sql.SQLTimeoutException;
import java.sql.SQLTransientConnectionException;
import java.util.List;
import org.hibernate.exception.JDBCConnectionException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.core.io.ClassPathResource;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.QueryTimeoutException;
import org.springframework.jdbc.CannotGetJdbcConnectionException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * What is answered while the database does not: a page that says what is safe and tries again by
 * itself. It stands before everything that may ask the database, sessions included, and needs
 * nothing of it.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
public class DatabaseAway extends OncePerRequestFilter {
  private static final Logger LOG = LoggerFactory.getLogger(DatabaseAway.class);
  private static final String RETRY_S = "2";

  private final String page;

  DatabaseAway() throws IOException {
    try (InputStream in = new ClassPathResource("static/away.html").getInputStream()) {
      this.page = new String(in.readAllBytes(), StandardCharsets.UTF_8);
    }
  }

  /** Whether a failure comes from a database that does not answer. */
  static boolean is(Throwable failure) {
    for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
      if (cause instanceof CannotCreateTransactionException
          || cause instanceof CannotGetJdbcConnectionException
          || cause instanceof DataAccessResourceFailureException
          || cause instanceof QueryTimeoutException
          || cause instanceof JDBCConnectionException
          || cause instanceof SQLTransientConnectionException
          || cause instanceof SQLNonTransientConnectionException
          || cause instanceof SQLTimeoutException) {
        return true;
      }
      if (cause == cause.getCause()) {
        return false;
      }
    }
    return false;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    try {
      chain.doFilter(request, response);
    } catch (ServletException | RuntimeException failure) {
      if (!is(failure) || response.isCommitted()) {
        throw failure;
      }
      LOG.warn("The database does not answer: {} {}", request.getMethod(), request.getRequestURI());
      answer(request, response);
    }
  }

  private void answer(HttpServletRequest request, HttpServletResponse response) throws IOException {
    response.reset();
    response.setStatus(HttpServletResponse.SC_SERVICE_UNAVAILABLE);
    response.setHeader("Retry-After", RETRY_S);
    response.setHeader("Cache-Control", "no-store");
    response.setHeader("X-Content-Type-Options", "nosniff");
    response.setHeader("Content-Security-Policy", SecurityConfig.CONTENT_POLICY);
    response.setCharacterEncoding(StandardCharsets.UTF_8.name());
    if (request.getRequestURI().startsWith("/api/")) {
      response.setContentType("application/json");
      response
          .getWriter()
          .write("{\"error\":\"The database does not answer. Nothing of this was kept.\"}");
    } else {
      response.setContentType("text/html");
      boolean read = List.of("GET", "HEAD").contains(request.getMethod());
      response
          .getWriter()
          .write(read ? page : page.replace("<body ", "<body data-posted=\"yes\" "));
    }
  }
}
