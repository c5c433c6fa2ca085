package org.jexel.app.security;

import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.filter.OncePerRequestFilter;

/** Filters that belong to the security chain alone, and not to every request besides. */
@Configuration
class OnlyInChain {
  @Bean
  FilterRegistrationBean<FreshRole> freshRoleOnlyInChain(FreshRole filter) {
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
