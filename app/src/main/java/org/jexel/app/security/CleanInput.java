package org.jexel.app.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Arrays;
import java.util.Collections;
import java.util.Enumeration;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import org.jexel.core.quantity.CleanText;
import org.jspecify.annotations.Nullable;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.support.RequestContextUtils;

/**
 * Cleans every field where it enters: the one place through which all forms and questions pass.
 * What was taken out is said on the page that follows.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 2)
class CleanInput extends OncePerRequestFilter {
  private static final String TAKEN_OUT = CleanInput.class.getName();

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    chain.doFilter(new Cleaned(request), response);
  }

  /** A request whose fields are clean; a password is what it is. */
  private static final class Cleaned extends HttpServletRequestWrapper {
    private static final Set<String> SECRETS = Set.of("password", "old", "fresh", "again", "_csrf");

    private @Nullable Map<String, String[]> fields;

    Cleaned(HttpServletRequest request) {
      super(request);
    }

    @Override
    public Map<String, String[]> getParameterMap() {
      if (fields == null) {
        fields = clean();
      }
      return fields;
    }

    private Map<String, String[]> clean() {
      Set<String> out = new LinkedHashSet<>();
      Map<String, String[]> clean = new LinkedHashMap<>();
      super.getParameterMap()
          .forEach(
              (name, values) ->
                  clean.put(
                      cleaned(name, out),
                      SECRETS.contains(name)
                          ? values
                          : Arrays.stream(values)
                              .map(v -> cleaned(v, out))
                              .toArray(String[]::new)));
      if (!out.isEmpty()) {
        setAttribute(TAKEN_OUT, "Taken out of what you typed: " + String.join(", ", out) + ".");
      }
      return clean;
    }

    private static String cleaned(String text, Set<String> out) {
      CleanText clean = CleanText.of(text);
      out.addAll(clean.takenOut());
      return clean.text();
    }

    @Override
    public String @Nullable [] getParameterValues(String name) {
      return getParameterMap().get(name);
    }

    @Override
    public @Nullable String getParameter(String name) {
      String[] values = getParameterValues(name);
      return values == null || values.length == 0 ? null : values[0];
    }

    @Override
    public Enumeration<String> getParameterNames() {
      return Collections.enumeration(getParameterMap().keySet());
    }
  }

  /** Carries what was taken out over the redirect to the page that says it. */
  static final class Told implements HandlerInterceptor {
    @Override
    public void postHandle(
        HttpServletRequest request,
        HttpServletResponse response,
        Object handler,
        org.springframework.web.servlet.ModelAndView view) {
      Object out = request.getAttribute(TAKEN_OUT);
      if (out != null && view != null) {
        view.addObject("takenOut", out);
        RequestContextUtils.getOutputFlashMap(request).put("takenOut", out);
        if (String.valueOf(view.getViewName()).startsWith("redirect:")) {
          view.getModel().remove("takenOut");
        }
      }
    }
  }
}
