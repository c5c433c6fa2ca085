package org.jexel.app.security;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.github.bucket4j.Bucket;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Slows down guessing: ten tries for one name from one address, then one more every six seconds.
 */
@Component
class SignInThrottle extends OncePerRequestFilter {
  private static final int TRIES = 10;

  private final Cache<String, Bucket> buckets =
      Caffeine.newBuilder().maximumSize(10_000).expireAfterAccess(Duration.ofMinutes(10)).build();

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    return !("POST".equals(request.getMethod()) && "/sign-in".equals(request.getRequestURI()));
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String key = request.getRemoteAddr() + "|" + request.getParameter("username");
    Bucket bucket =
        buckets.get(
            key,
            k ->
                Bucket.builder()
                    .addLimit(
                        limit -> limit.capacity(TRIES).refillGreedy(TRIES, Duration.ofMinutes(1)))
                    .build());
    if (bucket.tryConsume(1)) {
      chain.doFilter(request, response);
    } else {
      response.sendRedirect("/sign-in?wait");
    }
  }

  /** The filter belongs to the security chain alone. */
  @Configuration
  static class NotTwice {
    @Bean
    FilterRegistrationBean<SignInThrottle> throttleOnlyInChain(SignInThrottle filter) {
      return off(filter);
    }

    @Bean
    FilterRegistrationBean<ApiTokenFilter> tokensOnlyInChain(ApiTokenFilter filter) {
      return off(filter);
    }

    private static <T extends OncePerRequestFilter> FilterRegistrationBean<T> off(T filter) {
      FilterRegistrationBean<T> registration = new FilterRegistrationBean<>(filter);
      registration.setEnabled(false);
      return registration;
    }
  }
}
